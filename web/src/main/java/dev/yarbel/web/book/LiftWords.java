package dev.yarbel.web.book;

import dev.yarbel.core.lift.MasterySuggestion.Reason;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.web.page.Words;
import java.math.BigDecimal;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What the core says of a lift, in sentences: {@code @liftWords} in templates. */
@Component("liftWords")
class LiftWords {

    private final Words words;

    LiftWords(Words words) {
        this.words = words;
    }

    /** A reason for a mastery. */
    public String reason(Reason reason) {
        return reason.accept(new Said(words.say("book.mastery.mastery." + reason.speaksFor())));
    }

    /** How ratings lean by decision, in repetitions said beyond those left. */
    public String bias(BigDecimal reps) {
        return LedgerLine.bias(reps.toPlainString(), words);
    }

    private final class Said implements Reason.Visitor<String> {

        private final String level;

        private Said(String level) {
            this.level = level;
        }

        @Override
        public String history(Reason.History history) {
            return words.say("book.mastery.reason.history", history.months(), level);
        }

        @Override
        public String alike(Reason.Alike alike) {
            return words.say(
                    "book.mastery.reason.alike", words.say("book.mastery.consistency." + alike.consistency()), level);
        }

        @Override
        public String breath(Reason.Breath breath) {
            return words.say("book.mastery.reason.breath", level);
        }

        @Override
        public String strength(Reason.Strength strength) {
            return words.say(
                    "book.mastery.reason.strength",
                    words.wholePercent(strength.ofBodyMass()),
                    words.wholePercent(strength.intermediateFrom()),
                    words.wholePercent(strength.advancedFrom()),
                    level);
        }
    }

    /** The muscles a lift trains. */
    public String muscles(Variation variation) {
        return variation.trains().stream()
                .sorted()
                .map(muscle -> words.say("muscle." + muscle))
                .collect(Collectors.joining(", "));
    }

    /** The places of the body a lift loads. */
    public String places(Variation variation) {
        return variation.loads().stream()
                .sorted()
                .map(place -> words.say("tissue." + place))
                .collect(Collectors.joining(", "));
    }
}
