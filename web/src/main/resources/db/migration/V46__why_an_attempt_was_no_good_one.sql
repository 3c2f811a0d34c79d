-- Why an attempt was no good one, what the judges' lights were, and when a day was written into the lifter's log.

alter table contest_attempt add column why text;
-- the white ones of three
alter table contest_attempt add column lights int check (lights between 0 and 3);
alter table contest_attempt add check (outcome is not null or why is null and lights is null);
alter table contest_entry add column logged_at timestamp with time zone;
