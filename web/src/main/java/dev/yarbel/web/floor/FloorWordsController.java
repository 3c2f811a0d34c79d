package dev.yarbel.web.floor;

import dev.yarbel.web.page.FormExtras;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Htmx;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.ModelAndView;

/** Words between lifter and coach while the lifter lifts: from the lifter's page, and from the coach's side of it. */
@Controller
class FloorWordsController {

    private final Roster roster;
    private final FloorDays days;
    private final FloorWords spoken;
    private final FloorPage page;
    private final LiveSide side;

    FloorWordsController(Roster roster, FloorDays days, FloorWords spoken, FloorPage page, LiveSide side) {
        this.roster = roster;
        this.days = days;
        this.spoken = spoken;
        this.page = page;
        this.side = side;
    }

    /** Words, with a token by which the same ones sent twice are known. */
    record Saying(
            String token,
            @NotBlank @Size(max = FloorWords.LONGEST) String words) {}

    @PostMapping("/lifters/{id}/floor/words")
    ModelAndView say(@AuthenticationPrincipal Person person, FloorDay floor, Sent<Saying> sent, Htmx htmx) {
        return sent.answer(
                "words",
                saying -> {
                    LifterCard now = keep(person, floor, saying);
                    return htmx.asks()
                            ? page.show(
                                    days.find(person, now, Optional.of(floor.day()), Optional.of(floor.week()))
                                            .orElseThrow(NotFoundException::new),
                                    FormState.NONE,
                                    htmx)
                            : FloorPage.back(floor);
                },
                state -> page.show(floor, state, htmx));
    }

    @PostMapping("/lifters/{id}/floor/side/words")
    ModelAndView answer(@AuthenticationPrincipal Person person, FloorDay floor, Sent<Saying> sent) {
        return sent.answer(
                LiveSide.form(floor.plan().lifter()),
                saying -> side.of(person, keep(person, floor, saying), FormState.NONE),
                state -> side.of(person, floor.plan().lifter(), state));
    }

    /** The lifter as they are known with these words. */
    private LifterCard keep(Person person, FloorDay floor, Saying saying) {
        LifterCard lifter = floor.plan().lifter();
        spoken.say(person, lifter, FormExtras.token(saying.token()), saying.words());
        return roster.lifter(person, lifter.id());
    }
}
