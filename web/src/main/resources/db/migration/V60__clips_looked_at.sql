-- What somebody marked in a clip, as its type writes it.
alter table clip add column marks text not null default '' check (length(marks) <= 4000);
-- A small picture of it, in the store beside it.
alter table clip add column preview uuid unique;

-- Where the plate was followed in a clip.
create table clip_track (
  clip_id bigint primary key,
  club_id bigint not null,
  rim_across double precision not null,
  rim_down double precision not null,
  rim_width double precision not null check (rim_width >= 8),
  pictures text not null check (length(pictures) <= 200000),
  tracked_by bigint not null,
  tracked_at timestamp with time zone not null,
  foreign key (club_id, clip_id) references clip (club_id, id) on delete cascade deferrable,
  foreign key (club_id, tracked_by) references account (club_id, id) deferrable
);
create index clip_track_by_club on clip_track (club_id, clip_id);

-- Whether the speed of the last repetition was found in a clip.
alter table logged_set add column speed_filmed boolean not null default false;
alter table logged_set add constraint logged_set_filmed_has_speed check (speed is not null or not speed_filmed);
