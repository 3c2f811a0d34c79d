package dev.yarbel.web.contest;

import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import java.time.Clock;
import java.time.LocalDate;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
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

    @GetMapping("/lifters/{id}/season")
    ModelAndView season(@AuthenticationPrincipal Person coach, LifterCard lifter) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), coach.zone());
        return new ModelAndView("contest/season")
                .addObject("lifter", lifter)
                .addObject("view", SeasonView.of(blocks.of(lifter), contests.entered(lifter), today));
    }
}
