alter table look
  -- The client's first response in three words of a round; those of before stay as they were said.
  drop constraint look_client_says_check,
  add check (client_says in ('lit up', 'fine', 'no', 'yes', 'not sure')),
  -- Of a fan: the candidates that it was the best of, itself among them; a JSON array of ids.
  add column best_of jsonb not null default '[]' check (jsonb_typeof(best_of) = 'array'),
  drop constraint look_says_something,
  add constraint look_says_something check (verdict is not null or (reasons = '[]' and (lean is not null or best_of <> '[]')));
