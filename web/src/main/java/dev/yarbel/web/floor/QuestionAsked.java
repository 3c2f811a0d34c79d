package dev.yarbel.web.floor;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.session.Amendment;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.Question;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.page.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What a set raised, with the answers to choose from: each is the amendments it makes of the day. */
final class QuestionAsked implements Question.Visitor<DayDocument.Asked> {

    private final FloorDay day;
    private final TaskKey about;
    private final MassUnit unit;
    private final Words words;

    private QuestionAsked(FloorDay day, TaskKey about, MassUnit unit, Words words) {
        this.day = day;
        this.about = about;
        this.unit = unit;
        this.words = words;
    }

    static DayDocument.Asked of(FloorDay day, Question question, MassUnit unit, Words words) {
        return question.accept(new QuestionAsked(day, question.about(), unit, words));
    }

    @Override
    public DayDocument.Asked warmUpIsTop(Question.WarmUpIsTop warm) {
        DayDocument.Answer itIs = new DayDocument.Answer(
                words.say("question.it-is"),
                List.of(),
                warm.about().toString(),
                warm.top().toString(),
                true);
        return new DayDocument.Asked(
                "warm-up-is-top", List.of(), List.of(itIs, answer("question.go-on", false, List.of(goOn()))));
    }

    @Override
    public DayDocument.Asked largerStep(Question.LargerStep step) {
        String load = words.load(step.load(), unit);
        return new DayDocument.Asked(
                "larger-step",
                List.of(load),
                List.of(
                        said(
                                words.say("question.take", load),
                                true,
                                List.of(atLoad(step.top().number(), step.load()), goOn())),
                        answer("question.as-planned", false, List.of(goOn()))));
    }

    @Override
    public DayDocument.Asked topOffTarget(Question.TopOffTarget off) {
        List<DayDocument.Answer> answers = new ArrayList<>();
        off.another()
                .ifPresent(load -> answers.add(said(
                        words.say("question.another", words.load(load, unit)),
                        false,
                        List.of(
                                new Amendment.Another(about.letter(), about.number()),
                                atLoad(about.number() + 1, load),
                                goOn()))));
        answers.add(answer("question.from-it", false, List.of(goOn())));
        answers.add(answer("question.stop", false, stop()));
        String code = off.missed() ? "top-missed" : off.halves() > 0 ? "top-over" : "top-under";
        return new DayDocument.Asked(code, List.of(points(off.halves())), answers);
    }

    @Override
    public DayDocument.Asked collapsed(Question.Collapsed collapsed) {
        return new DayDocument.Asked(
                "collapsed",
                List.of(collapsed.made(), collapsed.expected()),
                Stream.of(
                                Optional.of(answer("question.cut", true, stop())),
                                counted(),
                                Optional.of(answer("question.go-on", false, List.of(goOn()))))
                        .flatMap(Optional::stream)
                        .toList());
    }

    /** The set counts as the first of those that follow it, and the others are done; empty where none follows. */
    private Optional<DayDocument.Answer> counted() {
        List<PrescribedSets> asked = day.amended().day();
        return asked.stream()
                .filter(part -> part.isAnsweredBy(about))
                .findFirst()
                .flatMap(limit -> asked.stream()
                        .skip(asked.indexOf(limit) + 1L)
                        .filter(part -> part.lift().equals(limit.lift()) && part.sets() > 0)
                        .findFirst())
                .map(next -> {
                    int sets = asked.stream()
                            .filter(part -> part.letter().equals(next.letter()))
                            .mapToInt(PrescribedSets::sets)
                            .sum();
                    return answer(
                            "question.count-it",
                            false,
                            List.of(new Amendment.Shorten(next.letter(), sets - 1), goOn()));
                });
    }

    @Override
    public DayDocument.Asked tooHeavy(Question.TooHeavy heavy) {
        List<Amendment> lighter = new ArrayList<>();
        for (int set = about.number() + 1; set <= heavy.last(); set++) {
            lighter.add(atLoad(set, heavy.load()));
        }
        lighter.add(goOn());
        return new DayDocument.Asked(
                heavy.missed() ? "too-heavy-missed" : "too-heavy",
                List.of(),
                List.of(
                        said(words.say("question.rest-at", words.load(heavy.load(), unit)), true, lighter),
                        answer("question.stop", false, stop()),
                        answer("question.go-on", false, List.of(goOn()))));
    }

    private DayDocument.Answer answer(String code, boolean main, List<Amendment> changes) {
        return said(words.say(code), main, changes);
    }

    private static DayDocument.Answer said(String text, boolean main, List<Amendment> changes) {
        return new DayDocument.Answer(
                text, changes.stream().map(Amendment::text).toList(), null, null, main);
    }

    private Amendment goOn() {
        return new Amendment.GoOn(about);
    }

    private Amendment atLoad(int set, Mass load) {
        return new Amendment.AtLoad(about.letter(), set, load, unit);
    }

    private static String points(int halves) {
        int size = Math.abs(halves);
        return size / 2 + (size % 2 == 0 ? "" : ".5");
    }

    /** What ends the lift for today: every slot of it keeps the sets that were done. */
    private List<Amendment> stop() {
        Optional<Lift> lift = day.amended().day().stream()
                .filter(asked -> asked.letter().equals(about.letter()))
                .map(PrescribedSets::lift)
                .findFirst();
        List<Amendment> changes = new ArrayList<>();
        day.amended().day().stream()
                .filter(asked -> lift.filter(asked.lift()::equals).isPresent())
                .map(PrescribedSets::letter)
                .distinct()
                .forEach(letter -> changes.add(new Amendment.Shorten(letter, lastDone(letter))));
        changes.add(goOn());
        return changes;
    }

    private int lastDone(String letter) {
        return day.done().stream()
                .map(DoneSet::task)
                .filter(key -> key.letter().equals(letter) && !key.warmUp())
                .mapToInt(TaskKey::number)
                .max()
                .orElse(0);
    }
}
