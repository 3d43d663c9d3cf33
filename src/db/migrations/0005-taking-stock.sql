-- Readings as a spectrum or as a stated shift from a deck colour, finishes in several rooms, photos, the piece that leads.

alter table keeper_colour
  add column wavelengths_nm double precision[],
  add column reflectances double precision[],
  -- A JSON array of steps away from the deck colour that it was matched to by eye.
  add column shift jsonb check (jsonb_typeof(shift) = 'array'),
  drop constraint keeper_colour_reading_kind_check,
  add check (reading_kind in ('lab', 'srgb', 'deck', 'spectral')),
  drop constraint keeper_colour_check,
  add check (
    case reading_kind
      when 'lab' then num_nulls(lab_l, lab_a, lab_b) = 0 and num_nonnulls(hex, deck_colour_id, reflectances) = 0
      when 'srgb' then hex is not null and num_nonnulls(lab_l, lab_a, lab_b, deck_colour_id, reflectances) = 0
      when 'deck' then deck_colour_id is not null and num_nonnulls(lab_l, lab_a, lab_b, hex, reflectances) = 0
      else reflectances is not null and num_nonnulls(lab_l, lab_a, lab_b, hex, deck_colour_id) = 0
    end
  ),
  add check (num_nulls(wavelengths_nm, reflectances) in (0, 2)
    and cardinality(wavelengths_nm) = cardinality(reflectances)),
  add check (shift is null or reading_kind = 'deck'),
  drop constraint keeper_colour_source_check,
  add check (source in ('spectral', 'reader', 'maker', 'screen', 'eye', 'uncalibrated', 'photo'));

-- Described here, kept as files under the data directory by the hash of their bytes.
create table photo (
  hash text primary key check (hash ~ '^[0-9a-f]{64}$'),
  width_px integer not null check (width_px between 1 and 2048),
  height_px integer not null check (height_px between 1 and 2048),
  byte_length integer not null check (byte_length > 0),
  kept_at timestamptz not null default clock_timestamp()
);

alter table keeper
  add column view_share text not null default 'some' check (view_share in ('little', 'some', 'much')),
  -- 1 easily changed to 5 never; null goes by the kind.
  add column dearness integer check (dearness between 1 and 5),
  add column photo_hash text references photo;

-- A finish that runs through several rooms is entered once. Its own room is among them.
create table keeper_room (
  keeper_id uuid not null references keeper on delete cascade,
  room_id uuid not null references room on delete cascade,
  primary key (keeper_id, room_id)
);

insert into keeper_room (keeper_id, room_id) select id, room_id from keeper;

alter table look
  drop constraint look_keeper_id_room_id_fkey,
  add foreign key (keeper_id, room_id) references keeper_room (keeper_id, room_id);

create trigger keep_event after insert or update or delete on keeper_room
  for each row execute function keep_event();

alter table room add column lead_keeper_id uuid references keeper on delete set null;
