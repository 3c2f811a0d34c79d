package dev.yarbel.web.book;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.SetUpMeasure;
import dev.yarbel.core.measure.BarSpeed;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Seconds;
import dev.yarbel.core.record.CoachSeen;
import dev.yarbel.core.record.RepsSeen;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.record.SetUp;
import dev.yarbel.core.record.Worn;
import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.math.BigDecimal;
import java.sql.Array;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** What more is known of a set, as its table keeps it. */
@Embeddable
class DetailColumns {

    private int helped;

    @Enumerated(EnumType.STRING)
    private SetDetails.MissedBy missedBy;

    private Integer speed;
    private boolean speedFilmed;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<String> worn;

    @Enumerated(EnumType.STRING)
    private SetDetails.Video video;

    private String partner;
    private String coachRating;

    @Enumerated(EnumType.STRING)
    private CoachSeen.Form coachForm;

    @Column(columnDefinition = "text")
    @Enumerated(EnumType.STRING)
    private CoachSeen.WeakLink coachLink;

    private String coachNote;
    private String note;
    private BigDecimal seconds;
    private Length distance;
    private String doneAs;

    @JdbcTypeCode(SqlTypes.ARRAY)
    @Column(columnDefinition = "text[]")
    private List<String> setUp;

    private String repsSeen;
    private String coachRepsSeen;

    @Enumerated(EnumType.STRING)
    private SetDetails.Proof proof;

    protected DetailColumns() {}

    DetailColumns(SetDetails details) {
        helped = details.helped();
        missedBy = details.missedBy().orElse(null);
        speed = details.speed().map(BarSpeed::millimetres).orElse(null);
        speedFilmed = details.filmed();
        worn = details.worn().map(kit -> kit.stream().map(Worn::name).toList()).orElse(null);
        video = details.video().orElse(null);
        partner = details.partner().map(Rpe::toString).orElse(null);
        coachRating = details.coach().rating().map(Rpe::toString).orElse(null);
        coachForm = details.coach().form().orElse(null);
        coachLink = details.coach().link().orElse(null);
        coachNote = details.coach().note().orElse(null);
        note = details.note().orElse(null);
        seconds = details.time().map(Seconds::in).orElse(null);
        distance = details.distance().orElse(null);
        doneAs = details.asked().isPlain() ? null : details.asked().toString();
        setUp = details.setUp().isEmpty()
                ? null
                : details.setUp().entrySet().stream()
                        .map(figure -> figure.getKey() + " " + figure.getValue())
                        .toList();
        repsSeen = details.reps().map(RepsSeen::toString).orElse(null);
        coachRepsSeen = details.coach().reps().map(RepsSeen::toString).orElse(null);
        proof = details.proof().orElse(null);
    }

    /** What a row of {@link LogReader} says of a set. */
    static SetDetails details(ResultSet row) throws SQLException {
        DetailColumns columns = new DetailColumns();
        columns.helped = row.getInt("helped");
        columns.missedBy = choice(SetDetails.MissedBy.class, row.getString("missed_by"));
        int speed = row.getInt("speed");
        columns.speed = row.wasNull() ? null : speed;
        columns.speedFilmed = row.getBoolean("speed_filmed");
        Array worn = row.getArray("worn");
        columns.worn = worn == null ? null : List.of((String[]) worn.getArray());
        columns.video = choice(SetDetails.Video.class, row.getString("video"));
        columns.partner = row.getString("partner");
        columns.coachRating = row.getString("coach_rating");
        columns.coachForm = choice(CoachSeen.Form.class, row.getString("coach_form"));
        columns.coachLink = choice(CoachSeen.WeakLink.class, row.getString("coach_link"));
        columns.coachNote = row.getString("coach_note");
        columns.note = row.getString("note");
        columns.seconds = row.getBigDecimal("seconds");
        BigDecimal distance = row.getBigDecimal("distance");
        columns.distance = distance == null ? null : Length.of(distance, LengthUnit.CM);
        columns.doneAs = row.getString("done_as");
        Array setUp = row.getArray("set_up");
        columns.setUp = setUp == null ? null : List.of((String[]) setUp.getArray());
        columns.repsSeen = row.getString("reps_seen");
        columns.coachRepsSeen = row.getString("coach_reps_seen");
        columns.proof = choice(SetDetails.Proof.class, row.getString("proof"));
        return columns.details();
    }

    private static <T extends Enum<T>> T choice(Class<T> type, String name) {
        return name == null ? null : Enum.valueOf(type, name);
    }

    SetDetails details() {
        if (isPlain()) {
            return SetDetails.NONE;
        }
        SetDetails said = new SetDetails(
                helped,
                Optional.ofNullable(missedBy),
                Optional.ofNullable(speed).map(BarSpeed::new),
                Optional.ofNullable(worn)
                        .map(kit -> kit.stream().map(Worn::valueOf).collect(Collectors.toSet())),
                Optional.ofNullable(video),
                Optional.ofNullable(partner).map(Rpe::parse),
                new CoachSeen(
                        Optional.ofNullable(coachRating).map(Rpe::parse),
                        Optional.ofNullable(coachForm),
                        Optional.ofNullable(coachLink),
                        Optional.ofNullable(coachNote),
                        Optional.ofNullable(coachRepsSeen).map(RepsSeen::parse)),
                Optional.ofNullable(note),
                Optional.ofNullable(seconds).map(Seconds::of),
                Optional.ofNullable(distance),
                doneAs == null ? SetUp.PLAIN : SetUp.parse(doneAs),
                figures(),
                Optional.ofNullable(repsSeen).map(RepsSeen::parse),
                Optional.ofNullable(proof));
        return speedFilmed ? said.filmed(said.speed().orElseThrow()) : said;
    }

    private Map<SetUpMeasure, String> figures() {
        return setUp == null
                ? Map.of()
                : setUp.stream()
                        .map(figure -> figure.split(" ", 2))
                        .collect(Collectors.toMap(figure -> SetUpMeasure.valueOf(figure[0]), figure -> figure[1]));
    }

    /** Most sets have nothing more to say, and a long log is read often. */
    private boolean isPlain() {
        return helped == 0
                && missedBy == null
                && speed == null
                && worn == null
                && video == null
                && partner == null
                && coachRating == null
                && coachForm == null
                && coachLink == null
                && coachNote == null
                && note == null
                && seconds == null
                && distance == null
                && setUp == null
                && repsSeen == null
                && coachRepsSeen == null
                && doneAs == null
                && proof == null;
    }
}
