package dev.yarbel.web.plan;

import dev.yarbel.web.block.LifterBlock;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.servlet.ModelAndView;

/** A whole block to look at: every day and every week, with loads. */
@Controller
class WholeBlockController {

    private final Sheet sheet;
    private final StripMaker strips;

    WholeBlockController(Sheet sheet, StripMaker strips) {
        this.sheet = sheet;
        this.strips = strips;
    }

    @GetMapping("/lifters/{id}/plan/whole")
    ModelAndView show(LifterBlock plan) {
        Sheet.Whole whole = sheet.whole(plan);
        return new ModelAndView("plan/whole")
                .addObject("lifter", plan.lifter())
                .addObject("plan", plan)
                .addObject("whole", whole)
                .addObject("sheet", whole)
                .addObject("strip", strips.draw(plan));
    }
}
