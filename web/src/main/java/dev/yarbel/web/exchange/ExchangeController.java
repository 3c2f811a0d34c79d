package dev.yarbel.web.exchange;

import dev.yarbel.core.exchange.DayText;
import dev.yarbel.core.exchange.Holds;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.LiftNames;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.Roster;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DayOfWeek;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Files that somebody brings: what is in them, what is asked about them, and what comes in. */
@Controller
@RequestMapping("/exchange")
class ExchangeController {

    private static final int LONGEST_TEXT = 900_000;
    private static final int SHOWN_ROWS = 8;

    private final Brought brought;
    private final ExchangePage page;
    private final Roster roster;
    private final LiftNames liftNames;
    private final Words words;

    ExchangeController(Brought brought, ExchangePage page, Roster roster, LiftNames liftNames, Words words) {
        this.brought = brought;
        this.page = page;
        this.roster = roster;
        this.liftNames = liftNames;
        this.words = words;
    }

    // ---- bringing

    @GetMapping
    ModelAndView all(@AuthenticationPrincipal Person person, @RequestParam(required = false) Long lifter) {
        return page.of(person, FormState.NONE).addObject("chosen", lifter);
    }

    /**
     * @param file blank where something was pasted
     * @param text that was pasted; blank where a file was chosen
     */
    record BringForm(MultipartFile file, String text, Long lifter) {}

    @PostMapping
    ModelAndView bring(@AuthenticationPrincipal Person person, Sent<BringForm> sent) {
        return sent.answer("bring", form -> to(bring(person, form, sent.text("text"))), state -> page.of(person, state)
                .addObject("chosen", null));
    }

    /** @param text as it was pasted: a tab before the first word is a column */
    private long bring(Person person, BringForm form, String text) {
        boolean pasted = form.file() == null || form.file().isEmpty();
        if (pasted && form.text() == null) {
            throw new UnreadableException("exchange.error.nothing").in("file");
        }
        if (pasted && text.length() > LONGEST_TEXT) {
            throw new UnreadableException("exchange.error.long-text").in("text");
        }
        try {
            Path kept = Files.createTempFile("yarbel-brought", null);
            try {
                if (pasted) {
                    Files.writeString(kept, text, StandardCharsets.UTF_8);
                } else {
                    form.file().transferTo(kept);
                }
                return brought.bring(
                        person,
                        pasted ? words.say("exchange.pasted") : name(form.file()),
                        kept,
                        Optional.ofNullable(form.lifter()));
            } finally {
                Files.deleteIfExists(kept);
            }
        } catch (IOException broken) {
            throw new UnreadableException("exchange.error.broken").in("file");
        }
    }

    /** What the file is called, without where it lay. */
    static String name(MultipartFile file) {
        String name = String.valueOf(file.getOriginalFilename());
        String own = name.substring(Math.max(name.lastIndexOf('/'), name.lastIndexOf('\\')) + 1);
        String visible = own.replaceAll("[\\p{Cntrl}<>\"]", "").strip();
        return visible.isEmpty() ? "?" : visible;
    }

    private static ModelAndView to(long id) {
        return new ModelAndView("redirect:/exchange/" + id);
    }

    // ---- one of them

    @GetMapping("/{file}")
    ModelAndView one(@AuthenticationPrincipal Person person, @PathVariable long file) {
        return page(person, brought.file(person, file), FormState.NONE);
    }

    @PostMapping("/{file}")
    ModelAndView say(@AuthenticationPrincipal Person person, @PathVariable long file, Sent<AnswersForm> sent) {
        ImportFile kept = brought.file(person, file);
        return sent.answer(
                "answers",
                form -> {
                    say(person, kept, form);
                    return to(file);
                },
                state -> page(person, kept, state));
    }

    private boolean say(Person person, ImportFile file, AnswersForm form) {
        Set<Lift> known = liftNames.named(person.clubId()).stream()
                .map(LiftNames.Named::lift)
                .collect(Collectors.toSet());
        return brought.say(person, file.id(), form.read(file), form.names(known));
    }

    /** What was said last comes with it: where that changes what comes in, it is looked at once more first. */
    @PostMapping("/{file}/take")
    ModelAndView take(
            @AuthenticationPrincipal Person person,
            @PathVariable long file,
            Sent<AnswersForm> sent,
            RedirectAttributes flash) {
        ImportFile kept = brought.file(person, file);
        return sent.answer(
                "answers",
                form -> {
                    if (say(person, kept, form)) {
                        flash.addFlashAttribute("notice", words.say("exchange.look-again"));
                    } else {
                        brought.take(person, file);
                    }
                    return to(file);
                },
                state -> page(person, kept, state));
    }

    @PostMapping("/{file}/take-back")
    ModelAndView takeBack(@AuthenticationPrincipal Person person, @PathVariable long file) {
        brought.takeBack(person, file);
        return to(file);
    }

    @PostMapping("/{file}/again")
    ModelAndView again(@AuthenticationPrincipal Person person, @PathVariable long file) {
        brought.again(person, file);
        return to(file);
    }

    @PostMapping("/{file}/remove")
    ModelAndView remove(@AuthenticationPrincipal Person person, @PathVariable long file) {
        brought.remove(person, file);
        return new ModelAndView("redirect:/exchange");
    }

    private ModelAndView page(Person person, ImportFile file, FormState state) {
        ModelAndView page = new ModelAndView("exchange/import")
                .addObject("file", file)
                .addObject("zone", person.zone())
                .addObject("state", state);
        return switch (file.status()) {
            case TAKEN -> page.addObject("back", brought.mayTakeBack(person, file));
            case TAKEN_BACK -> page;
            case TAKING ->
                brought.isStuck(file)
                        ? page.addObject("stuck", true)
                        : page.addObject("percent", brought.progress(file.id()).orElse(0));
            case OPEN -> opened(person, file, page);
        };
    }

    private ModelAndView opened(Person person, ImportFile file, ModelAndView page) {
        Brought.Opened opened = brought.open(person, file);
        page.addObject("opened", opened)
                .addObject("rows", shown(opened))
                .addObject("choices", Holds.values())
                .addObject("orders", DayText.Order.values())
                .addObject("units", MassUnit.values())
                .addObject("weekdays", DayOfWeek.values())
                .addObject("slipChoices", ImportFile.Slips.values())
                .addObject("doubtChoices", ImportFile.Doubtful.values())
                .addObject("lifts", liftNames.named(person.clubId()));
        if (opened.canBeRead()) {
            Jobs.Job<DryRun> job = brought.look(person, opened);
            page.addObject(
                    job.isDone() ? "run" : "percent",
                    job.isDone() ? job.outcome() : job.progress().percent());
        }
        return page;
    }

    /** A row as it stands in the file. */
    record ShownRow(int line, List<String> cells) {}

    /** The first rows beneath the heads that say anything. */
    private static List<ShownRow> shown(Brought.Opened opened) {
        int first = opened.layout().firstLine();
        return IntStream.rangeClosed(first, opened.first().size())
                .mapToObj(line -> new ShownRow(line, opened.first().get(line - 1)))
                .filter(row -> row.cells().stream().anyMatch(cell -> !cell.isBlank()))
                .limit(SHOWN_ROWS)
                .toList();
    }
}
