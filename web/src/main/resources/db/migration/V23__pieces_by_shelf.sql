-- A piece of kit has the fields of its shelf, kept as they read in its form, in place of a column for every field of any shelf.

alter table piece add column fields jsonb;

create function pg_temp.mass_text(mass numeric, unit text) returns text language sql immutable as
  $$ select trim_scale(round(mass / case unit when 'LB' then 0.45359237 else 1 end, 3)) || ' ' || lower(unit) $$;
create function pg_temp.length_text(cm numeric) returns text language sql immutable as
  $$ select trim_scale(round(cm, 2)) || ' cm' $$;

update piece set fields = jsonb_strip_nulls(case shelf
  when 'BARS' then jsonb_build_object('IMPLEMENT', implement, 'NAME', name, 'MASS', pg_temp.mass_text(mass, unit),
    'MADE_FOR', nullif(made_for, ''), 'SAFETY_HEIGHT', nullif(safety_height, ''), 'FIT_FOR_PINS', case when fit_for_pins then 'on' end)
  when 'PLATES' then jsonb_build_object('MASS', pg_temp.mass_text(mass, unit), 'COUNT', count::text,
    'CALIBRATED', case when calibrated then 'on' end, 'FULL_SIZE', case when full_size then 'on' end)
  when 'PIECES' then jsonb_build_object('IMPLEMENT', implement, 'NAME', nullif(name, ''),
    'NOMINAL', pg_temp.mass_text(nominal, unit), 'MASS', pg_temp.mass_text(mass, unit))
  when 'MACHINES' then jsonb_build_object('NAME', name, 'MADE_FOR', made_for, 'LEAST', pg_temp.mass_text(mass, unit),
    'STEP', pg_temp.mass_text(step, unit), 'MOST', pg_temp.mass_text(most, unit))
  when 'BANDS' then jsonb_build_object('NAME', name, 'LENGTH', pg_temp.length_text(length), 'PULL', pg_temp.mass_text(mass, unit),
    'LONG_LENGTH', pg_temp.length_text(long_length), 'PULL_LONG', pg_temp.mass_text(pull_long, unit), 'MAKE', nullif(make, ''),
    'BOUGHT', bought::text, 'OTHER_PULL', pg_temp.mass_text(other_pull, unit),
    'OTHER_PULL_LONG', pg_temp.mass_text(other_pull_long, unit), 'OTHER_MAKE', nullif(other_make, ''),
    'OTHER_BOUGHT', other_bought::text)
  when 'CHAINS' then jsonb_build_object('NAME', name, 'PER_METRE', pg_temp.mass_text(mass, unit),
    'LENGTH', pg_temp.length_text(length), 'COUNT', count::text)
  end);

alter table piece
  alter column fields set not null,
  add check (jsonb_typeof(fields) = 'object'),
  drop column name, drop column unit, drop column implement, drop column mass, drop column nominal, drop column count,
  drop column calibrated, drop column full_size, drop column made_for, drop column fit_for_pins, drop column safety_height,
  drop column step, drop column most, drop column length, drop column long_length, drop column pull_long, drop column make,
  drop column bought, drop column other_make, drop column other_bought, drop column other_pull, drop column other_pull_long;
