package dev.yarbel.web.plan;

import dev.yarbel.core.review.Mark;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.FormExtras;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import jakarta.validation.constraints.NotNull;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.Set;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.ModelAndView;

/** Giving a block to several lifters. */
@Controller
@RequestMapping("/lifters/{id}/plan/give")
class GiveController {

    private final Roster roster;
    private final Blocks blocks;
    private final PlanReview review;
    private final MeetingQuestion meeting;

    GiveController(Roster roster, Blocks blocks, PlanReview review, MeetingQuestion meeting) {
        this.roster = roster;
        this.blocks = blocks;
        this.review = review;
        this.meeting = meeting;
    }

    /**
     * What a lifter got.
     *
     * @param marks what a coach may want to look at in theirs
     */
    record Given(LifterCard lifter, long block, List<SheetView.MarkView> marks) {}

    @GetMapping
    ModelAndView show(@AuthenticationPrincipal Person person, LifterBlock plan) {
        return page(person, plan, FormState.NONE, List.of());
    }

    /** To whom the block goes, and when it starts there; {@code confirmed} as in {@link NewBlockForm}. */
    record GiveForm(@NotNull LocalDate start, Set<Long> to, String confirmed) {}

    @PostMapping
    ModelAndView give(@AuthenticationPrincipal Person person, LifterBlock plan, Sent<GiveForm> sent) {
        return sent.answer(
                "give",
                form -> {
                    if (form.to() == null) {
                        throw new UnreadableException("give.to-whom").in("to");
                    }
                    List<LifterCard> others = others(person, plan, form.to());
                    meeting.ask(
                            meets(plan, others, form.start()),
                            FormExtras.isConfirmed(form.confirmed(), sent.text("start")));
                    List<Given> given = blocks.give(person, plan, others, form.start()).stream()
                            .map(this::given)
                            .toList();
                    return page(person, plan, FormState.NONE, given);
                },
                state -> page(person, plan, state, List.of()));
    }

    private List<String> meets(LifterBlock plan, List<LifterCard> others, LocalDate start) {
        return others.stream()
                .flatMap(lifter -> meeting
                        .said(
                                lifter,
                                blocks.meetings(lifter, start, plan.block().weeks()))
                        .stream())
                .toList();
    }

    private List<LifterCard> others(Person person, LifterBlock plan, Set<Long> to) {
        return to.stream()
                .filter(id -> id != plan.lifter().id())
                .map(id -> roster.lifter(person, id))
                .toList();
    }

    private Given given(LifterBlock theirs) {
        List<Mark> marks = review.review(theirs, blocks.of(theirs.lifter())).marks();
        return new Given(
                theirs.lifter(),
                theirs.blockId(),
                Mark.together(marks).stream()
                        .map(mark -> review.inWords(theirs, mark))
                        .toList());
    }

    private ModelAndView page(Person person, LifterBlock plan, FormState state, List<Given> given) {
        return new ModelAndView("plan/give")
                .addObject("lifter", plan.lifter())
                .addObject("plan", plan)
                .addObject("state", state)
                .addObject("given", given)
                .addObject(
                        "others",
                        roster.choices(person).stream()
                                .filter(choice -> choice.id() != plan.lifter().id())
                                .toList())
                .addObject("start", plan.today().with(TemporalAdjusters.next(DayOfWeek.MONDAY)));
    }
}
