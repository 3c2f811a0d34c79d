package dev.yarbel.web.floor;

import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.web.block.BlockSummary;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.LifterQuestions;
import dev.yarbel.web.book.LifterRecord;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.roster.LifterCard;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.Objects;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Where a lifter looks first: today, the week, own numbers, what the coach said, and where to turn when something hurts. */
@Controller
class HomeController {

    private final Blocks blocks;
    private final Book book;
    private final FloorWords spoken;
    private final LifterQuestions questions;
    private final CoachDecided decided;
    private final Clock clock;

    HomeController(
            Blocks blocks, Book book, FloorWords spoken, LifterQuestions questions, CoachDecided decided, Clock clock) {
        this.blocks = blocks;
        this.book = book;
        this.spoken = spoken;
        this.questions = questions;
        this.decided = decided;
        this.clock = clock;
    }

    /**
     * A lifter's home.
     *
     * @param now whether it is opened to train: then a session of today is opened instead
     */
    @GetMapping("/lifters/{id}/home")
    ModelAndView show(
            @AuthenticationPrincipal Person person,
            LifterCard lifter,
            @RequestParam(defaultValue = "false") boolean now) {
        return show(person, lifter, now, FormState.NONE);
    }

    /**
     * An answer to what a coach asked.
     *
     * @param answer one of those to choose from
     * @param words more of it
     */
    record Answer(String answer, String words) {}

    /** What the coach asked is answered; it stands beside the set from then on. */
    @PostMapping("/lifters/{id}/home/questions/{question}")
    ModelAndView answer(
            @AuthenticationPrincipal Person person, LifterCard lifter, @PathVariable long question, Sent<Answer> sent) {
        return sent.answer(
                "question-" + question,
                form -> {
                    questions.answer(
                            person,
                            lifter,
                            question,
                            Objects.requireNonNullElse(form.answer(), ""),
                            Optional.ofNullable(form.words()).map(String::strip).filter(said -> !said.isEmpty()));
                    return new ModelAndView("redirect:/lifters/" + lifter.id() + "/home");
                },
                state -> show(person, lifter, false, state));
    }

    private ModelAndView show(Person person, LifterCard lifter, boolean now, FormState state) {
        Optional<LifterBlock> plan = blocks.onFloor(lifter, person.zone());
        LifterRecord standing = plan.map(LifterBlock::standing).orElseGet(() -> book.standing(lifter));
        LocalDate today = LocalDate.ofInstant(clock.instant(), person.zone());
        HomeView home = HomeView.of(plan, standing, today);
        if (now && home.isForToday(today)) {
            return new ModelAndView("redirect:/lifters/" + lifter.id() + "/floor");
        }
        return new ModelAndView("floor/home")
                .addObject("lifter", lifter)
                .addObject("opened", now)
                .addObject("plan", plan.orElse(null))
                .addObject("home", home)
                .addObject(
                        "coming",
                        blocks.of(lifter).stream()
                                .filter(block -> block.start().isAfter(today))
                                .min(Comparator.comparing(BlockSummary::start))
                                .orElse(null))
                .addObject("said", spoken.lately(lifter))
                .addObject("decided", decided.lately(lifter))
                .addObject("questions", questions.open(lifter))
                .addObject(
                        "weekWord", lifter.weekWrittenSince(today.minusWeeks(2)).orElse(null))
                .addObject("reasons", SetDetails.MissedBy.values())
                .addObject("state", state)
                .addObject("places", Tissue.values())
                .addObject("aches", lifter.aches())
                .addObject("today", today);
    }
}
