-- A club is set up by whoever holds the code that the first start prints; its first coach is the head coach.

alter table account drop constraint account_role_check;
alter table account add constraint account_role_check check (role in ('HEAD_COACH', 'COACH', 'LIFTER'));
alter table account drop constraint account_check;
alter table account add constraint account_check check (role <> 'LIFTER' or lifter_id is not null);

create table first_run (
  only_row boolean primary key default true check (only_row),
  code_hash text not null,
  wrong_codes int not null default 0
);
