-- What more is known of a set, and what was decided on the floor.

alter table logged_set
  drop constraint logged_set_load_check,
  add constraint logged_set_load_check check (load >= 0),
  -- when it came here: later than when it was lifted, where there was no signal
  add column received_at timestamp with time zone,
  add column helped int not null default 0 check (helped >= 0 and helped <= reps),
  add column missed_by text check (missed_by in ('STRENGTH', 'TECHNIQUE', 'GRIP', 'PAIN', 'CALL')),
  -- of the last repetition, in mm/s
  add column speed int check (speed between 10 and 3000),
  add column worn varchar[],
  add column video text check (video in ('EASIER', 'HARDER')),
  add column partner text,
  add column note text check (note <> ''),
  add column seconds int check (seconds > 0),
  -- in cm
  add column distance numeric(10, 5) check (distance > 0),
  add column modified boolean not null default false,
  add column coach_rating text,
  add column coach_form text check (coach_form in ('CLEAN', 'BROKEN')),
  add column coach_link text,
  add column coach_note text check (coach_note <> '');

alter table training_session
  -- Hooper's self-ratings before it, 1 to 7, and the joints on the same scale
  add column sleep_rating int check (sleep_rating between 1 and 7),
  add column fatigue_rating int check (fatigue_rating between 1 and 7),
  add column stress_rating int check (stress_rating between 1 and 7),
  add column soreness_rating int check (soreness_rating between 1 and 7),
  add column joints_rating int check (joints_rating between 1 and 7),
  -- Foster's rating of the whole session, 0 to 10, and how long it took
  add column effort_rating int check (effort_rating between 0 and 10),
  add column minutes int check (minutes between 1 and 600),
  -- what the lifter said of sets too many or too few
  add column count_said text check (count_said in ('MISCOUNTED', 'CUT', 'ADDED')),
  -- the coach's words on the whole of it
  add column coach_note text check (coach_note <> ''),
  add check (num_nulls(sleep_rating, fatigue_rating, stress_rating, soreness_rating, joints_rating) in (0, 5));

create table amendment (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  session_id bigint not null,
  -- made by whoever sends it, so that one sent twice is kept once
  token uuid not null,
  text text not null check (text <> ''),
  reason text check (reason <> ''),
  made_by bigint not null,
  made_by_name text not null,
  made_at timestamp with time zone not null,
  taken_back_at timestamp with time zone,
  unique (club_id, token),
  foreign key (club_id, session_id) references training_session (club_id, id),
  foreign key (club_id, made_by) references account (club_id, id)
);
create index amendment_by_session on amendment (session_id, id);

alter table lifter
  add column warm_ups text check (warm_ups in ('SHRINKING', 'EVEN')),
  add column before_session text check (before_session in ('NO', 'YES'));

alter table ache add column weight int check (weight between 1 and 10);
