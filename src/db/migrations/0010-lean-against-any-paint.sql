-- A look may say which way a colour leans and give no verdict, and be held against any paint at its full strength.
alter table look
  alter column verdict drop not null,
  add column beside_deck_colour_id uuid references deck_colour,
  drop constraint look_against_check,
  add check (against in ('keeper', 'wall', 'trim', 'candidate', 'comparator', 'paint')),
  drop constraint look_check,
  add check (
    num_nonnulls(keeper_id, plane, trim_kind, beside_candidate_id, comparator, beside_deck_colour_id) = 1
    and case against when 'keeper' then keeper_id is not null when 'wall' then plane is not null
      when 'trim' then trim_kind is not null when 'candidate' then beside_candidate_id is not null
      when 'paint' then beside_deck_colour_id is not null else comparator is not null end),
  add constraint look_says_something check (verdict is not null or (lean is not null and reasons = '[]'));
