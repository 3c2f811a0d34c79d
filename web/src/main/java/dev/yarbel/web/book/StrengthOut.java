package dev.yarbel.web.book;

import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.TableOut;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;

/** What each lifter's numbers are today: the working max, and the estimate with the range it lies in. */
@Component
class StrengthOut implements TableOut {

    private static final int DECIMALS = 1;

    private final Book book;
    private final Words words;

    StrengthOut(Book book, Words words) {
        this.book = book;
        this.words = words;
    }

    @Override
    public String code() {
        return "estimates";
    }

    @Override
    public List<String> columns() {
        return List.of("lifter", "lift", "working", "estimate", "low", "high", "unit", "told");
    }

    /** One lifter after the other: what is believed of one is read as everywhere. */
    @Override
    public void each(Person person, List<LifterCard> lifters, Consumer<List<?>> row) {
        for (LifterCard lifter : lifters) {
            for (LiftRecord lift : book.standing(lifter).lifts()) {
                if (lift.workingMax().isPresent() || lift.estimate().isPresent()) {
                    row.accept(cells(lifter, lift));
                }
            }
        }
    }

    private List<Object> cells(LifterCard lifter, LiftRecord lift) {
        Optional<MaxEstimate> estimate = lift.estimate();
        return List.of(
                lifter.name(),
                words.lift(lift.lift()),
                mass(lift.workingMax(), lifter),
                mass(estimate.map(MaxEstimate::max), lifter),
                mass(estimate.map(MaxEstimate::low), lifter),
                mass(estimate.map(MaxEstimate::high), lifter),
                lifter.unit().symbol(),
                TableOut.cell(estimate.filter(believed -> !believed.movements().isEmpty())
                        .map(believed -> believed.movements()
                                .get(believed.movements().size() - 1)
                                .date())));
    }

    private static Object mass(Optional<Mass> mass, LifterCard lifter) {
        return TableOut.cell(mass.map(load -> TableOut.figure(load.figure(lifter.unit(), DECIMALS))));
    }
}
