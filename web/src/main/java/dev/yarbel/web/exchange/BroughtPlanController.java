package dev.yarbel.web.exchange;

import dev.yarbel.core.exchange.HeadedTable;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;

/** A block from a table, which stays on the page as text until it is right. */
@Controller
@RequestMapping("/exchange/plans")
class BroughtPlanController {

    /** Any week, for what its days are called. */
    private static final List<LocalDate> WEEK =
            LocalDate.of(2024, 1, 1).datesUntil(LocalDate.of(2024, 1, 8)).toList();

    private final BroughtPlan brought;
    private final Roster roster;
    private final ColumnsSaid columns;

    BroughtPlanController(BroughtPlan brought, Roster roster, ColumnsSaid columns) {
        this.brought = brought;
        this.roster = roster;
        this.columns = columns;
    }

    /**
     * @param file read into the text where one was chosen
     * @param weekdays of days that name none
     * @param seen what was looked at last
     * @param confirmed whether what the block meets is meant to give way
     */
    record PlanForm(
            MultipartFile file,
            String text,
            @NotNull Long lifter,
            @NotBlank @Size(max = 40) String name,
            @NotNull LocalDate start,
            List<DayOfWeek> weekdays,
            String seen,
            Boolean confirmed) {

        BroughtPlan.Said said() {
            Set<DayOfWeek> days = EnumSet.noneOf(DayOfWeek.class);
            if (weekdays != null) {
                weekdays.stream().filter(Objects::nonNull).forEach(days::add);
            }
            return new BroughtPlan.Said(name.strip(), start, days);
        }

        /** What was looked at: the table, what its columns hold, whose it is, and all that is said of it. */
        String seen(ColumnsSaid.Told table) {
            return table.seen(lifter, said());
        }
    }

    @GetMapping
    ModelAndView show(@AuthenticationPrincipal Person coach) {
        return page(coach, FormState.NONE, Optional.empty());
    }

    private ModelAndView again(Person coach, FormState state, Sent<PlanForm> sent) {
        return page(coach, state, columns.again(coach, ColumnsSaid.Of.PLANS, sent));
    }

    private ModelAndView page(Person coach, FormState state, Optional<HeadedTable> table) {
        return new ModelAndView("exchange/plans")
                .addObject("state", state)
                .addObject("lifters", roster.lifters(coach))
                .addObject("weekdays", WEEK)
                .addObject("look", null)
                .addObject(
                        "columns",
                        table.map(one -> columns.asked(coach, ColumnsSaid.Of.PLANS, one))
                                .orElse(null));
    }

    private LifterCard lifter(Person coach, PlanForm form) {
        return roster.lifter(coach, Reading.needed("lifter", form.lifter()));
    }

    @PostMapping
    ModelAndView look(@AuthenticationPrincipal Person coach, Sent<PlanForm> sent) {
        return sent.answer(
                "plan", form -> looked(coach, form, told(coach, form, sent), sent), state -> again(coach, state, sent));
    }

    private ColumnsSaid.Told told(Person coach, PlanForm form, Sent<PlanForm> sent) {
        return columns.brought(coach, ColumnsSaid.Of.PLANS, form.file(), sent);
    }

    private ModelAndView looked(Person coach, PlanForm form, ColumnsSaid.Told table, Sent<PlanForm> sent) {
        BroughtPlan.Look look = brought.look(coach, lifter(coach, form), table.columns(), form.said());
        return page(coach, sent.typed("plan"), Optional.of(table.columns()))
                .addObject("look", look)
                .addObject("seen", form.seen(table));
    }

    private static ModelAndView unmeant(ModelAndView page) {
        page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
        return page.addObject("unmeant", true);
    }

    /** Begins the block that was shown; what was changed since is looked at once more first. */
    @PostMapping("/take")
    ModelAndView take(@AuthenticationPrincipal Person coach, Sent<PlanForm> sent) {
        return sent.answer(
                "plan",
                form -> {
                    ColumnsSaid.Told table = told(coach, form, sent);
                    if (!form.seen(table).equals(form.seen())) {
                        return looked(coach, form, table, sent).addObject("changed", true);
                    }
                    LifterCard lifter = lifter(coach, form);
                    Optional<Long> begun = brought.take(
                            coach, lifter, table.columns(), form.said(), Boolean.TRUE.equals(form.confirmed()));
                    begun.ifPresent(block -> columns.keep(coach, ColumnsSaid.Of.PLANS, table.columns()));
                    return begun.map(block ->
                                    new ModelAndView("redirect:/lifters/" + lifter.id() + "/plan?block=" + block))
                            .orElseGet(() -> unmeant(looked(coach, form, table, sent)));
                },
                state -> again(coach, state, sent));
    }
}
