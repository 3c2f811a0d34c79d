package dev.yarbel.web.roster;

import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.lifter.HealthQuestion;
import dev.yarbel.core.measure.MassUnit;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A lifter's profile on the page.
 *
 * @param fields the fields by the group they stand in, in order; a group grows by what its answers make worth asking
 * @param wants the newest of what lifter and coach want
 */
record ProfileView(
        LifterCard card,
        long coachId,
        Map<String, List<FieldView>> fields,
        Map<NoteKind, Optional<LifterNote>> wants,
        List<LifterNote> notes,
        List<Measured> bodyMass,
        List<Measured> measured,
        List<AcheEntity> openAches,
        List<AcheEntity> clearedAches,
        LocalDate clearedOn,
        boolean consentMissing) {

    private static final int LATEST = 12;

    /** A field and what is in it. */
    record FieldView(ProfileField field, String text) {}

    /** A measurement in the lifter's units. */
    record Measured(long id, MeasureKind kind, LocalDate on, String figure) {}

    public HealthQuestion[] questions() {
        return HealthQuestion.values();
    }

    public Tissue[] places() {
        return Tissue.values();
    }

    public List<MeasureKind> kinds() {
        List<MeasureKind> kinds = new ArrayList<>(List.of(MeasureKind.values()));
        kinds.remove(MeasureKind.BODY_MASS);
        return kinds;
    }

    static ProfileView of(
            LifterCard card,
            Lifter row,
            LocalDate today,
            List<LifterNote> notes,
            List<Measurement> measurements,
            List<AcheEntity> aches) {
        Map<String, List<FieldView>> fields = new LinkedHashMap<>();
        groups(card, row, today)
                .forEach((group, members) -> fields.put(
                        group,
                        members.stream()
                                .map(field -> new FieldView(field, field.text(row)))
                                .toList()));
        Map<NoteKind, Optional<LifterNote>> wants = new LinkedHashMap<>();
        for (NoteKind kind : List.of(NoteKind.LIFTER_WANTS, NoteKind.COACH_WANTS)) {
            wants.put(kind, notes.stream().filter(note -> note.kind() == kind).findFirst());
        }
        return new ProfileView(
                card,
                row.coachId(),
                fields,
                wants,
                notes.stream().filter(note -> note.kind() == NoteKind.NOTE).toList(),
                measured(measurements, EnumSet.of(MeasureKind.BODY_MASS), card.unit()),
                measured(measurements, EnumSet.complementOf(EnumSet.of(MeasureKind.BODY_MASS)), card.unit()),
                aches.stream().filter(ache -> ache.clearedOn() == null).toList(),
                aches.stream().filter(ache -> ache.clearedOn() != null).toList(),
                row.clearedOn(),
                card.needsConsent(today));
    }

    private static Map<String, List<ProfileField>> groups(LifterCard card, Lifter row, LocalDate today) {
        Map<String, List<ProfileField>> groups = new LinkedHashMap<>();
        List<ProfileField> who = new ArrayList<>(List.of(
                ProfileField.NAME,
                ProfileField.UNIT,
                ProfileField.SPORT,
                ProfileField.SEX,
                ProfileField.BIRTH_YEAR,
                ProfileField.HEIGHT,
                ProfileField.BREATH));
        if (row.sport != null) {
            who.add(ProfileField.WEIGHT_CLASS);
        }
        if (card.mayBeMinor(today) || row.guardian != null) {
            who.add(ProfileField.GUARDIAN);
        }
        groups.put("who", who);
        groups.put(
                "time",
                List.of(
                        ProfileField.DAYS,
                        ProfileField.MINUTES,
                        ProfileField.ROUNDING,
                        ProfileField.SHARE,
                        ProfileField.WARM_UPS,
                        ProfileField.BEFORE_SESSION,
                        ProfileField.AUTOPILOT,
                        ProfileField.NOVICE_SINCE));
        List<ProfileField> slows = new ArrayList<>(
                List.of(ProfileField.SLEEP, ProfileField.DIETING, ProfileField.STRESS, ProfileField.JOB));
        if (row.job != null) {
            slows.add(ProfileField.JOB_STRAINS);
        }
        groups.put("slows", slows);
        groups.put(
                "demand",
                List.of(
                        ProfileField.BEAT_POINTS,
                        ProfileField.REST_POINTS,
                        ProfileField.TIRED_POINTS,
                        ProfileField.SET_DRIFT));
        return groups;
    }

    private static List<Measured> measured(List<Measurement> all, Set<MeasureKind> kinds, MassUnit unit) {
        return all.stream()
                .filter(measurement -> kinds.contains(measurement.kind()))
                .limit(LATEST)
                .map(measurement -> new Measured(
                        measurement.id(),
                        measurement.kind(),
                        measurement.on(),
                        measurement.kind().print(measurement.figure(), unit)))
                .toList();
    }
}
