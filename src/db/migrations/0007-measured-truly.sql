-- What a reading was made with: card, light, balance, device, when, and how far it says it may lie off.
alter table keeper_colour
  add column evidence jsonb check (jsonb_typeof(evidence) = 'object'),
  add check (evidence is null or reading_kind <> 'deck');

-- A house need not stand square to the compass, and a window has its place along its wall.
alter table room add column north_deg double precision not null default 0
  check (north_deg between -45 and 45);
alter table room_window add column along_percent double precision
  check (along_percent between 0 and 100);
