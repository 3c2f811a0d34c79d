-- A session may give a lift several calls, by different rules; one is open at a time, and a newer session's overtakes it.

alter table slip drop constraint slip_status_check;
alter table slip add constraint slip_status_check
  check (status in ('OPEN', 'TAKEN', 'CHANGED', 'LEFT', 'TAKEN_BACK', 'OVERTAKEN'));
alter table slip drop constraint slip_session_id_lift_key;
alter table slip add unique (session_id, lift, rule);
alter table slip add column proposes text not null default 'move-working-max';
alter table slip alter column proposes drop default;
create index answered_slips_of_a_lifter on slip (club_id, lifter_id, answered_at) where answered_at is not null;

-- How a coach has the rules set. Of a rule nobody touched there is no row.
create table rule_setting (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  account_id bigint not null,
  rule text not null check (rule ~ '^[a-z-]+$'),
  switched_on boolean not null default true,
  -- empty where the usual one holds
  threshold numeric(6, 2) check (threshold >= 0),
  -- how often in a row what it found was left, since its threshold was last set
  lefts int not null default 0 check (lefts >= 0),
  unique (account_id, rule),
  foreign key (club_id, account_id) references account (club_id, id)
);
