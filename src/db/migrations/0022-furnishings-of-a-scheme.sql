-- Furnishings that come with a scheme, as ids of keepers that arrive: chairs, a rug, shades. Null of a scheme for which nobody has
-- said: then everything that arrives comes with it, as before.
alter table scheme add column comes jsonb check (comes is null or jsonb_typeof(comes) = 'array');
