-- Contests of a club, who lifts in them, and what was attempted.

create table contest (
  id bigint generated always as identity primary key,
  club_id bigint not null references club (id),
  name text not null check (length(name) between 1 and 80),
  place text check (length(place) <= 120),
  -- none while nobody knows when it will be
  held_on date,
  weigh_in time,
  begins time,
  -- the rule set, and where this contest has other figures than it
  rules text not null,
  step numeric not null check (step > 0 and step <= 25),
  seconds_to_name int not null check (seconds_to_name between 0 and 600),
  fourth boolean not null,
  cancelled boolean not null default false,
  removed_at timestamp with time zone,
  unique (club_id, id)
);

create table contest_entry (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  contest_id bigint not null,
  -- none for somebody who is not of the club's lifters
  lifter_id bigint,
  name text not null check (length(name) between 1 and 120),
  sex text check (sex in ('FEMALE', 'MALE')),
  body_mass numeric check (body_mass between 20 and 350),
  lot int check (lot between 1 and 999),
  flight int not null default 1 check (flight between 1 and 9),
  -- of their flight before their first one, as the sheet in the hall has it; none where it is counted from those entered
  attempts_before int check (attempts_before between 0 and 60),
  -- how attempts are chosen, and the total that is asked for
  way text not null,
  asked numeric check (asked > 0),
  -- the total that is expected of a rival
  expected numeric check (expected > 0),
  -- what was believed of the day: the logarithms of the lifts' maxes and how they hang together, and when
  believed double precision[],
  believed_on date,
  removed_at timestamp with time zone,
  unique (club_id, id),
  foreign key (club_id, contest_id) references contest (club_id, id),
  foreign key (club_id, lifter_id) references lifter (club_id, id)
);
create unique index contest_entry_once on contest_entry (contest_id, lifter_id) where removed_at is null;
create index contest_entry_of_lifter on contest_entry (club_id, lifter_id);

-- Events of a strongman contest, and what was done in them.
create table contest_event (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  contest_id bigint not null,
  name text not null check (length(name) between 1 and 80),
  -- the lift of the club's that it is trained as; none where it is none
  lift text,
  measure text not null check (measure in ('LOAD', 'REPS', 'DISTANCE', 'PIECES', 'HOLD', 'TIME')),
  -- the load announced for it
  load numeric check (load > 0 and load <= 1000),
  removed_at timestamp with time zone,
  unique (club_id, id),
  foreign key (club_id, contest_id) references contest (club_id, id)
);

create table contest_result (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  event_id bigint not null,
  entry_id bigint not null,
  -- as it is written, with a wave before it where it is only expected
  written text not null check (length(written) <= 40),
  said_at timestamp with time zone not null,
  said_by text not null,
  unique (event_id, entry_id),
  foreign key (club_id, event_id) references contest_event (club_id, id),
  foreign key (club_id, entry_id) references contest_entry (club_id, id)
);

-- When the flights of a lift begin, and the bars to warm up on.
create table contest_flight (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  contest_id bigint not null,
  lift text not null,
  flight int not null check (flight between 1 and 9),
  starts_at timestamp with time zone not null,
  bars int not null check (bars between 1 and 6),
  -- seconds an attempt takes
  pace int not null check (pace between 30 and 180),
  unique (contest_id, lift, flight),
  foreign key (club_id, contest_id) references contest (club_id, id)
);

create table contest_attempt (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  entry_id bigint not null,
  lift text not null,
  number int not null check (number between 1 and 4),
  load numeric not null check (load > 0 and load <= 1000),
  -- none while it is still to be lifted
  outcome text check (outcome in ('EASY', 'SOLID', 'GRIND', 'MADE', 'TURNED_DOWN', 'MISSED')),
  -- how often it was named otherwise
  changes int not null default 0,
  said_at timestamp with time zone not null,
  said_by text not null,
  -- what somebody else had said of it before, who did not know
  other_outcome text,
  other_by text,
  unique (entry_id, lift, number),
  foreign key (club_id, entry_id) references contest_entry (club_id, id)
);
