package dev.yarbel.web.plan;

import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import jakarta.servlet.http.HttpServletResponse;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

@Controller
@RequestMapping("/lifters/{id}/plan")
class SheetController {

    private static final Pattern DOSE = Pattern.compile("dose\\.(\\d{1,18})\\.(\\d{1,2})");
    private static final int LONGEST_DOSE = 80;

    private final Roster roster;
    private final Plans plans;
    private final Sheet sheet;

    SheetController(Roster roster, Plans plans, Sheet sheet) {
        this.roster = roster;
        this.plans = plans;
        this.sheet = sheet;
    }

    @GetMapping
    String show(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam Optional<Integer> day,
            Model model) {
        LifterCard lifter = roster.lifter(person, id);
        Optional<LifterPlan> plan = plans.current(lifter, person.zone());
        model.addAttribute("lifter", lifter);
        if (plan.isEmpty()) {
            return "plan/none";
        }
        return page(model, plan.get(), sheet.view(plan.get(), checked(plan.get(), day.orElse(dayInFocus(plan.get())))));
    }

    /** What a dose being typed would come to; nothing is kept. */
    @GetMapping("/days/{day}/preview")
    String preview(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @PathVariable int day,
            @RequestParam Map<String, String> parameters,
            Model model) {
        LifterPlan plan = plan(person, id);
        Map<CellKey, String> texts = texts(parameters);
        CellKey key = texts.keySet().stream().findFirst().orElseThrow(NotFoundException::new);
        model.addAttribute("lifter", plan.lifter());
        model.addAttribute(
                "cell",
                sheet.view(plan, checked(plan, day), texts, Map.of()).rows().stream()
                        .flatMap(row -> row.cells().stream())
                        .filter(cell -> cell.key().equals(key))
                        .findFirst()
                        .orElseThrow(NotFoundException::new));
        return "plan/sheet :: foot";
    }

    @PostMapping("/days/{day}")
    String save(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @PathVariable int day,
            @RequestParam Map<String, String> parameters,
            @RequestHeader("HX-Request") Optional<String> fragment,
            HttpServletResponse response,
            Model model) {
        LifterPlan plan = plan(person, id);
        checked(plan, day);
        Map<CellKey, String> texts = texts(parameters);
        Map<CellKey, Sheet.Typed> typed = new HashMap<>();
        texts.forEach((key, text) -> typed.put(key, new Sheet.Typed(parameters.getOrDefault("was." + key, ""), text)));
        Map<CellKey, CellView.Trouble> troubles = sheet.save(person, plan, day, typed);

        LifterPlan saved = plan(person, id);
        texts.keySet().retainAll(troubles.keySet());
        SheetView view = sheet.view(saved, day, texts, troubles);
        if (fragment.isPresent()) {
            model.addAttribute("lifter", saved.lifter());
            model.addAttribute("sheet", view);
            return "plan/sheet :: feet";
        }
        if (view.hasTrouble()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(model, saved, view);
        }
        return "redirect:/lifters/" + id + "/plan?day=" + day;
    }

    private String page(Model model, LifterPlan plan, SheetView view) {
        model.addAttribute("lifter", plan.lifter());
        model.addAttribute("plan", plan);
        model.addAttribute("today", plan.today());
        model.addAttribute("sheet", view);
        model.addAttribute("strip", plans.strip(plan));
        return "plan/page";
    }

    private LifterPlan plan(Person person, long id) {
        return plans.current(roster.lifter(person, id), person.zone()).orElseThrow(NotFoundException::new);
    }

    private static int checked(LifterPlan plan, int day) {
        if (day < 0 || day >= plan.block().days().size()) {
            throw new NotFoundException();
        }
        return day;
    }

    /** The first day of this week that is still to come, else the first. */
    private static int dayInFocus(LifterPlan plan) {
        for (int day = 0; day < plan.block().days().size(); day++) {
            if (!plan.block().date(day, plan.currentWeek()).isBefore(plan.today())) {
                return day;
            }
        }
        return 0;
    }

    private static Map<CellKey, String> texts(Map<String, String> parameters) {
        Map<CellKey, String> texts = new HashMap<>();
        parameters.forEach((name, value) -> {
            Matcher matcher = DOSE.matcher(name);
            if (matcher.matches()) {
                String text = value.length() > LONGEST_DOSE ? value.substring(0, LONGEST_DOSE) : value;
                texts.put(new CellKey(Long.parseLong(matcher.group(1)), Integer.parseInt(matcher.group(2))), text);
            }
        });
        return texts;
    }
}
