package dev.yarbel.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.exchange.RosterTable.Field;
import dev.yarbel.core.exchange.RosterTable.Line;
import dev.yarbel.core.lifter.Sex;
import dev.yarbel.core.lifter.Sport;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Lists as clubs keep them (common practice, no source). */
class RosterTableTest {

    private static RosterTable.Read read(String... rows) {
        return RosterTable.read(RosterTable.headed(table(rows)), MassUnit.KG).orElseThrow();
    }

    private static List<List<String>> table(String... rows) {
        return Arrays.stream(rows)
                .map(row -> Arrays.asList(row.split("\\|", -1)))
                .toList();
    }

    private static Line one(String head, String row) {
        return read(head, row).lines().get(0);
    }

    @Test
    void aListOfAClubIsRead() {
        RosterTable.Read read = read(
                "Members 2026",
                "",
                "Name|Sex|Born|Discipline|Weight class|Bodyweight (lb)|Gym|Colour",
                "Ada Low|f|12.03.1994|Powerlifting|76 kg|165|Loft|red",
                "|||||||",
                "Bo Quay|M|1988|strongman|open|-|n/a|",
                "|m|1990|||||");

        assertThat(read.unread()).containsExactly("Colour");
        assertThat(read.nameless()).containsExactly(7);
        assertThat(read.lines()).hasSize(2);
        Line ada = read.lines().get(0);
        assertThat(ada.line()).isEqualTo(4);
        assertThat(ada.sex()).contains(Sex.FEMALE);
        assertThat(ada.sport()).contains(Sport.POWERLIFTING_CLASSIC);
        assertThat(ada.body()).contains(Mass.ofLb(165));
        assertThat(ada.said()).isEqualTo(Map.of(Field.BORN, "1994", Field.CLASS, "76 kg", Field.GYM, "Loft"));
        Line bo = read.lines().get(1);
        assertThat(bo.body()).isEmpty();
        assertThat(bo.said()).isEqualTo(Map.of(Field.BORN, "1988", Field.CLASS, "open"));
        assertThat(bo.unclear()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "Name; Ada Low; Ada Low",
                "Name; Low, Ada; Ada Low",
                "Athletin; Ada   Low; Ada Low",
                "Vorname|Nachname; Ada|Low; Ada Low",
                "Nachname|Vorname; Low|Ada; Ada Low",
                "Surname; Low; Low",
                "LIFTER; Low, Ada, jr; Low, Ada, jr"
            })
    void namesAreReadAsPeopleWriteThem(String head, String row, String name) {
        assertThat(one(head, row).name()).isEqualTo(name);
    }

    @ParameterizedTest
    @CsvSource({"1994, 1994", "12.03.1994, 1994", "1994-03-12, 1994", "3/12/1994, 1994", "Mar 2001, 2001"})
    void aYearOfBirthIsTakenOutOfItsDay(String text, String year) {
        assertThat(one("Name|DOB", "Ada|" + text).said()).containsEntry(Field.BORN, year);
    }

    /** 94 may be an age or a year; 12/03/94 needs a century that nobody wrote. */
    @ParameterizedTest
    @ValueSource(strings = {"94", "12/03/94", "thirty", "1894", "19945"})
    void aYearWithoutItsCenturyIsNotGuessedAt(String text) {
        Line line = one("Name|DOB", "Ada|" + text);

        assertThat(line.said()).doesNotContainKey(Field.BORN);
        assertThat(line.unclear()).isEqualTo(Map.of(Field.BORN, text));
    }

    @ParameterizedTest
    @CsvSource({
        "Sex, x, SEX",
        "Sport, chess, SPORT",
        "Unit, stone, UNIT",
        "Bodyweight, heavy, BODY",
        "Bodyweight, 8.5, BODY",
        "Bodyweight, 500, BODY"
    })
    void whatCannotBeUnderstoodIsToldAndLeftOpen(String head, String text, Field field) {
        Line line = one("Name|" + head, "Ada|" + text);

        assertThat(line.unclear()).isEqualTo(Map.of(field, text));
        assertThat(line.sex()).isEmpty();
        assertThat(line.sport()).isEmpty();
        assertThat(line.body()).isEmpty();
        assertThat(line.unit()).isEmpty();
    }

    @Test
    void aBodyMassIsInItsOwnUnitThenItsColumnsThenTheLiftersThenTheOneThatWasSaid() {
        assertThat(one("Name|Unit|Bodyweight (lb)", "Ada|kg|75 kg").body()).contains(Mass.ofKg(75));
        assertThat(one("Name|Unit|Bodyweight (lb)", "Ada|kg|165").body()).contains(Mass.ofLb(165));
        assertThat(one("Name|Unit|Bodyweight", "Ada|lbs|165").body()).contains(Mass.ofLb(165));
        assertThat(one("Name|Bodyweight", "Ada|75,5").body()).contains(Mass.of("75.5", MassUnit.KG));
    }

    @Test
    void aHeadMayBeGerman() {
        Line line = one(
                "Athlet|Geschlecht|Jahrgang|Gewichtsklasse|Körpergewicht|Beruf",
                "Ada|weiblich|1994|76|75,5|Tischlerin");

        assertThat(line.sex()).contains(Sex.FEMALE);
        assertThat(line.body()).isPresent();
        assertThat(line.said()).containsEntry(Field.JOB, "Tischlerin").containsEntry(Field.CLASS, "76");
    }

    @Test
    void aTableWithoutNamesIsNone() {
        assertThat(RosterTable.read(RosterTable.headed(table("Sex|Born", "f|1994")), MassUnit.KG))
                .isEqualTo(Optional.empty());
        assertThat(RosterTable.read(RosterTable.headed(List.of()), MassUnit.KG)).isEmpty();
        assertThat(RosterTable.read(RosterTable.headed(table("Ada|f|1994")), MassUnit.KG))
                .isEmpty();
    }
}
