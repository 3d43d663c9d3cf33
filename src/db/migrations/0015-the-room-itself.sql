-- Where a thing stands or hangs in a room, once somebody has put it there: millimetres from the middle of the floor, east,
-- north and up. A row goes when it is put back to where such things usually stand.
create table thing_place (
  room_id uuid not null references room,
  -- A keeper or a lamp.
  thing_id uuid not null,
  east_mm integer not null check (east_mm between -50000 and 50000),
  north_mm integer not null check (north_mm between -50000 and 50000),
  -- East to west, north to south, up.
  width_mm integer not null check (width_mm between 10 and 20000),
  depth_mm integer not null check (depth_mm between 10 and 20000),
  height_mm integer not null check (height_mm between 5 and 15000),
  from_mm integer not null check (from_mm between 0 and 15000),
  primary key (room_id, thing_id)
);
create trigger keep_event after insert or update or delete on thing_place for each row execute function keep_event();

-- What a room might have instead: other lamps, curtains, another ceiling, floor or cabinets. A proposal, never the room.
create table what_if (
  id uuid primary key,
  room_id uuid not null references room,
  name text not null check (length(btrim(name)) between 1 and 80),
  change jsonb not null check (jsonb_typeof(change) = 'object'),
  -- What it came to when it was kept.
  says text not null check (length(says) <= 2000),
  kept_at timestamptz not null,
  removed_at timestamptz
);
create index what_if_of_room on what_if (room_id);
create trigger keep_event after insert or update or delete on what_if for each row execute function keep_event();
create trigger refuse_deletion before delete on what_if for each row execute function refuse_deletion();
