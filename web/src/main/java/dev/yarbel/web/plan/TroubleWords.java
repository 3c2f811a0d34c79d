package dev.yarbel.web.plan;

import dev.yarbel.web.page.Words;
import java.util.Optional;
import java.util.stream.Collectors;

/** What stands against keeping a dose, in one sentence, for whoever has no sheet before them. */
final class TroubleWords {

    private TroubleWords() {}

    static String of(CellView.Trouble trouble, Words words) {
        if (trouble instanceof CellView.Unreadable unreadable) {
            return words.say("dose.problem." + unreadable.problem()) + perhaps(unreadable.suggestion(), words);
        }
        if (trouble instanceof CellView.Overtaken overtaken) {
            return overtaken.now().isEmpty()
                    ? words.say("plan.overtaken.empty", overtaken.who())
                    : words.say("plan.overtaken.dose", overtaken.who(), overtaken.now());
        }
        if (trouble instanceof CellView.NoSuchLift unknown) {
            return words.say("plan.no-such-lift-of", unknown.key()) + perhaps(unknown.suggestion(), words);
        }
        if (trouble instanceof CellView.Asked asked) {
            return words.say("dose.asked." + asked.code(), asked.facts().toArray());
        }
        if (trouble instanceof CellView.Gated gated) {
            return words.say("gate.stop") + " " + words.say("gate." + gated.gate()) + ": "
                    + gated.missing().stream()
                            .map(missing -> words.say("gate.missing." + missing))
                            .collect(Collectors.joining("; "));
        }
        return words.say("plan.historic");
    }

    private static String perhaps(Optional<String> suggestion, Words words) {
        return suggestion
                .map(text -> " " + words.say("dose.perhaps") + " " + text)
                .orElse("");
    }
}
