-- What a coach sets down before planning: gyms with what is in them, who the lifter is, what is known of each lift.

-- Gyms. A kit of before, one bar with its plates, becomes a gym with that bar in it.
alter table kit rename to gym;
alter table gym add column unit text not null default 'KG' check (unit in ('KG', 'LB'));
alter table gym alter column unit drop default;
alter table gym add column removed_at timestamp with time zone;
alter table gym add check (name <> '');

create table piece (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  gym_id bigint not null,
  shelf text not null check (shelf in ('BARS', 'PLATES', 'PIECES', 'MACHINES', 'BANDS', 'CHAINS')),
  name text not null default '',
  -- the unit its masses were typed in
  unit text not null check (unit in ('KG', 'LB')),
  implement text,
  -- of a bar, plate or piece; the least of a stack; one metre of a chain; a band's pull at the shorter length
  mass numeric(16, 11) not null check (mass >= 0),
  nominal numeric(16, 11) check (nominal > 0),
  count int not null default 1 check (count between 1 and 400),
  calibrated boolean not null default false,
  made_for text,
  fit_for_pins boolean not null default true,
  safety_height text,
  step numeric(16, 11) check (step > 0),
  most numeric(16, 11) check (most > 0),
  -- lengths in cm: of a chain, and the two at which bands were measured
  length numeric(10, 5) check (length > 0),
  long_length numeric(10, 5) check (long_length > length),
  pull_long numeric(16, 11) check (pull_long > mass),
  make text,
  bought int,
  other_make text,
  other_bought int,
  other_pull numeric(16, 11) check (other_pull >= 0),
  other_pull_long numeric(16, 11) check (other_pull_long > other_pull),
  removed_at timestamp with time zone,
  unique (club_id, id),
  foreign key (club_id, gym_id) references gym (club_id, id),
  check (shelf <> 'BARS' or implement is not null and mass > 0),
  check (shelf <> 'PLATES' or mass > 0),
  check (shelf <> 'PIECES' or implement is not null and mass > 0),
  check (shelf <> 'MACHINES' or mass > 0 and step is not null and most >= mass and made_for is not null),
  check (shelf <> 'BANDS' or length is not null and long_length is not null and pull_long is not null),
  check (shelf <> 'CHAINS' or mass > 0 and length is not null)
);
create index piece_by_gym on piece (club_id, gym_id) where removed_at is null;

update gym set unit = 'LB' where exists (select from kit_plate p where p.kit_id = gym.id and p.cast_in = 'LB');
insert into piece (club_id, gym_id, shelf, name, unit, implement, mass)
  select club_id, id, 'BARS', bar_name, unit, 'BARBELL', bar_mass from gym;
insert into piece (club_id, gym_id, shelf, unit, mass, count)
  select club_id, kit_id, 'PLATES', cast_in, case cast_in when 'LB' then figure * 0.45359237 else figure end, pairs * 2
  from kit_plate;
drop table kit_plate;
alter table gym drop column bar_name;
alter table gym drop column bar_mass;

-- The gyms a lifter uses, the usual one first; and where they train on a day away from it.
create table lifter_gym (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  lifter_id bigint not null,
  gym_id bigint not null,
  position int not null,
  -- the bar they take where a lift has none of its own
  bar_id bigint,
  foreign key (club_id, bar_id) references piece (club_id, id),
  unique (lifter_id, gym_id),
  foreign key (club_id, lifter_id) references lifter (club_id, id),
  foreign key (club_id, gym_id) references gym (club_id, id)
);
insert into lifter_gym (club_id, lifter_id, gym_id, position) select club_id, id, kit_id, 0 from lifter;
alter table lifter drop column kit_id;

create table gym_day (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  lifter_id bigint not null,
  on_date date not null,
  gym_id bigint not null,
  unique (lifter_id, on_date),
  foreign key (club_id, lifter_id) references lifter (club_id, id),
  foreign key (club_id, gym_id) references gym (club_id, id)
);

-- Who the lifter is: empty until something asks for it.
alter table lifter add column birth_year int check (birth_year between 1900 and 2100);
alter table lifter add column sex text check (sex in ('FEMALE', 'MALE'));
alter table lifter add column height numeric(10, 5) check (height between 50 and 280);
alter table lifter add column sport text
  check (sport in ('POWERLIFTING_CLASSIC', 'POWERLIFTING_EQUIPPED', 'STRONGMAN', 'BOTH'));
alter table lifter add column weight_class text;
alter table lifter add column days int check (days between 1 and 7);
alter table lifter add column minutes int check (minutes between 10 and 300);
alter table lifter add column job text;
alter table lifter add column job_strains text;
alter table lifter add column sleep numeric(3, 1) check (sleep between 2 and 14);
alter table lifter add column dieting text check (dieting in ('NO', 'YES', 'HARD'));
alter table lifter add column stress text check (stress in ('LITTLE', 'USUAL', 'MUCH'));
alter table lifter add column guardian text;
-- the health questions answered with yes and with no
alter table lifter add column health_yes varchar[] not null default '{}';
alter table lifter add column health_no varchar[] not null default '{}';
alter table lifter add column cleared_by text;
alter table lifter add column cleared_on date;
alter table lifter add column archived_at timestamp with time zone;
create index lifter_by_name on lifter (club_id, lower(name));

