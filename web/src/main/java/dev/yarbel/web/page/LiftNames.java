package dev.yarbel.web.page;

import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Variation;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.LocaleResolver;
import org.springframework.web.servlet.i18n.AcceptHeaderLocaleResolver;

/** The lifts a club knows, by the names they have in the reader's language. */
@Component
public class LiftNames {

    private final Words words;
    private final OwnLifts own;
    private final List<Locale> languages;

    LiftNames(Words words, OwnLifts own, LocaleResolver resolver) {
        this.words = words;
        this.own = own;
        this.languages = resolver instanceof AcceptHeaderLocaleResolver known ? known.getSupportedLocales() : List.of();
    }

    /** Every lift by every name it has in any language: a spreadsheet need not be in the reader's. */
    public Map<String, Lift> everyName(long clubId) {
        Map<String, Lift> names = new LinkedHashMap<>();
        for (Lift lift : lifts(clubId).toList()) {
            names.putIfAbsent(words.lift(lift), lift);
            languages.forEach(language -> names.putIfAbsent(words.lift(lift, language), lift));
        }
        return names;
    }

    /** A lift and its name in the reader's language. */
    public record Named(Lift lift, String name) {}

    /** The lifts a club knows in the order of the catalogue, for choosing among them. */
    public List<Named> named(long clubId) {
        return lifts(clubId).map(lift -> new Named(lift, words.lift(lift))).toList();
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
