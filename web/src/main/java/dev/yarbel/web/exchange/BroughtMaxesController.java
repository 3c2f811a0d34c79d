package dev.yarbel.web.exchange;

import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.exchange.DayText;
import dev.yarbel.core.exchange.HeadedTable;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.UnreadableException;
import java.time.LocalDate;
import java.util.List;
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

/** Maxes and body masses from a table, which stays on the page as text until it is right. */
@Controller
@RequestMapping("/exchange/maxes")
class BroughtMaxesController {

    private static final List<RecordedMax.Kind> KINDS =
            List.of(RecordedMax.Kind.CONTEST, RecordedMax.Kind.TESTED, RecordedMax.Kind.ESTIMATED);

    private final BroughtMaxes brought;
    private final ColumnsSaid columns;

    BroughtMaxesController(BroughtMaxes brought, ColumnsSaid columns) {
        this.brought = brought;
        this.columns = columns;
    }

    /**
     * @param file read into the text where one was chosen
     * @param seen what was looked at last
     */
    record MaxesForm(
            MultipartFile file,
            String text,
            RecordedMax.Kind kind,
            LocalDate on,
            MassUnit unit,
            DayText.Order order,
            Boolean slips,
            String seen) {}

    @GetMapping
    ModelAndView show(@AuthenticationPrincipal Person coach) {
        return page(coach, FormState.NONE, Optional.empty());
    }

    private ModelAndView again(Person coach, FormState state, Sent<MaxesForm> sent) {
        return page(coach, state, columns.again(coach, ColumnsSaid.Of.MAXES, sent));
    }

    private ModelAndView page(Person coach, FormState state, Optional<HeadedTable> table) {
        return new ModelAndView("exchange/maxes")
                .addObject("state", state)
                .addObject("kinds", KINDS)
                .addObject("units", MassUnit.values())
                .addObject("orders", DayText.Order.values())
                .addObject("look", null)
                .addObject(
                        "columns",
                        table.map(one -> columns.asked(coach, ColumnsSaid.Of.MAXES, one))
                                .orElse(null))
                .addObject("before", brought.latest(coach))
                .addObject("zone", coach.zone());
    }

    @PostMapping
    ModelAndView look(@AuthenticationPrincipal Person coach, Sent<MaxesForm> sent) {
        return sent.answer(
                "maxes",
                form -> looked(coach, form, told(coach, form, sent), sent),
                state -> again(coach, state, sent));
    }

    private ColumnsSaid.Told told(Person coach, MaxesForm form, Sent<MaxesForm> sent) {
        return columns.brought(coach, ColumnsSaid.Of.MAXES, form.file(), sent);
    }

    private ModelAndView looked(Person coach, MaxesForm form, ColumnsSaid.Told table, Sent<MaxesForm> sent) {
        BroughtMaxes.Look look = brought.look(coach, table.columns(), said(form));
        return page(coach, sent.typed("maxes"), Optional.of(table.columns()))
                .addObject("look", look)
                .addObject("seen", table.seen(said(form)));
    }

    /** Takes in what was shown; what was changed since is looked at once more first. */
    @PostMapping("/take")
    ModelAndView take(@AuthenticationPrincipal Person coach, Sent<MaxesForm> sent, RedirectAttributes flash) {
        return sent.answer(
                "maxes",
                form -> {
                    ColumnsSaid.Told table = told(coach, form, sent);
                    if (!table.seen(said(form)).equals(form.seen())) {
                        return looked(coach, form, table, sent).addObject("changed", true);
                    }
                    flash.addFlashAttribute("taken", brought.take(coach, table.columns(), said(form)));
                    columns.keep(coach, ColumnsSaid.Of.MAXES, table.columns());
                    return new ModelAndView("redirect:/exchange/maxes");
                },
                state -> again(coach, state, sent));
    }

    @PostMapping("/{brought}/take-back")
    String takeBack(@AuthenticationPrincipal Person coach, @PathVariable("brought") long id) {
        brought.takeBack(coach, id);
        return "redirect:/exchange/maxes";
    }

    private static BroughtMaxes.Said said(MaxesForm form) {
        if (form.kind() == null || !KINDS.contains(form.kind())) {
            throw new UnreadableException("exchange.maxes.error.kind").in("kind");
        }
        return new BroughtMaxes.Said(
                form.kind(),
                form.unit() == null ? MassUnit.KG : form.unit(),
                Optional.ofNullable(form.on()),
                form.order() == null ? DayText.Order.DAY_FIRST : form.order(),
                Boolean.TRUE.equals(form.slips()));
    }
}
