package dev.yarbel.web.contest;

import dev.yarbel.core.contest.NoLift;
import dev.yarbel.core.contest.Outcome;
import dev.yarbel.core.contest.Points;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.FormExtras;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Sent;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Optional;
import org.hibernate.validator.constraints.Range;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The day of a contest, in the hand: who lifts what next, what became of it, how all stand. */
@Controller
@RequestMapping("/contests/{contest}/day")
class DayController {

    private static final String NAME = "NAME";
    private static final String BACK = "BACK";
    private static final String MORE = "MORE";

    private final Contests contests;
    private final Taps taps;
    private final Advisor advisor;
    private final DayReader days;
    private final Clock clock;

    DayController(Contests contests, Taps taps, Advisor advisor, DayReader days, Clock clock) {
        this.contests = contests;
        this.taps = taps;
        this.advisor = advisor;
        this.days = days;
        this.clock = clock;
    }

    /** @param lift to look at; the one under way where nothing is said */
    @GetMapping
    ModelAndView show(
            @AuthenticationPrincipal Person coach,
            @PathVariable long contest,
            @RequestParam(required = false) String lift,
            HttpServletResponse response) {
        response.setHeader("Yarbel-Account", String.valueOf(coach.accountId()));
        return page(coach, contests.ofLifts(coach, contest), Optional.ofNullable(lift), FormState.NONE);
    }

    /**
     * What is said of an attempt.
     *
     * @param act an outcome, {@code NAME} for a load, {@code BACK} where it is taken back, {@code MORE} where more is said of it
     * @param known what was known to have been said of it
     * @param at when it was said, where the phone had no line then
     * @param why it was no good one
     * @param lights the white ones
     */
    record TapForm(
            Long entry,
            Lift lift,
            Integer number,
            String act,
            String load,
            String known,
            String at,
            String confirmed,
            NoLift why,
            @Range(min = 0, max = 3) Integer lights) {}

    @PostMapping
    ModelAndView tap(@AuthenticationPrincipal Person coach, @PathVariable long contest, Sent<TapForm> sent) {
        ContestEntity held = contests.ofLifts(coach, contest);
        return sent.answer(
                "tap-" + sent.text("entry"),
                form -> {
                    tap(coach, held, form);
                    return new ModelAndView("redirect:/contests/" + contest + "/day?lift="
                            + form.lift().key());
                },
                state -> page(coach, held, Optional.of(sent.text("lift")), state));
    }

    private void tap(Person coach, ContestEntity contest, TapForm form) {
        if (form.entry() == null || form.lift() == null || form.number() == null || form.act() == null) {
            throw new NotFoundException();
        }
        Taps.Which which = new Taps.Which(form.entry(), form.lift(), form.number(), instant(form.at()));
        if (form.act().equals(NAME)) {
            taps.name(
                    coach,
                    contest,
                    which,
                    Reading.field("load", form.load(), text -> Reading.mass(text, MassUnit.KG)),
                    FormExtras.isConfirmed(form.confirmed(), form.load()));
        } else if (form.act().equals(BACK)) {
            taps.unsay(coach, contest, which);
        } else if (form.act().equals(MORE)) {
            taps.tell(coach, contest, which, Optional.ofNullable(form.why()), Optional.ofNullable(form.lights()));
        } else {
            Outcome outcome = Reading.find(Outcome.class, form.act()).orElseThrow(NotFoundException::new);
            taps.say(
                    coach,
                    contest,
                    which,
                    outcome,
                    Optional.ofNullable(form.known()).flatMap(text -> Reading.find(Outcome.class, text)));
        }
    }

    private static Optional<Instant> instant(String text) {
        try {
            return Optional.ofNullable(text).map(Instant::parse);
        } catch (DateTimeParseException none) {
            return Optional.empty();
        }
    }

    private ModelAndView page(Person coach, ContestEntity contest, Optional<String> asked, FormState state) {
        DayView.Made made = days.of(coach, contest);
        List<Lift> lifts = contest.rules().lifts();
        Lift lift = asked.flatMap(key ->
                        lifts.stream().filter(one -> one.key().equals(key)).findFirst())
                .orElseGet(() -> DayView.underWay(made));
        return new ModelAndView("contest/day")
                .addObject("kg", MassUnit.KG)
                .addObject("contest", contest)
                .addObject("lifts", lifts)
                .addObject("view", DayView.of(made, lift, advisor))
                .addObject("formulas", Points.of(contest.rules().benchOnly()))
                .addObject("now", clock.instant())
                .addObject("come", contest.isCome(LocalDate.ofInstant(clock.instant(), coach.zone())))
                .addObject("contestDay", true)
                .addObject("state", state);
    }
}
