package dev.yarbel.web.weekly;

import dev.yarbel.core.weekly.SpanSeen;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Pdf;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import jakarta.validation.constraints.Size;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A lifter's week: as a page, on paper, and in words that can be pasted into any message. Lifters see what was kept. */
@Controller
@RequestMapping("/lifters/{id}/week")
class WeekController {

    private static final int LONGEST = 4000;
    /** Nothing was written before. */
    private static final LocalDate FIRST = LocalDate.of(2000, 1, 3);

    private final Weeks weeks;
    private final WeekDraft draft;
    private final Pdf pdf;
    private final Words words;

    WeekController(Weeks weeks, WeekDraft draft, Pdf pdf, Words words) {
        this.weeks = weeks;
        this.draft = draft;
        this.pdf = pdf;
        this.words = words;
    }

    /**
     * The week as a coach wrote it.
     *
     * @param edition the one they had before them
     */
    record Written(@Size(max = LONGEST) String words, Integer edition) {}

    @GetMapping
    ModelAndView week(
            @AuthenticationPrincipal Person person, LifterCard lifter, @RequestParam Optional<LocalDate> from) {
        return new ModelAndView("weekly/week", model(person, lifter, from)).addObject("state", FormState.NONE);
    }

    @GetMapping("/week.pdf")
    ResponseEntity<byte[]> paper(
            @AuthenticationPrincipal Person person, LifterCard lifter, @RequestParam Optional<LocalDate> from) {
        Map<String, Object> model = model(person, lifter, from);
        LocalDate monday = ((WeekView) model.get("view")).week().first();
        return pdf.of("weekly/paper-week", Pdf.Paper.PORTRAIT, model)
                .named(words.say("week.file", lifter.name(), monday));
    }

    @PostMapping
    ModelAndView write(
            @AuthenticationPrincipal Person coach,
            LifterCard lifter,
            @RequestParam Optional<LocalDate> from,
            Sent<Written> sent,
            RedirectAttributes flash) {
        return sent.answer(
                "week",
                form -> {
                    LocalDate monday = monday(weeks.plan(lifter, coach.zone()), from);
                    String text =
                            Objects.requireNonNullElse(form.words(), "").strip().replace("\r", "");
                    if (text.isEmpty()) {
                        throw new UnreadableException("week.error.empty").in("words");
                    }
                    weeks.write(coach, lifter, monday, Objects.requireNonNullElse(form.edition(), 0), text);
                    flash.addFlashAttribute("notice", words.say("week.kept", lifter.name()));
                    return new ModelAndView("redirect:/lifters/" + lifter.id() + "/week?from=" + monday);
                },
                state -> new ModelAndView("weekly/week", model(coach, lifter, from)).addObject("state", state));
    }

    private Map<String, Object> model(Person person, LifterCard lifter, Optional<LocalDate> from) {
        LifterBlock plan = weeks.plan(lifter, person.zone());
        LocalDate monday = monday(plan, from);
        Optional<KeptWeek.Written> written = weeks.written(lifter, monday);
        boolean inReach = !monday.isBefore(plan.standing().since());
        if (!inReach && written.isEmpty()) {
            throw new NotFoundException();
        }
        WeekView view = weeks.week(plan, monday, person.zone());
        Map<String, Object> model = new HashMap<>();
        model.put("lifter", lifter);
        model.put("view", view);
        model.put("written", written.orElse(null));
        model.put("edition", written.map(KeptWeek.Written::edition).orElse(0));
        String drafted = person.isCoach() ? draft.of(lifter, view) : "";
        model.put("draft", drafted);
        model.put("told", written.map(KeptWeek.Written::words).orElse(drafted));
        model.put("coach", person.isCoach());
        model.put("zone", person.zone());
        model.put("inReach", inReach);
        model.put("before", monday.minusWeeks(1).isBefore(plan.standing().since()) ? null : monday.minusWeeks(1));
        model.put("after", monday.plusWeeks(1).isAfter(plan.today()) ? null : monday.plusWeeks(1));
        return model;
    }

    private static LocalDate monday(LifterBlock plan, Optional<LocalDate> from) {
        LocalDate day = from.orElseGet(() -> SpanSeen.reviewedOn(plan.today()));
        try {
            LocalDate monday = day.minusDays(day.getDayOfWeek().getValue() - 1L);
            if (monday.isAfter(plan.today()) || monday.isBefore(FIRST)) {
                throw new NotFoundException();
            }
            return monday;
        } catch (DateTimeException outOfAllTime) {
            throw new NotFoundException();
        }
    }
}
