package dev.yarbel.web.plan;

import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.block.Templates;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Undo;
import java.util.ArrayList;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The club's templates, and the page that explains the shorthand of doses. */
@Controller
class TemplatesController {

    private final Templates templates;

    TemplatesController(Templates templates) {
        this.templates = templates;
    }

    /** The same with a block to put one into. */
    @GetMapping("/lifters/{id}/plan/templates")
    String into(
            @AuthenticationPrincipal Person person,
            LifterBlock plan,
            @RequestParam(defaultValue = "0") int at,
            Model model) {
        int day = Math.max(0, Math.min(at, plan.block().days().size() - 1));
        List<Into> slots = new ArrayList<>();
        if (!plan.block().days().isEmpty()) {
            plan.block()
                    .days()
                    .get(day)
                    .slots()
                    .forEach(slot -> slots.add(new Into(slot.id(), slot.letter(), slot.lift())));
        }
        model.addAttribute("lifter", plan.lifter());
        model.addAttribute("plan", plan);
        model.addAttribute("at", day);
        model.addAttribute("slots", slots);
        return show(person, model);
    }

    /** A slot that doses can be put into. */
    record Into(SlotId id, String letter, Lift lift) {}

    @GetMapping("/plan/templates")
    String show(@AuthenticationPrincipal Person person, Model model) {
        model.addAttribute("templates", templates.all(person.clubId()));
        return "plan/templates";
    }

    @PostMapping("/plan/templates/{template}/remove")
    String remove(@AuthenticationPrincipal Person person, @PathVariable long template, RedirectAttributes flash) {
        templates.remove(person, template);
        Undo.offer(flash, "/plan/templates/" + template + "/restore");
        return "redirect:/plan/templates";
    }

    @PostMapping("/plan/templates/{template}/restore")
    String restore(@AuthenticationPrincipal Person person, @PathVariable long template) {
        templates.restore(person, template);
        return "redirect:/plan/templates";
    }

    @GetMapping("/plan/doses")
    String doses() {
        return "plan/doses";
    }
}
