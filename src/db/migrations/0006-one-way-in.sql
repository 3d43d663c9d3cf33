-- Every change is a command; what it did stands in events, before and after. The database refuses any other write.
-- What the record before did not ask is marked as not known here, never filled in.

create table command (
  id uuid primary key,
  -- The order in which commands of a visit took hold; given last, while the visit is locked.
  seq bigint unique,
  kind text not null check (length(kind) between 1 and 40),
  payload jsonb not null,
  payload_hash text not null,
  actor text not null check (length(btrim(actor)) between 1 and 80),
  device text not null check (length(btrim(device)) between 1 and 80),
  -- By the clock of the device, and by the server's.
  made_at timestamptz not null,
  received_at timestamptz not null,
  visit_id uuid references visit deferrable initially deferred,
  answer jsonb,
  undone_by uuid references command
);
create sequence command_seq;
create index command_of_visit on command (visit_id, seq);

insert into command (id, seq, kind, payload, payload_hash, actor, device, made_at, received_at, answer) values
  ('00000000-0000-4000-8000-000000000005', nextval('command_seq'), 'before-commands', '{}', '', 'not noted',
   'not noted', now(), now(), '{"ok": true}'),
  ('00000000-0000-4000-8000-000000000006', nextval('command_seq'), 'migrate', '{"to": 6}', '', 'Elm Swatch',
   'server', now(), now(), '{"ok": true}');

alter table event
  add column command_id uuid references command,
  add column visit_id uuid references visit;

update event set command_id = '00000000-0000-4000-8000-000000000005';
update event e set visit_id = v.id from visit v
  where v.id::text = case e.subject when 'visit' then coalesce(e.after, e.before) ->> 'id'
    else coalesce(e.after, e.before) ->> 'visit_id' end;
update event e set visit_id = r.visit_id from room r
  where e.visit_id is null and r.id::text = coalesce(e.after, e.before) ->> 'room_id';
update event e set visit_id = r.visit_id from keeper k join room r on r.id = k.room_id
  where e.visit_id is null and k.id::text = coalesce(e.after, e.before) ->> 'keeper_id';

alter table event
  alter column command_id set default nullif(current_setting('elm.command', true), '')::uuid,
  alter column command_id set not null,
  alter column visit_id set default nullif(current_setting('elm.visit', true), '')::uuid;
create index event_of_command on event (command_id, number);

select set_config('elm.command', '00000000-0000-4000-8000-000000000006', true);

-- What is taken out stays, out of sight.
alter table visit add column removed_at timestamptz;
alter table room_window add column removed_at timestamptz;
alter table lamp add column removed_at timestamptz;
alter table keeper add column removed_at timestamptz;
alter table keeper_room add column removed_at timestamptz;
alter table meter_reading add column retracted_at timestamptz, add column date date;
alter table candidate add column removed_at timestamptz,
  -- Why it is ruled out for the whole house; null where it is not.
  add column ruled_out text check (length(ruled_out) <= 2000);
alter table keeper drop constraint keeper_room_id_name_key;
create unique index keeper_name_in_room on keeper (room_id, name) where removed_at is null;

-- A candidate proposed for a surface of a room.
create table proposal (
  id uuid primary key,
  room_id uuid not null references room,
  candidate_id uuid not null references candidate,
  surface text not null check (surface in ('walls', 'one wall', 'upper half', 'lower half', 'ceiling', 'trim',
    'door inside', 'door outside', 'cabinets', 'island', 'other')),
  sheen text not null check (sheen in ('matt', 'eggshell', 'satin', 'semi-gloss', 'gloss')),
  status text not null check (status in ('proposed', 'going to board', 'ruled out', 'picked')),
  reason text not null default '' check (length(reason) <= 2000),
  proposed_at timestamptz not null,
  removed_at timestamptz,
  unique (room_id, candidate_id, surface)
);
create index proposal_of_candidate on proposal (candidate_id);

create function keep_event_2() returns trigger language plpgsql as $$
declare
  old_row jsonb := case when tg_op <> 'INSERT' then to_jsonb(old) end;
  new_row jsonb := case when tg_op <> 'DELETE' then to_jsonb(new) end;
  whole jsonb := coalesce(new_row, old_row);
begin
  -- Rows put back from events are not new events.
  if current_setting('elm.replaying', true) = 'on' or old_row = new_row then return null; end if;
  insert into event (what, subject, subject_id, before, after)
  values (lower(tg_op), tg_table_name,
    coalesce(whole ->> 'id', whole ->> 'keeper_id', whole ->> 'visit_id', whole ->> 'room_id')::uuid, old_row, new_row);
  return null;
