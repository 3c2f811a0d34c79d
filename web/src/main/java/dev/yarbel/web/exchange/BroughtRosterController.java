package dev.yarbel.web.exchange;

import dev.yarbel.core.exchange.HeadedTable;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Sent;
import java.time.LocalDate;
import java.util.Optional;
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
    private final ColumnsSaid columns;

    BroughtRosterController(BroughtRoster brought, ColumnsSaid columns) {
        this.brought = brought;
        this.columns = columns;
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
        return page(coach, FormState.NONE, Optional.empty());
    }

    private ModelAndView again(Person coach, FormState state, Sent<RosterForm> sent) {
        return page(coach, state, columns.again(coach, ColumnsSaid.Of.LIFTERS, sent));
    }

    private ModelAndView page(Person coach, FormState state, Optional<HeadedTable> table) {
        return new ModelAndView("exchange/lifters")
                .addObject("state", state)
                .addObject("units", MassUnit.values())
                .addObject("look", null)
                .addObject(
                        "columns",
                        table.map(one -> columns.asked(coach, ColumnsSaid.Of.LIFTERS, one))
                                .orElse(null))
                .addObject("before", brought.latest(coach))
                .addObject("zone", coach.zone());
    }

    private BroughtRoster.Said said(Person coach, RosterForm form) {
        return new BroughtRoster.Said(form.unitless(), brought.weighedOn(coach, form.on()));
    }

    @PostMapping
    ModelAndView look(@AuthenticationPrincipal Person coach, Sent<RosterForm> sent) {
        return sent.answer(
                "roster",
                form -> looked(coach, form, told(coach, form, sent), sent),
                state -> again(coach, state, sent));
    }

    private ColumnsSaid.Told told(Person coach, RosterForm form, Sent<RosterForm> sent) {
        return columns.brought(coach, ColumnsSaid.Of.LIFTERS, form.file(), sent);
    }

    private ModelAndView looked(Person coach, RosterForm form, ColumnsSaid.Told table, Sent<RosterForm> sent) {
        BroughtRoster.Said said = said(coach, form);
        BroughtRoster.Look look = brought.look(coach, table.columns(), said);
        return page(coach, sent.typed("roster"), Optional.of(table.columns()))
                .addObject("look", look)
                .addObject("seen", table.seen(said));
    }

    /** Takes those on who were shown; what was changed since is looked at once more first. */
    @PostMapping("/take")
    ModelAndView take(@AuthenticationPrincipal Person coach, Sent<RosterForm> sent, RedirectAttributes flash) {
        return sent.answer(
                "roster",
                form -> {
                    ColumnsSaid.Told table = told(coach, form, sent);
                    BroughtRoster.Said said = said(coach, form);
                    if (!table.seen(said).equals(form.seen())) {
                        return looked(coach, form, table, sent).addObject("changed", true);
                    }
                    flash.addFlashAttribute("taken", brought.take(coach, table.columns(), said));
                    columns.keep(coach, ColumnsSaid.Of.LIFTERS, table.columns());
                    return new ModelAndView("redirect:/exchange/lifters");
                },
                state -> again(coach, state, sent));
    }

    @PostMapping("/{brought}/take-back")
    String takeBack(@AuthenticationPrincipal Person coach, @PathVariable("brought") long id) {
        brought.takeBack(coach, id);
        return "redirect:/exchange/lifters";
    }
}
