-- Access that can be ended, a second factor, and nothing secret where it need not be.

alter table account
  -- whoever is closed does not sign in
  add column closed_at timestamp with time zone,
  -- the shared secret of a one-time code (RFC 6238), and the last step of time whose code was used
  add column otp_secret bytea,
  add column otp_last_step bigint not null default 0;

alter table club
  add column second_factor text not null default 'NOBODY' check (second_factor in ('NOBODY', 'COACHES', 'EVERYBODY'));

-- Codes for whoever lost the device that makes the others: each works once, only its hash is kept.
create table recovery_code (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  account_id bigint not null,
  code_hash text not null,
  used_at timestamp with time zone,
  unique (account_id, code_hash),
  foreign key (club_id, account_id) references account (club_id, id)
);

-- Sessions of before hold a person as they were kept then: everybody signs in anew, once.
delete from spring_session;

-- The first run's code is long and by chance: a fast hash keeps it, and wrong ones slow whoever sends them instead.
delete from first_run;
alter table first_run drop column wrong_codes;
