package dev.yarbel.web.kit;

import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Forms;
import dev.yarbel.web.page.LiftNames;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Typed;
import dev.yarbel.web.page.Undo;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import jakarta.servlet.http.HttpServletResponse;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The room of kits: gyms, what is in them, and loads tried on it. */
@Controller
@RequestMapping("/kit")
class KitController {

    private static final Map<String, String> FIRST_CHANGING =
            Map.of("bottom", "60 cm", "top", "120 cm", "a-side", "1", "drop", "0", "anchor", "0", "at", "bar");

    private final Gyms gyms;
    private final Trial trial;
    private final LiftNames liftNames;
    private final Forms forms;
    private final Words words;

    KitController(Gyms gyms, Trial trial, LiftNames liftNames, Forms forms, Words words) {
        this.gyms = gyms;
        this.trial = trial;
        this.liftNames = liftNames;
        this.forms = forms;
        this.words = words;
    }

    @GetMapping
    String first(@AuthenticationPrincipal Person person, Model model) {
        List<GymEntity> all = gyms.all(person.clubId());
        if (!all.isEmpty()) {
            return "redirect:/kit/" + all.get(0).id();
        }
        model.addAttribute("gyms", all);
        model.addAttribute("state", FormState.NONE);
        return "kit/kit";
    }

    /** @param typed a load to try, or one with chains or bands */
    @GetMapping("/{gym}")
    String gym(
            @AuthenticationPrincipal Person person,
            @PathVariable long gym,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        Gyms.Stock stock = gyms.stock(person.clubId(), gym);
        FormState state = FormState.NONE;
        String form = typed.containsKey("wanted") ? "changing" : "try";
        try {
            if (form.equals("changing")) {
                trial.changing(stock, new Typed(typed)).ifPresent(view -> model.addAttribute("changing", view));
            } else {
                trial.trial(stock, new Typed(typed)).ifPresent(view -> model.addAttribute("tried", view));
            }
        } catch (UnreadableException unreadable) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            state = FormState.of(form, typed, unreadable, words);
        }
        model.addAttribute("asked", asked(typed));
        return page(person, stock, state, model);
    }

    private static Map<String, String> asked(Map<String, String> typed) {
        Map<String, String> asked = new LinkedHashMap<>(FIRST_CHANGING);
        asked.putAll(typed);
        return asked;
    }

    private String page(Person person, Gyms.Stock stock, FormState state, Model model) {
        model.addAttribute("gyms", gyms.all(person.clubId()));
        model.addAttribute("stock", stock);
        model.addAttribute("shelves", Shelf.values());
        model.addAttribute("choices", Trial.choices(stock));
        model.addAttribute("liftNames", liftNames.all(person.clubId()));
        model.addAttribute("state", state);
        if (!model.containsAttribute("asked")) {
            model.addAttribute("asked", FIRST_CHANGING);
        }
        return "kit/kit";
    }

    @PostMapping
    String addGym(
            @AuthenticationPrincipal Person person,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        return forms.sendTo(
                "new-gym",
                typed,
                values -> "redirect:/kit/" + gyms.addGym(person, values),
                state -> {
                    List<GymEntity> all = gyms.all(person.clubId());
                    if (!all.isEmpty()) {
                        return page(
                                person, gyms.stock(person.clubId(), all.get(0).id()), state, model);
                    }
                    model.addAttribute("gyms", all);
                    model.addAttribute("state", state);
                    return "kit/kit";
                },
                response);
    }

    /** Does the work and goes back to its part of the page, or shows the form again with what is wrong in it. */
    private String attempt(
            Person person,
            long gym,
            String form,
            Map<String, String> typed,
            Consumer<Typed> work,
            HttpServletResponse response,
            Model model) {
        return forms.send(
                form,
                typed,
                work,
                "redirect:/kit/" + gym,
                state -> page(person, gyms.stock(person.clubId(), gym), state, model),
                response);
    }

    @PostMapping("/{gym}")
    String change(
            @AuthenticationPrincipal Person person,
            @PathVariable long gym,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        return attempt(person, gym, "gym", typed, values -> gyms.changeGym(person, gym, values), response, model);
    }

    @PostMapping("/{gym}/close")
    String close(
            @AuthenticationPrincipal Person person,
            @PathVariable long gym,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            RedirectAttributes flash,
            Model model) {
        return forms.sendTo(
                "close",
                typed,
                values -> {
                    gyms.closed(person, gym, true);
                    Undo.offer(flash, "/kit/" + gym + "/open");
                    return "redirect:/kit";
                },
                state -> page(person, gyms.stock(person.clubId(), gym), state, model),
                response);
    }

    @PostMapping("/{gym}/open")
    String open(@AuthenticationPrincipal Person person, @PathVariable long gym) {
        gyms.closed(person, gym, false);
        return "redirect:/kit/" + gym;
    }

    @PostMapping("/{gym}/{shelf}")
    String add(
            @AuthenticationPrincipal Person person,
            @PathVariable long gym,
            @PathVariable String shelf,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        Shelf on = Reading.find(Shelf.class, shelf.toUpperCase(Locale.ROOT)).orElseThrow(NotFoundException::new);
        return attempt(
                person, gym, "new-" + shelf, typed, values -> gyms.add(person, gym, on, values), response, model);
    }

    @PostMapping("/pieces/{piece}")
    String changePiece(
            @AuthenticationPrincipal Person person,
            @PathVariable long piece,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        return attempt(
                person,
                gyms.gymOf(person, piece),
                "piece-" + piece,
                typed,
                values -> gyms.change(person, piece, values),
                response,
                model);
    }

    @PostMapping("/pieces/{piece}/remove")
    String remove(@AuthenticationPrincipal Person person, @PathVariable long piece, RedirectAttributes flash) {
        long gym = gyms.gymOf(person, piece);
        flash.addFlashAttribute("needing", gyms.remove(person, piece));
        Undo.offer(flash, "/kit/pieces/" + piece + "/restore");
        return "redirect:/kit/" + gym;
    }

    @PostMapping("/pieces/{piece}/restore")
    String restore(@AuthenticationPrincipal Person person, @PathVariable long piece) {
        gyms.restore(person, piece);
        return "redirect:/kit/" + gyms.gymOf(person, piece);
    }
}
