-- People who practise on this store. What they answer is no part of any visit.
create table learner (
  id uuid primary key,
  name text not null check (length(btrim(name)) between 1 and 80),
  begun_at timestamptz not null,
  removed_at timestamptz
);
create unique index learner_name on learner (lower(name)) where removed_at is null;
create trigger keep_event after insert or update or delete on learner for each row execute function keep_event();
create trigger refuse_deletion before delete on learner for each row execute function refuse_deletion();

create table practice_answer (
  id uuid primary key,
  learner_id uuid not null references learner,
  -- What it is counted under.
  kind text not null,
  lean text not null,
  finish text not null,
  light text not null,
  -- What was asked, so that it can be asked again.
  spec jsonb not null check (jsonb_typeof(spec) = 'object'),
  level double precision not null check (level > 0),
  given jsonb not null,
  is_right boolean not null,
  took_ms integer not null check (took_ms between 0 and 3600000),
  answered_at timestamptz not null,
  removed_at timestamptz
);
create index practice_answer_of_learner on practice_answer (learner_id, answered_at);
create trigger keep_event after insert or update or delete on practice_answer for each row execute function keep_event();
create trigger refuse_deletion before delete on practice_answer for each row execute function refuse_deletion();

-- What was learnt of the consultant's own eye: by how much its limits differ from the model's. One at a time is in force.
create table eye_lesson (
  id uuid primary key,
  version integer not null check (version >= 1),
  clashes double precision not null check (clashes between 0.7 and 1.3),
  dirties double precision not null check (dirties between 0.7 and 1.3),
  near_miss double precision not null check (near_miss between 0.7 and 1.3),
  learnt_from integer not null check (learnt_from >= 1),
  -- On looks that were kept aside: how many, how many were told rightly without it and with it, and how surprising they were.
  aside integer not null check (aside >= 0),
  agreed_without integer not null check (agreed_without between 0 and aside),
  agreed_with integer not null check (agreed_with between 0 and aside),
  surprise_without double precision not null check (surprise_without >= 0),
  surprise_with double precision not null check (surprise_with >= 0),
  learnt_at timestamptz not null,
  removed_at timestamptz
);
create unique index eye_lesson_version on eye_lesson (version);
create unique index eye_lesson_in_force on eye_lesson ((true)) where removed_at is null;
create trigger keep_event after insert or update or delete on eye_lesson for each row execute function keep_event();
create trigger refuse_deletion before delete on eye_lesson for each row execute function refuse_deletion();

-- The latest verdicts of all visits, for where eye and model differ.
create index look_of_eye on look (made_at)
  where against = 'keeper' and verdict is not null and retracted_at is null;
create index keeper_by_time on keeper (created_at) where removed_at is null;
