-- The schools on points where practitioners differ; core/judge/house-rules.ts says what each holds.
create table school (
  rule text not null,
  school text not null,
  primary key (rule, school)
);

insert into school (rule, school) values
  ('green-grey', 'neither'), ('green-grey', 'warm'), ('green-grey', 'cool'),
  ('north-room', 'warm-up'), ('north-room', 'lean-in'), ('north-room', 'no-whites'),
  ('pairs', 'shared-fixed'), ('pairs', 'shared'), ('pairs', 'opposites'),
  ('inspiration', 'both'), ('inspiration', 'dominant'), ('inspiration', 'lesser'),
  ('sampling', 'board'), ('sampling', 'wall'),
  ('weakest-strength', '50'), ('weakest-strength', '25'),
  ('trim', 'table'), ('trim', 'same'), ('trim', 'clean-white'), ('trim', 'soft-white'), ('trim', 'relative'),
  ('bright-whites', 'computed'), ('bright-whites', 'any'), ('bright-whites', 'creamy'),
  ('bright-whites', 'washes-out'),
  ('white-beside-greige', 'computed'), ('white-beside-greige', 'sets-off'), ('white-beside-greige', 'dirties'),
  ('beige-tan', 'lean'), ('beige-tan', 'lightness'),
  ('greige', 'both'), ('greige', 'warm-grey'),
  ('dark-walls', 'matt-walls'), ('dark-walls', 'satin');

-- What a visit goes by; a rule without a row goes by its default.
create table visit_house_rule (
  visit_id uuid not null references visit on delete cascade,
  rule text not null,
  school text not null,
  primary key (visit_id, rule),
  foreign key (rule, school) references school
);

insert into visit_house_rule (visit_id, rule, school)
select id, 'north-room', north_room_rule from visit
union all
select id, 'weakest-strength', weakest_strength_percent::text from visit;

alter table visit drop column north_room_rule, drop column weakest_strength_percent;

create or replace function keep_event() returns trigger language plpgsql as $$
declare
  old_row jsonb := case when tg_op <> 'INSERT' then to_jsonb(old) end;
  new_row jsonb := case when tg_op <> 'DELETE' then to_jsonb(new) end;
  row jsonb := coalesce(new_row, old_row);
begin
  insert into event (what, subject, subject_id, before, after)
  values (lower(tg_op), tg_table_name,
    coalesce(row ->> 'id', row ->> 'keeper_id', row ->> 'visit_id')::uuid, old_row, new_row);
  return null;
end
$$;

create trigger keep_event after insert or update or delete on visit_house_rule
  for each row execute function keep_event();
