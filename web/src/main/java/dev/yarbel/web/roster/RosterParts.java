package dev.yarbel.web.roster;

import java.util.List;
import org.springframework.stereotype.Component;

/** Who a lifter is, what was measured, what hurts, what was noted. */
@Component
class RosterParts implements LifterParts {

    @Override
    public List<Part> parts() {
        return List.of(
                new Part("profile", """
                        select jsonb_strip_nulls(jsonb_build_object('name', name, 'unit', unit, 'rounding', rounding,
                          'shareOfEstimate', share_of_estimate, 'noviceSince', novice_since, 'birthYear', birth_year, 'sex', sex,
                          'height', trim_scale(height), 'sport', sport, 'weightClass', weight_class, 'daysAWeek', days, 'minutes', minutes,
                          'job', job, 'jobStrains', job_strains, 'sleep', sleep, 'dieting', dieting, 'stress', stress, 'guardian', guardian,
                          'health', jsonb_build_object('yes', to_jsonb(health_yes), 'no', to_jsonb(health_no), 'clearedBy', cleared_by,
                            'clearedOn', cleared_on),
                          'warmUps', warm_ups, 'askedBefore', before_session, 'breath', breath, 'beatPoints', beat_points,
                          'restPoints', rest_points, 'tiredPoints', tired_points, 'setDrift', set_drift, 'autopilot', autopilot,
                          'archivedAt', archived_at))
                        from lifter where club_id = ? and id = any (?)"""),
                new Part("measurements", """
                        select jsonb_strip_nulls(jsonb_build_object('day', on_date, 'kind', kind, 'figure', trim_scale(figure),
                          'struckAt', removed_at))
                        from measurement where club_id = ? and lifter_id = any (?) order by on_date, id"""),
                new Part("aches", """
                        select jsonb_strip_nulls(jsonb_build_object('since', since, 'place', place, 'words', words, 'weight', weight,
                          'lifts', to_jsonb(lifts), 'clearedBy', cleared_by, 'clearedOn', cleared_on))
                        from ache where club_id = ? and lifter_id = any (?) order by since, id"""),
                new Part("notes", """
                        select jsonb_strip_nulls(jsonb_build_object('at', written_at, 'by', author, 'kind', kind, 'text', text,
                          'struckAt', removed_at))
                        from lifter_note where club_id = ? and lifter_id = any (?) order by written_at, id"""));
    }

    @Override
    public List<String> erase() {
        return List.of(
                "delete from measurement where club_id = ? and lifter_id = any (?)",
                "delete from ache where club_id = ? and lifter_id = any (?)",
                "delete from lifter_note where club_id = ? and lifter_id = any (?)");
    }
}
