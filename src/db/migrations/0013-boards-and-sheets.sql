-- How this consultant samples and reckons: pots, boards, tins, spread, drying; null: as is usual.
alter table settings add column paint_ways jsonb check (jsonb_typeof(paint_ways) = 'object');

-- A painted sample of a candidate: a board that goes from wall to wall, or a strip of a room's wall.
create table board (
  id uuid primary key,
  visit_id uuid not null references visit,
  candidate_id uuid not null references candidate,
  -- Of a strip on the wall its room; a board goes from room to room.
  room_id uuid references room,
  sheen text not null check (sheen in ('matt', 'eggshell', 'satin', 'semi-gloss', 'gloss')),
  width_mm integer not null check (width_mm between 50 and 10000),
  height_mm integer not null check (height_mm between 50 and 15000),
  border_mm integer not null check (border_mm >= 0 and 2 * border_mm < width_mm and 2 * border_mm < height_mm),
  count integer not null check (count between 1 and 12),
  -- When the first tin is opened, by the clock of the place; null until somebody says.
  begun_on date,
  begun_minute integer check (begun_minute between 0 and 1439),
  removed_at timestamptz,
  check (num_nulls(begun_on, begun_minute) in (0, 2))
);
create unique index board_of_candidate on board (candidate_id, sheen, coalesce(room_id, visit_id)) where removed_at is null;
create index board_of_visit on board (visit_id);
create trigger keep_event after insert or update or delete on board for each row execute function keep_event();
create trigger refuse_deletion before delete on board for each row execute function refuse_deletion();

-- What of a room decides how much paint it takes, where its size does not tell it.
create table room_paint (
  room_id uuid primary key references room,
  -- What is on the walls now, as a reading; null where nobody has said.
  old_walls jsonb check (jsonb_typeof(old_walls) = 'object'),
  skirting_mm integer not null check (skirting_mm between 0 and 1000),
  casing_mm integer not null check (casing_mm between 0 and 500),
  feature_wall text check (feature_wall in ('north', 'east', 'south', 'west')),
  half_height_mm integer not null check (half_height_mm between 100 and 15000),
  cabinets_m2 double precision check (cabinets_m2 > 0 and cabinets_m2 <= 1000),
  island_m2 double precision check (island_m2 > 0 and island_m2 <= 1000),
  other_m2 double precision check (other_m2 > 0 and other_m2 <= 1000)
);
create trigger keep_event after insert or update or delete on room_paint for each row execute function keep_event();

-- A whole scheme of a room: what each of its surfaces would be, and its accents. One may be chosen; the others stay on record.
create table scheme (
  id uuid primary key,
  room_id uuid not null references room,
  name text not null check (length(btrim(name)) between 1 and 80),
  origin text not null check (origin in ('dominant', 'lesser', 'as it stands', 'own')),
  -- Arrays of {surface, candidateId, sheen}, and of ids of deck colours.
  parts jsonb not null check (jsonb_typeof(parts) = 'array'),
  accents jsonb not null check (jsonb_typeof(accents) = 'array'),
  kept_at timestamptz not null,
  chosen_at timestamptz,
  removed_at timestamptz
);
create unique index scheme_name_in_room on scheme (room_id, lower(name)) where removed_at is null;
create unique index chosen_scheme on scheme (room_id) where removed_at is null and chosen_at is not null;
create trigger keep_event after insert or update or delete on scheme for each row execute function keep_event();
create trigger refuse_deletion before delete on scheme for each row execute function refuse_deletion();
