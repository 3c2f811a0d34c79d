-- What is known of a lifter and what happened: numbers, sessions with their sets, and the one ledger of decisions.

create table lift_numbers (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  lifter_id bigint not null,
  lift text not null,
  working_max numeric(16, 11) check (working_max > 0),
  starting_max numeric(16, 11) check (starting_max > 0),
  starting_on date,
  rep_curve numeric(8, 6),
  version int not null default 0,
  unique (lifter_id, lift),
  foreign key (club_id, lifter_id) references lifter (club_id, id),
  check ((starting_max is null) = (starting_on is null))
);

create table training_session (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  lifter_id bigint not null,
  held_on date not null,
  -- the day and week of a plan it answers, known here by their numbers only
  plan_day bigint not null,
  plan_week int not null,
  started_at timestamp with time zone not null,
  finished_at timestamp with time zone,
  pain text,
  unique (club_id, id),
  unique (lifter_id, plan_day, plan_week),
  foreign key (club_id, lifter_id) references lifter (club_id, id)
);
create index training_session_by_lifter on training_session (club_id, lifter_id, held_on);

create table logged_set (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  session_id bigint not null,
  -- made by whoever sends the set, so that one sent twice is kept once
  token uuid not null,
  task text not null,
  lift text not null,
  load numeric(16, 11) not null check (load > 0),
  reps int not null check (reps between 0 and 100),
  effort text not null,
  logged_at timestamp with time zone not null,
  unique (session_id, task),
  unique (club_id, token),
  foreign key (club_id, session_id) references training_session (club_id, id)
);

create table change_entry (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  lifter_id bigint not null,
  made_at timestamp with time zone not null,
  made_by bigint not null,
  made_by_name text not null,
  kind text not null,
  subject text not null,
  why text,
  before text not null,
  after text not null,
  foreign key (club_id, lifter_id) references lifter (club_id, id),
  foreign key (club_id, made_by) references account (club_id, id)
);
create index change_entry_by_lifter on change_entry (club_id, lifter_id, id desc);
