-- More that a household may wish for.
alter table visit drop constraint visit_wants_check;
alter table visit add constraint visit_wants_check check (
  wants <@ array['brighter', 'cosier', 'calmer', 'more drama', 'fresher', 'warm, no yellow']
);
