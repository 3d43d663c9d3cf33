-- A store names the parts of a room as its trade does: trim and countertop, or woodwork and worktop.
alter table settings add column words text not null default 'american' check (words in ('american', 'british'));
