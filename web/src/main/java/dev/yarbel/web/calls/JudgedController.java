package dev.yarbel.web.calls;

import dev.yarbel.web.page.Frame;
import dev.yarbel.web.page.Person;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.servlet.ModelAndView;

/** Which of a coach's own answers paid, by kind. */
@Controller
class JudgedController {

    private final JudgedCalls judged;

    JudgedController(JudgedCalls judged) {
        this.judged = judged;
    }

    @GetMapping("/calls/judged")
    ModelAndView judged(@AuthenticationPrincipal Person coach, @ModelAttribute("frame") Frame frame) {
        return new ModelAndView("calls/judged")
                .addObject("kinds", judged.kinds(coach, frame.choices()))
                .addObject("latest", judged.latest(coach, frame.choices()));
    }
}
