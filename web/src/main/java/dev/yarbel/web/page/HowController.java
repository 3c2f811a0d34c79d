package dev.yarbel.web.page;

import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.servlet.ModelAndView;

/** How Yarbel works, in a few steps, with the words it uses. */
@Controller
class HowController {

    private static final List<String> WORDS = List.of(
            "block",
            "slot",
            "dose",
            "working-max",
            "estimate",
            "reps-left",
            "ramp",
            "top-set",
            "back-off",
            "deload",
            "stair",
            "strip",
            "call",
            "slip",
            "mark");
    private static final List<String> COACHS = List.of("lifter", "maxes", "kit", "block", "floor", "calls", "book");
    private static final List<String> LIFTERS = List.of("home", "floor", "rate", "open", "hurts", "line", "after");

    @GetMapping("/how")
    ModelAndView show() {
        return new ModelAndView("page/how")
                .addObject("coachs", COACHS)
                .addObject("lifters", LIFTERS)
                .addObject("terms", WORDS);
    }
}
