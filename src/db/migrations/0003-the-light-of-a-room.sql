-- What decides a room's light beyond the size of its windows, what a meter said in it, and the brief's other halves.

alter table room_window
  add column sill_mm integer not null default 900 check (sill_mm between 0 and 15000),
  add column pitch_deg integer not null default 90 check (pitch_deg between 0 and 90),
  add column glazing text not null default 'double'
    check (glazing in ('single', 'double', 'double-low-e', 'triple', 'obscured', 'tinted')),
  add column curtain text not null default 'none'
    check (curtain in ('none', 'sheer', 'half-blind', 'slats', 'drawn')),
  add column overhang_mm integer not null default 0 check (overhang_mm between 0 and 10000),
  add column opposite text not null default 'sky'
    check (opposite in ('sky', 'trees', 'brick', 'render', 'stone')),
  add column opposite_deg integer not null default 0 check (opposite_deg between 0 and 85),
  add column ground text not null default 'paving' check (ground in ('paving', 'grass', 'water', 'snow'));

alter table lamp
  add column bulb text not null default 'filament'
    check (bulb in ('filament', 'led-90', 'led-80', 'led-70', 'tube')),
  add column place text not null default 'pendant'
    check (place in ('pendant', 'downlights', 'table', 'strip')),
  add column evening boolean not null default true;

-- Rooms stand in the order that the consultant gave them; uses, hours and treatments are lists of known words.
alter table room
  add column position integer not null default 0,
  add column use_hours text not null default 'daytime'
    check (use_hours in ('breakfast', 'daytime', 'evening', 'all-day')),
  add column treatment text not null default 'plain'
    check (treatment in ('plain', 'panelled', 'papered', 'tiled', 'textured')),
  add column removed_at timestamptz;

-- A name is taken only by a room that stands.
alter table room drop constraint room_visit_id_name_key;
create unique index room_name_in_visit on room (visit_id, name) where removed_at is null;

-- Two rooms that are open to or seen from one another.
create table room_sight (
  room_id uuid not null references room on delete cascade,
  seen_room_id uuid not null references room on delete cascade,
  primary key (room_id, seen_room_id),
  check (room_id < seen_room_id)
);

alter table visit
  add column wants text[] not null default '{}'
    check (wants <@ array['brighter', 'cosier', 'calmer', 'more drama']),
  add column contrast text not null default 'open' check (contrast in ('open', 'low', 'high')),
  add column climate text not null default 'mixed' check (climate in ('grey', 'mixed', 'sunny')),
  add column old_paint text not null default 'unknown' check (old_paint in ('unknown', 'yes', 'no')),
  add column from_minute integer not null default 600 check (from_minute between 0 and 1439),
  add column to_minute integer not null default 690 check (to_minute between 1 and 1440),
  add check (to_minute > from_minute);

create table meter_reading (
  id uuid primary key,
  room_id uuid not null references room on delete cascade,
  minute integer not null check (minute between 0 and 1500),
  sky text not null check (sky in ('clear', 'partly', 'overcast')),
  lamps_on boolean not null,
  spot text not null check (length(spot) between 1 and 20),
  lux double precision not null check (lux > 0 and lux <= 150000),
  cct_k double precision not null check (cct_k between 1500 and 25000),
  device text not null check (device in ('typed', 'simulated')),
  kept_at timestamptz not null default clock_timestamp()
);

alter table look add column spot text not null default 'walls' check (length(spot) between 1 and 20);

create trigger keep_event after insert or update or delete on meter_reading
  for each row execute function keep_event();
