package dev.yarbel.web.plan;

import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Undo;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The club's templates, and the page that explains the shorthand of doses. */
@Controller
@RequestMapping("/plan")
class TemplatesController {

    private final Templates templates;

    TemplatesController(Templates templates) {
        this.templates = templates;
    }

    @GetMapping("/templates")
    String show(@AuthenticationPrincipal Person person, Model model) {
        model.addAttribute("templates", templates.all(person.clubId()));
        return "plan/templates";
    }

    @PostMapping("/templates/{template}/remove")
    String remove(@AuthenticationPrincipal Person person, @PathVariable long template, RedirectAttributes flash) {
        templates.remove(person, template);
        Undo.offer(flash, "/plan/templates/" + template + "/restore");
        return "redirect:/plan/templates";
    }

    @PostMapping("/templates/{template}/restore")
    String restore(@AuthenticationPrincipal Person person, @PathVariable long template) {
        templates.restore(person, template);
        return "redirect:/plan/templates";
    }

    @GetMapping("/doses")
    String doses() {
        return "plan/doses";
    }
}
