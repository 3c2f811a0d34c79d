package dev.yarbel.web.demo;

import dev.yarbel.web.account.Accounts;
import dev.yarbel.web.clips.Clips;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.util.List;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.io.ClassPathResource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Films of nobody, made by the simulated camera, beside two like sets of an invented lifter. */
@Component
class DemoClips {

    private static final Logger LOG = LoggerFactory.getLogger(DemoClips.class);

    private final Clips clips;
    private final Accounts accounts;
    private final Roster roster;
    private final JdbcTemplate jdbc;

    DemoClips(Clips clips, Accounts accounts, Roster roster, JdbcTemplate jdbc) {
        this.clips = clips;
        this.accounts = accounts;
        this.roster = roster;
        this.jdbc = jdbc;
    }

    private record Pair(UUID later, UUID earlier) {}

    void add() {
        Person coach = accounts.person("bryn");
        LifterCard wren = roster.lifters(coach).stream()
                .filter(card -> card.name().equals("Wren Halloway"))
                .findFirst()
                .orElseThrow();
        // the latest working sets of the squat that are like each other, of three repetitions if there are any
        List<Pair> pairs = jdbc.query(
                """
                select l.token, e.token
                from logged_set l join training_session ls on ls.id = l.session_id and ls.club_id = l.club_id
                  join logged_set e on e.club_id = l.club_id and e.lift = l.lift and e.reps = l.reps
                    and abs(e.load - l.load) <= l.load / 25
                  join training_session es on es.id = e.session_id and es.lifter_id = ls.lifter_id and es.held_on < ls.held_on
                where l.club_id = ? and ls.lifter_id = ? and l.lift = 'squat' and l.task not like '%w%' and e.task not like '%w%'
                  and l.reps > 0
                order by l.reps <> 3, ls.held_on desc, es.held_on desc limit 1""",
                (row, number) -> new Pair(row.getObject(1, UUID.class), row.getObject(2, UUID.class)),
                wren.clubId(),
                wren.id());
        for (Pair pair : pairs) {
            film(coach, wren, pair.later(), "squat.mp4");
            film(coach, wren, pair.earlier(), "squat-before.mp4");
        }
    }

    private void film(Person coach, LifterCard lifter, UUID set, String name) {
        try {
            clips.add(coach, lifter, set, new ClassPathResource("demo/clips/" + name));
        } catch (RuntimeException without) {
            LOG.warn("The invented club has no clips.", without);
        }
    }
}
