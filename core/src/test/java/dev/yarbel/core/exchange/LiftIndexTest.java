package dev.yarbel.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Table;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class LiftIndexTest {

    static final Map<String, Lift> NAMES = Catalogue.STANDARD.all().stream()
            .map(Variation::lift)
            .collect(Collectors.toMap(lift -> lift.key().replace('-', ' '), Function.identity()));

    private final LiftIndex index = new LiftIndex(NAMES);

    @ParameterizedTest
    @CsvSource({
        "Squat, squat",
        "SQUATS, squat",
        "back squat, squat",
        "Kniebeuge, squat",
        "'Squat, front', front-squat",
        "Front Squats, front-squat",
        "Bench, bench-press",
        "BP, bench-press",
        "Bankdrücken, bench-press",
        "Bench press (paused), paused-bench-press",
        "CGBP, close-grip-bench-press",
        "OHP, overhead-press",
        "RDL, romanian-deadlift",
        "RDLs, romanian-deadlift",
        "Conventional Deadlift, deadlift",
        "Kreuzheben, deadlift",
        "SSB squat, safety-bar-squat",
        "bent-over rows, barbell-row",
        "Pull-ups, pull-up",
        "chin ups, pull-up",
        "yoke, yoke-walk",
        "Farmer's walk, farmers-walk",
        "log press, log-press"
    })
    void aNameOfTheTradeIsKnown(String name, String key) {
        assertThat(index.find(name)).contains(new LiftIndex.Match(new Lift(key), true));
    }

    @ParameterizedTest
    @CsvSource({
        "Squta, squat",
        "Benchpress, bench-press",
        "dedlift, deadlift",
        "Romanian dedlift, romanian-deadlift",
        "press, overhead-press",
        "Overheadpress, overhead-press"
    })
    void aCloseSpellingIsAskedAbout(String name, String key) {
        assertThat(index.find(name)).contains(new LiftIndex.Match(new Lift(key), false));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "  ", "Foo", "Monday", "reverse hyper thing", "row of death", "1", "♥", "dog"})
    void whatIsFarFromEveryNameIsNoLift(String name) {
        assertThat(index.find(name)).isEmpty();
    }

    @Test
    void everySynonymIsOfALiftOfTheCatalogueAndOfOneOnly() {
        Set<String> seen = new HashSet<>();
        for (String[] row : Table.rows(LiftIndex.class, "synonyms.csv")) {
            assertThat(Catalogue.STANDARD.find(new Lift(row[0]))).as(row[0]).isPresent();
            for (String name : row[1].split("\\|")) {
                String bare = name.replace("?", "");
                assertThat(Plain.singular(bare)).as(bare).isNotBlank();
                assertThat(seen.add(Plain.singular(bare))).as(bare + " twice").isTrue();
                Lift own = NAMES.get(Plain.of(bare));
                assertThat(own == null || own.key().equals(row[0]))
                        .as(bare + " is another lift's name")
                        .isTrue();
            }
        }
    }
}
