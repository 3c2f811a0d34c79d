package dev.yarbel.core.record;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.SetUpMeasure;
import dev.yarbel.core.measure.BarSpeed;
import dev.yarbel.core.measure.Length;
import java.time.Duration;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;

/**
 * What more is known of a set than its load, repetitions and rating; all of it may be unknown.
 *
 * @param helped the repetitions among those made in which a spotter helped, from 0
 * @param missedBy why it was missed
 * @param speed of the last repetition
 * @param worn the kit really worn; empty when nobody said it differed from the plan
 * @param video how a video of it was judged beside the rating
 * @param partner the rating of a training partner who watched
 * @param coach what the coach says of it
 * @param note the lifter's own words, up to {@link #LONGEST_NOTE} characters
 * @param time how long it took, where it was timed, up to two hours
 * @param distance how far it went, where it was carried
 * @param asked how it was to be done
 * @param setUp figures really used where they were other than on the lifter's card, up to {@link #LONGEST_FIGURE} characters
 * @param reps which repetitions the lifter found clean; empty when nobody looked
 * @param proof why the set is more than somebody's word; empty for most
 * @param filmed whether the speed was measured in a clip, which is evidence as a sensor's is, and said to be one
 * @param bySpeed what the speed of the last repetition rates by the lifter's own table; empty where it was not held against one
 */
