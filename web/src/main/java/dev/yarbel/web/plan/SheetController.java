package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockEdit;
import dev.yarbel.web.block.BlockRefused;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.LiftRecord;
import dev.yarbel.web.page.FormExtras;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Htmx;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The sheet of a block: the one of a number, or without one the current. */
@Controller
@RequestMapping("/lifters/{id}/plan")
class SheetController {

    private final Blocks blocks;
    private final Book book;
    private final Sheet sheet;
    private final SheetPage pages;
    private final SheetEdits edits;
    private final Words words;
    private final MeetingQuestion meeting;

    SheetController(
            Blocks blocks,
            Book book,
            Sheet sheet,
            SheetPage pages,
            SheetEdits edits,
            Words words,
            MeetingQuestion meeting) {
        this.blocks = blocks;
        this.book = book;
        this.sheet = sheet;
        this.pages = pages;
        this.edits = edits;
        this.words = words;
        this.meeting = meeting;
    }

    /**
     * The sheet.
     *
     * @param day the day in hand, from 0; the one in focus where none is asked for
     * @param in the week to show with all its days, from 1; else the day is shown across the weeks
     */
    @GetMapping
    ModelAndView show(
            @AuthenticationPrincipal Person person,
            LifterCard lifter,
            @RequestParam Optional<Long> block,
            @RequestParam Optional<Integer> day,
            @RequestParam Optional<Integer> in) {
        Optional<LifterBlock> found = blocks.open(lifter, person.zone(), block);
        if (found.isEmpty() && block.isPresent()) {
            throw new NotFoundException();
        }
        if (found.isEmpty()) {
            return new ModelAndView("plan/none")
                    .addObject("lifter", lifter)
                    .addObject("numbers", book.standing(lifter).lifts().stream().anyMatch(LiftRecord::hasNumbers));
        }
        LifterBlock plan = found.get();
        Lens lens = new Lens(day.orElseGet(() -> dayInFocus(plan)), fromOne(in));
        if (day.isPresent() || in.isPresent()) {
            lens.check(plan.block());
        }
        return pages.page(plan, lens, FormState.NONE);
    }

    private static Optional<Integer> fromOne(Optional<Integer> week) {
        return week.map(number -> number - 1);
    }

    /** What a dose being typed would come to; nothing is kept. */
    @GetMapping("/days/{day}/preview")
    ModelAndView preview(LifterBlock plan, @PathVariable int day, @RequestParam Map<String, String> parameters) {
        Lens lens = checked(plan, Lens.day(day));
        Map.Entry<CellKey, String> typed = CellKey.texts(parameters).entrySet().stream()
                .filter(text -> lens.shows(plan.block(), text.getKey().slot())
                        && text.getKey().week() < plan.block().weeks())
                .findFirst()
                .orElseThrow(NotFoundException::new);
        return pages.part("foot", plan).addObject("cell", sheet.cell(plan, day, typed.getKey(), typed.getValue()));
    }

    /** Keeps doses of one day. */
    @PostMapping("/days/{day}")
    ModelAndView save(
            @AuthenticationPrincipal Person person,
            LifterBlock plan,
            @PathVariable int day,
            @RequestParam Map<String, String> parameters,
            Htmx htmx,
            RedirectAttributes flash) {
        return save(person, plan, checked(plan, Lens.day(day)), parameters, htmx, flash);
    }

    /**
     * Keeps doses of one week.
     *
     * @param week from 1
     */
    @PostMapping("/weeks/{week}")
    ModelAndView saveWeek(
            @AuthenticationPrincipal Person person,
            LifterBlock plan,
            @PathVariable int week,
            @RequestParam Map<String, String> parameters,
            Htmx htmx,
            RedirectAttributes flash) {
        return save(person, plan, checked(plan, Lens.week(0, week - 1)), parameters, htmx, flash);
    }

