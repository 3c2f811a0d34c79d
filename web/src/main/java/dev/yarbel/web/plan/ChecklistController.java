package dev.yarbel.web.plan;

import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.Person;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** A block judged by the checklist that coaches hold one against, alone or beside another. */
@Controller
@RequestMapping("/lifters/{id}/plan/checklist")
class ChecklistController {

    private final ChecklistMaker judges;
    private final StripMaker strips;

    ChecklistController(ChecklistMaker judges, StripMaker strips) {
        this.judges = judges;
        this.strips = strips;
    }

    @GetMapping
    ModelAndView checklist(
            @AuthenticationPrincipal Person coach, LifterBlock plan, @RequestParam(defaultValue = "") String with) {
        return new ModelAndView("plan/checklist")
                .addObject("lifter", plan.lifter())
                .addObject("plan", plan)
                .addObject("strip", strips.draw(plan))
                .addObject("with", with)
                .addObject("view", judges.view(coach, plan, with));
    }
}
