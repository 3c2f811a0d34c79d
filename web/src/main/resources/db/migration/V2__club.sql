-- A club, who works in it, whom it trains and with what. Every row belongs to a club, and references carry the club,
-- so that nothing can hang on another club's row. Masses are in kg; eleven decimals hold every pound exactly.

create table club (
  id bigint generated always as identity primary key,
  name text not null check (name <> ''),
  zone text not null
);

create table account (
  id bigint generated always as identity primary key,
  club_id bigint not null references club (id),
  username text not null unique check (username = lower(username) and username <> ''),
  name text not null check (name <> ''),
  password_hash text not null,
  role text not null check (role in ('COACH', 'LIFTER')),
  lifter_id bigint,
  unique (club_id, id),
  check (role = 'COACH' or lifter_id is not null)
);

create table kit (
  id bigint generated always as identity primary key,
  club_id bigint not null references club (id),
  name text not null,
  bar_name text not null,
  bar_mass numeric(16, 11) not null check (bar_mass > 0),
  collars numeric(16, 11) not null check (collars >= 0),
  unique (club_id, id)
);

create table kit_plate (
  club_id bigint not null,
  kit_id bigint not null,
  figure numeric(7, 3) not null check (figure > 0),
  cast_in text not null check (cast_in in ('KG', 'LB')),
  pairs int not null check (pairs between 1 and 100),
  primary key (kit_id, figure, cast_in),
  foreign key (club_id, kit_id) references kit (club_id, id)
);

create table lifter (
  id bigint generated always as identity primary key,
  club_id bigint not null references club (id),
  name text not null check (name <> ''),
  coach_id bigint not null,
  kit_id bigint not null,
  unit text not null check (unit in ('KG', 'LB')),
  rounding text not null check (rounding in ('NEAREST', 'DOWN', 'UP')),
  share_of_estimate numeric(5, 2) not null check (share_of_estimate between 90 and 100),
  novice_since date,
  unique (club_id, id),
  foreign key (club_id, coach_id) references account (club_id, id),
  foreign key (club_id, kit_id) references kit (club_id, id)
);

alter table account add foreign key (club_id, lifter_id) references lifter (club_id, id);
create index lifter_by_coach on lifter (club_id, coach_id);
