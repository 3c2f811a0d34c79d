package dev.yarbel.web.exchange;

import dev.yarbel.core.exchange.HeadedTable;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.roster.GymChooser;
import jakarta.validation.constraints.NotNull;
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

/** Kit from a list, which stays on the page as text until it is right. */
@Controller
@RequestMapping("/exchange/kit")
class BroughtKitController {

    private final BroughtKit brought;
    private final GymChooser gyms;
    private final ColumnsSaid columns;

    BroughtKitController(BroughtKit brought, GymChooser gyms, ColumnsSaid columns) {
        this.brought = brought;
        this.gyms = gyms;
        this.columns = columns;
    }

    /**
     * @param file read into the text where one was chosen
     * @param seen what was looked at last
     */
    record KitForm(MultipartFile file, String text, @NotNull Long gym, String seen) {

        /** What was looked at: the list, what its columns hold, and of which gym. */
        String seen(ColumnsSaid.Told table) {
            return table.seen(gym);
        }
    }

    @GetMapping
    ModelAndView show(@AuthenticationPrincipal Person coach) {
        return page(coach, FormState.NONE, Optional.empty());
    }

    private ModelAndView again(Person coach, FormState state, Sent<KitForm> sent) {
        return page(coach, state, columns.again(coach, ColumnsSaid.Of.KIT, sent));
    }

    private ModelAndView page(Person coach, FormState state, Optional<HeadedTable> table) {
        return new ModelAndView("exchange/kit")
                .addObject("state", state)
                .addObject("gyms", gyms.gyms(coach.clubId()))
                .addObject("look", null)
                .addObject(
                        "columns",
                        table.map(one -> columns.asked(coach, ColumnsSaid.Of.KIT, one))
                                .orElse(null))
                .addObject("before", brought.latest(coach))
                .addObject("zone", coach.zone());
    }

    @PostMapping
    ModelAndView look(@AuthenticationPrincipal Person coach, Sent<KitForm> sent) {
        return sent.answer(
                "kit", form -> looked(coach, form, told(coach, form, sent), sent), state -> again(coach, state, sent));
    }

    private ColumnsSaid.Told told(Person coach, KitForm form, Sent<KitForm> sent) {
        return columns.brought(coach, ColumnsSaid.Of.KIT, form.file(), sent);
    }

    private ModelAndView looked(Person coach, KitForm form, ColumnsSaid.Told table, Sent<KitForm> sent) {
        BroughtKit.Look look = brought.look(coach, form.gym(), table.columns());
        return page(coach, sent.typed("kit"), Optional.of(table.columns()))
                .addObject("look", look)
                .addObject("seen", form.seen(table));
    }

    /** Adds what was shown; what was changed since is looked at once more first. */
    @PostMapping("/take")
    ModelAndView take(@AuthenticationPrincipal Person coach, Sent<KitForm> sent, RedirectAttributes flash) {
        return sent.answer(
                "kit",
                form -> {
                    ColumnsSaid.Told table = told(coach, form, sent);
                    if (!form.seen(table).equals(form.seen())) {
                        return looked(coach, form, table, sent).addObject("changed", true);
                    }
                    flash.addFlashAttribute("taken", brought.take(coach, form.gym(), table.columns()));
                    columns.keep(coach, ColumnsSaid.Of.KIT, table.columns());
                    flash.addFlashAttribute("into", form.gym());
                    return new ModelAndView("redirect:/exchange/kit");
                },
                state -> again(coach, state, sent));
    }

    @PostMapping("/{brought}/take-back")
    String takeBack(@AuthenticationPrincipal Person coach, @PathVariable("brought") long id) {
        brought.takeBack(coach, id);
        return "redirect:/exchange/kit";
    }
}
