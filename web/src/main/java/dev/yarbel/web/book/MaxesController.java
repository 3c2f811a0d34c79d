package dev.yarbel.web.book;

import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.lifter.Sport;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.FormExtras;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.roster.LifterCard;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.ModelAndView;

/** All maxes of a lifter on one form, as a coach asks for them on the first day. */
@Controller
@RequestMapping("/lifters/{id}/book/maxes")
class MaxesController {

    private static final List<Lift> ALWAYS = List.of(Lift.SQUAT, Lift.BENCH_PRESS, Lift.DEADLIFT, Lift.OVERHEAD_PRESS);

    private final Book book;
    private final StartingNumbers starting;
    private final Clock clock;

    MaxesController(Book book, StartingNumbers starting, Clock clock) {
        this.book = book;
        this.starting = starting;
        this.clock = clock;
    }

    /**
     * The form; lines are by the lifts' keys, and one that is blank says nothing.
     *
     * @param on when the maxes were lifted
     * @param confirmed the loads that were asked about and are meant
     */
    record MaxesForm(
            Map<String, String> load,
            Map<String, String> reps,
            Map<String, String> goal,
            @NotNull LocalDate on,
            @Size(max = 80) String source,
            Boolean contest,
            String confirmed) {}

    @GetMapping
    ModelAndView show(@AuthenticationPrincipal Person coach, LifterCard lifter) {
        return page(coach, lifter, FormState.NONE, "");
    }

    private ModelAndView page(Person coach, LifterCard lifter, FormState state, String asked) {
        LifterRecord standing = book.standing(lifter);
        return new ModelAndView("book/maxes")
                .addObject("lifter", lifter)
                .addObject("state", state)
                .addObject("asked", asked)
                .addObject("today", today(coach))
                .addObject("aches", lifter.aches())
                .addObject("lines", lines(lifter, standing));
    }

    /** A lift that may be filled in, with what is known of it. */
    record Line(Lift lift, LiftRecord known) {}

    private static List<Line> lines(LifterCard lifter, LifterRecord standing) {
        boolean events = lifter.sport().filter(Sport.STRONGMAN::equals).isPresent();
        List<Lift> lifts = new ArrayList<>(ALWAYS);
        standing.catalogue().all().stream()
                .filter(variation -> events && variation.contest()
                        || standing.of(variation.lift())
                                .filter(LiftRecord::hasNumbers)
                                .isPresent())
                .map(Variation::lift)
                .filter(lift -> !lifts.contains(lift))
                .forEach(lifts::add);
        return lifts.stream()
                .map(lift -> new Line(lift, standing.of(lift).orElseGet(() -> LiftRecord.none(lift))))
                .toList();
    }

    private LocalDate today(Person person) {
        return LocalDate.ofInstant(clock.instant(), person.zone());
    }

    @PostMapping
    ModelAndView keep(@AuthenticationPrincipal Person coach, LifterCard lifter, Sent<MaxesForm> sent) {
        List<Line> lines = lines(lifter, book.standing(lifter));
        String loads = FormExtras.mark(lines.stream()
                        .flatMap(line ->
                                List.of(sent.text(field("load", line.lift())), sent.text(field("goal", line.lift())))
                                        .stream())
                        .toArray(String[]::new))
                .strip();
        return sent.answer(
                "maxes",
                form -> {
                    starting.maxes(
                            coach,
                            lifter,
                            typed(lines, form, lifter.unit(), today(coach)),
                            FormExtras.isConfirmed(form.confirmed(), loads));
                    return new ModelAndView("redirect:/lifters/" + lifter.id() + "/book");
                },
                state -> page(coach, lifter, state, loads));
    }

    static String field(String name, Lift lift) {
        return name + "[" + lift.key() + "]";
    }

    private static List<StartingNumbers.TypedMax> typed(
            List<Line> lines, MaxesForm form, MassUnit unit, LocalDate today) {
        LocalDate on = Reading.past("on", form.on(), today);
        List<StartingNumbers.TypedMax> typed = new ArrayList<>();
        for (Line line : lines) {
            Lift lift = line.lift();
            String loadField = field("load", lift);
            String load = of(form.load(), lift);
            Reading.fieldIfAny(loadField, load, text -> Reading.mass(text, unit))
                    .ifPresent(mass -> typed.add(new StartingNumbers.TypedMax(
                            loadField, max(form, lift, mass, on), Reading.unit(load, unit))));
            String goal = of(form.goal(), lift);
            Reading.fieldIfAny(field("goal", lift), goal, text -> Reading.mass(text, unit))
                    .ifPresent(mass -> typed.add(new StartingNumbers.TypedMax(
                            field("goal", lift),
                            new RecordedMax(lift, RecordedMax.Kind.GOAL, mass, 1, today, Set.of(), ""),
                            Reading.unit(goal, unit))));
        }
        return typed;
    }

    private static RecordedMax max(MaxesForm form, Lift lift, Mass load, LocalDate on) {
        int reps = Reading.fieldIfAny(
                        field("reps", lift),
                        of(form.reps(), lift),
                        text -> Reading.number(text, 1, RecordedMax.MOST_REPS))
                .orElse(1);
        RecordedMax.Kind single =
                Boolean.TRUE.equals(form.contest()) ? RecordedMax.Kind.CONTEST : RecordedMax.Kind.TESTED;
        return new RecordedMax(
                lift,
                reps == 1 ? single : RecordedMax.Kind.REP_MAX,
                load,
                reps,
                on,
                Set.of(),
                Objects.requireNonNullElse(form.source(), ""));
    }

    private static String of(Map<String, String> typed, Lift lift) {
        return Objects.requireNonNullElse(typed, Map.<String, String>of()).getOrDefault(lift.key(), "");
    }
}
