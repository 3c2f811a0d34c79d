-- A session need not answer a plan: without a block, on a free day, or lifted before there was Yarbel. Then it has neither a
-- day nor a week of a plan.

alter table training_session
  alter column plan_day drop not null,
  alter column plan_week drop not null,
  add check ((plan_day is null) = (plan_week is null));

-- of one lifter and day one is open at a time
create unique index one_open_unplanned_session on training_session (lifter_id, held_on)
  where plan_day is null and finished_at is null;
