package dev.yarbel.web.floor;

import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.session.Amendment;
import dev.yarbel.core.session.SessionPlan.Task;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.account.Access;
import dev.yarbel.web.book.Sessions;
import dev.yarbel.web.page.FormExtras;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.time.Clock;
import java.time.Duration;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Several lifters side by side as they lift, for their coach; and the lines on which pages hear that something moved. */
@Controller
class LiveController {

    /** A session begun longer ago is over. */
    private static final Duration ON_THE_FLOOR = Duration.ofHours(6);

    private final Roster roster;
    private final Sessions sessions;
    private final FloorWords spoken;
    private final LiveSide side;
    private final Listeners listeners;
    private final Access access;
    private final Clock clock;

    LiveController(
            Roster roster,
            Sessions sessions,
            FloorWords spoken,
            LiveSide side,
            Listeners listeners,
            Access access,
            Clock clock) {
        this.roster = roster;
        this.sessions = sessions;
        this.spoken = spoken;
        this.side = side;
        this.listeners = listeners;
        this.access = access;
        this.clock = clock;
    }

    /**
     * The coach's lifters who are lifting or wait for an answer, side by side, and whoever else was chosen.
     *
     * @param lifter those to show besides
     */
    @GetMapping("/live")
    String live(@AuthenticationPrincipal Person person, @RequestParam Optional<Set<Long>> lifter, Model model) {
        List<LifterCard> all = roster.lifters(person);
        Set<Long> lifting = new HashSet<>(
                sessions.begunSince(person.clubId(), clock.instant().minus(ON_THE_FLOOR)));
        all.stream().filter(spoken::isAsking).map(LifterCard::id).forEach(lifting::add);
        Set<Long> chosen = lifter.orElse(Set.of());
        Map<Boolean, List<LifterCard>> shown = all.stream()
                .collect(Collectors.partitioningBy(card -> lifting.contains(card.id()) || chosen.contains(card.id())));
        model.addAttribute("shown", shown.get(true));
        model.addAttribute("others", shown.get(false));
        model.addAttribute(
                "chosen", chosen.stream().map(id -> "lifter=" + id + "&").collect(Collectors.joining()));
        return "floor/live";
    }

    @GetMapping(path = "/live/events", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter events(@AuthenticationPrincipal Person person, HttpServletRequest request) {
        Set<Long> own = own(person);
        return listeners.open(person.clubId(), own::contains, isOpen(request, () -> own(person)
                .containsAll(own)));
    }

    /** Whether the session that opens a line is still there, and whoever opened it still may. */
    private BooleanSupplier isOpen(HttpServletRequest request, BooleanSupplier may) {
        HttpSession session = request.getSession(false);
        Optional<String> id = Optional.ofNullable(session).map(HttpSession::getId);
        return () -> id.map(access::isOpen).orElse(true) && may.getAsBoolean();
    }

    private Set<Long> own(Person person) {
        return roster.lifters(person).stream().map(LifterCard::id).collect(Collectors.toSet());
    }

    @GetMapping(path = "/lifters/{id}/floor/events", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter events(@AuthenticationPrincipal Person person, LifterCard lifter, HttpServletRequest request) {
        return listeners.open(
                lifter.clubId(),
                moved -> moved == lifter.id(),
                isOpen(request, () -> roster.maySee(person, lifter.id())));
    }

    /** One lifter's side of it. */
    @GetMapping("/lifters/{id}/floor/side")
    ModelAndView side(LifterCard lifter, Optional<FloorDay> floor) {
        return side.of(lifter, floor, FormState.NONE);
    }

    /**
     * Another dose from the set in hand on.
     *
     * @param seen the set that the coach saw in hand
     * @param load for the dose that is asked for; or another dose
     */
    record Given(String token, TaskKey seen, String load, String dose) {}

    /** Gives another dose from the set in hand on. */
    @PostMapping("/lifters/{id}/floor/side")
    ModelAndView give(@AuthenticationPrincipal Person person, FloorDay floor, Sent<Given> sent) {
        LifterCard lifter = floor.plan().lifter();
        return sent.answer(
                LiveSide.form(lifter),
                given -> {
                    sessions.amend(
                            person,
                            lifter,
                            floor.key(),
                            floor.plan().today(),
                            FormExtras.token(given.token()),
                            change(floor, given),
                            Optional.empty(),
                            floor.asked());
                    return side.of(person, lifter, FormState.NONE);
                },
                state -> side.of(person, lifter, state));
    }

    private static Amendment change(FloorDay floor, Given given) {
        Task now = floor.session().next().orElseThrow(NotFoundException::new);
        TaskKey from = fromSet(now.key());
        if (given.seen() != null && !from.equals(fromSet(given.seen()))) {
            throw new UnreadableException("live.moved-on").in(given.dose() == null ? "load" : "dose");
        }
        return given.dose() == null
                ? Reading.field("load", given.load(), text -> atLoad(floor, now, from.number(), text))
                : Reading.field(
                        "dose",
                        given.dose(),
                        text -> FloorChangesController.redose(floor, now.asked(), from.number(), text));
    }

    /** The work set from which on a dose is given to somebody with this set in hand. */
    private static TaskKey fromSet(TaskKey inHand) {
        return inHand.warmUp() ? TaskKey.work(inHand.letter(), 1) : inHand;
    }

    private static Amendment atLoad(FloorDay floor, Task now, int set, String text) {
        MassUnit unit = floor.plan().lifter().unit();
        return new Amendment.AtLoad(now.key().letter(), set, Reading.mass(text, unit), Reading.unit(text, unit));
    }
}
