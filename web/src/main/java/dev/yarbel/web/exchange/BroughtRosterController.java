package dev.yarbel.web.exchange;

import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Sent;
import java.time.LocalDate;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Lifters from a list, which stays on the page as text until it is right. */
@Controller
@RequestMapping("/exchange/lifters")
class BroughtRosterController {

    private final BroughtRoster brought;

    BroughtRosterController(BroughtRoster brought) {
        this.brought = brought;
    }

    /**
     * @param file read into the text where one was chosen
     * @param on when body masses were weighed
     * @param seen what was looked at last
     */
    record RosterForm(MultipartFile file, String text, MassUnit unit, LocalDate on, String seen) {

        MassUnit unitless() {
            return unit == null ? MassUnit.KG : unit;
        }
    }

    @GetMapping
    ModelAndView show(@AuthenticationPrincipal Person coach) {
        return page(coach, FormState.NONE);
    }

    private ModelAndView page(Person coach, FormState state) {
        return new ModelAndView("exchange/lifters")
                .addObject("state", state)
                .addObject("units", MassUnit.values())
                .addObject("look", null)
                .addObject("before", brought.latest(coach))
                .addObject("zone", coach.zone());
    }

    private BroughtRoster.Said said(Person coach, RosterForm form) {
        return new BroughtRoster.Said(form.unitless(), brought.weighedOn(coach, form.on()));
    }

    @PostMapping
    ModelAndView look(@AuthenticationPrincipal Person coach, Sent<RosterForm> sent) {
        return sent.answer("roster", form -> looked(coach, form, text(form, sent), sent), state -> page(coach, state));
    }

    private static String text(RosterForm form, Sent<RosterForm> sent) {
        return PastedTable.text(form.file(), sent.text("text"), BroughtRoster::isList);
    }

    private ModelAndView looked(Person coach, RosterForm form, String text, Sent<RosterForm> sent) {
        BroughtRoster.Said said = said(coach, form);
        BroughtRoster.Look look = brought.look(coach, PastedTable.rows(text), said);
        return page(coach, sent.typed("roster", "text", text))
                .addObject("look", look)
                .addObject("seen", PastedTable.seen(text, said));
    }

    /** Takes those on who were shown; what was changed since is looked at once more first. */
    @PostMapping("/take")
    ModelAndView take(@AuthenticationPrincipal Person coach, Sent<RosterForm> sent, RedirectAttributes flash) {
        return sent.answer(
                "roster",
                form -> {
                    String text = text(form, sent);
                    BroughtRoster.Said said = said(coach, form);
                    if (!PastedTable.seen(text, said).equals(form.seen())) {
                        return looked(coach, form, text, sent).addObject("changed", true);
                    }
                    flash.addFlashAttribute("taken", brought.take(coach, PastedTable.rows(text), said));
                    return new ModelAndView("redirect:/exchange/lifters");
                },
                state -> page(coach, state));
    }

    @PostMapping("/{brought}/take-back")
    String takeBack(@AuthenticationPrincipal Person coach, @PathVariable("brought") long id) {
        brought.takeBack(coach, id);
        return "redirect:/exchange/lifters";
    }
}