-- Anything measured on the lifter, over time: body mass, girths, what they could do at intake.
create table measurement (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  lifter_id bigint not null,
  kind text not null,
  on_date date not null,
  -- kg, cm or a number, as the kind says
  figure numeric(16, 11) not null check (figure >= 0),
  removed_at timestamp with time zone,
  foreign key (club_id, lifter_id) references lifter (club_id, id)
);
create index measurement_by_lifter on measurement (club_id, lifter_id, kind, on_date);

-- What lifter and coach want, and notes: each with its author; the newest of a kind stands.
create table lifter_note (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  lifter_id bigint not null,
  kind text not null check (kind in ('LIFTER_WANTS', 'COACH_WANTS', 'NOTE')),
  text text not null check (text <> ''),
  written_at timestamp with time zone not null,
  written_by bigint not null,
  author text not null,
  removed_at timestamp with time zone,
  foreign key (club_id, lifter_id) references lifter (club_id, id),
  foreign key (club_id, written_by) references account (club_id, id)
);
create index lifter_note_by_lifter on lifter_note (club_id, lifter_id);

create table ache (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  lifter_id bigint not null,
  place text not null,
  words text not null default '',
  since date not null,
  -- the lifts that load it; empty: those that load its place
  lifts varchar[] not null default '{}',
  cleared_by text,
  cleared_on date,
  unique (club_id, id),
  foreign key (club_id, lifter_id) references lifter (club_id, id),
  check ((cleared_by is null) = (cleared_on is null))
);
create index open_ache on ache (club_id, lifter_id) where cleared_on is null;

-- Invitations: a link that works once and not for long. Only its hash is kept.
create table invite (
  id bigint generated always as identity primary key,
  club_id bigint not null references club (id),
  token_hash text not null unique,
  role text not null check (role in ('COACH', 'LIFTER')),
  name text not null,
  lifter_id bigint,
  -- whoever has an account already gets another password by it
  account_id bigint,
  invited_by bigint not null,
  expires_at timestamp with time zone not null,
  used_at timestamp with time zone,
  foreign key (club_id, lifter_id) references lifter (club_id, id),
  foreign key (club_id, account_id) references account (club_id, id),
  foreign key (club_id, invited_by) references account (club_id, id),
  check ((role = 'LIFTER') = (lifter_id is not null))
);
create unique index one_account_a_lifter on account (lifter_id);

-- The ledger also keeps what concerns the club and no lifter.
alter table change_entry alter column lifter_id drop not null;
create index change_entry_by_club on change_entry (club_id, id desc) where lifter_id is null;

-- Maxes as they were set down. What a lift started with becomes one of them.
create table recorded_max (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  lifter_id bigint not null,
  lift text not null,
  kind text not null check (kind in ('CONTEST', 'TESTED', 'ESTIMATED', 'REP_MAX', 'GOAL')),
  load numeric(16, 11) not null check (load > 0),
  unit text not null check (unit in ('KG', 'LB')),
  reps int not null check (reps between 1 and 20),
  on_date date not null,
  worn varchar[] not null default '{}',
  source text not null default '',
  entered_at timestamp with time zone not null,
  entered_by text not null,
  removed_at timestamp with time zone,
  unique (club_id, id),
  foreign key (club_id, lifter_id) references lifter (club_id, id)
);
create index recorded_max_by_lifter on recorded_max (club_id, lifter_id) where removed_at is null;
insert into recorded_max (club_id, lifter_id, lift, kind, load, unit, reps, on_date, entered_at, entered_by)
  select n.club_id, n.lifter_id, n.lift, 'TESTED', n.starting_max, l.unit, 1, n.starting_on, now(), ''
  from lift_numbers n join lifter l on l.id = n.lifter_id where n.starting_max is not null;
alter table lift_numbers drop column starting_max;
alter table lift_numbers drop column starting_on;

alter table lift_numbers add column mastery text check (mastery in ('BEGINNER', 'INTERMEDIATE', 'ADVANCED'));
alter table lift_numbers add column practised_since date;
alter table lift_numbers add column consistency text check (consistency in ('VARIES', 'HOLDS_WHEN_LIGHT', 'HOLDS'));
alter table lift_numbers add column ratio numeric(7, 4) check (ratio > 0 and ratio <= 200);

-- Variations a club's coaches added.
create table own_variation (
  id bigint generated always as identity primary key,
  club_id bigint not null references club (id),
  lift text not null,
  parent text not null,
  ratio numeric(7, 4) not null check (ratio > 0 and ratio <= 200),
  implement text not null,
  pins boolean not null,
  measures varchar[] not null default '{}',
  unique (club_id, lift)
);

-- A lifter's set-up card for a lift.
create table set_up (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  lifter_id bigint not null,
  lift text not null,
  measure text not null,
  figure text not null check (figure <> ''),
  unique (lifter_id, lift, measure),
  foreign key (club_id, lifter_id) references lifter (club_id, id)
);

-- The sets of a novice's guided test; those of the latest day of a lift are the test in hand.
create table test_set (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  lifter_id bigint not null,
  lift text not null,
  on_date date not null,
  number int not null check (number between 1 and 12),
  load numeric(16, 11) not null check (load > 0),
  effort text not null,
  unique (lifter_id, lift, on_date, number),
  foreign key (club_id, lifter_id) references lifter (club_id, id)
);
