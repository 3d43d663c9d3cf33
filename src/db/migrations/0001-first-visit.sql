-- Ids are made by the client, so that a write can be repeated safely.

create table deck (
  id uuid primary key,
  maker text not null check (length(btrim(maker)) between 1 and 80),
  name text not null check (length(btrim(name)) between 1 and 80),
  -- The untinted white base, L*a*b* under D65, 2° observer.
  white_base_l double precision not null check (white_base_l between 0 and 100),
  white_base_a double precision not null check (white_base_a between -128 and 128),
  white_base_b double precision not null check (white_base_b between -128 and 128),
  added_at timestamptz not null default now(),
  unique (maker, name)
);

create table deck_colour (
  id uuid primary key,
  deck_id uuid not null references deck on delete cascade,
  code text not null check (length(btrim(code)) between 1 and 40),
  name text not null check (length(btrim(name)) between 1 and 120),
  strip text not null check (length(btrim(strip)) between 1 and 40),
  -- Place on the strip, lightest first.
  strip_position integer not null check (strip_position >= 0),
  base text not null check (base in ('white', 'mid', 'deep', 'clear')),
  reading_kind text not null check (reading_kind in ('lab', 'srgb')),
  lab_l double precision check (lab_l between 0 and 100),
  lab_a double precision check (lab_a between -128 and 128),
  lab_b double precision check (lab_b between -128 and 128),
  hex text check (hex ~ '^#[0-9a-f]{6}$'),
  unique (deck_id, code),
  check (
    case reading_kind
      when 'lab' then num_nulls(lab_l, lab_a, lab_b) = 0 and hex is null
      else num_nonnulls(lab_l, lab_a, lab_b) = 0 and hex is not null
    end
  )
);

create table visit (
  id uuid primary key,
  household text not null check (length(btrim(household)) between 1 and 120),
  wishes text not null default '' check (length(wishes) <= 2000),
  will_not_have text not null default '' check (length(will_not_have) <= 2000),
  north_room_rule text not null check (north_room_rule in ('warm-up', 'lean-in', 'no-whites')),
  weakest_strength_percent integer not null check (weakest_strength_percent in (25, 50)),
  place_name text not null check (length(btrim(place_name)) between 1 and 120),
  latitude_deg double precision not null check (latitude_deg between -90 and 90),
  longitude_deg double precision not null check (longitude_deg between -180 and 180),
  time_zone text not null check (length(time_zone) between 1 and 64),
  visit_date date not null,
  finished_at timestamptz,
  created_at timestamptz not null default now()
);

create table room (
  id uuid primary key,
  visit_id uuid not null references visit on delete cascade,
  name text not null check (length(btrim(name)) between 1 and 80),
  north_south_mm integer not null check (north_south_mm between 500 and 50000),
  east_west_mm integer not null check (east_west_mm between 500 and 50000),
  height_mm integer not null check (height_mm between 1500 and 15000),
  created_at timestamptz not null default now(),
  unique (visit_id, name),
  unique (id, visit_id)
);

create table room_window (
  id uuid primary key,
  room_id uuid not null references room on delete cascade,
  bearing_deg double precision not null check (bearing_deg >= 0 and bearing_deg < 360),
  width_mm integer not null check (width_mm between 100 and 50000),
  height_mm integer not null check (height_mm between 100 and 15000)
);

create table lamp (
  id uuid primary key,
  room_id uuid not null references room on delete cascade,
  cct_k integer not null check (cct_k between 1500 and 10000),
  lumens integer not null check (lumens between 10 and 100000)
);

create table keeper (
  id uuid primary key,
  room_id uuid not null references room on delete cascade,
  name text not null check (length(btrim(name)) between 1 and 80),
  kind text not null check (kind in
    ('floor', 'stone', 'tile', 'cabinets', 'trim', 'carpet', 'upholstery', 'curtain', 'rug', 'art')),
  state text not null check (state in ('staying', 'leaving', 'arriving', 'paintable')),
  created_at timestamptz not null default now(),
  unique (room_id, name),
  unique (id, room_id)
);

