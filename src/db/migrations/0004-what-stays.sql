-- More of a keeper than its colours, and how each colour came to be known.

alter table keeper
  add column place text not null default '' check (length(place) <= 80),
  add column note text not null default '' check (length(note) <= 2000),
  add column varies boolean not null default false,
  add column replaced_by text not null default '' check (length(replaced_by) <= 80);

-- Null where the kind of reading says it: L*a*b* by a reader, hex by a screen, a deck colour by eye.
alter table keeper_colour
  add column source text check (source in ('spectral', 'reader', 'maker', 'screen', 'eye', 'photo'));
