-- A deck of one's own may be read by its spectra, and its maker prints more of a colour than how it looks.
alter table deck_colour
  add column wavelengths_nm double precision[],
  add column reflectances double precision[],
  add column printed_lrv double precision check (printed_lrv between 0 and 100),
  -- The sheens it is sold in, a JSON array; null where the deck does not say.
  add column sheens jsonb check (jsonb_typeof(sheens) = 'array'),
  -- The counter may refuse to mix it, or to mix it at another strength.
  add column may_be_refused boolean not null default false,
  -- The reflectance behind its reading, 36 little-endian floats, and the model that found it.
  add column bands bytea check (octet_length(bands) = 144),
  add column bands_model text,
  add check (num_nulls(bands, bands_model) in (0, 2)),
  drop constraint deck_colour_reading_kind_check,
  add check (reading_kind in ('lab', 'srgb', 'spectral')),
  drop constraint deck_colour_check,
  add check (
    case reading_kind
      when 'lab' then num_nulls(lab_l, lab_a, lab_b) = 0 and num_nonnulls(hex, reflectances) = 0
      when 'srgb' then hex is not null and num_nonnulls(lab_l, lab_a, lab_b, reflectances) = 0
      else reflectances is not null and num_nonnulls(lab_l, lab_a, lab_b, hex) = 0
    end
  ),
  add check (num_nulls(wavelengths_nm, reflectances) in (0, 2)
    and cardinality(wavelengths_nm) = cardinality(reflectances));

create index deck_colour_by_name on deck_colour (lower(name));

-- Leans that are out of a room, each as its name among its kind and whether it is a colour outright.
alter table room add column ruled_out_leans jsonb not null default '[]'
  check (jsonb_typeof(ruled_out_leans) = 'array');
