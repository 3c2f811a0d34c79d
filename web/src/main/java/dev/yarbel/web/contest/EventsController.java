package dev.yarbel.web.contest;

import dev.yarbel.core.contest.EventMeasure;
import dev.yarbel.core.contest.EventResult;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.Undo;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The events of a strongman contest: what is announced, what was done, how the points stand, where the next is cheapest. */
@Controller
@RequestMapping("/contests/{contest}/events")
class EventsController {

    private final Contests contests;
    private final Events events;
    private final Roster roster;
    private final Book book;
    private final Words words;

    EventsController(Contests contests, Events events, Roster roster, Book book, Words words) {
        this.contests = contests;
        this.events = events;
        this.roster = roster;
        this.book = book;
        this.words = words;
    }

    private ContestEntity of(Person coach, long contest) {
        ContestEntity held = contests.contest(coach, contest);
        if (!held.rules().isOfEvents()) {
            throw new NotFoundException();
        }
        return held;
    }

    @GetMapping
    ModelAndView show(@AuthenticationPrincipal Person coach, @PathVariable long contest, HttpServletResponse response) {
        response.setHeader("Yarbel-Account", String.valueOf(coach.accountId()));
        return page(coach, of(coach, contest), FormState.NONE);
    }

    private static ModelAndView to(long contest) {
        return new ModelAndView("redirect:/contests/" + contest + "/events");
    }

    @PostMapping
    ModelAndView add(@AuthenticationPrincipal Person coach, @PathVariable long contest, Sent<EventForm> sent) {
        ContestEntity held = of(coach, contest);
        return sent.answer(
                "event",
                form -> {
                    events.add(coach, held, read(coach, form));
                    return to(contest);
                },
                state -> page(coach, held, state));
    }

    private EventEntity.Set read(Person coach, EventForm form) {
        Catalogue catalogue = book.catalogue(coach.clubId());
        return form.read(lift -> catalogue.find(lift).isPresent(), words::lift);
    }

    @PostMapping("/{event}")
    ModelAndView change(
            @AuthenticationPrincipal Person coach,
            @PathVariable long contest,
            @PathVariable long event,
            Sent<EventForm> sent) {
        ContestEntity held = of(coach, contest);
        return sent.answer(
                "event-" + event,
                form -> {
                    events.change(coach, held, event, read(coach, form));
                    return to(contest);
                },
                state -> page(coach, held, state));
    }

    @PostMapping("/{event}/earlier")
    ModelAndView earlier(@AuthenticationPrincipal Person coach, @PathVariable long contest, @PathVariable long event) {
        events.earlier(of(coach, contest), event);
        return to(contest);
    }

    @PostMapping("/{event}/remove")
    ModelAndView remove(
            @AuthenticationPrincipal Person coach,
            @PathVariable long contest,
            @PathVariable long event,
            RedirectAttributes flash) {
        events.removed(coach, of(coach, contest), event, true);
        Undo.offer(flash, "/contests/" + contest + "/events/" + event + "/restore");
        return to(contest);
    }

    @PostMapping("/{event}/restore")
    ModelAndView restore(@AuthenticationPrincipal Person coach, @PathVariable long contest, @PathVariable long event) {
        events.removed(coach, of(coach, contest), event, false);
        return to(contest);
    }

    /** Nothing is asked before a load is announced, or results are sent: those are read by their fields. */
    record Nothing() {}

    @PostMapping("/{event}/announce")
    ModelAndView announce(
            @AuthenticationPrincipal Person coach,
            @PathVariable long contest,
            @PathVariable long event,
            Sent<Nothing> sent,
            RedirectAttributes flash) {
        ContestEntity held = of(coach, contest);
        return sent.answer(
                "announce-" + event,
                form -> {
                    List<LifterCard> told = events.announce(coach, held, event);
                    flash.addFlashAttribute(
                            "notice",
                            words.say(
                                    "contest.announced",
                                    told.stream().map(LifterCard::name).collect(Collectors.joining(", "))));
                    return to(contest);
                },
                state -> page(coach, held, state));
    }

    @PostMapping("/results")
    ModelAndView results(
            @AuthenticationPrincipal Person coach,
            @PathVariable long contest,
            Sent<Nothing> sent,
            RedirectAttributes flash) {
        ContestEntity held = of(coach, contest);
        return sent.answer(
                "results",
                form -> {
                    events.say(coach, held, changed(held, sent));
                    flash.addFlashAttribute("notice", words.say("contest.kept"));
                    return to(contest);
                },
                state -> page(coach, held, state));
    }

    /** Only what was changed on this page is said: what another phone sent meanwhile stays. */
    private List<Events.Said> changed(ContestEntity contest, Sent<Nothing> sent) {
        List<Events.Said> said = new ArrayList<>();
        List<EventEntity> announced = events.of(contest);
        Map<List<Long>, ResultEntity> stands = events.results(contest).stream()
                .collect(Collectors.toMap(result -> List.of(result.entryId(), result.eventId()), Function.identity()));
        for (EntryEntity entry : contests.entries(contest)) {
            for (EventEntity event : announced) {
                String field = EventsView.field(entry, event);
                String text = sent.text(field).strip();
                if (!text.equals(sent.text("was-" + field).strip())) {
                    if (!text.isEmpty()) {
                        Reading.field(field, text, typed -> read(typed, event));
                    }
                    meanwhile(
                            Optional.ofNullable(stands.get(List.of(entry.id(), event.id()))),
                            text,
                            sent.text("was-" + field).strip(),
                            field);
                    said.add(new Events.Said(event, entry, text));
                }
            }
        }
        return said;
    }

    /** Somebody else said otherwise since the page was opened: whoever sees that decides. */
    private static void meanwhile(Optional<ResultEntity> stands, String text, String was, String field) {
        String now = stands.map(ResultEntity::written).orElse("");
        if (!now.equals(was) && !now.equals(text) && stands.isPresent()) {
            throw new UnreadableException(
                            "contest.error.result.meanwhile", stands.get().saidBy(), now)
                    .in(field);
        }
    }

    /** @throws UnreadableException when it is no result of the event */
    static EventResult read(String typed, EventEntity event) {
        try {
            return EventResult.parse(typed, event.measure());
        } catch (IllegalArgumentException none) {
            throw new UnreadableException("contest.error.result." + event.measure());
        }
    }

    private ModelAndView page(Person coach, ContestEntity contest, FormState state) {
        Map<String, String> lifts = new TreeMap<>();
        book.catalogue(coach.clubId()).all().stream()
                .filter(Variation::contest)
                .forEach(variation ->
                        lifts.put(words.lift(variation.lift()), variation.lift().key()));
        return new ModelAndView("contest/events")
                .addObject("kg", MassUnit.KG)
                .addObject("m", LengthUnit.M)
                .addObject("contest", contest)
                .addObject("measures", EventMeasure.values())
                .addObject("lifts", lifts)
                .addObject("contestDay", true)
                .addObject(
                        "view",
                        EventsView.of(
                                events.of(contest),
                                contests.entries(contest),
                                events.results(contest),
                                roster.lifters(coach).stream()
                                        .map(LifterCard::id)
                                        .collect(Collectors.toSet())))
                .addObject("state", state);
    }
}
