-- What makes a load heavier than it is, where a coach found another figure for a lifter than the starting one.

alter table lifter
  add column beat_points numeric(4, 2) check (beat_points between 0 and 3),
  add column rest_points numeric(4, 2) check (rest_points between 0 and 20),
  add column tired_points numeric(4, 2) check (tired_points between 0 and 10),
  add column set_drift numeric(4, 2) check (set_drift between 0 and 1);
