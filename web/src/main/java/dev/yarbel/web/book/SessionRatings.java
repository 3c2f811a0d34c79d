package dev.yarbel.web.book;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;

/**
 * What the lifter says before and after a session: Hooper and Mackinnon's self-ratings (Sports Medicine 1995, 20(5)) of
 * sleep, fatigue, stress and soreness, and of the joints on the same scale from 1, very, very good, to 7, very, very bad;
 * Foster's rating of the whole session from 0 to 10 and the minutes it took.
 */
@Embeddable
public class SessionRatings {

    /** What is rated before a session, in this order. */
    public static final List<String> BEFORE = List.of("sleep", "fatigue", "stress", "soreness", "joints");

    private Integer sleepRating;
    private Integer fatigueRating;
    private Integer stressRating;
    private Integer sorenessRating;
    private Integer jointsRating;
    private Integer effortRating;
    private Integer minutes;

    @Enumerated(EnumType.STRING)
    private CountSaid countSaid;

    @Column(name = "coach_note")
    private String coachNote;

    protected SessionRatings() {}

    /** As a row of {@link LogReader} holds them. */
    static SessionRatings of(ResultSet row) throws SQLException {
        SessionRatings ratings = new SessionRatings();
        ratings.sleepRating = number(row, "sleep_rating");
        ratings.fatigueRating = number(row, "fatigue_rating");
        ratings.stressRating = number(row, "stress_rating");
        ratings.sorenessRating = number(row, "soreness_rating");
        ratings.jointsRating = number(row, "joints_rating");
        ratings.effortRating = number(row, "effort_rating");
        ratings.minutes = number(row, "minutes");
        String said = row.getString("count_said");
        ratings.countSaid = said == null ? null : CountSaid.valueOf(said);
        ratings.coachNote = row.getString("session_note");
        return ratings;
    }

    private static Integer number(ResultSet row, String column) throws SQLException {
        int figure = row.getInt(column);
        return row.wasNull() ? null : figure;
    }

    /** What the lifter says of sets that are more or fewer than planned. */
    public enum CountSaid {
        /** They were done as planned, and counted or logged wrongly. */
        MISCOUNTED,
        /** Fewer were done. */
        CUT,
        /** More were done. */
        ADDED
    }

    void before(List<Integer> ratings) {
        sleepRating = ratings.get(0);
        fatigueRating = ratings.get(1);
        stressRating = ratings.get(2);
        sorenessRating = ratings.get(3);
        jointsRating = ratings.get(4);
    }

    void after(Optional<Integer> effort, Optional<Integer> took, Optional<CountSaid> said) {
        effortRating = effort.orElse(effortRating);
        minutes = took.orElse(minutes);
        countSaid = said.orElse(countSaid);
    }

    void coachNote(String words) {
        coachNote = words;
    }

    /** The ratings before the session in the order of {@link #BEFORE}; none when they were not given. */
    public List<Integer> before() {
        return sleepRating == null
                ? List.of()
                : List.of(sleepRating, fatigueRating, stressRating, sorenessRating, jointsRating);
    }

    public Optional<Integer> effort() {
        return Optional.ofNullable(effortRating);
    }

    public Optional<Integer> minutes() {
        return Optional.ofNullable(minutes);
    }

    /** The same said later on. */
    void count(CountSaid said) {
        countSaid = said;
    }

    public Optional<CountSaid> countSaid() {
        return Optional.ofNullable(countSaid);
    }

    /** The coach's words on the whole session. */
    public Optional<String> coachNote() {
        return Optional.ofNullable(coachNote);
    }
}
