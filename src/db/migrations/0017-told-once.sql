-- This migration's own change is checked first: a table with checks to come is not altered.
set constraints all immediate;

-- What the history says of a change is written when it is made, so that reading it asks for no payload. Older changes are told
-- from theirs.
alter table command add column sentence text;

-- What is not of the record comes to an end: answers of practice, with the changes that brought them.
create or replace function refuse_deletion() returns trigger language plpgsql as $$
begin
  if current_setting('elm.ending', true) = 'practice' and tg_table_name in ('practice_answer', 'command', 'event') then
    return old;
  end if;
  raise exception 'nothing recorded is deleted: % stays', tg_table_name;
end
$$;
