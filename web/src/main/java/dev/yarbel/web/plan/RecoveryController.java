package dev.yarbel.web.plan;

import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** How long lifts need until they can be trained hard again: what the club and the lifter's coach set, and what the log says of it. */
@Controller
@RequestMapping("/lifters/{id}/plan/recovery")
class RecoveryController {

    private static final String NEW = "new";

    private final RecoverySettings settings;
    private final StripMaker strips;
    private final Words words;

    RecoveryController(RecoverySettings settings, StripMaker strips, Words words) {
        this.settings = settings;
        this.strips = strips;
        this.words = words;
    }

    /**
     * A line as it was set.
     *
     * @param then the lift that feels a share of the other's wake; none where hours are meant
     * @param club and own, blank for none
     */
    record Line(Lift lift, Lift then, String club, String own) {}

    @GetMapping
    ModelAndView recovery(LifterBlock plan) {
        return page(plan, FormState.NONE);
    }

    @PostMapping
    ModelAndView set(
            @AuthenticationPrincipal Person coach, LifterBlock plan, Sent<Line> sent, RedirectAttributes flash) {
        String then = sent.text("then").isEmpty() ? "" : "-" + sent.text("then");
        boolean added = !sent.text("added").isEmpty();
        String name = added ? NEW : sent.text("lift") + then;
        return sent.answer(
                name,
                form -> {
                    Catalogue catalogue = plan.standing().catalogue();
                    Lift lift = BlockForms.lift(catalogue, "lift", form.lift());
                    Optional<Lift> feels = Optional.ofNullable(form.then())
                            .map(other -> BlockForms.lift(catalogue, "then", other))
                            .map(catalogue::root);
                    if (feels.filter(catalogue.root(lift)::equals).isPresent()) {
                        throw new UnreadableException("recovers.error.same").in("then");
                    }
                    Lift of = feels.isPresent() ? catalogue.root(lift) : lift;
                    settings.set(
                            coach,
                            plan.lifter(),
                            new RecoverySettings.Typed(of, feels, said(form.club(), added), said(form.own(), added)));
                    flash.addFlashAttribute("notice", words.say("recovers.set", words.lift(of)));
                    return new ModelAndView(
                            "redirect:/lifters/" + plan.lifter().id() + "/plan/recovery?block=" + plan.blockId());
                },
                state -> page(plan, state));
    }

    /** What is left blank for a lift that has no line yet leaves what there is after all. */
    private static Optional<String> said(String text, boolean added) {
        String said = Objects.requireNonNullElse(text, "");
        return Optional.of(said).filter(typed -> !added || !typed.isBlank());
    }

    private ModelAndView page(LifterBlock plan, FormState state) {
        Map<String, String> lifts = new TreeMap<>();
        plan.standing()
                .catalogue()
                .all()
                .forEach(variation ->
                        lifts.put(words.lift(variation.lift()), variation.lift().key()));
        return new ModelAndView("plan/recovery")
                .addObject("lifter", plan.lifter())
                .addObject("plan", plan)
                .addObject("strip", strips.draw(plan))
                .addObject("view", RecoveryView.of(plan, settings.figures(plan.lifter())))
                .addObject("lifts", lifts)
                .addObject("state", state);
    }
}
