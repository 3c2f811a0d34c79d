-- A slip may hang on a contest instead of a session: the contest, and the day it was on when the plan was written for it (none where it had none).

alter table slip alter column session_id drop not null;
alter table slip add column contest_id bigint;
alter table slip add column contest_was date;
alter table slip add foreign key (club_id, contest_id) references contest (club_id, id);
alter table slip add check ((session_id is null) <> (contest_id is null));
alter table slip add check (contest_was is null or contest_id is not null);
create index slips_of_a_contest on slip (club_id, contest_id) where contest_id is not null;
