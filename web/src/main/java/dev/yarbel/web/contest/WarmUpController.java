package dev.yarbel.web.contest;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Sent;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
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

/** The warm-up room: a clock that counts back from the flight, and says who lifts what on which bar. */
@Controller
@RequestMapping("/contests/{contest}/warm-up")
class WarmUpController {

    private static final LocalTime TEN = LocalTime.of(10, 0);
    private static final int PACE = 60;

    private final Contests contests;
    private final Flights flights;
    private final Advisor advisor;
    private final DayReader days;
    private final Clock clock;

    WarmUpController(Contests contests, Flights flights, Advisor advisor, DayReader days, Clock clock) {
        this.contests = contests;
        this.flights = flights;
        this.advisor = advisor;
        this.days = days;
        this.clock = clock;
    }

    @GetMapping
    ModelAndView show(
            @AuthenticationPrincipal Person coach,
            @PathVariable long contest,
            @RequestParam(required = false) String lift,
            @RequestParam(defaultValue = "1") int flight,
            HttpServletResponse response) {
        response.setHeader("Yarbel-Account", String.valueOf(coach.accountId()));
        return page(coach, contests.ofLifts(coach, contest), Optional.ofNullable(lift), flight, FormState.NONE);
    }

    /**
     * When a flight begins.
     *
     * @param by so many minutes later than was thought, earlier where it is negative; a time is not asked for then
     * @param entry and {@code before}, where a lifter's attempts before the first are set
     */
    record FlightForm(
            Lift lift,
            @Range(min = 1, max = 9) Integer flight,
            LocalTime starts,
            @Range(min = 1, max = 6) Integer bars,
            @Range(min = 30, max = 180) Integer pace,
            @Range(min = -120, max = 120) Integer by,
            Long entry,
            @Range(min = 0, max = 60) Integer before) {}

    @PostMapping
    ModelAndView set(@AuthenticationPrincipal Person coach, @PathVariable long contest, Sent<FlightForm> sent) {
        ContestEntity held = contests.ofLifts(coach, contest);
        return sent.answer(
                sent.text("entry").isEmpty() ? "flight" : "before-" + sent.text("entry"),
                form -> {
                    Lift lift = lift(held, Optional.ofNullable(form.lift()).map(Lift::key))
                            .orElseThrow(NotFoundException::new);
                    int number = form.flight() == null ? 1 : form.flight();
                    if (form.entry() != null) {
                        flights.before(coach, held, form.entry(), Optional.ofNullable(form.before()));
                    } else {
                        WarmUpView.FlightShown now = flight(coach, held, lift, number);
                        Instant starts = form.by() != null
                                ? now.startsAt().plusSeconds(form.by() * 60L)
                                : day(coach, held)
                                        .atTime(Reading.needed("starts", form.starts()))
                                        .atZone(coach.zone())
                                        .toInstant();
                        flights.set(
                                held,
                                lift,
                                number,
                                starts,
                                form.bars() == null ? now.bars() : form.bars(),
                                form.pace() == null ? now.pace() : form.pace());
                    }
                    return new ModelAndView(
                            "redirect:/contests/" + contest + "/warm-up?lift=" + lift.key() + "&flight=" + number);
                },
                state -> page(coach, held, Optional.of(sent.text("lift")), flightTyped(sent.text("flight")), state));
    }

    private static int flightTyped(String text) {
        return text.matches("[1-9]") ? Integer.parseInt(text) : 1;
    }

    private static Optional<Lift> lift(ContestEntity contest, Optional<String> key) {
        return key.flatMap(of -> contest.rules().lifts().stream()
                .filter(lift -> lift.key().equals(of))
                .findFirst());
    }

    private LocalDate day(Person coach, ContestEntity contest) {
        return contest.on().orElseGet(() -> LocalDate.ofInstant(clock.instant(), coach.zone()));
    }

    /** As it was set; else as the contest begins. */
    private WarmUpView.FlightShown flight(Person coach, ContestEntity contest, Lift lift, int number) {
        return flights.of(contest).stream()
                .filter(flight -> flight.lift().equals(lift) && flight.flight() == number)
                .findFirst()
                .map(flight ->
                        new WarmUpView.FlightShown(lift, number, flight.startsAt(), flight.bars(), flight.pace(), true))
                .orElseGet(() -> new WarmUpView.FlightShown(
                        lift,
                        number,
                        day(coach, contest)
                                .atTime(contest.begins().orElse(TEN))
                                .atZone(coach.zone())
                                .toInstant(),
                        1,
                        PACE,
                        false));
    }

    private ModelAndView page(
            Person coach, ContestEntity contest, Optional<String> asked, int number, FormState state) {
        DayView.Made made = days.of(coach, contest);
        List<Lift> lifts = contest.rules().lifts();
        Lift lift = lift(contest, asked).orElseGet(() -> DayView.underWay(made));
        WarmUpView.FlightShown flight = flight(coach, contest, lift, number);
        return new ModelAndView("contest/warm-up")
                .addObject("kg", MassUnit.KG)
                .addObject("contest", contest)
                .addObject("lifts", lifts)
                .addObject("view", WarmUpView.of(made, flight, advisor, clock.instant()))
                .addObject(
                        "flights",
                        made.entries().stream()
                                .map(EntryEntity::flight)
                                .distinct()
                                .sorted()
                                .toList())
                .addObject("zone", coach.zone())
                .addObject(
                        "starts",
                        LocalTime.ofInstant(flight.startsAt(), coach.zone()).truncatedTo(ChronoUnit.MINUTES))
                .addObject("now", clock.instant())
                .addObject("contestDay", true)
                .addObject("state", state);
    }
}
