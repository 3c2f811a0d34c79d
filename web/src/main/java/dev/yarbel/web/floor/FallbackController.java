package dev.yarbel.web.floor;

import dev.yarbel.core.adjust.Fallback;
import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.session.Amendment;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.web.book.Sessions;
import dev.yarbel.web.page.Htmx;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Words;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** A session when the day goes otherwise than planned: half an hour only, a bad night, no rack. */
@Controller
@RequestMapping("/lifters/{id}/floor/fallbacks")
class FallbackController {

    private final Sessions sessions;
    private final FloorPage page;
    private final ChangeWords changes;
    private final Words words;

    FallbackController(Sessions sessions, FloorPage page, ChangeWords changes, Words words) {
        this.sessions = sessions;
        this.page = page;
        this.changes = changes;
        this.words = words;
    }

    /**
     * What a fallback makes of the day.
     *
     * @param lines one for each slot that is changed
     */
    record OfferView(Fallback kind, int minutes, List<Line> lines, UUID once) {

        /** What becomes of a slot, in words. */
        record Line(String letter, Lift lift, String words) {}

        public boolean isChange() {
            return !lines.isEmpty();
        }
    }

    @GetMapping
    ModelAndView offers(FloorDay floor, Htmx htmx) {
        if (floor.finished()) {
            throw new NotFoundException();
        }
        Fallback.Today today = today(floor);
        return new ModelAndView(htmx.asks() ? "floor/fallbacks :: offers" : "floor/fallbacks")
                .addObject("lifter", floor.plan().lifter())
                .addObject("day", floor)
                .addObject("within", htmx.asks())
                .addObject(
                        "offers",
                        Stream.of(Fallback.values())
                                .map(kind -> offer(kind, today))
                                .toList());
    }

    /** Changes the day by a fallback, worked out anew: what was done meanwhile stays. */
    @PostMapping
    ModelAndView take(
            @AuthenticationPrincipal Person person,
            FloorDay floor,
            @RequestParam Fallback kind,
            @RequestParam UUID once,
            Htmx htmx) {
        if (floor.finished()) {
            throw new NotFoundException();
        }
        sessions.amend(
                person,
                floor.plan().lifter(),
                floor.key(),
                floor.plan().today(),
                once,
                kind.of(today(floor)).changes(),
                Optional.of(words.say("fallback.reason." + kind)),
                floor.asked());
        return page.after(floor, htmx);
    }

    private static Fallback.Today today(FloorDay floor) {
        List<PrescribedSets> asked = floor.amended().day();
        return new Fallback.Today(
                asked,
                floor.plan().resolver().resolve(asked, floor.done()),
                floor.done(),
                floor.plan().lifter().aches().stream().map(Ache::place).toList(),
                floor.plan().resolver(),
                floor.plan().lifter().unit());
    }

    private OfferView offer(Fallback kind, Fallback.Today today) {
        Fallback.Offer offer = kind.of(today);
        Map<String, Set<String>> said = new LinkedHashMap<>();
        for (Amendment amendment : offer.changes()) {
            // sets of one load are told once
            String told = amendment instanceof Amendment.AtLoad at ? load(at) : changes.say(amendment);
            said.computeIfAbsent(amendment.letter(), letter -> new LinkedHashSet<>())
                    .add(told);
        }
        return new OfferView(
                kind,
                offer.minutes(),
                said.entrySet().stream()
                        .map(entry -> new OfferView.Line(
                                entry.getKey(), lift(today, entry.getKey()), String.join(", ", entry.getValue())))
                        .toList(),
                UUID.randomUUID());
    }

    private String load(Amendment.AtLoad at) {
        return words.say("fallback.at", words.load(at.load(), at.unit()));
    }

    private static Lift lift(Fallback.Today today, String letter) {
        return today.day().stream()
                .filter(part -> part.letter().equals(letter))
                .map(PrescribedSets::lift)
                .findFirst()
                .orElseThrow();
    }
}
