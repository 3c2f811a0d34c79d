package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.school.School;
import dev.yarbel.core.school.WeakPoint;
import dev.yarbel.core.shape.Deload;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.block.Template;
import dev.yarbel.web.block.TemplateKind;
import dev.yarbel.web.block.Templates;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.LifterRecord;
import dev.yarbel.web.kit.AvailableKit;
import dev.yarbel.web.kit.KitShelf;
import dev.yarbel.web.page.FormExtras;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import jakarta.validation.constraints.NotNull;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.ModelAndView;

/** A new block: drawn up by the schools, from a template, or empty. */
@Controller
@RequestMapping("/lifters/{id}/plan/new")
class NewBlockController {

    private static final int WEEKS = 8;

    private final Book book;
    private final KitShelf kits;
    private final Blocks blocks;
    private final BlockRequests requests;
    private final Templates templates;
    private final Sheet sheet;
    private final MeetingQuestion meeting;
    private final Words words;
    private final Clock clock;

    NewBlockController(
            Book book,
            KitShelf kits,
            Blocks blocks,
            BlockRequests requests,
            Templates templates,
            Sheet sheet,
            MeetingQuestion meeting,
            Words words,
            Clock clock) {
        this.book = book;
        this.kits = kits;
        this.blocks = blocks;
        this.requests = requests;
        this.templates = templates;
        this.sheet = sheet;
        this.meeting = meeting;
        this.words = words;
        this.clock = clock;
    }

    /** A school as the chooser shows it. */
    record SchoolView(String key, int leastWeeks, int mostWeeks, int sessions, String start) {

        static SchoolView of(School school, Words words) {
            return new SchoolView(
                    school.key(),
                    school.leastWeeks(),
                    school.mostWeeks(),
                    school.sessions(),
                    words.figure(school.start().format(1)));
        }
    }

    @GetMapping
    ModelAndView show(@AuthenticationPrincipal Person person, LifterCard lifter) {
        return page(person, lifter, book.standing(lifter), FormState.NONE);
    }

    /** What the answers so far would draw, or what stands in its way; nothing is kept. */
    @GetMapping("/preview")
    ModelAndView preview(@AuthenticationPrincipal Person person, LifterCard lifter, Sent<NewBlockForm> sent) {
        LifterRecord standing = book.standing(lifter);
        AvailableKit kit = kits.usual(lifter);
        ModelAndView part = sent.answer(
                "new-block",
                form -> new ModelAndView("plan/new :: drawn")
                        .addAllObjects(
                                drawn(person, lifter, standing, kit, requests.draw(lifter, standing, kit, form))),
                state -> new ModelAndView("plan/new :: drawn")
                        .addObject("troubles", state.errors().values()));
        return part.addObject("lifter", lifter);
    }

    /** Draws the block; kept only when that is asked for. */
    @PostMapping
    ModelAndView draw(@AuthenticationPrincipal Person person, LifterCard lifter, Sent<NewBlockForm> sent) {
        LifterRecord standing = book.standing(lifter);
        AvailableKit kit = kits.usual(lifter);
        return sent.answer(
                "new-block",
                form -> {
                    BlockRequests.Asked asked = requests.draw(lifter, standing, kit, form);
                    List<String> meets =
                            meets(lifter, asked.block().start(), asked.block().weeks());
                    if (form.keep() != null || form.confirmed() != null) {
                        meeting.ask(
                                meets(
                                        lifter,
                                        asked.block().start(),
                                        asked.block().weeks()),
                                isMeant(sent, form.confirmed()));
                        asked.announced()
                                .forEach((lift, load) -> book.announce(person, lifter, lift, Optional.of(load)));
                        return shown(lifter, blocks.begin(person, lifter, asked.block(), asked.origin()));
                    }
                    return page(person, lifter, standing, sent.typed("new-block"))
                            .addAllObjects(drawn(person, lifter, standing, kit, asked));
                },
                state -> page(person, lifter, standing, state));
    }

    private static ModelAndView shown(LifterCard lifter, long block) {
        return new ModelAndView("redirect:/lifters/" + lifter.id() + "/plan?block=" + block);
    }

