-- What more is announced of an event: its course, its time, what each piece weighs, when it begins, how long one takes, and its place among the events.

alter table contest_event drop constraint contest_event_measure_check;
alter table contest_event add check (measure in ('LOAD', 'REPS', 'DISTANCE', 'PIECES', 'HOLD', 'TIME', 'ROUNDS'));
alter table contest_event add column series text check (length(series) <= 200);
-- metres
alter table contest_event add column course numeric check (course > 0 and course <= 1000);
-- seconds there are
alter table contest_event add column seconds int check (seconds between 5 and 1800);
alter table contest_event add column begins time;
-- minutes that one takes, with setting up again
alter table contest_event add column minutes int check (minutes between 1 and 60);
alter table contest_event add column place int not null default 0;
update contest_event set place = id;
