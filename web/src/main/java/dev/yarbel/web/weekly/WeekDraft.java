package dev.yarbel.web.weekly;

import dev.yarbel.core.adjust.SeenSet;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.session.Best;
import dev.yarbel.core.weekly.LiftSpan;
import dev.yarbel.core.weekly.SpanSeen;
import dev.yarbel.web.calls.ToldCalls;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Tells a lifter's week in plain sentences, from what is in plan and log and nothing else. */
@Component
class WeekDraft {

    private static final int MOST_BESTS = 5;

    private final Words words;

    WeekDraft(Words words) {
        this.words = words;
    }

    /** The draft, a sentence or two a line. */
    String of(LifterCard lifter, WeekView view) {
        SpanSeen week = view.week();
        MassUnit unit = lifter.unit();
        List<String> lines = new ArrayList<>();
        lines.add(head(lifter, view));
        lines.add("");
        lines.add(sessions(week));
        week.lifts().forEach(lift -> lines.add(lift(lift, unit)));
        if (!view.bests().isEmpty()) {
            lines.add(words.say(
                    "week.best",
                    view.bests().stream()
                            .limit(MOST_BESTS)
                            .map(best -> best(best, unit))
                            .collect(Collectors.joining(", "))));
        }
        week.pain().forEach(pain -> lines.add(words.say("week.pain", pain)));
        view.calls().stream().filter(call -> !call.isOpen()).forEach(call -> lines.add(decided(call)));
        lines.add("");
        lines.addAll(next(view, unit));
        return String.join("\n", lines);
    }

    private String head(LifterCard lifter, WeekView view) {
        String dates = words.say(
                "week.dates",
                words.day(view.week().first()),
                words.day(view.week().last()));
        return view.block()
                .map(at -> words.say("week.head.in-block", lifter.name(), dates, at.week(), at.weeks(), at.name()))
                .orElseGet(() -> words.say("week.head", lifter.name(), dates));
    }

    private String sessions(SpanSeen week) {
        if (week.isEmpty()) {
            return words.say("week.nothing");
        }
        StringBuilder told =
                new StringBuilder(words.say("week.sessions", week.sessions().size(), week.sessionsAsked()));
        if (week.setsAsked() > 0) {
            told.append(' ').append(words.say("week.sets", week.setsDone(), week.setsAsked()));
        }
        if (!week.notDone().isEmpty()) {
            told.append(' ')
                    .append(words.say(
                            "week.not-done",
                            week.notDone().stream().map(words::weekday).collect(Collectors.joining(", "))));
        }
        return told.toString();
    }

    private String lift(LiftSpan lift, MassUnit unit) {
        List<String> parts = new ArrayList<>();
        parts.add(lift.best()
                .map(set -> words.say("week.best-set", set(set, unit)))
                .orElseGet(() -> words.say("week.work-sets", lift.sets())));
        if (lift.rated() > 0) {
            parts.add(
                    lift.onTarget() == lift.rated()
                            ? words.say("week.rated.all", lift.rated())
                            : words.say("week.rated", lift.rated(), lift.onTarget(), lift.over(), lift.under()));
        }
        if (lift.doubtful() > 0) {
            parts.add(words.say("week.doubtful", lift.doubtful()));
        }
        if (lift.missed() > 0) {
            parts.add(words.say("week.missed", lift.missed()));
        }
        lift.estimate()
                .ifPresent(estimate -> parts.add(lift.moved()
                        .map(moved -> words.moved(moved, unit))
                        .filter(moved -> !moved.startsWith("0 "))
                        .map(moved -> words.say("week.estimate.moved", words.about(estimate, unit), moved))
                        .orElseGet(() -> words.say("week.estimate", words.about(estimate, unit)))));
        return words.say("week.lift", words.lift(lift.lift()), String.join("; ", parts));
    }

    private String set(SeenSet seen, MassUnit unit) {
        String load =
                words.say("set", words.load(seen.set().load(), unit), seen.set().reps());
        return seen.set()
                .rating()
                .map(rating -> words.say("week.set.rated", load, words.figure(rating.toString())))
                .orElse(load);
    }

    private String best(Best.PastSet best, MassUnit unit) {
        return words.say(
                "set.of",
                words.lift(best.set().lift()),
                words.load(best.set().load(), unit),
                best.set().reps());
    }

    private String decided(ToldCalls.Told call) {
        String found = words.say("calls.slip", words.lift(call.lift()), words.say("calls.line." + call.rule()));
        String answer = words.say("calls.answer." + call.answer());
        String told = call.changed()
                ? words.say("week.decided.changed", found, answer, words.dose(call.before()), words.dose(call.after()))
                : words.say("week.decided", found, answer);
        return call.why().map(why -> told + " " + words.say("week.why", why)).orElse(told);
    }

    private List<String> next(WeekView view, MassUnit unit) {
        if (view.next().isEmpty()) {
            return List.of(words.say("week.next.none"));
        }
        List<String> lines = new ArrayList<>();
        lines.add(words.say(view.nextIsDeload() ? "week.next.deload" : "week.next"));
        view.next()
                .forEach(day -> lines.add(words.say(
                        "week.next.day",
                        words.weekday(day.date()),
                        day.asks().stream().map(ask -> ask(ask, unit)).collect(Collectors.joining("; ")))));
        return lines;
    }

    private String ask(WeekView.Ask ask, MassUnit unit) {
        String asked = words.lift(ask.lift()) + " " + words.dose(ask.dose().shorthand());
        return ask.load()
                .map(load -> words.say("week.ask", asked, words.load(load, unit)))
                .orElse(asked);
    }
}
