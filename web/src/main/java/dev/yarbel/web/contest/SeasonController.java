package dev.yarbel.web.contest;

import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** A lifter's season: blocks and contests on one line. */
@Controller
class SeasonController {

    private final Contests contests;
    private final Blocks blocks;
    private final Clock clock;

    SeasonController(Contests contests, Blocks blocks, Clock clock) {
        this.contests = contests;
        this.blocks = blocks;
        this.clock = clock;
    }

    /**
     * @param contest that is tried on another day, where one is
     * @param to that day
     */
    @GetMapping("/lifters/{id}/season")
    ModelAndView season(
            @AuthenticationPrincipal Person coach,
            LifterCard lifter,
            @RequestParam(required = false) Long contest,
            @RequestParam(required = false) LocalDate to) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), coach.zone());
        List<SeasonView.Entered> entered = contests.entered(lifter);
        return new ModelAndView("contest/season")
                .addObject("lifter", lifter)
                .addObject("view", SeasonView.of(blocks.of(lifter), entered, today))
                .addObject("today", today)
                .addObject("seasonLine", true)
                .addObject("moving", moving(coach, lifter, entered, contest, to, today));
    }

    /** What would follow; null where nothing is tried, or the day is over. */
    private SeasonView.Moving moving(
            Person coach,
            LifterCard lifter,
            List<SeasonView.Entered> entered,
            Long contest,
            LocalDate to,
            LocalDate today) {
        if (contest == null || to == null || !to.isAfter(today)) {
            return null;
        }
        return entered.stream()
                .map(SeasonView.Entered::contest)
                .filter(one -> one.id() == contest && !one.isCancelled())
                .findFirst()
                .map(one -> SeasonView.Moving.of(one, to, blocks.current(lifter, coach.zone())))
                .orElse(null);
    }
}
