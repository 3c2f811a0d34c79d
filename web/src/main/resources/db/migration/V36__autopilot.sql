-- Where a coach lets it be, small changes of a lifter's numbers and loads are made without asking, and listed.

alter table lifter add column autopilot text check (autopilot in ('NO', 'YES'));
alter table slip drop constraint slip_status_check;
alter table slip add constraint slip_status_check
  check (status in ('OPEN', 'TAKEN', 'CHANGED', 'LEFT', 'TAKEN_BACK', 'OVERTAKEN', 'BY_ITSELF'));
