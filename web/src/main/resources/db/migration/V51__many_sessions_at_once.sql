-- How a function reads is settled when it first runs, for one session as a rule. What was and what is are told apart without
-- holding each against each: for five thousand sessions that took longer than anybody waits.
create or replace function sessions_changed() returns trigger language plpgsql set search_path from current as $$
begin
  perform change_books(array(
    with was as (select to_jsonb(w) - 'judgement' as session from went w),
         is_now as (select to_jsonb(c) - 'judgement' as session from came c)
    select (session ->> 'lifter_id')::bigint from (
        (select session from was except select session from is_now)
        union all
        (select session from is_now except select session from was)) as other
      where session ->> 'finished_at' is not null group by 1));
  delete from strength_after a using (
    with was as (select id, club_id, lifter_id, held_on, finished_at is not null as finished from went),
         is_now as (select id, club_id, lifter_id, held_on, finished_at is not null as finished from came)
    select club_id, lifter_id, min(held_on) as since from (
        (select * from was except select * from is_now)
        union all
        (select * from is_now except select * from was)) as other
      where finished group by club_id, lifter_id) x
  where a.club_id = x.club_id and a.lifter_id = x.lifter_id and a.held_on >= x.since;
  return null;
end $$;
