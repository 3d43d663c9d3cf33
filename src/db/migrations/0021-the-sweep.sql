-- All candidates side by side past one finish: what was out is a look each, and here stands which of them stayed.
create table sweep (
  id uuid primary key,
  room_id uuid not null references room,
  keeper_id uuid not null references keeper,
  -- The samples themselves in the light that is there; or the screen in a computed one.
  seen_as text not null check (seen_as in ('sample', 'screen')),
  -- Source, date, minute, sky, lamps, spot, place and what a meter said, as of a look.
  light jsonb not null check (jsonb_typeof(light) = 'object'),
  -- Ids of the candidates that were left in hand.
  stayed jsonb not null check (jsonb_typeof(stayed) = 'array'),
  seen_by text not null check (length(btrim(seen_by)) between 1 and 80),
  made_at timestamptz not null,
  kept_at timestamptz not null,
  retracted_at timestamptz
);
create index sweep_of_room on sweep (room_id);
create trigger keep_event after insert or update or delete on sweep for each row execute function keep_event();
create trigger refuse_deletion before delete on sweep for each row execute function refuse_deletion();
