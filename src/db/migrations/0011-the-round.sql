-- The client's first response in three words of a round; those of before stay as they were said.
alter table look
  drop constraint look_client_says_check,
  add check (client_says in ('lit up', 'fine', 'no', 'yes', 'not sure'));
