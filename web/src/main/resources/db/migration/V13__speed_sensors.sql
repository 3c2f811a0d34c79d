-- Bar-speed sensors: paired with a session by a code, and the readings they sent.

create table speed_sensor (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  lifter_id bigint not null,
  plan_day bigint not null,
  plan_week int not null,
  -- of the code shown on the floor, and of the key that the sensor was given for it
  code_hash text not null unique,
  key_hash text unique,
  made_at timestamp with time zone not null,
  paired_at timestamp with time zone,
  unique (club_id, id),
  foreign key (club_id, lifter_id) references lifter (club_id, id)
);
create index speed_sensor_by_session on speed_sensor (lifter_id, plan_day, plan_week);

create table speed_reading (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  sensor_id bigint not null,
  -- the sensor's own number of it, so that one sent twice is kept once
  number bigint not null check (number > 0),
  -- mean speed of the raising part, in mm/s
  speed int not null check (speed between 10 and 3000),
  measured_at timestamp with time zone not null,
  received_at timestamp with time zone not null,
  unique (sensor_id, number),
  foreign key (club_id, sensor_id) references speed_sensor (club_id, id)
);
create index speed_reading_by_time on speed_reading (sensor_id, measured_at);
