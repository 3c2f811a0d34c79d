package dev.yarbel.web.calls;

import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.Words;
import java.util.Objects;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The rules of judgement, in words, as a coach has them. */
@Controller
@RequestMapping("/calls/rules")
class RulesController {

    private final RuleSettings settings;
    private final Words words;

    RulesController(RuleSettings settings, Words words) {
        this.settings = settings;
        this.words = words;
    }

    /**
     * A rule as it was set.
     *
     * @param on whether it is asked; null where it is not
     * @param threshold from where on; blank for the usual figure
     */
    record Set(Boolean on, String threshold) {}

    @GetMapping
    ModelAndView rules(@AuthenticationPrincipal Person coach) {
        return page(coach, FormState.NONE);
    }

    private ModelAndView page(Person coach, FormState state) {
        return new ModelAndView("calls/rules")
                .addObject("rules", settings.lines(coach))
                .addObject("state", state);
    }

    @PostMapping("/{rule}")
    ModelAndView set(
            @AuthenticationPrincipal Person coach,
            @PathVariable String rule,
            Sent<Set> sent,
            RedirectAttributes flash) {
        return sent.answer(
                rule,
                form -> {
                    settings.set(
                            coach,
                            rule,
                            Boolean.TRUE.equals(form.on()),
                            Objects.requireNonNullElse(form.threshold(), ""));
                    return done(rule, "rules.set", flash);
                },
                state -> page(coach, state));
    }

    /** As it comes. */
    @PostMapping("/{rule}/reset")
    ModelAndView reset(@AuthenticationPrincipal Person coach, @PathVariable String rule, RedirectAttributes flash) {
        settings.set(coach, rule, true, "");
        return done(rule, "rules.reset.done", flash);
    }

    private ModelAndView done(String rule, String what, RedirectAttributes flash) {
        flash.addFlashAttribute("notice", words.say(what, words.say("calls.line." + rule)));
        return new ModelAndView("redirect:/calls/rules#" + rule);
    }
}
