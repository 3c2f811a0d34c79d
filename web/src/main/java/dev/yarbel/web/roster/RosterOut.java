package dev.yarbel.web.roster;

import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Words;
import java.math.BigDecimal;
import java.util.List;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;

/** The list of lifters itself. */
@Component
class RosterOut implements TableOut {

    private final Words words;

    RosterOut(Words words) {
        this.words = words;
    }

    @Override
    public String code() {
        return "lifters";
    }

    @Override
    public List<String> columns() {
        return List.of("lifter", "unit", "sport", "sex", "born", "novice", "days", "minutes");
    }

    @Override
    public void each(Person person, List<LifterCard> lifters, Consumer<List<?>> row) {
        lifters.forEach(lifter -> row.accept(List.of(
                lifter.name(),
                lifter.unit().symbol(),
                TableOut.cell(lifter.sport().map(sport -> words.say("profile.sport." + sport))),
                TableOut.cell(lifter.sex().map(sex -> words.say("profile.sex." + sex))),
                TableOut.cell(lifter.birthYear().map(BigDecimal::valueOf)),
                TableOut.cell(lifter.noviceSince()),
                TableOut.cell(lifter.daysAWeek().map(BigDecimal::valueOf)),
                TableOut.cell(lifter.minutes().map(BigDecimal::valueOf)))));
    }
}
