package dev.yarbel.web.exchange;

import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.roster.GymChooser;
import jakarta.validation.constraints.NotNull;
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

    BroughtKitController(BroughtKit brought, GymChooser gyms) {
        this.brought = brought;
        this.gyms = gyms;
    }

    /**
     * @param file read into the text where one was chosen
     * @param seen what was looked at last
     */
    record KitForm(MultipartFile file, String text, @NotNull Long gym, String seen) {

        /** What was looked at: the list, and of which gym. */
        String seen(String table) {
            return PastedTable.seen(table, gym);
        }
    }

    @GetMapping
    ModelAndView show(@AuthenticationPrincipal Person coach) {
        return page(coach, FormState.NONE);
    }

    private ModelAndView page(Person coach, FormState state) {
        return new ModelAndView("exchange/kit")
                .addObject("state", state)
                .addObject("gyms", gyms.gyms(coach.clubId()))
                .addObject("look", null)
                .addObject("before", brought.latest(coach))
                .addObject("zone", coach.zone());
    }

    @PostMapping
    ModelAndView look(@AuthenticationPrincipal Person coach, Sent<KitForm> sent) {
        return sent.answer("kit", form -> looked(coach, form, text(form, sent), sent), state -> page(coach, state));
    }

    private static String text(KitForm form, Sent<KitForm> sent) {
        return PastedTable.text(form.file(), sent.text("text"), BroughtKit::isList);
    }

    private ModelAndView looked(Person coach, KitForm form, String text, Sent<KitForm> sent) {
        BroughtKit.Look look = brought.look(coach, form.gym(), PastedTable.rows(text));
        return page(coach, sent.typed("kit", "text", text))
                .addObject("look", look)
                .addObject("seen", form.seen(text));
    }

    /** Adds what was shown; what was changed since is looked at once more first. */
    @PostMapping("/take")
    ModelAndView take(@AuthenticationPrincipal Person coach, Sent<KitForm> sent, RedirectAttributes flash) {
        return sent.answer(
                "kit",
                form -> {
                    String text = text(form, sent);
                    if (!form.seen(text).equals(form.seen())) {
                        return looked(coach, form, text, sent).addObject("changed", true);
                    }
                    flash.addFlashAttribute("taken", brought.take(coach, form.gym(), PastedTable.rows(text)));
                    flash.addFlashAttribute("into", form.gym());
                    return new ModelAndView("redirect:/exchange/kit");
                },
                state -> page(coach, state));
    }

    @PostMapping("/{brought}/take-back")
    String takeBack(@AuthenticationPrincipal Person coach, @PathVariable("brought") long id) {
        brought.takeBack(coach, id);
        return "redirect:/exchange/kit";
    }
}
