package dev.yarbel.web.calls;

import dev.yarbel.core.adjust.Calls;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.book.Ledger;
import dev.yarbel.web.roster.LifterCard;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was found of a lifter in a time, and what was decided about it, for whoever tells of that time. */
@Service
@Transactional(readOnly = true)
public class ToldCalls {

    private final SlipRepository slips;
    private final Ledger ledger;

    ToldCalls(SlipRepository slips, Ledger ledger) {
        this.slips = slips;
        this.ledger = ledger;
    }

    /**
     * A call.
     *
     * @param lift what it was about; a stand-in for all training
     * @param rule the key of the rule that found something
     * @param answer the code of what was answered; {@code OPEN} where nobody did
     * @param before what stood before the answer, and after it; blank where nothing was changed
     * @param why the coach's reason
     */
    public record Told(Lift lift, String rule, String answer, String before, String after, Optional<String> why) {

        public boolean isOpen() {
            return answer.equals(Slip.Status.OPEN.name());
        }

        /** Whether somebody is to decide about it and nobody did; what is only to be known waits for nobody. */
        public boolean waits() {
            return isOpen()
                    && Calls.rule(rule).filter(found -> !found.isQuiet()).isPresent();
        }

        /** Whether the answer changed something. */
        public boolean changed() {
            return !before.equals(after);
        }
    }

    /**
     * What was found in the sessions of some days, or answered on one of them, in order; overtaken ones left out.
     *
     * @param zone where the days are the club's
     */
    public List<Told> between(LifterCard lifter, LocalDate first, LocalDate last, ZoneId zone) {
        List<Slip> found = slips.findBetween(
                lifter.clubId(),
                lifter.id(),
                first,
                last,
                first.atStartOfDay(zone).toInstant(),
                last.plusDays(1).atStartOfDay(zone).toInstant());
        Map<Long, Ledger.Decision> decisions = ledger.decisions(
                lifter.clubId(),
                found.stream().flatMap(slip -> slip.answerEntry().stream()).toList());
        return found.stream()
                .map(slip -> told(slip, slip.answerEntry().map(decisions::get)))
                .toList();
    }

    private static Told told(Slip slip, Optional<Ledger.Decision> decision) {
        return new Told(
                slip.lift(),
                slip.rule(),
                slip.status().name(),
                decision.map(made -> made.change().before()).orElse(""),
                decision.map(made -> made.change().after()).orElse(""),
                decision.flatMap(made -> made.change().why()));
    }
}
