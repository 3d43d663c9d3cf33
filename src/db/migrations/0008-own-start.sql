-- What holds for a whole store: whose it is, the units its people think in, the schools a new visit begins with. One row.
create table settings (
  id uuid primary key check (id = '00000000-0000-4000-8000-000000000008'),
  who text not null check (length(btrim(who)) between 1 and 80),
  lengths text not null check (lengths in ('metric', 'feet')),
  volumes text not null check (volumes in ('litres', 'us-gallons')),
  house_rules jsonb not null check (jsonb_typeof(house_rules) = 'object')
);
create trigger keep_event after insert or update or delete on settings
  for each row execute function keep_event();

-- A door that lets no light in stands in a wall as a window does: it takes wall, and gives none.
alter table room_window drop constraint room_window_glazing_check,
  add constraint room_window_glazing_check check (glazing in ('single', 'double', 'double-low-e', 'triple', 'obscured',
    'tinted', 'solid'));

-- What a consultant meets in a house, how rough it is, and which walls it touches.
alter table keeper drop constraint keeper_kind_check,
  add constraint keeper_kind_check check (kind in ('floor', 'fireplace', 'stone', 'counter', 'tile', 'panelling', 'cabinets',
    'door', 'trim', 'metal', 'carpet', 'appliance', 'upholstery', 'curtain', 'mirror', 'rug', 'other', 'cushion', 'art')),
  add column texture text check (texture in ('smooth', 'woven', 'pile', 'hewn')),
  add column walls text[] not null default '{}' check (walls <@ array['north', 'east', 'south', 'west']);

-- In which order the rooms are to be seen, once a hand has moved one; until then as it is computed.
alter table visit add column plan_order uuid[] not null default '{}';
