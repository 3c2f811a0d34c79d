-- How long lifts need until they can be trained hard again, and how much of one another feels: where a club, or a
-- lifter's coach, has other figures than the usual ones.

create table recovery_figure (
  id bigint generated always as identity primary key,
  club_id bigint not null references club (id),
  -- none where it holds for the whole club
  lifter_id bigint,
  lift text not null,
  -- the lift that feels a share of the other's wake; none where hours are meant
  then_lift text,
  -- hours, or percent
  figure int not null,
  unique nulls not distinct (club_id, lifter_id, lift, then_lift),
  foreign key (club_id, lifter_id) references lifter (club_id, id),
  check (case when then_lift is null then figure between 12 and 504 else figure between 0 and 100 end)
);
