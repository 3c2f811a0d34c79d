-- A set that is more than somebody's word: taken to the limit, or an attempt at a contest.
alter table logged_set add column proof text check (proof in ('LIMIT_SET', 'CONTEST_ATTEMPT'));

-- How the ratings of a lift and its variations lean where the coach decided that, in repetitions said beyond those left, and why.
alter table lift_numbers add column rating_bias numeric(3, 1) check (rating_bias between -4 and 4);
alter table lift_numbers add column rating_bias_why text;
alter table lift_numbers add check ((rating_bias is null) = (rating_bias_why is null));
