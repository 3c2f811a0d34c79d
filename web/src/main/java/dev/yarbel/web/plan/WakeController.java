package dev.yarbel.web.plan;

import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** How the days of a plan trail their recovery, and the days laid on other weekdays: seen before it is kept. */
@Controller
@RequestMapping("/lifters/{id}/plan/wake")
class WakeController {

    private final WakeMaker wakes;
    private final StripMaker strips;
    private final Words words;

    WakeController(WakeMaker wakes, StripMaker strips, Words words) {
        this.wakes = wakes;
        this.strips = strips;
        this.words = words;
    }

    /**
     * Where the days would lie.
     *
     * @param weekday of each day of the block, from 0
     */
    record Laid(List<Integer> weekday) {

        List<Integer> weekdays() {
            return Objects.requireNonNullElse(weekday, List.of());
        }
    }

    @GetMapping
    ModelAndView wake(
            LifterBlock plan,
            @RequestParam Optional<Integer> week,
            @RequestParam(required = false) List<Integer> weekday) {
        List<Integer> laid = Objects.requireNonNullElse(weekday, List.of());
        try {
            return page(plan, week, laid, FormState.NONE);
        } catch (UnreadableException unreadable) {
            return page(plan, week, List.of(), FormState.of("days", Map.of(), unreadable, words));
        }
    }

    @PostMapping
    ModelAndView lay(
            @AuthenticationPrincipal Person coach,
            LifterBlock plan,
            @RequestParam Optional<Integer> week,
            Sent<Laid> sent,
            RedirectAttributes flash) {
        return sent.answer(
                "days",
                form -> {
                    wakes.lay(coach, plan, form.weekdays());
                    flash.addFlashAttribute("notice", words.say("wake.laid"));
                    return new ModelAndView("redirect:/lifters/" + plan.lifter().id() + "/plan/wake?block="
                            + plan.blockId() + "&week=" + shown(plan, week));
                },
                state -> page(plan, week, List.of(), state));
    }

    private ModelAndView page(LifterBlock plan, Optional<Integer> week, List<Integer> laid, FormState state) {
        int shown = shown(plan, week);
        return new ModelAndView("plan/wake")
                .addObject("lifter", plan.lifter())
                .addObject("plan", plan)
                .addObject("strip", strips.draw(plan))
                .addObject("view", wakes.view(plan, shown - 1, laid))
                .addObject("asked", laid)
                .addObject("state", state);
    }

    /** The week that is shown, from 1. */
    private static int shown(LifterBlock plan, Optional<Integer> week) {
        int shown = week.orElse(plan.currentWeek() + 1);
        if (shown < 1 || shown > plan.block().weeks()) {
            throw new NotFoundException();
        }
        return shown;
    }
}
