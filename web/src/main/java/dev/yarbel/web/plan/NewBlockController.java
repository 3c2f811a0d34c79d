package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.school.School;
import dev.yarbel.core.school.WeakPoint;
import dev.yarbel.core.shape.Deload;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.Template;
import dev.yarbel.web.block.TemplateKind;
import dev.yarbel.web.block.Templates;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.Standing;
import dev.yarbel.web.book.StartingNumbers;
import dev.yarbel.web.kit.AtHand;
import dev.yarbel.web.kit.KitShelf;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Forms;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Typed;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A new block: drawn up by the schools, from a template, or empty. */
@Controller
@RequestMapping("/lifters/{id}/plan/new")
class NewBlockController {

    private static final int WEEKS = 8;

    private final Roster roster;
    private final Book book;
    private final KitShelf kits;
    private final Blocks blocks;
    private final BlockRequests requests;
    private final Templates templates;
    private final TemplateForms chosen;
    private final StartingNumbers starting;
    private final Forms forms;
    private final Words words;
    private final Clock clock;

    NewBlockController(
            Roster roster,
            Book book,
            KitShelf kits,
            Blocks blocks,
            BlockRequests requests,
            Templates templates,
            TemplateForms chosen,
            StartingNumbers starting,
            Forms forms,
            Words words,
            Clock clock) {
        this.starting = starting;
        this.roster = roster;
        this.book = book;
        this.kits = kits;
        this.blocks = blocks;
        this.requests = requests;
        this.templates = templates;
        this.chosen = chosen;
        this.forms = forms;
        this.words = words;
        this.clock = clock;
    }

    /** A school as the chooser shows it. */
    record SchoolView(String key, int leastWeeks, int mostWeeks, int sessions, String start) {

        static SchoolView of(School school) {
            return new SchoolView(
                    school.key(),
                    school.leastWeeks(),
                    school.mostWeeks(),
                    school.sessions(),
                    school.start().format(1));
        }
    }

    /** A drawn block as it is looked at before it is kept. */
    record Drawn(String name, List<Integer> weeks, List<DrawnDay> days) {}

    /** One of its days. */
    record DrawnDay(String name, LocalDate first, List<DrawnSlot> slots) {}

    /** One of its slots; a week without a dose is empty. */
    record DrawnSlot(String letter, Lift lift, String reason, List<String> doses) {}

    @GetMapping
    String show(@AuthenticationPrincipal Person person, @PathVariable long id, Model model) {
        LifterCard lifter = roster.lifter(person, id);
        return page(model, person, lifter, book.standing(lifter), FormState.NONE, Optional.empty());
    }

    /** Draws the block; kept only when that is asked for. */
    @PostMapping
    String draw(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam Map<String, String> parameters,
            HttpServletResponse response,
            Model model) {
        LifterCard lifter = roster.lifter(person, id);
        Standing standing = book.standing(lifter);
        AtHand kit = kits.usual(lifter);
        return forms.sendTo(
                "new-block",
                parameters,
                typed -> {
                    BlockRequests.Asked asked = requests.draw(lifter, standing, kit, typed);
                    if (typed.isTicked("keep")) {
                        asked.announced()
                                .forEach((lift, load) -> starting.eventLoad(person, lifter, lift, Optional.of(load)));
                        return "redirect:/lifters/" + id + "/plan?block="
                                + blocks.begin(person, lifter, asked.block(), asked.origin());
                    }
                    FormState typedSoFar = FormState.typedSoFar("new-block", typed.values());
                    return page(model, person, lifter, standing, typedSoFar, Optional.of(drawn(asked)));
                },
                state -> page(model, person, lifter, standing, state, Optional.empty()),
                response);
    }

