package dev.yarbel.core.school;

import dev.yarbel.core.block.Phase;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A school of coaching. Each works for someone; none is the right one. All figures are common practice without a published
 * source, and starting points that a coach can change.
 */
public enum School {
    /** The same sets and repetitions, a step more each session; the last set goes on while form holds. */
    STEADY_ADD(2, 4, 16, 60, new SteadyAddSchool()),
    /** One hard day and one easy day of the same lift in the week. */
    HEAVY_LIGHT(2, 4, 16, 80, new HeavyLightSchool()),
    /** Load goes up each time; a set is dropped when the last one loses repetitions. */
    SET_DROP(2, 6, 52, 65, new FromLastTimeSchool("3x8", " stages")),
    /** A range of repetitions is worked through before load is added. */
    RANGE_THEN_LOAD(2, 4, 52, 65, new FromLastTimeSchool("3x8-12", "")),
    /** Many repetitions and lower loads swing to singles; assistance shrinks along. */
    VOLUME_TO_INTENSITY(2, 6, 16, 70, new VolumeToIntensitySchool()),
    /** Muscle, then strength, then a peak. */
    PHASES(2, 8, 24, 70, new PhasesSchool()),
    /** The contest lifts three to five times a week at moderate loads, variations moving the strain about. */
    HIGH_FREQUENCY(4, 4, 16, 74, new HighFrequencySchool()),
    /** Heavy days with a different variation each week, and days of speed. */
    MAX_EFFORT_SPEED(2, 4, 24, 50, new MaxEffortSpeedSchool()),
    /** A top single at a rating, and back-offs a percentage below what was lifted. */
    RPE_LED(2, 3, 24, 70, new RpeLedSchool()),
    /** One lift toward a goal max: one top set a week, speed sets, assistance that shrinks. */
    GOAL_CYCLE(1, 6, 12, 75, new GoalCycleSchool()),
    /** Clusters, density singles, and pulls from three heights in one session. */
    SPECIALISATION(2, 3, 8, 80, new SpecialisationSchool()),
    /** Strongman events toward their announced loads. */
    EVENTS(1, 4, 16, 70, new EventsSchool());

    /** What a school does and is known for; what it says nothing of is as with most. */
    interface Method {

        /** The strands of one lift; each has a dose, or none, for every training week. */
        List<LiftProgression> draw(ProgressionRequest request);

        /** Why it cannot draw a lift as it is asked for; empty where it can. */
        default Optional<SchoolRefused.Why> refuses(School school, Lift lift, BlockRequest request) {
            return Optional.empty();
        }

        /** Whether presses that share the school take turns from session to session, on every day. */
        default boolean pressesTakeTurns() {
            return false;
        }

        /** Whether lifts of one half of the body that share the school share their days. */
        default boolean sharesDays() {
            return false;
        }

        /** How many of the usual sessions in the week a pull has less: it takes longest to recover from. */
        default int fewerPulls() {
            return 1;
        }

        /** Whether its law goes to the limit, so that limit sets are no fault in it. */
        default boolean goesToTheLimit() {
            return false;
        }

        /** Whether it drives one lift to a goal that was set, come what may. */
        default boolean drivesToAGoal() {
            return false;
        }

        /** What a training week of a stretch is for; empty where it does not divide a block into phases. */
        default Optional<Phase> phase(int week, int weeks, boolean toContest) {
            return Optional.empty();
        }
    }

    private static final Map<String, School> BY_KEY =
            Stream.of(values()).collect(Collectors.toMap(School::key, Function.identity()));

    private final String key = name().toLowerCase(Locale.ROOT).replace('_', '-');
    private final int sessions;
    private final int leastWeeks;
    private final int mostWeeks;
    private final Percent start;
    private final Method method;

    School(int sessions, int leastWeeks, int mostWeeks, long start, Method method) {
        this.sessions = sessions;
        this.leastWeeks = leastWeeks;
        this.mostWeeks = mostWeeks;
        this.start = Percent.of(start);
        this.method = method;
    }

    /** What is kept and sent of it: {@code steady-add}. */
    public String key() {
        return key;
    }

    /** The school of a key; empty where there is none. */
    public static Optional<School> of(String key) {
        return Optional.ofNullable(BY_KEY.get(key));
    }

    /** Sessions of a lift in the week, where nobody says otherwise. */
    public int sessions() {
        return sessions;
    }

    /** The shortest block that makes sense of it, in weeks. */
    public int leastWeeks() {
        return leastWeeks;
    }

    /** The longest block that makes sense of it, in weeks. */
    public int mostWeeks() {
        return mostWeeks;
    }

    /** The share of the max it starts from, where nobody says otherwise. */
    public Percent start() {
        return start;
    }

    /** Whether its law goes to the limit, so that limit sets are no fault in it. */
    public boolean goesToTheLimit() {
        return method.goesToTheLimit();
    }

    /** Whether it drives one lift to a goal that was set, come what may. */
    public boolean drivesToAGoal() {
        return method.drivesToAGoal();
    }

    Method method() {
        return method;
    }
}
