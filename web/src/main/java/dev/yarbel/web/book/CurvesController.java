package dev.yarbel.web.book;

import dev.yarbel.web.kit.KitShelf;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The rep curves side by side, and which of them a lifter's loads and estimates hang on. */
@Controller
@RequestMapping("/lifters/{id}/book/curves")
class CurvesController {

    private final Roster roster;
    private final Book book;
    private final StartingNumbers starting;
    private final KitShelf kits;
    private final StripSource strips;

    CurvesController(Roster roster, Book book, StartingNumbers starting, KitShelf kits, StripSource strips) {
        this.roster = roster;
        this.book = book;
        this.starting = starting;
        this.kits = kits;
        this.strips = strips;
    }

    @GetMapping
    String curves(@AuthenticationPrincipal Person person, @PathVariable long id, Model model) {
        return page(person, roster.lifter(person, id), model);
    }

    @PostMapping
    String use(
            @AuthenticationPrincipal Person coach,
            @PathVariable long id,
            @RequestParam(defaultValue = "") String curve,
            HttpServletResponse response,
            Model model) {
        LifterCard lifter = roster.lifter(coach, id);
        try {
            starting.useCurve(coach, lifter, CurvesView.decided(curve));
        } catch (IllegalArgumentException noCurve) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("error", "curves.error");
            return page(coach, lifter, model);
        }
        return "redirect:/lifters/" + id + "/book/curves";
    }

    private String page(Person person, LifterCard lifter, Model model) {
        LifterRecord standing = book.standing(lifter);
        model.addAttribute("lifter", lifter);
        model.addAttribute("curves", CurvesView.of(standing, curve -> book.estimatesBy(curve, standing)));
        model.addAttribute(
                "strip",
                strips.strip(lifter, person.zone(), standing, kits.usual(lifter))
                        .orElse(null));
        return "book/curves";
    }
}
