-- A rep curve is kept by its key: a steepness, or the name of a published formula.

alter table lift_numbers alter column rep_curve type text using trim_scale(rep_curve)::text;