    private ModelAndView save(
            Person person,
            LifterBlock plan,
            Lens lens,
            Map<String, String> parameters,
            Htmx htmx,
            RedirectAttributes flash) {
        Map<CellKey, String> texts = CellKey.texts(parameters);
        Map<CellKey, SheetEdits.TypedCell> typed = new HashMap<>();
        texts.forEach((key, text) ->
                typed.put(key, new SheetEdits.TypedCell(parameters.getOrDefault("was." + key, ""), text)));
        SheetEdits.Saved saved = edits.save(person, plan, lens, typed);
        Optional<String> told = followed(person, plan, saved.edit(), parameters.containsKey("follow"));
        LifterBlock now = blocks.reopened(plan);
        texts.keySet().retainAll(saved.troubles().keySet());
        if (htmx.asks()) {
            SheetView view = sheet.view(now, lens, texts, saved.troubles()).since(sheet.cells(plan, lens));
            return pages.part("feet", now).addObject("sheet", view).addObject("done", told.orElse(null));
        }
        if (!saved.troubles().isEmpty()) {
            ModelAndView page = pages.page(now, sheet.view(now, lens, texts, saved.troubles()), FormState.NONE);
            page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
            return page;
        }
        told.ifPresent(done -> flash.addFlashAttribute("done", done));
        return new ModelAndView("redirect:" + SheetPage.address(plan, lens));
    }

    /** Has what was kept of typed or filled doses follow where that is asked for; what became of it in words. */
    private Optional<String> followed(Person person, LifterBlock plan, BlockEdit edit, boolean follow) {
        return follow && !edit.equals(BlockEdit.NOTHING)
                ? Optional.of(pages.said(blocks.followWhereAlike(person, plan, edit)))
                : Optional.empty();
    }

    /** Fills the weeks to the right. */
    @PostMapping("/days/{day}/fill")
    ModelAndView fill(
            @AuthenticationPrincipal Person person,
            LifterBlock plan,
            @PathVariable int day,
            Sent<FillForm> sent,
            RedirectAttributes flash) {
        Lens lens = checked(plan, Lens.day(day));
        return pages.sent("fill", sent, plan, lens, form -> {
            FillForm.Filling filling =
                    form.read(plan.block().weeks(), plan.lifter().unit());
            SheetEdits.Filled filled = edits.fill(person, plan, day, filling);
            List<String> told = new ArrayList<>(filled.told());
            followed(person, plan, filled.edit(), form.isFollowed()).ifPresent(told::add);
            flash.addFlashAttribute("done", String.join(" ", told));
            return "redirect:" + SheetPage.address(plan, lens) + "#week-" + (filling.from() + 1);
        });
    }

    /** Changes weeks, days, slots or the block itself. */
    @PostMapping("/change")
    ModelAndView change(
            @AuthenticationPrincipal Person person,
            LifterBlock plan,
            @RequestParam(defaultValue = "0") int at,
            @RequestParam Optional<Integer> in,
            Sent<ChangeForm> sent,
            RedirectAttributes flash) {
        return pages.sent("change", sent, plan, new Lens(at, fromOne(in)), form -> {
            if (form.kind() == ChangeForm.Kind.BLOCK_SHIFT && form.start() != null) {
                meeting.ask(
                        meeting.said(plan.lifter(), blocks.meetings(plan, form.start())),
                        FormExtras.isConfirmed(form.confirmed(), sent.text("start")));
            }
            SheetEdits.Changed changed = edits.change(person, plan, form);
            String followed = form.isFollowed() && form.kind().canFollow()
                    ? " " + pages.said(blocks.follow(person, plan, changed.edit()))
                    : "";
            flash.addFlashAttribute("done", changed.told() + followed);
            Block now = blocks.reopened(plan).block();
            boolean added = now.days().size() > plan.block().days().size();
            return "redirect:"
                    + SheetPage.address(
                            plan, Lens.within(now, added ? now.days().size() : at, fromOne(in)));
        });
    }

    @PostMapping("/undo")
    String undo(
            @AuthenticationPrincipal Person person,
            LifterBlock plan,
            @RequestParam(defaultValue = "0") int at,
            @RequestParam Optional<Integer> in,
            @RequestParam(defaultValue = "false") boolean redo,
            RedirectAttributes flash) {
        try {
            Optional<String> told = edits.undo(person, plan, redo);
            flash.addFlashAttribute(
                    "done", told.orElseGet(() -> words.say(redo ? "plan.nothing-to-redo" : "plan.nothing-to-undo")));
        } catch (BlockRefused refused) {
            flash.addFlashAttribute("refused", pages.said(refused));
        }
        return "redirect:"
                + SheetPage.address(plan, Lens.within(blocks.reopened(plan).block(), at, fromOne(in)));
    }

    private static Lens checked(LifterBlock plan, Lens lens) {
        lens.check(plan.block());
        return lens;
    }

    /** The first day of this week that is still to come, else the first. */
    private static int dayInFocus(LifterBlock plan) {
        for (int day : plan.block().daysByDate()) {
            if (!plan.block().date(day, plan.currentWeek()).isBefore(plan.today())) {
                return day;
            }
        }
        return 0;
    }
}
