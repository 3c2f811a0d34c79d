package dev.yarbel.web.book;

import dev.yarbel.web.roster.LifterParts;
import java.util.List;
import org.springframework.stereotype.Component;

/** Maxes, numbers, every session with its sets, and who changed what. */
@Component
class BookParts implements LifterParts {

    @Override
    public List<Part> parts() {
        return List.of(
                new Part("maxes", """
                        select jsonb_strip_nulls(jsonb_build_object('day', on_date, 'lift', lift, 'kind', kind, 'load', trim_scale(load),
                          'typedIn', unit, 'reps', reps, 'worn', to_jsonb(worn), 'source', source, 'by', entered_by, 'at', entered_at,
                          'struckAt', removed_at))
                        from recorded_max where club_id = ? and lifter_id = any (?) order by on_date, id"""),
                new Part("numbers", """
                        select jsonb_strip_nulls(jsonb_build_object('lift', lift, 'workingMax', trim_scale(working_max), 'curve', rep_curve,
                          'mastery', mastery, 'practisedSince', practised_since, 'consistency', consistency, 'ratio', ratio,
                          'eventLoad', trim_scale(event_load), 'ratingBias', rating_bias, 'ratingBiasWhy', rating_bias_why))
                        from lift_numbers where club_id = ? and lifter_id = any (?) order by id"""),
                new Part("setUps", """
                        select jsonb_build_object('lift', lift, 'measure', measure, 'figure', figure)
                        from set_up where club_id = ? and lifter_id = any (?) order by lift, id"""),
                new Part("testSets", """
                        select jsonb_strip_nulls(jsonb_build_object('day', on_date, 'lift', lift, 'number', number, 'load', trim_scale(load),
                          'effort', effort))
                        from test_set where club_id = ? and lifter_id = any (?) order by on_date, lift, number"""),
                new Part("sessions", """
                        select jsonb_strip_nulls(jsonb_build_object('day', s.held_on, 'planDay', s.plan_day, 'planWeek', s.plan_week,
                          'startedAt', s.started_at, 'finishedAt', s.finished_at, 'pain', s.pain, 'planned', s.planned,
                          'sleep', s.sleep_rating, 'fatigue', s.fatigue_rating, 'stress', s.stress_rating, 'soreness', s.soreness_rating,
                          'joints', s.joints_rating, 'effort', s.effort_rating, 'minutes', s.minutes, 'countSaid', s.count_said,
                          'coachNote', s.coach_note, 'judgement', s.judgement, 'imported', s.import_id is not null,
                          'sets', (select coalesce(jsonb_agg(jsonb_strip_nulls(jsonb_build_object('task', l.task, 'lift', l.lift,
                              'load', trim_scale(l.load), 'reps', l.reps, 'effort', l.effort, 'at', l.logged_at, 'helped', l.helped,
                              'missedBy', l.missed_by, 'speed', l.speed, 'worn', to_jsonb(l.worn), 'video', l.video, 'partner', l.partner,
                              'note', l.note, 'seconds', trim_scale(l.seconds), 'distance', trim_scale(l.distance), 'setUp', to_jsonb(l.set_up),
                              'repsSeen', l.reps_seen, 'doneAs', l.done_as, 'proof', l.proof, 'coachRating', l.coach_rating,
                              'coachForm', l.coach_form, 'coachLink', l.coach_link, 'coachNote', l.coach_note,
                              'coachRepsSeen', l.coach_reps_seen)) order by l.id), '[]')
                            from logged_set l where l.session_id = s.id and l.club_id = s.club_id),
                          'changes', (select jsonb_agg(jsonb_strip_nulls(jsonb_build_object('text', a.text, 'reason', a.reason,
                              'by', a.made_by_name, 'at', a.made_at, 'takenBackAt', a.taken_back_at)) order by a.id)
                            from amendment a where a.session_id = s.id and a.club_id = s.club_id)))
                        from training_session s where s.club_id = ? and s.lifter_id = any (?) order by s.held_on, s.id"""),
                new Part("questions", """
                        select jsonb_strip_nulls(jsonb_build_object('at', asked_at, 'by', asked_by_name, 'kind', kind, 'task', task,
                          'otherLoad', trim_scale(other_load), 'answeredAt', answered_at, 'answer', answer))
                        from lifter_question where club_id = ? and lifter_id = any (?) order by id"""),
                new Part("changes", """
                        select jsonb_strip_nulls(jsonb_build_object('at', made_at, 'by', made_by_name, 'kind', kind,
                          'subject', to_jsonb(subject), 'why', why, 'before', before, 'after', after))
                        from change_entry where club_id = ? and lifter_id = any (?) order by id"""));
    }

    @Override
    public List<String> erase() {
        return List.of(
                "delete from amendment where club_id = ? and session_id in (select id from training_session "
                        + "where lifter_id = any (?))",
                "delete from lifter_question where club_id = ? and lifter_id = any (?)",
                "delete from session_feed where club_id = ? and lifter_id = any (?)",
                "delete from logged_set where club_id = ? and session_id in (select id from training_session "
                        + "where lifter_id = any (?))",
                "delete from training_session where club_id = ? and lifter_id = any (?)",
                "delete from recorded_max where club_id = ? and lifter_id = any (?)",
                "delete from lift_numbers where club_id = ? and lifter_id = any (?)",
                "delete from set_up where club_id = ? and lifter_id = any (?)",
                "delete from test_set where club_id = ? and lifter_id = any (?)",
                "delete from change_entry where club_id = ? and lifter_id = any (?)");
    }
}
