-- Clips of logged sets. What is seen lies in a store of its own, under the name that is kept here.
create table clip (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  lifter_id bigint not null,
  -- of the set, as whoever sent it named it
  set_token uuid not null,
  file uuid not null unique,
  type text not null check (type in ('MP4', 'MOV', 'WEBM')),
  bytes bigint not null check (bytes > 0),
  millis int check (millis > 0),
  -- when the bar starts to move
  starts_at_millis int not null default 0 check (starts_at_millis >= 0),
  added_by bigint not null,
  added_at timestamp with time zone not null,
  unique (club_id, id),
  foreign key (club_id, lifter_id) references lifter (club_id, id) deferrable,
  foreign key (club_id, set_token) references logged_set (club_id, token) on delete cascade deferrable,
  foreign key (club_id, added_by) references account (club_id, id) deferrable
);
create index clip_by_set on clip (club_id, set_token);
create index clip_by_lifter on clip (club_id, lifter_id);
create index clip_by_age on clip (club_id, added_at);

-- After so many days a clip is deleted; none where the club keeps them.
alter table club add column clip_days int default 365 check (clip_days between 7 and 3650);