end
$$;

create function refuse_deletion() returns trigger language plpgsql as $$
begin
  raise exception 'nothing recorded is deleted: % stays', tg_table_name;
end
$$;

do $$
declare
  subject text;
begin
  foreach subject in array array['visit', 'room', 'room_window', 'lamp', 'keeper', 'keeper_colour', 'candidate', 'look',
    'visit_house_rule', 'meter_reading', 'keeper_room'] loop
    execute format('drop trigger keep_event on %I', subject);
  end loop;
  foreach subject in array array['visit', 'room', 'room_window', 'lamp', 'room_sight', 'keeper', 'keeper_colour',
    'keeper_room', 'candidate', 'proposal', 'look', 'visit_house_rule', 'meter_reading'] loop
    execute format('create trigger keep_event after insert or update or delete on %I
      for each row execute function keep_event_2()', subject);
  end loop;
  foreach subject in array array['visit', 'room', 'room_window', 'lamp', 'keeper', 'candidate', 'proposal', 'look',
    'meter_reading', 'command', 'event'] loop
    execute format('create trigger refuse_deletion before delete on %I
      for each row execute function refuse_deletion()', subject);
  end loop;
end
$$;
drop function keep_event();
alter function keep_event_2() rename to keep_event;

create function refuse_change() returns trigger language plpgsql as $$
begin
  raise exception 'an event is never changed';
end
$$;
create trigger refuse_change before update on event for each row execute function refuse_change();

-- Until now every candidate of a visit stood in every room of it.
insert into proposal (id, room_id, candidate_id, surface, sheen, status, proposed_at)
select gen_random_uuid(), r.id, c.id, 'walls', 'matt', 'proposed', c.added_at
from candidate c join room r on r.visit_id = c.visit_id;

-- The day that was shown when a reading or a look was taken was not kept, nor was how a look was seen.
alter table look
  alter column keeper_id drop not null,
  alter column light_date drop not null,
  -- Its place among the looks of its visit.
  add column place integer,
  add column sheen text not null default 'matt'
    check (sheen in ('matt', 'eggshell', 'satin', 'semi-gloss', 'gloss')),
  add column against text not null default 'keeper'
    check (against in ('keeper', 'wall', 'trim', 'candidate', 'comparator')),
  add column part text check (length(btrim(part)) between 1 and 40),
  add column plane text check (plane in ('north', 'east', 'south', 'west', 'flat', 'tilted')),
  add column trim_kind text
    check (trim_kind in ('same', 'clean-white', 'soft-white', 'relative', 'complement')),
  add column beside_candidate_id uuid references candidate,
  add column comparator text check (length(btrim(comparator)) between 1 and 40),
  add column seen_as text not null default 'not noted' check (seen_as in ('sample', 'screen', 'not noted')),
  add column held text check (held in ('chip', 'large swatch', 'board', 'wall')),
  add column held_strength_percent integer check (held_strength_percent between 1 and 150),
  add column light_place text not null default '' check (length(light_place) <= 80),
  add column metered_lux double precision check (metered_lux > 0 and metered_lux <= 150000),
  add column metered_cct_k double precision check (metered_cct_k between 1500 and 25000),
  add column lean text check (lean in ('pink', 'orange', 'yellow', 'yellow-green', 'green', 'blue-green', 'blue',
    'violet', 'no lean')),
  add column client_says text check (client_says in ('yes', 'not sure', 'no')),
  add column client_words text not null default '' check (length(client_words) <= 2000),
  add column seen_by text not null default 'not noted' check (length(btrim(seen_by)) between 1 and 80),
  add column made_at timestamptz,
  add column model_seen_before boolean,
  add column model_version text check (length(model_version) between 1 and 20),
  add column model_judgement text
    check (model_judgement in ('works', 'works likely', 'unsure', 'no likely', 'no')),
  add column model_chance double precision check (model_chance between 0 and 1),
  add column model_sentence text check (length(model_sentence) <= 2000),
  add column model_strength_percent integer check (model_strength_percent between 1 and 150);

update look set light_date = null, made_at = kept_at, place = ordered.place,
  -- A reason's word of then, in the word of now.
  reasons = (select coalesce(jsonb_agg(case reason when 'too weak' then 'too pale' else reason end), '[]')
    from jsonb_array_elements_text(reasons) as reason)
from (select id, row_number() over (partition by visit_id order by kept_at, id) as place from look) as ordered
where ordered.id = look.id;

alter table look
  alter column place set not null,
  alter column made_at set not null,
  add check (num_nonnulls(keeper_id, plane, trim_kind, beside_candidate_id, comparator) = 1
    and case against when 'keeper' then keeper_id is not null when 'wall' then plane is not null
      when 'trim' then trim_kind is not null when 'candidate' then beside_candidate_id is not null
      else comparator is not null end),
  add check (part is null or against = 'keeper'),
  add check (case seen_as when 'sample' then num_nulls(held, held_strength_percent) = 0
    else num_nonnulls(held, held_strength_percent) = 0 end),
  add check (light_date is not null or seen_as = 'not noted'),
  add check (seen_as = 'not noted' or model_seen_before is not null),
  add check (num_nonnulls(metered_lux, metered_cct_k) in (0, 2)),
  add check (num_nonnulls(model_version, model_judgement, model_chance, model_sentence) in (0, 4)),
  add check (client_says is not null or client_words = '');
create unique index look_of_visit on look (visit_id, place);

-- How many looks of a visit stand: what its place in the list hangs on, counted as they come and go. No part of the record:
-- it follows from it.
create table visit_looks (
  visit_id uuid primary key references visit on delete cascade,
  standing integer not null
);
insert into visit_looks (visit_id, standing)
select visit_id, count(*) from look where retracted_at is null group by visit_id;

create function count_looks() returns trigger language plpgsql as $$
declare
  change integer := (new.retracted_at is null)::integer;
begin
  if tg_op = 'UPDATE' then change := change - (old.retracted_at is null)::integer; end if;
  if change = 0 then return null; end if;
  insert into visit_looks (visit_id, standing) values (new.visit_id, change)
  on conflict (visit_id) do update set standing = visit_looks.standing + change;
  return null;
end
$$;
create trigger count_looks after insert or update on look for each row execute function count_looks();

create index room_of_visit on room (visit_id);
create index keeper_of_room on keeper (room_id);
create index keeper_room_of_room on keeper_room (room_id);
create index window_of_room on room_window (room_id);
create index lamp_of_room on lamp (room_id);
create index meter_reading_of_room on meter_reading (room_id);
create index room_sight_back on room_sight (seen_room_id);
create index visit_finished on visit (finished_at, visit_date);

-- Decks come in as `importing` and are made ready, or thrown away, by a command; a ready one never changes.
alter table deck add column status text not null default 'ready' check (status in ('importing', 'ready'));
alter table deck drop constraint deck_maker_name_key;
create unique index deck_name_of_maker on deck (maker, name) where status = 'ready';

create function keep_deck_event() returns trigger language plpgsql as $$
begin
  if current_setting('elm.replaying', true) = 'on' or new.status = 'importing' then return null; end if;
  insert into event (what, subject, subject_id, before, after)
  values (lower(tg_op), 'deck', new.id, case when tg_op = 'UPDATE' then to_jsonb(old) end, to_jsonb(new));
  return null;
end
$$;
create trigger keep_event after insert or update on deck for each row execute function keep_deck_event();

create function refuse_ready_deck() returns trigger language plpgsql as $$
begin
  if old.status = 'ready' then raise exception 'a deck that is in use is not deleted'; end if;
  return old;
end
$$;
create trigger refuse_deletion before delete on deck for each row execute function refuse_ready_deck();

create function colours_of_importing_deck() returns trigger language plpgsql as $$
begin
  if current_setting('elm.replaying', true) = 'on' then return null; end if;
  if exists (select from fresh join deck on deck.id = fresh.deck_id where deck.status = 'ready') then
    raise exception 'a deck that is in use takes no more colours';
  end if;
  return null;
end
$$;
create trigger only_while_importing after insert on deck_colour
  referencing new table as fresh for each statement execute function colours_of_importing_deck();

-- Photos are described by rows under the command that brought them; a photo goes by the hash of its bytes.
alter table event alter column subject_id drop not null;
create function keep_photo_event() returns trigger language plpgsql as $$
begin
  if current_setting('elm.replaying', true) = 'on' then return null; end if;
  insert into event (what, subject, before, after)
  values (lower(tg_op), 'photo', case when tg_op = 'UPDATE' then to_jsonb(old) end, to_jsonb(new));
  return null;
end
$$;
create trigger keep_event after insert or update on photo for each row execute function keep_photo_event();
