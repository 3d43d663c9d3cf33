-- What is to be fetched from the shop, in a direction: "like this, a little less pink".
alter table proposal drop constraint proposal_status_check,
  add check (status in ('to fetch', 'proposed', 'going to board', 'ruled out', 'picked'));

-- Who speaks first on the bench.
alter table settings add column first_speaks text not null default 'eye' check (first_speaks in ('eye', 'model'));

-- What a client was shown and said may stand by itself.
alter table look
  drop constraint look_says_something,
  add constraint look_says_something check (verdict is not null
    or (reasons = '[]' and (lean is not null or best_of <> '[]' or client_says is not null)));

-- The outcome for a surface of a room: the pick, what it gives up, and what the record did not hold when it was ruled. It
-- stands until it is reopened, with a reason; then another may be made.
create table ruling (
  id uuid primary key,
  room_id uuid not null references room,
  surface text not null check (surface in ('walls', 'one wall', 'upper half', 'lower half', 'ceiling', 'trim',
    'door inside', 'door outside', 'cabinets', 'island', 'other')),
  candidate_id uuid not null references candidate,
  sheen text not null check (sheen in ('matt', 'eggshell', 'satin', 'semi-gloss', 'gloss')),
  compromise text not null default '' check (length(compromise) <= 2000),
  -- A JSON array of texts.
  gaps jsonb not null default '[]' check (jsonb_typeof(gaps) = 'array'),
  ruled_by text not null check (length(btrim(ruled_by)) between 1 and 80),
  made_at timestamptz not null,
  reopened_at timestamptz,
  reopened_because text check (length(btrim(reopened_because)) between 1 and 2000),
  removed_at timestamptz,
  check (num_nulls(reopened_at, reopened_because) in (0, 2))
);
create unique index ruling_of_surface on ruling (room_id, surface) where removed_at is null and reopened_at is null;
create index ruling_of_candidate on ruling (candidate_id);
create trigger keep_event after insert or update or delete on ruling for each row execute function keep_event();
create trigger refuse_deletion before delete on ruling for each row execute function refuse_deletion();

-- A surface could be picked for without a ruling, and more than once. The one pick of a surface is its ruling; of several
-- none was the outcome.
update proposal p set status = 'going to board' where p.status = 'picked' and p.removed_at is null
  and exists (select from proposal other where other.room_id = p.room_id and other.surface = p.surface
    and other.status = 'picked' and other.removed_at is null and other.id <> p.id);
insert into ruling (id, room_id, surface, candidate_id, sheen, gaps, ruled_by, made_at)
select gen_random_uuid(), room_id, surface, candidate_id, sheen, '["what it rested on is not noted"]', 'not noted', proposed_at
from proposal where status = 'picked' and removed_at is null;

-- What is ruled on stays as it is until it is reopened.
create function is_ruled(room uuid, painted text) returns boolean language sql stable as $$
  select exists (select from ruling where room_id = room and surface = painted and removed_at is null and reopened_at is null)
$$;
create function refuse_where_ruled() returns trigger language plpgsql as $$
begin
  if current_setting('elm.replaying', true) = 'on' or (tg_op = 'UPDATE' and old is not distinct from new) then return new; end if;
  if is_ruled(new.room_id, new.surface) then raise exception 'this surface is ruled on' using errcode = 'ELM01'; end if;
  return new;
end
$$;
create trigger refuse_where_ruled before insert or update on proposal for each row execute function refuse_where_ruled();
create function refuse_of_pick() returns trigger language plpgsql as $$
begin
  if current_setting('elm.replaying', true) = 'on' then return new; end if;
  if (new.removed_at is not null and old.removed_at is null or new.ruled_out is not null and old.ruled_out is null)
    and exists (select from ruling where candidate_id = new.id and removed_at is null and reopened_at is null)
  then raise exception 'this candidate is ruled on' using errcode = 'ELM01'; end if;
  return new;
end
$$;
create trigger refuse_of_pick before update on candidate for each row execute function refuse_of_pick();

-- Of a finish the part of its corrected photo that stands for it; of a look the photo of the moment.
alter table keeper add column patch_hash text references photo;
alter table look add column photo_hash text references photo;

-- What is arriving, held against what stays: a fabric beside the floor is a pair too.
create table finish_look (
  id uuid primary key,
  room_id uuid not null references room,
  arriving_id uuid not null references keeper,
  beside_id uuid not null references keeper check (beside_id <> arriving_id),
  -- The thing itself, or a piece of it, in the light that is there; or the screen in a computed one.
  seen_as text not null check (seen_as in ('sample', 'screen')),
  -- Source, date, minute, sky, lamps, spot, place and what a meter said, as of a look.
  light jsonb not null check (jsonb_typeof(light) = 'object'),
  verdict text not null check (verdict in ('works', 'unsure', 'no')),
  -- What the model said then: version, judgement, chance, sentence; null where it said nothing.
  model jsonb check (jsonb_typeof(model) = 'object'),
  seen_by text not null check (length(btrim(seen_by)) between 1 and 80),
  made_at timestamptz not null,
  kept_at timestamptz not null,
  retracted_at timestamptz
);
create index finish_look_of_room on finish_look (room_id);
create trigger keep_event after insert or update or delete on finish_look for each row execute function keep_event();
create trigger refuse_deletion before delete on finish_look for each row execute function refuse_deletion();
