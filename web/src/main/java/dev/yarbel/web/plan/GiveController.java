package dev.yarbel.web.plan;

import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Forms;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.Roster;
import jakarta.servlet.http.HttpServletResponse;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Giving a block to several lifters. */
@Controller
@RequestMapping("/lifters/{id}/plan/give")
class GiveController {

    private final Roster roster;
    private final Plans plans;
    private final GivenBlocks blocks;
    private final Forms forms;

    GiveController(Roster roster, Plans plans, GivenBlocks blocks, Forms forms) {
        this.roster = roster;
        this.plans = plans;
        this.blocks = blocks;
        this.forms = forms;
    }

    @GetMapping
    String show(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam Optional<Long> block,
            Model model) {
        return page(model, person, plan(person, id, block), FormState.NONE, List.of());
    }

    @PostMapping
    String give(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam Optional<Long> block,
            @RequestParam(required = false, name = "to") List<Long> to,
            @RequestParam Map<String, String> parameters,
            HttpServletResponse response,
            Model model) {
        LifterPlan plan = plan(person, id, block);
        return forms.sendTo(
                "give",
                parameters,
                typed -> {
                    LocalDate start = typed.read("start", Reading::day);
                    if (to == null) {
                        throw new UnreadableException("give.to-whom").in("to");
                    }
                    List<GivenBlocks.Given> given = blocks.give(person, plan, to, start, person.zone());
                    return page(model, person, plan, FormState.NONE, given);
                },
                state -> page(model, person, plan, state, List.of()),
                response);
    }

    private String page(Model model, Person person, LifterPlan plan, FormState state, List<GivenBlocks.Given> given) {
        model.addAttribute("lifter", plan.lifter());
        model.addAttribute("plan", plan);
        model.addAttribute("state", state);
        model.addAttribute("given", given);
        model.addAttribute(
                "others",
                roster.choices(person).stream()
                        .filter(choice -> choice.id() != plan.lifter().id())
                        .toList());
        model.addAttribute("start", plan.today().with(TemporalAdjusters.next(DayOfWeek.MONDAY)));
        return "plan/give";
    }

    private LifterPlan plan(Person person, long id, Optional<Long> block) {
        return plans.open(roster.lifter(person, id), person.zone(), block).orElseThrow(NotFoundException::new);
    }
}
