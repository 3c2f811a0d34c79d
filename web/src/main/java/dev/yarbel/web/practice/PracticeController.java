package dev.yarbel.web.practice;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.practice.DrawnSet;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.LifterRecord;
import dev.yarbel.web.book.StripSource;
import dev.yarbel.web.kit.KitShelf;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.LifterCard;
import jakarta.validation.constraints.NotNull;
import java.util.Optional;
import java.util.concurrent.ThreadLocalRandom;
import org.hibernate.validator.constraints.Range;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.ModelAndView;

/** Practice in rating: a set is drawn, the lifter says what it leaves, and learns what it did. Their coach sees how near they come. */
@Controller
@RequestMapping("/lifters/{id}/practice")
class PracticeController {

    private static final long MOST = 1_000_000_000L;

    private final Book book;
    private final Guesses guesses;
    private final KitShelf kits;
    private final StripSource strips;

    PracticeController(Book book, Guesses guesses, KitShelf kits, StripSource strips) {
        this.book = book;
        this.guesses = guesses;
        this.kits = kits;
        this.strips = strips;
    }

    /**
     * What is looked at.
     *
     * @param guessed the number of the set that was just guessed at
     */
    record Looked(Lift lift, Long guessed) {}

    @GetMapping
    ModelAndView practice(@AuthenticationPrincipal Person person, LifterCard lifter, Sent<Looked> sent) {
        return sent.answer(
                "practice",
                looked -> page(person, lifter, looked.lift(), Optional.ofNullable(looked.guessed()), FormState.NONE),
                state -> page(person, lifter, null, Optional.empty(), state));
    }

    /**
     * A guess.
     *
     * @param drawn the number of the set
     * @param left repetitions that it leaves
     */
    record GuessForm(
            @NotNull Lift lift,
            @NotNull @Range(min = 0, max = MOST) Long drawn,

            @NotNull @Range(min = 0, max = DrawnSet.MOST_LEFT)
            Integer left) {}

    @PostMapping
    ModelAndView guess(@AuthenticationPrincipal Person person, LifterCard lifter, Sent<GuessForm> sent) {
        return sent.answer(
                "guess",
                form -> {
                    LifterRecord standing = book.standing(lifter);
                    if (!PracticeView.lifts(standing).contains(form.lift())) {
                        throw new UnreadableException("read.choice").in("lift");
                    }
                    DrawnSet drawn = PracticeView.drawn(standing, form.lift(), form.drawn());
                    guesses.add(
                            lifter.clubId(),
                            lifter.id(),
                            new Guesses.Kept(
                                    Guesses.Kind.DRAWN, form.lift(), form.drawn(), 2 * form.left(), 2 * drawn.left()));
                    return new ModelAndView("redirect:/lifters/" + lifter.id() + "/practice?lift="
                            + form.lift().key() + "&guessed=" + form.drawn());
                },
                state -> page(person, lifter, null, Optional.empty(), state));
    }

    private ModelAndView page(Person person, LifterCard lifter, Lift lift, Optional<Long> guessed, FormState state) {
        LifterRecord standing = book.standing(lifter);
        return new ModelAndView("practice/practice")
                .addObject("lifter", lifter)
                .addObject("state", state)
                .addObject(
                        "page",
                        PracticeView.of(
                                standing,
                                Optional.ofNullable(lift),
                                ThreadLocalRandom.current().nextLong(MOST),
                                guessed,
                                guesses.latest(lifter)))
                .addObject("practice", true)
                .addObject(
                        "strip",
                        strips.strip(lifter, person.zone(), standing, kits.usual(lifter))
                                .orElse(null));
    }
}
