package dev.yarbel.web.plan;

import dev.yarbel.core.review.Gate;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Forms;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Typed;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
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
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The sheet of a block: the one of a number, or without one the current. */
@Controller
@RequestMapping("/lifters/{id}/plan")
class SheetController {

    private static final Pattern DOSE = Pattern.compile("dose\\.(\\d{1,18})\\.(\\d{1,2})");

    private final Roster roster;
    private final Plans plans;
    private final Sheet sheet;
    private final DoseChanges doses;
    private final BlockChanges changes;
    private final Gates gates;
    private final Followers followers;
    private final Templates templates;
    private final Forms forms;
    private final Words words;

    SheetController(
            Roster roster,
            Plans plans,
            Sheet sheet,
            DoseChanges doses,
            BlockChanges changes,
            Gates gates,
            Followers followers,
            Templates templates,
            Forms forms,
            Words words) {
        this.roster = roster;
        this.plans = plans;
        this.sheet = sheet;
        this.doses = doses;
        this.changes = changes;
        this.gates = gates;
        this.followers = followers;
        this.templates = templates;
        this.forms = forms;
        this.words = words;
    }

    @GetMapping
    String show(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam Optional<Long> block,
            @RequestParam Optional<Integer> day,
            Model model) {
        LifterCard lifter = roster.lifter(person, id);
        Optional<LifterPlan> plan = plans.open(lifter, person.zone(), block);
        model.addAttribute("lifter", lifter);
        if (plan.isEmpty() && block.isPresent()) {
            throw new NotFoundException();
        }
        if (plan.isEmpty()) {
            return "plan/none";
        }
        if (day.isPresent()) {
            checked(plan.get(), day.get());
        }
        return page(model, plan.get(), day.orElseGet(() -> dayInFocus(plan.get())), FormState.NONE);
    }

    /** What a dose being typed would come to; nothing is kept. */
    @GetMapping("/days/{day}/preview")
    String preview(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @PathVariable int day,
            @RequestParam Optional<Long> block,
            @RequestParam Map<String, String> parameters,
            Model model) {
        LifterPlan plan = plan(person, id, block);
        Map.Entry<CellKey, String> typed = texts(parameters).entrySet().stream()
                .filter(text -> plan.slotIds()
                                .get(checked(plan, day))
                                .contains(text.getKey().slotId())
                        && text.getKey().week() < plan.block().weeks())
                .findFirst()
                .orElseThrow(NotFoundException::new);
        model.addAttribute("lifter", plan.lifter());
        model.addAttribute("plan", plan);
        model.addAttribute("cell", sheet.cell(plan, day, typed.getKey(), typed.getValue()));
        return "plan/sheet :: foot";
    }

    @PostMapping("/days/{day}")
    String save(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @PathVariable int day,
            @RequestParam Optional<Long> block,
            @RequestParam Map<String, String> parameters,
            @RequestHeader("HX-Request") Optional<String> fragment,
            HttpServletResponse response,
            RedirectAttributes flash,
            Model model) {
        LifterPlan plan = plan(person, id, block);
        checked(plan, day);
        Map<CellKey, String> texts = texts(parameters);
        Map<CellKey, DoseChanges.Typed> typed = new HashMap<>();
        texts.forEach(
                (key, text) -> typed.put(key, new DoseChanges.Typed(parameters.getOrDefault("was." + key, ""), text)));
        Map<CellKey, CellView.Trouble> troubles = doses.save(person, plan, day, typed);

        LifterPlan saved = plans.reopened(plan);
        if (follows(parameters)) {
            Set<CellKey> kept = new HashSet<>(texts.keySet());
            kept.removeAll(troubles.keySet());
            followers.cells(person, plan, saved, day, kept).ifPresent(told -> {
                flash.addFlashAttribute("done", told);
                model.addAttribute("done", told);
            });
        }
        texts.keySet().retainAll(troubles.keySet());
        if (fragment.isPresent()) {
            SheetView view = sheet.view(saved, day, texts, troubles).since(sheet.cells(plan, day));
            model.addAttribute("lifter", saved.lifter());
            model.addAttribute("plan", saved);
            model.addAttribute("sheet", view);
            return "plan/sheet :: feet";
        }
        if (!troubles.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(model, saved, sheet.view(saved, day, texts, troubles), FormState.NONE);
        }
        return redirect(id, block, plan, day);
    }