public record SetDetails(
        int helped,
        Optional<MissedBy> missedBy,
        Optional<BarSpeed> speed,
        Optional<Set<Worn>> worn,
        Optional<Video> video,
        Optional<Rpe> partner,
        CoachSeen coach,
        Optional<String> note,
        Optional<Duration> time,
        Optional<Length> distance,
        SetUp asked,
        Map<SetUpMeasure, String> setUp,
        Optional<RepsSeen> reps,
        Optional<Proof> proof,
        boolean filmed,
        Optional<Rpe> bySpeed) {

    public static final int LONGEST_NOTE = 500;
    public static final int LONGEST_FIGURE = 40;
    public static final Duration LONGEST_TIME = Duration.ofHours(2);

    /** Nothing more is known. */
    public static final SetDetails NONE = new SetDetails(
            0,
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            CoachSeen.NOTHING,
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            SetUp.PLAIN,
            Map.of(),
            Optional.empty(),
            Optional.empty(),
            false,
            Optional.empty());

    /** What is set down of a set; nothing was held against a table yet. */
    public SetDetails(
            int helped,
            Optional<MissedBy> missedBy,
            Optional<BarSpeed> speed,
            Optional<Set<Worn>> worn,
            Optional<Video> video,
            Optional<Rpe> partner,
            CoachSeen coach,
            Optional<String> note,
            Optional<Duration> time,
            Optional<Length> distance,
            SetUp asked,
            Map<SetUpMeasure, String> setUp,
            Optional<RepsSeen> reps,
            Optional<Proof> proof) {
        this(
                helped,
                missedBy,
                speed,
                worn,
                video,
                partner,
                coach,
                note,
                time,
                distance,
                asked,
                setUp,
                reps,
                proof,
                false,
                Optional.empty());
    }

    /** Why a set was missed. */
    public enum MissedBy {
        STRENGTH,
        TECHNIQUE,
        GRIP,
        PAIN,
        SLEEP_OR_STRESS,
        ILLNESS,
        KIT_LEFT_OFF,
        WASTED_SET_UP,
        STRAIN_AT_WORK,
        /** Lifted, but not by the rules: early on a command, short of depth. */
        CALL
    }

    /** What makes a set more than somebody's word. */
    public enum Proof {
        /** It went on until no further clean repetition would go. */
        LIMIT_SET,
        /** At a contest, before its judges. */
        CONTEST_ATTEMPT
    }

    /** How a video was judged, by the slowest part of the repetition. */
    public enum Video {
        EASIER,
        HARDER
    }

    public SetDetails {
        if (helped < 0 || helped > 100) {
            throw new IllegalArgumentException("0 to 100 repetitions can be helped");
        }
        note.ifPresent(SetDetails::checkNote);
        if (filmed && speed.isEmpty()) {
            throw new IllegalArgumentException("a clip that shows no speed measured none");
        }
        time.ifPresent(taken -> {
            if (taken.isNegative() || taken.isZero() || taken.compareTo(LONGEST_TIME) > 0) {
                throw new IllegalArgumentException("a set takes up to " + LONGEST_TIME);
            }
        });
        distance.ifPresent(gone -> {
            if (!gone.isPositive()) {
                throw new IllegalArgumentException("a carry goes some way");
            }
        });
        worn = worn.map(Worn::inOrder);
        EnumMap<SetUpMeasure, String> ordered = new EnumMap<>(SetUpMeasure.class);
        ordered.putAll(setUp);
        ordered.values().forEach(figure -> {
            if (figure.isBlank() || figure.length() > LONGEST_FIGURE) {
                throw new IllegalArgumentException("a figure has up to " + LONGEST_FIGURE + " characters");
            }
        });
        setUp = Collections.unmodifiableMap(ordered);
    }

    /** How many more of those who saw the set found it harder than a rating than found it easier; below nothing for easier. */
    int harderThan(Rpe own) {
        return video.map(seen -> seen == Video.HARDER ? 1 : -1).orElse(0)
                + partner.map(seen -> Integer.signum(seen.compareTo(own))).orElse(0)
                + coach.rating()
                        .map(seen -> Integer.signum(seen.compareTo(own)))
                        .orElse(0)
                + bySpeed.map(seen -> Integer.signum(seen.compareTo(own))).orElse(0);
    }

    /** The repetitions that were the lifter's own and clean as far as anybody saw, of so many; what follows a broken one is not. */
    int clean(int made) {
        int own = made - helped;
        Optional<RepsSeen> seen = coach.reps().or(() -> reps);
        int untilBroken = seen.filter(looked -> !looked.areClean())
                .map(looked -> looked.broken().first() - 1)
                .orElse(made);
        boolean allBroken = seen.isEmpty()
                && coach.form().filter(CoachSeen.Form.BROKEN::equals).isPresent();
        return allBroken ? 0 : Math.min(own, untilBroken);
    }

    static void checkNote(String words) {
        if (words.isBlank() || words.length() > LONGEST_NOTE) {
            throw new IllegalArgumentException("a note has up to " + LONGEST_NOTE + " characters");
        }
    }

    /**
     * The same with the lifter's own words.
     *
     * @throws IllegalArgumentException when they are more than {@link #LONGEST_NOTE} characters, or none
     */
    public SetDetails noted(String words) {
        return with(change -> change.words = Optional.of(words));
    }

    /** What stays when a set is told anew: what a coach and others said of it, what proves it, and how it was to be done. */
    public SetDetails unsaid() {
        return with(change -> {
            change.help = 0;
            change.why = Optional.empty();
            change.moved = Optional.empty();
            change.film = false;
            change.words = Optional.empty();
            change.taken = Optional.empty();
            change.covered = Optional.empty();
        });
    }

    /** The same as a coach saw it. */
    public SetDetails seenBy(CoachSeen other) {
        return with(change -> change.seen = other);
    }

    /** The same, missed for this. */
    public SetDetails missed(MissedBy why) {
        return with(change -> change.why = Optional.of(why));
    }

    /** The same with the speed of the last repetition. */
    public SetDetails with(BarSpeed measured) {
        return with(change -> {
            change.moved = Optional.of(measured);
            change.film = false;
        });
    }

    /** The same with the speed of the last repetition as a clip shows it. */
    public SetDetails filmed(BarSpeed measured) {
        return with(change -> {
            change.moved = Optional.of(measured);
            change.film = true;
        });
    }

    /** The same with which repetitions the lifter found clean; empty where that is not known. */
    public SetDetails found(Optional<RepsSeen> clean) {
        return with(change -> change.looked = clean);
    }

    /** The same with how a video of it was judged beside the rating. */
    public SetDetails judged(Optional<Video> byItsSlowestPart) {
        return with(change -> change.shown = byItsSlowestPart);
    }

    /** The same with what the speed of its last repetition rates. */
    public SetDetails seenBySpeed(Rpe rating) {
        return with(change -> change.rated = Optional.of(rating));
    }

    /** The same with so many repetitions helped. */
    public SetDetails withHelp(int repetitions) {
        return with(change -> change.help = repetitions);
    }

    /** The same in this kit. */
    public SetDetails worn(Set<Worn> kit) {
        return with(change -> change.kit = Optional.of(kit));
    }

    /** The same, to be done so. */
    public SetDetails asked(SetUp how) {
        return with(change -> change.how = how);
    }

    /** The same with a proof. */
    public SetDetails proven(Proof by) {
        return with(change -> change.by = Optional.of(by));
    }

    /** The same, over so long and so far, as far as either is known. */
    public SetDetails over(Optional<Duration> taken, Optional<Length> covered) {
        return with(change -> {
            change.taken = taken;
            change.covered = covered;
        });
    }

    private SetDetails with(Consumer<Change> other) {
        Change change = new Change();
        other.accept(change);
        return change.made();
    }

    /** These details with something else in the place of one of them. */
    private final class Change {

        private int help = helped;
        private Optional<MissedBy> why = missedBy;
        private Optional<BarSpeed> moved = speed;
        private boolean film = filmed;
        private Optional<Video> shown = video;
        private Optional<RepsSeen> looked = reps;
        private Optional<Set<Worn>> kit = worn;
        private CoachSeen seen = coach;
        private Optional<String> words = note;
        private Optional<Duration> taken = time;
        private Optional<Length> covered = distance;
        private SetUp how = asked;
        private Optional<Proof> by = proof;
        private Optional<Rpe> rated = bySpeed;

        SetDetails made() {
            return new SetDetails(
                    help, why, moved, kit, shown, partner, seen, words, taken, covered, how, setUp, looked, by, film,
                    rated);
        }
    }
}
