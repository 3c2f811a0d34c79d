package dev.yarbel.web.calls;

import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.block.Strips;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.servlet.ModelAndView;

/** What tells of a lifter's fatigue today, and whether to back off; it decides nothing. */
@Controller
class ReadinessController {

    private final Blocks blocks;
    private final Strips strips;

    ReadinessController(Blocks blocks, Strips strips) {
        this.blocks = blocks;
        this.strips = strips;
    }

    @GetMapping("/lifters/{id}/readiness")
    ModelAndView readiness(@AuthenticationPrincipal Person coach, LifterCard lifter) {
        LifterBlock plan = blocks.currentOrNone(lifter, coach.zone());
        return new ModelAndView("calls/readiness")
                .addObject("lifter", lifter)
                .addObject("plan", plan)
                .addObject("strip", strips.draw(plan))
                .addObject("readiness", Fatigue.of(plan, plan.today()));
    }
}