    private static boolean follows(Map<String, String> parameters) {
        return parameters.containsKey("follow");
    }

    /** Fills the weeks to the right. */
    @PostMapping("/days/{day}/fill")
    String fill(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @PathVariable int day,
            @RequestParam Optional<Long> block,
            @RequestParam(required = false, name = "slot") List<Long> slots,
            @RequestParam Map<String, String> parameters,
            HttpServletResponse response,
            RedirectAttributes flash,
            Model model) {
        LifterPlan plan = plan(person, id, block);
        checked(plan, day);
        return doing("fill", parameters, plan, day, response, model, typed -> {
            int weeks = plan.block().weeks();
            int from = typed.read("from", text -> Reading.number(text, 1, weeks));
            int to = typed.read("to", text -> Reading.number(text, from + 1, Math.max(from + 1, weeks)));
            DoseChanges.Filled filled = doses.fill(
                    person,
                    plan,
                    day,
                    slots == null ? List.of() : slots,
                    from - 1,
                    Math.min(to, weeks) - 1,
                    PlanForms.fillRule(typed, plan.lifter().unit()));
            List<String> told = new ArrayList<>(filled.notes());
            if (follows(parameters)) {
                followers.cells(person, plan, fresh(plan), day, filled.cells()).ifPresent(told::add);
            }
            if (!told.isEmpty()) {
                flash.addFlashAttribute("done", String.join(" ", told));
            }
            return redirect(id, block, plan, day) + "#week-" + from;
        });
    }

    /** Changes weeks, days, slots or the block itself. */
    @PostMapping("/change")
    String change(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam Optional<Long> block,
            @RequestParam(defaultValue = "0") int at,
            @RequestParam Map<String, String> parameters,
            HttpServletResponse response,
            RedirectAttributes flash,
            Model model) {
        LifterPlan plan = plan(person, id, block);
        return doing("change", parameters, plan, at, response, model, typed -> {
            BlockChanges.Kind kind = typed.read("kind", text -> Reading.choice(BlockChanges.Kind.class, text));
            changes.change(person, plan, kind, typed);
            if (follows(parameters) && kind.canFollow()) {
                flash.addFlashAttribute("done", followers.change(person, plan, kind, typed));
            }
            int days =
                    plan(person, id, Optional.of(plan.blockId())).block().days().size();
            boolean added = kind == BlockChanges.Kind.DAY_ADD || kind == BlockChanges.Kind.DAY_COPY;
            return redirect(id, block, plan, added ? days - 1 : Math.max(0, Math.min(at, days - 1)));
        });
    }

    /** Puts a template's day or scheme into the block. */
    @PostMapping("/use")
    String use(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam Optional<Long> block,
            @RequestParam(defaultValue = "0") int at,
            @RequestParam Map<String, String> parameters,
            HttpServletResponse response,
            RedirectAttributes flash,
            Model model) {
        LifterPlan plan = plan(person, id, block);
        return doing("use", parameters, plan, at, response, model, typed -> {
            templates.use(person, plan, typed);
            if (follows(parameters)) {
                flash.addFlashAttribute("done", followers.template(person, plan, typed));
            }
            return redirect(id, block, plan, at);
        });
    }

    /** Keeps the block, a day or a slot's doses as a template of the club. */
    @PostMapping("/templates")
    String template(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam Optional<Long> block,
            @RequestParam(defaultValue = "0") int at,
            @RequestParam Map<String, String> parameters,
            HttpServletResponse response,
            RedirectAttributes flash,
            Model model) {
        LifterPlan plan = plan(person, id, block);
        return doing("template", parameters, plan, at, response, model, typed -> {
            templates.keep(person, plan, checked(plan, at), typed);
            flash.addFlashAttribute("done", words.say("template.kept", typed.text("name")));
            return redirect(id, block, plan, at);
        });
    }

