package dev.yarbel.web.calls;

import dev.yarbel.web.block.Strips;
import dev.yarbel.web.page.Frame;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

@Controller
@RequestMapping("/calls")
class CallsController {

    private static final int LONGEST_REASON = 500;

    private final Slips slips;
    private final Strips strips;
    private final Words words;

    CallsController(Slips slips, Strips strips, Words words) {
        this.slips = slips;
        this.strips = strips;
        this.words = words;
    }

    /**
     * An answer as it was sent.
     *
     * @param shown the mark of what the coach was shown
     * @param own their own figure
     * @param confirmed the figure they were asked about and stand by
     */
    record Sent(String shown, String own, String confirmed, String reason) {

        Sent {
            shown = Objects.requireNonNullElse(shown, "");
            own = Objects.requireNonNullElse(own, "");
            confirmed = Objects.requireNonNullElse(confirmed, "");
            reason = Objects.requireNonNullElse(reason, "");
        }

        Reply reply() {
            return new Reply(
                    shown,
                    own,
                    !own.isBlank() && own.equals(confirmed),
                    Optional.of(reason.strip()).filter(text -> !text.isEmpty()));
        }
    }

    /**
     * What a coach typed beside the answers.
     *
     * @param field where the trouble is, if there is any
     * @param error the code of what is wrong there
     */
    record Typed(String reason, String own, String field, String error) {
        static final Typed NOTHING = new Typed("", "", "", "");

        static Typed of(Sent sent) {
            String reason = sent.reason();
            String own = sent.own();
            if (Reading.hasControl(reason) || Reading.hasControl(own)) {
                return new Typed(
                        Reading.visible(reason),
                        Reading.visible(own),
                        Reading.hasControl(reason) ? "reason" : "own",
                        "read.control");
            }
            return reason.strip().length() > LONGEST_REASON
                    ? new Typed(reason, own, "reason", "calls.error.reason")
                    : new Typed(reason, own, "", "");
        }

        boolean isWrong() {
            return !field.isEmpty();
        }
    }

    /** The queue of the lifters that the frame around the page lists too. */
    private List<SlipLine> queue(Person coach, Model model) {
        return slips.queue(coach, ((Frame) model.getAttribute("frame")).choices());
    }

    @GetMapping
    String calls(@AuthenticationPrincipal Person coach, Model model) {
        List<SlipLine> queue = queue(coach, model);
        return page(coach, queue.stream().findFirst(), queue, Typed.NOTHING, model);
    }

    @GetMapping("/{id}")
    String slip(@AuthenticationPrincipal Person coach, @PathVariable long id, RedirectAttributes flash, Model model) {
        return again(coach, id, Typed.NOTHING, flash, model);
    }

    /** What was answered, newest first. */
    @GetMapping("/answered")
    String answeredSlips(@AuthenticationPrincipal Person coach, Model model) {
        model.addAttribute("answered", slips.answered(coach, ((Frame) model.getAttribute("frame")).choices()));
        return "calls/answered";
    }

    @PostMapping("/{id}/take-back")
    String takeBack(@AuthenticationPrincipal Person coach, @PathVariable long id, RedirectAttributes flash) {
        boolean done = slips.takeBack(coach, id);
        flash.addFlashAttribute("notice", words.say(done ? "calls.taken-back" : "calls.stands"));
        return "redirect:/calls/answered";
    }

    /** The slip as things stand now; or the queue, and who answered the slip. */
    private String again(Person coach, long id, Typed typed, RedirectAttributes flash, Model model) {
        List<SlipLine> queue = queue(coach, model);
        Optional<SlipLine> open = queue.stream().filter(line -> line.id() == id).findFirst();
        if (open.isPresent()) {
            return page(coach, open, queue, typed, model);
        }
        SlipAnswer answer = slips.answer(coach, id);
        flash.addFlashAttribute(
                "notice",
                words.say("calls.answered." + answer.how(), answer.who(), words.moment(answer.at(), coach.zone())));
        return "redirect:/calls";
    }

    @PostMapping("/{id}/take")
    String take(
            @AuthenticationPrincipal Person coach,
            @PathVariable long id,
            @ModelAttribute Sent sent,
            HttpServletResponse response,
            RedirectAttributes flash,
            Model model) {
        Typed typed = Typed.of(sent);
        return answered(coach, id, () -> slips.take(coach, id, sent.reply()), typed, "taken", response, flash, model);
    }

    @PostMapping("/{id}/change")
    String change(
            @AuthenticationPrincipal Person coach,
            @PathVariable long id,
            @ModelAttribute Sent sent,
            HttpServletResponse response,
            RedirectAttributes flash,
            Model model) {
        Typed typed = Typed.of(sent);
        return answered(
                coach, id, () -> slips.change(coach, id, sent.reply()), typed, "changed", response, flash, model);
    }

    @PostMapping("/{id}/leave")
    String leave(
            @AuthenticationPrincipal Person coach,
            @PathVariable long id,
            @ModelAttribute Sent sent,
            HttpServletResponse response,
            RedirectAttributes flash,
            Model model) {
        Typed typed = Typed.of(sent);
        return answered(
                coach, id, () -> slips.leave(coach, id, sent.reply().why()), typed, "left", response, flash, model);
    }

    private String answered(
            Person coach,
            long id,
            Supplier<Slips.Outcome> work,
            Typed typed,
            String answer,
            HttpServletResponse response,
            RedirectAttributes flash,
            Model model) {
        if (typed.isWrong()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return again(coach, id, typed, flash, model);
        }
        try {
            return switch (work.get()) {
                case CHANGED_MEANWHILE -> {
                    response.setStatus(HttpStatus.CONFLICT.value());
                    model.addAttribute("notice", words.say("calls.changed-meanwhile"));
                    yield again(coach, id, typed, flash, model);
                }
                case ANSWERED_ALREADY -> again(coach, id, typed, flash, model);
                case DONE -> {
                    flash.addFlashAttribute("notice", words.say("calls.done." + answer));
                    yield "redirect:/calls";
                }
            };
        } catch (UnreadableException unreadable) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return again(
                    coach,
                    id,
                    new Typed(typed.reason(), typed.own(), unreadable.field(), unreadable.code()),
                    flash,
                    model);
        }
    }

    private String page(Person coach, Optional<SlipLine> open, List<SlipLine> queue, Typed typed, Model model) {
        model.addAttribute("queue", queue);
        model.addAttribute("typed", typed);
        open.ifPresent(line -> {
            SlipView slip = slips.view(coach, line);
            model.addAttribute("slip", slip);
            model.addAttribute("lifter", slip.plan().lifter());
            model.addAttribute("strip", strips.draw(slip.plan()));
        });
        return "calls/calls";
    }
}
