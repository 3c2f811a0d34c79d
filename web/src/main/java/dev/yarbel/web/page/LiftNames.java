package dev.yarbel.web.page;

import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Variation;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** The lifts a club knows, by the names they have in the reader's language. */
@Component
public class LiftNames {

    private final Words words;
    private final OwnLifts own;

    LiftNames(Words words, OwnLifts own) {
        this.words = words;
        this.own = own;
    }

    /** Every name, for choosing among them. */
    public List<String> all(long clubId) {
        return lifts(clubId).map(words::lift).toList();
    }

    /**
     * The lift of a name, however it is capitalised.
     *
     * @throws UnreadableException when the club knows none
     */
    public Lift read(long clubId, String name) {
        String wanted = name.strip();
        return lifts(clubId)
                .filter(lift ->
                        words.lift(lift).equalsIgnoreCase(wanted) || lift.key().equals(wanted))
                .findFirst()
                .orElseThrow(() -> new UnreadableException("read.lift", wanted));
    }

    private Stream<Lift> lifts(long clubId) {
        return Stream.concat(Catalogue.STANDARD.all().stream().map(Variation::lift), own.ownLifts(clubId).stream());
    }
}