create table keeper_colour (
  keeper_id uuid not null references keeper on delete cascade,
  position integer not null check (position between 0 and 4),
  part text not null check (length(btrim(part)) between 1 and 40),
  share_percent integer not null check (share_percent between 1 and 100),
  reading_kind text not null check (reading_kind in ('lab', 'srgb', 'deck')),
  lab_l double precision check (lab_l between 0 and 100),
  lab_a double precision check (lab_a between -128 and 128),
  lab_b double precision check (lab_b between -128 and 128),
  hex text check (hex ~ '^#[0-9a-f]{6}$'),
  deck_colour_id uuid references deck_colour,
  primary key (keeper_id, position),
  check (
    case reading_kind
      when 'lab' then num_nulls(lab_l, lab_a, lab_b) = 0 and hex is null and deck_colour_id is null
      when 'srgb' then num_nonnulls(lab_l, lab_a, lab_b) = 0 and hex is not null and deck_colour_id is null
      else num_nonnulls(lab_l, lab_a, lab_b) = 0 and hex is null and deck_colour_id is not null
    end
  )
);

create table candidate (
  id uuid primary key,
  visit_id uuid not null references visit on delete cascade,
  deck_colour_id uuid not null references deck_colour,
  strength_percent integer not null check (strength_percent between 1 and 150),
  added_at timestamptz not null default now(),
  unique (visit_id, deck_colour_id, strength_percent),
  unique (id, visit_id)
);

create table look (
  id uuid primary key,
  visit_id uuid not null references visit on delete cascade,
  candidate_id uuid not null,
  room_id uuid not null,
  keeper_id uuid not null,
  light_source text not null check (light_source in ('room', 'north', 'west', 'lamps')),
  light_minute integer not null check (light_minute between 0 and 1500),
  light_date date not null,
  sky text not null check (sky in ('clear', 'partly', 'overcast')),
  lamps_on boolean not null,
  verdict text not null check (verdict in ('works', 'works-lighter', 'works-stronger', 'unsure', 'no')),
  -- A JSON array of reasons in the trade's words.
  reasons jsonb not null check (jsonb_typeof(reasons) = 'array'),
  note text not null default '' check (length(note) <= 2000),
  kept_at timestamptz not null default clock_timestamp(),
  -- Undone: the look stays, struck out.
  retracted_at timestamptz,
  foreign key (candidate_id, visit_id) references candidate (id, visit_id),
  foreign key (room_id, visit_id) references room (id, visit_id),
  foreign key (keeper_id, room_id) references keeper (id, room_id)
);

create index look_of_candidate on look (candidate_id, room_id);
create index deck_colour_of_strip on deck_colour (deck_id, strip, strip_position);

-- Every change to a visit, in the order it happened and in the transaction that made it.
create table event (
  number bigint generated always as identity primary key,
  at timestamptz not null default clock_timestamp(),
  what text not null check (what in ('insert', 'update', 'delete')),
  subject text not null,
  subject_id uuid not null,
  before jsonb,
  after jsonb
);

create index event_of_subject on event (subject_id, number);

create function keep_event() returns trigger language plpgsql as $$
declare
  old_row jsonb := case when tg_op <> 'INSERT' then to_jsonb(old) end;
  new_row jsonb := case when tg_op <> 'DELETE' then to_jsonb(new) end;
  row jsonb := coalesce(new_row, old_row);
begin
  insert into event (what, subject, subject_id, before, after)
  values (lower(tg_op), tg_table_name, coalesce(row ->> 'id', row ->> 'keeper_id')::uuid, old_row, new_row);
  return null;
end
$$;

create trigger keep_event after insert or update or delete on visit
  for each row execute function keep_event();
create trigger keep_event after insert or update or delete on room
  for each row execute function keep_event();
create trigger keep_event after insert or update or delete on room_window
  for each row execute function keep_event();
create trigger keep_event after insert or update or delete on lamp
  for each row execute function keep_event();
create trigger keep_event after insert or update or delete on keeper
  for each row execute function keep_event();
create trigger keep_event after insert or update or delete on keeper_colour
  for each row execute function keep_event();
create trigger keep_event after insert or update or delete on candidate
  for each row execute function keep_event();
create trigger keep_event after insert or update or delete on look
  for each row execute function keep_event();
