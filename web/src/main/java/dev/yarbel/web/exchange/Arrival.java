package dev.yarbel.web.exchange;

import dev.yarbel.web.book.LogImported;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.ChangeLog;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.GymChooser;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** What the club has to do for lifters who came with a file: a gym where they have none, a line in the ledger, and what is believed of them. */
@Component
class Arrival {

    private final Roster roster;
    private final GymChooser gyms;
    private final ChangeLog changes;
    private final ApplicationEventPublisher events;
    private final JdbcTemplate jdbc;

    Arrival(Roster roster, GymChooser gyms, ChangeLog changes, ApplicationEventPublisher events, JdbcTemplate jdbc) {
        this.roster = roster;
        this.gyms = gyms;
        this.changes = changes;
        this.events = events;
        this.jdbc = jdbc;
    }

    void of(Person coach, List<Long> lifters) {
        if (lifters.isEmpty()) {
            return;
        }
        Set<Long> housed = jdbc
                .queryForList(
                        "select distinct lifter_id from lifter_gym where club_id = ? and lifter_id = any (?)",
                        Long.class,
                        coach.clubId(),
                        lifters.toArray(Long[]::new))
                .stream()
                .collect(Collectors.toSet());
        for (long id : lifters) {
            LifterCard card = roster.lifterOfClub(coach.clubId(), id);
            if (!housed.contains(id)) {
                gyms.settle(card, Optional.empty());
            }
            changes.write(
                    coach, Optional.of(id), ChangeKind.ROSTER, List.of("brought"), Optional.empty(), "", card.name());
        }
        events.publishEvent(new LogImported(coach.clubId(), lifters));
    }
}
