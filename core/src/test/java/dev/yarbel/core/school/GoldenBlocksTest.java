package dev.yarbel.core.school;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.lift.Lift;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * One block of each school for an invented lifter, written down in full, so that a change of a school's drawing is seen as
 * what it does to a block. After a change that is meant: {@code mvn -pl core test -Dtest=GoldenBlocksTest
 * -Dyarbel.golden=write}, and read the difference.
 */
class GoldenBlocksTest {

    private static final Path GOLDEN = Path.of("src/test/resources/golden");

    @ParameterizedTest
    @EnumSource(School.class)
    void aSchoolsBlockIsAsItWasWrittenDown(School school) throws IOException {
        Map<Lift, LiftRequest> lifts =
                switch (school) {
                    case GOAL_CYCLE -> Drawings.all(school, Lift.BENCH_PRESS);
                    case SPECIALISATION -> Drawings.all(school, Lift.DEADLIFT);
                    case EVENTS ->
                        Drawings.all(school, new Lift("log-press"), new Lift("yoke-walk"), new Lift("stone-over-bar"));
                    case STEADY_ADD ->
                        Drawings.all(school, Lift.SQUAT, Lift.BENCH_PRESS, Lift.OVERHEAD_PRESS, Lift.DEADLIFT);
                    default -> Drawings.all(school, Lift.SQUAT, Lift.BENCH_PRESS, Lift.DEADLIFT);
                };
        List<Integer> days =
                school.sessions() > 2 || school == School.MAX_EFFORT_SPEED ? List.of(0, 1, 3, 4) : List.of(0, 2, 4);
        int weeks = Math.min(school.mostWeeks(), 10);
        BlockRequest request = Drawings.request(lifts, weeks, days, 5);
        // on the Saturday of the last week but two, so that the taper, the light week and what follows are seen
        LocalDate contest = Drawings.START.plusWeeks(weeks - 3L).plusDays(5);
        String drawn = Drawings.text(Drawings.draw(request)) + "\nwith a contest in week " + (weeks - 2) + "\n"
                + Drawings.text(Drawings.draw(request.toward(Optional.of(contest))));

        Path golden = GOLDEN.resolve(school.key() + ".txt");
        if ("write".equals(System.getProperty("yarbel.golden"))) {
            Files.writeString(golden, drawn, StandardCharsets.UTF_8);
        }
        assertThat(drawn).isEqualTo(Files.readString(golden, StandardCharsets.UTF_8));
    }
}