    /** Begins a block from a template, or one without any day. */
    @PostMapping("/template")
    String fromTemplate(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam Map<String, String> parameters,
            HttpServletResponse response,
            Model model) {
        LifterCard lifter = roster.lifter(person, id);
        return forms.sendTo(
                "template",
                parameters,
                typed -> {
                    LocalDate start = typed.read("start", Reading::day);
                    return "redirect:/lifters/" + id + "/plan?block=" + begin(person, lifter, typed, start);
                },
                state -> page(model, person, lifter, book.standing(lifter), state, Optional.empty()),
                response);
    }

    private long begin(Person person, LifterCard lifter, Typed typed, LocalDate start) {
        if (typed.isBlank("template")) {
            int weeks = typed.read("weeks", text -> Reading.number(text, 1, Block.MOST_WEEKS));
            String name = typed.read("name", text -> BlockForms.line(text, 40));
            Block block = new Block(start, weeks, List.of(new TrainingDay(words.say("new-block.day", 1), 0, List.of())))
                    .named(name);
            return blocks.begin(person, lifter, block, "");
        }
        Template template = chosen.chosen(person, typed);
        Block block = templates.block(person, template.id(), start).named(template.name());
        return blocks.begin(person, lifter, block, "template:" + template.id());
    }

    private String page(
            Model model, Person person, LifterCard lifter, Standing standing, FormState state, Optional<Drawn> drawn) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), person.zone());
        model.addAttribute("lifter", lifter);
        model.addAttribute("today", today);
        model.addAttribute("state", state);
        model.addAttribute("drawn", drawn.orElse(null));
        model.addAttribute(
                "schools", List.of(School.values()).stream().map(SchoolView::of).toList());
        model.addAttribute("weakPoints", List.of(WeakPoint.values()));
        model.addAttribute("deloads", List.of(Deload.values()));
        model.addAttribute("start", start(lifter, today));
        model.addAttribute("weeks", WEEKS);
        model.addAttribute("lifts", lifts(standing));
        model.addAttribute("contestLifts", List.of(Lift.SQUAT, Lift.BENCH_PRESS, Lift.DEADLIFT));
        model.addAttribute(
                "templates",
                templates.all(lifter.clubId()).stream()
                        .filter(template -> template.kind() == TemplateKind.BLOCK)
                        .toList());
        return "plan/new";
    }

    /** The Monday after the last block ends, else the next one. */
    private LocalDate start(LifterCard lifter, LocalDate today) {
        LocalDate after = blocks.of(lifter).stream()
                .map(block -> block.start().plusWeeks(block.weeks()))
                .filter(end -> end.isAfter(today))
                .findFirst()
                .orElse(today);
        return after.with(TemporalAdjusters.nextOrSame(DayOfWeek.MONDAY));
    }

    /** Lifts that stand for themselves first, then all others, by name. */
    private Map<String, String> lifts(Standing standing) {
        List<Map.Entry<String, String>> all = new ArrayList<>();
        standing.catalogue()
                .all()
                .forEach(variation -> all.add(Map.entry(variation.lift().key(), words.lift(variation.lift()))));
        all.sort(Map.Entry.comparingByValue());
        Map<String, String> lifts = new LinkedHashMap<>();
        all.forEach(lift -> lifts.put(lift.getKey(), lift.getValue()));
        return lifts;
    }

    private static Drawn drawn(BlockRequests.Asked asked) {
        Block block = asked.block();
        List<DrawnDay> days = new ArrayList<>();
        for (int d = 0; d < block.days().size(); d++) {
            TrainingDay day = block.days().get(d);
            days.add(new DrawnDay(
                    day.name(),
                    block.date(d, 0),
                    day.slots().stream()
                            .map(slot -> new DrawnSlot(
                                    slot.letter(),
                                    slot.lift(),
                                    slot.reason().orElse(""),
                                    slot.doses().stream()
                                            .map(dose ->
                                                    dose.map(Dose::shorthand).orElse(""))
                                            .toList()))
                            .toList()));
        }
        return new Drawn(
                block.name(), IntStream.rangeClosed(1, block.weeks()).boxed().toList(), days);
    }
}