    /** A block from a template; without one it is empty, and has a name and weeks of its own; {@code confirmed} as in {@link NewBlockForm}. */
    record FromTemplate(Long template, String name, @NotNull LocalDate start, Integer weeks, String confirmed) {}

    /** Begins a block from a template, or one without any day. */
    @PostMapping("/template")
    ModelAndView fromTemplate(@AuthenticationPrincipal Person person, LifterCard lifter, Sent<FromTemplate> sent) {
        return sent.answer(
                "template",
                form -> shown(lifter, begin(person, lifter, form, isMeant(sent, form.confirmed()))),
                state -> page(person, lifter, book.standing(lifter), state));
    }

    private List<String> meets(LifterCard lifter, LocalDate start, int weeks) {
        return meeting.said(lifter, blocks.meetings(lifter, start, weeks));
    }

    private static boolean isMeant(Sent<?> sent, String confirmed) {
        return FormExtras.isConfirmed(confirmed, sent.text("start"));
    }

    private long begin(Person person, LifterCard lifter, FromTemplate form, boolean meant) {
        if (form.template() == null) {
            int weeks = Reading.within("weeks", form.weeks(), 1, Block.MOST_WEEKS);
            String name = Reading.field("name", form.name(), text -> BlockForms.line(text, 40));
            meeting.ask(meets(lifter, form.start(), weeks), meant);
            List<TrainingDay> days = List.of(new TrainingDay(words.say("new-block.day", 1), 0, List.of()));
            return blocks.begin(person, lifter, new Block(form.start(), weeks, days).named(name), "");
        }
        Template template = templates.find(person, form.template());
        Block block = templates.block(person, template.id(), form.start()).named(template.name());
        meeting.ask(meets(lifter, block.start(), block.weeks()), meant);
        return blocks.begin(person, lifter, block, "template:" + template.id());
    }

    private ModelAndView page(Person person, LifterCard lifter, LifterRecord standing, FormState state) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), person.zone());
        return new ModelAndView("plan/new")
                .addObject("lifter", lifter)
                .addObject("today", today)
                .addObject("state", state)
                .addObject(
                        "schools",
                        Stream.of(School.values())
                                .map(school -> SchoolView.of(school, words))
                                .toList())
                .addObject("weakPoints", List.of(WeakPoint.values()))
                .addObject("deloads", List.of(Deload.values()))
                .addObject("start", start(lifter, today))
                .addObject("weeks", WEEKS)
                .addObject("lifts", lifts(standing))
                .addObject("contestLifts", List.of(Lift.SQUAT, Lift.BENCH_PRESS, Lift.DEADLIFT))
                .addObject(
                        "templates",
                        templates.all(lifter.clubId()).stream()
                                .filter(template -> template.kind() == TemplateKind.BLOCK)
                                .toList());
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
    private Map<String, String> lifts(LifterRecord standing) {
        List<Map.Entry<String, String>> all = new ArrayList<>();
        standing.catalogue()
                .all()
                .forEach(variation -> all.add(Map.entry(variation.lift().key(), words.lift(variation.lift()))));
        all.sort(Map.Entry.comparingByValue());
        Map<String, String> lifts = new LinkedHashMap<>();
        all.forEach(lift -> lifts.put(lift.getKey(), lift.getValue()));
        return lifts;
    }

    /** A drawn block as it would be, with its loads, its marks and what it adds up to. */
    private Map<String, Object> drawn(
            Person person, LifterCard lifter, LifterRecord standing, AvailableKit kit, BlockRequests.Asked asked) {
        LifterRecord known = standing.withEventLoads(asked.announced());
        LifterBlock draft = blocks.draft(lifter, person.zone(), asked.block(), known, kit);
        Sheet.Whole whole = sheet.whole(draft);
        Map<String, Object> model = new HashMap<>();
        model.put("drawn", asked.block());
        model.put("whole", whole);
        model.put("sheet", whole);
        model.put("meets", meets(lifter, asked.block().start(), asked.block().weeks()));
        model.put("noPlates", kit.awaitsPlates() ? kit.gymName() : null);
        return model;
    }
}