    @PostMapping("/undo")
    String undo(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam Optional<Long> block,
            @RequestParam(defaultValue = "0") int at,
            @RequestParam(defaultValue = "false") boolean redo,
            RedirectAttributes flash) {
        LifterPlan plan = plan(person, id, block);
        try {
            Optional<String> told = doses.undo(person, plan, redo);
            flash.addFlashAttribute(
                    "done", told.orElseGet(() -> words.say(redo ? "plan.nothing-to-redo" : "plan.nothing-to-undo")));
        } catch (BlockDesk.Refused refused) {
            flash.addFlashAttribute("refused", said(refused));
        }
        int days = plan(person, id, Optional.of(plan.blockId())).block().days().size();
        return redirect(id, block, plan, Math.max(0, Math.min(at, days - 1)));
    }

    /** Opens a gate of a slot in the coach's own name. */
    @PostMapping("/gates")
    String gate(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam Optional<Long> block,
            @RequestParam(defaultValue = "0") int at,
            @RequestParam long slot,
            @RequestParam Gate gate,
            @RequestParam Map<String, String> parameters,
            HttpServletResponse response,
            RedirectAttributes flash,
            Model model) {
        LifterPlan plan = plan(person, id, block);
        return doing("gate", parameters, plan, at, response, model, typed -> {
            gates.open(person, plan, slot, gate, typed);
            flash.addFlashAttribute("done", words.say("gate.opened", words.say("gate." + gate)));
            return redirect(id, block, plan, at);
        });
    }

    /** Does what a form beside the sheet asks; what cannot be done is said on the page, with what was typed. */
    private String doing(
            String form,
            Map<String, String> parameters,
            LifterPlan plan,
            int day,
            HttpServletResponse response,
            Model model,
            Function<Typed, String> work) {
        try {
            return forms.sendTo(form, parameters, work, state -> page(model, fresh(plan), day, state), response);
        } catch (BlockDesk.Refused refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("refused", said(refused));
            return page(model, fresh(plan), day, FormState.NONE);
        }
    }

    private LifterPlan fresh(LifterPlan plan) {
        return plans.reopened(plan);
    }

    private String said(BlockDesk.Refused refused) {
        return words.say("plan.refused." + refused.code(), refused.facts());
    }

    private String page(Model model, LifterPlan plan, int day, FormState state) {
        int open = Math.min(day, plan.block().days().size() - 1);
        return page(model, plan, open < 0 ? sheet.empty(plan) : sheet.view(plan, open), state);
    }

    private String page(Model model, LifterPlan plan, SheetView view, FormState state) {
        model.addAttribute("lifter", plan.lifter());
        model.addAttribute("plan", plan);
        model.addAttribute("today", plan.today());
        model.addAttribute("sheet", view);
        model.addAttribute("state", state);
        model.addAttribute("lifts", liftChoices(plan));
        model.addAttribute("strip", plans.strip(plan));
        return "plan/page";
    }

    /** Every lift of the club by name. */
    private List<Map.Entry<String, String>> liftChoices(LifterPlan plan) {
        List<Map.Entry<String, String>> lifts = new ArrayList<>();
        plan.standing()
                .catalogue()
                .all()
                .forEach(variation -> lifts.add(Map.entry(variation.lift().key(), words.lift(variation.lift()))));
        lifts.sort(Map.Entry.comparingByValue());
        return lifts;
    }

    private static String redirect(long id, Optional<Long> block, LifterPlan plan, int day) {
        return "redirect:/lifters/" + id + "/plan?"
                + block.map(b -> "block=" + b + "&").orElse("") + "day=" + day;
    }

    private LifterPlan plan(Person person, long id, Optional<Long> block) {
        return plans.open(roster.lifter(person, id), person.zone(), block).orElseThrow(NotFoundException::new);
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
                texts.put(new CellKey(Long.parseLong(matcher.group(1)), Integer.parseInt(matcher.group(2))), value);
            }
        });
        return texts;
    }
}
