package dev.yarbel.web.kit;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.LiftNames;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.Undo;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.function.Consumer;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The room of kits: gyms, what is in them, and loads tried on it. */
@Controller
@RequestMapping("/kit")
class KitController {

    private final Gyms gyms;
    private final PlateCalculator trial;
    private final LiftNames liftNames;

    KitController(Gyms gyms, PlateCalculator trial, LiftNames liftNames) {
        this.gyms = gyms;
        this.trial = trial;
        this.liftNames = liftNames;
    }

    @GetMapping
    ModelAndView first(@AuthenticationPrincipal Person person) {
        return gyms.all(person.clubId()).stream()
                .findFirst()
                .map(gym -> to(gym.id()))
                .orElseGet(() -> page(person, FormState.NONE));
    }

    private static ModelAndView to(long gym) {
        return new ModelAndView("redirect:/kit/" + gym);
    }

    /** A gym, and a load that is tried in it, plain or with chains or bands. */
    @GetMapping("/{gym}")
    ModelAndView gym(@AuthenticationPrincipal Person person, @PathVariable long gym, Sent<PlateCalculator.Form> sent) {
        Gyms.Stock stock = gyms.stock(person.clubId(), gym);
        String form = sent.text("wanted").isEmpty() ? "try" : "changing";
        return sent.answer(
                form,
                asked -> page(person, stock, sent.typed(form))
                        .addObject("tried", trial.trial(stock, asked).orElse(null))
                        .addObject("changing", trial.changing(stock, asked).orElse(null)),
                state -> page(person, stock, state));
    }

    /** The page of a club without gyms. */
    private ModelAndView page(Person person, FormState state) {
        return new ModelAndView("kit/kit")
                .addObject("gyms", gyms.all(person.clubId()))
                .addObject("state", state);
    }

    private ModelAndView page(Person person, Gyms.Stock stock, FormState state) {
        return page(person, state)
                .addObject("stock", stock)
                .addObject("shelves", Shelf.values())
                .addObject("choices", PlateCalculator.choices(stock))
                .addObject("liftNames", liftNames.all(person.clubId()));
    }

    /** A gym's name and unit; what its collars weigh may be left out. */
    record GymForm(
            @NotBlank @Size(max = Gyms.LONGEST_NAME) String name,
            @NotNull MassUnit unit,
            String collars) {}

    @PostMapping
    ModelAndView addGym(@AuthenticationPrincipal Person person, Sent<GymForm> sent) {
        return sent.answer("new-gym", form -> to(gyms.addGym(person, form.name(), form.unit())), state -> {
            List<GymEntity> all = gyms.all(person.clubId());
            return all.isEmpty()
                    ? page(person, state)
                    : page(person, gyms.stock(person.clubId(), all.get(0).id()), state);
        });
    }

    /** Does the work and goes back to the gym, or shows the form again with what is wrong in it. */
    private <F> ModelAndView keep(Person person, long gym, String name, Sent<F> sent, Consumer<F> work) {
        return sent.answer(
                name,
                form -> {
                    work.accept(form);
                    return to(gym);
                },
                state -> page(person, gyms.stock(person.clubId(), gym), state));
    }

    @PostMapping("/{gym}")
    ModelAndView change(@AuthenticationPrincipal Person person, @PathVariable long gym, Sent<GymForm> sent) {
        return keep(person, gym, "gym", sent, form -> {
            Mass collars = Reading.field("collars", form.collars(), text -> Reading.massOrNothing(text, form.unit()));
            gyms.changeGym(person, gym, form.name(), form.unit(), collars);
        });
    }

    /** Nothing is asked before a gym is closed. */
    record Closing() {}

    @PostMapping("/{gym}/close")
    ModelAndView close(
            @AuthenticationPrincipal Person person,
            @PathVariable long gym,
            Sent<Closing> sent,
            RedirectAttributes flash) {
        return sent.answer(
                "close",
                closing -> {
                    gyms.closed(person, gym, true);
                    Undo.offer(flash, "/kit/" + gym + "/open");
                    return new ModelAndView("redirect:/kit");
                },
                state -> page(person, gyms.stock(person.clubId(), gym), state));
    }

    @PostMapping("/{gym}/open")
    ModelAndView open(@AuthenticationPrincipal Person person, @PathVariable long gym) {
        gyms.closed(person, gym, false);
        return to(gym);
    }

    @PostMapping("/{gym}/{shelf}")
    ModelAndView add(
            @AuthenticationPrincipal Person person,
            @PathVariable long gym,
            @PathVariable Shelf shelf,
            Sent<PieceForm> sent) {
        return keep(person, gym, "new-" + shelf.code(), sent, form -> gyms.add(person, gym, shelf, form));
    }

    @PostMapping("/pieces/{piece}")
    ModelAndView changePiece(@AuthenticationPrincipal Person person, @PathVariable long piece, Sent<PieceForm> sent) {
        return keep(
                person, gyms.gymOf(person, piece), "piece-" + piece, sent, form -> gyms.change(person, piece, form));
    }

    @PostMapping("/pieces/{piece}/remove")
    ModelAndView remove(@AuthenticationPrincipal Person person, @PathVariable long piece, RedirectAttributes flash) {
        long gym = gyms.gymOf(person, piece);
        flash.addFlashAttribute("needing", gyms.remove(person, piece));
        Undo.offer(flash, "/kit/pieces/" + piece + "/restore");
        return to(gym);
    }

    @PostMapping("/pieces/{piece}/restore")
    ModelAndView restore(@AuthenticationPrincipal Person person, @PathVariable long piece) {
        gyms.restore(person, piece);
        return to(gyms.gymOf(person, piece));
    }
}
