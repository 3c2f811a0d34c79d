package dev.yarbel.web.book;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.page.Words;
import java.math.BigDecimal;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/** An entry of the ledger in the reader's words. */
record LedgerLine(Change change, String subject, String before, String after) {

    private static final Pattern DAY = Pattern.compile("\\d{4}-\\d\\d-\\d\\d");
    /** So close together entries come from one form. */
    private static final Duration ONE_FORM = Duration.ofSeconds(5);

    static LedgerLine of(Change change, Words words) {
        return new LedgerLine(
                change,
                words.say(
                        "change.subject." + change.kind(),
                        subject(change, words).toArray()),
                said(change, change.before(), words),
                said(change, change.after(), words));
    }

    /** A day or a figure as the reader writes it; anything else as it is. */
    private static String day(String text, Words words) {
        return DAY.matcher(text).matches() ? words.fullDay(LocalDate.parse(text)) : words.figure(text);
    }

    /** Entries of one form make one line where they say the same of several things. */
    static List<LedgerLine> together(List<Change> changes, Words words) {
        List<LedgerLine> lines = new ArrayList<>();
        for (Change change : changes) {
            LedgerLine line = of(change, words);
            LedgerLine last = lines.isEmpty() ? null : lines.get(lines.size() - 1);
            if (last != null && last.saysTheSameAs(line)) {
                lines.set(
                        lines.size() - 1,
                        new LedgerLine(last.change, line.subject + ", " + last.subject, last.before, last.after));
            } else {
                lines.add(line);
            }
        }
        return lines;
    }

    private boolean saysTheSameAs(LedgerLine earlier) {
        return change.kind() == earlier.change.kind()
                && change.who().equals(earlier.change.who())
                && change.why().equals(earlier.change.why())
                && before.equals(earlier.before)
                && after.equals(earlier.after)
                && !subject.equals(earlier.subject)
                && Duration.between(earlier.change.at(), change.at()).compareTo(ONE_FORM) <= 0;
    }

    /** The parts of what was changed, each by its name. */
    private static List<String> subject(Change change, Words words) {
        List<String> parts = new ArrayList<>(
                change.subject().stream().map(part -> day(part, words)).toList());
        if (change.kind().isOfLift()) {
            parts.set(0, words.lift(new Lift(parts.get(0))));
        }
        switch (change.kind()) {
            case MAX -> parts.set(1, words.say("max.kind." + parts.get(1), Integer.valueOf(parts.get(2))));
            case MASTERY -> parts.set(1, words.say("book.mastery." + parts.get(1)));
            case RECOVERY ->
                parts.set(
                        1,
                        parts.get(1).isEmpty()
                                ? words.say("change.recovery.hours")
                                : words.say("change.recovery.felt", words.lift(new Lift(parts.get(1)))));
            case SET_UP -> parts.set(1, words.say("set-up." + parts.get(1)));
            case PROFILE -> parts.set(0, words.say("profile." + parts.get(0)));
            case MEASURED -> parts.set(0, words.say("measured." + parts.get(0)));
            case NOTE -> parts.set(0, words.say("note." + parts.get(0)));
            case ACHE -> parts.set(0, words.say("tissue." + parts.get(0)));
            case HEALTH -> parts.set(0, words.say("health." + parts.get(0)));
            case ROSTER -> parts.set(0, words.say("roster.change." + parts.get(0)));
            case GYMS -> parts.set(0, words.say("gyms." + parts.get(0)));
            case BLOCK -> parts.set(0, words.edit(List.copyOf(parts)));
            case GATE -> parts.set(1, words.say("gate." + parts.get(1)));
            case TEMPLATE -> parts.set(0, words.say("template.kind." + parts.get(0)));
            case CONTEST ->
                parts.set(
                        0,
                        parts.get(0).equals("attempt")
                                ? words.say("contest.change.attempt", words.lift(new Lift(parts.get(2))), parts.get(3))
                                : words.say("contest.change." + parts.get(0)));
            case KIT -> parts.set(0, words.say("kit.shelf." + parts.get(0)));
            default -> {
                // the parts are in words already
            }
        }
        return parts;
    }

    private static String said(Change change, String what, Words words) {
        if (what.isEmpty()) {
            return what;
        }
        return switch (change.kind()) {
            case CURVE -> words.say(curveName(what), what);
            case SET_CORRECTED -> set(what, words);
            case PROFILE -> words.sayIfAny("profile." + change.subject().get(0) + "." + what, day(what, words));
            case MASTERY -> words.sayIfAny("book.mastery." + change.subject().get(1) + "." + what, day(what, words));
            case ACHE -> words.sayIfAny("tissue." + what, what);
            case ROSTER ->
                change.subject().get(0).equals("second-factor") ? words.say("club.second." + what) : day(what, words);
            case HEALTH -> words.sayIfAny("health.answer." + what, what);
            case RATINGS -> bias(what, words);
            case DOSE -> words.dose(what);
            case CONTEST -> contest(change.subject().get(0), what, words);
            case LOG_IMPORTED -> words.say("change.sets", Long.valueOf(what));
            default -> day(what, words);
        };
    }

    private static String contest(String of, String what, Words words) {
        return switch (of) {
            case "result" -> words.dose(what);
            case "attempt" -> {
                String[] load = what.split("/", 2);
                yield words.dose(load[0]) + ", " + words.say("contest.is." + load[1]);
            }
            default -> words.sayIfAny("contest." + of + "." + what, day(what, words));
        };
    }

    /** A decision of how ratings lean; nothing decided is learnt. */
    static String bias(String reps, Words words) {
        if (reps.equals("learnt")) {
            return words.say("book.rates.learnt");
        }
        BigDecimal decided = new BigDecimal(reps);
        String leans = decided.signum() < 0 ? "hides" : decided.signum() > 0 ? "claims" : "straight";
        return words.say(
                "book.rates." + leans,
                words.figure(decided.abs().stripTrailingZeros().toPlainString()));
    }

    private static String set(String what, Words words) {
        return WrittenSet.parse(what)
                .map(set -> words.say("change.set", set.load(), set.reps(), words.say("left." + set.effort())))
                .orElse(what);
    }

    /** The code in the bundle for the name of a decision about curves. */
    static String curveName(String key) {
        return CurvesView.decided(key)
                .map(curve ->
                        curve.formula().map(formula -> "curve." + formula.key()).orElse("curve.own"))
                .orElse("curve.learnt");
    }
}
