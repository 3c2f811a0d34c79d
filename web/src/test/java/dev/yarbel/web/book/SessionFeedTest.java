package dev.yarbel.web.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.Program;
import dev.yarbel.web.YarbelTest;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** Finished sessions for whoever follows them: none is missed, whoever finishes at the same moment. */
@YarbelTest
class SessionFeedTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private SessionFeed feed;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;
    private Program coach;

    @BeforeEach
    void gather() {
        club = clubs.club();
        coach = Program.of(mvc, jdbc, club.coach);
    }

    private long finished(String day) {
        return finished(club.lifter.id(), day);
    }

    private long finished(long lifter, String day) {
        return coach.post(
                        "/lifters/" + lifter + "/sessions",
                        ("{'on':'" + day + "','finished':true,'sets':[{'lift':'squat','load':{'kg':150},'reps':5,"
                                        + "'effort':'8'}]}")
                                .replace('\'', '"'))
                .json()
                .get("id")
                .asLong();
    }

    /** Reads on until nothing is new, and gives where it stopped. */
    private String follow(Program program, String after, List<Long> seen) {
        String cursor = after;
        JsonNode page;
        do {
            page = program.get("/finished-sessions?limit=3" + (cursor.isEmpty() ? "" : "&after=" + cursor))
                    .json();
            page.get("items").forEach(item -> seen.add(item.get("session").asLong()));
            cursor = page.get("next").asString();
        } while (!page.get("items").isEmpty());
        return cursor;
    }

    @Test
    void whatIsFinishedComesOnceAndWhatIsCorrectedOnceMore() {
        long first = finished("2026-03-01");
        List<Long> seen = new ArrayList<>();
        await().untilAsserted(() -> {
            seen.clear();
            follow(coach, "", seen);
            assertThat(seen).containsExactly(first);
        });
        String after = follow(coach, "", new ArrayList<>());
        assertThat(follow(coach, after, new ArrayList<>()))
                .as("it stands still")
                .isEqualTo(after);

        String path = "/lifters/" + club.lifter.id() + "/sessions/" + first;
        coach.post(path + "/reopen", "");
        assertThat(coach.put(
                                path + "/sets/A.1",
                                "*",
                                "{\"lift\":\"squat\",\"load\":{\"kg\":150},\"reps\":4,\"effort\":\"9\"}")
                        .status())
                .isEqualTo(200);
        coach.post(path + "/finish", "{}");

        await().untilAsserted(() -> {
            List<Long> later = new ArrayList<>();
            follow(coach, after, later);
            assertThat(later).containsExactly(first);
        });
    }

    @Test
    void everybodySeesTheirOwn() {
        long own = finished("2026-03-01");
        long anothers = finished(clubs.grow(club, 1, 3, 1).id(), "2026-03-01");
        await().untilAsserted(() -> {
            List<Long> coachs = new ArrayList<>();
            follow(coach, "", coachs);
            assertThat(coachs).contains(own, anothers);
        });
        List<Long> lifters = new ArrayList<>();
        List<Long> foreign = new ArrayList<>();
        follow(Program.of(mvc, jdbc, club.lifterPerson), "", lifters);
        follow(Program.of(mvc, jdbc, clubs.club().coach), "", foreign);

        assertThat(lifters).containsExactly(own);
        assertThat(foreign).isEmpty();
    }

    /** Numbers are given out while others are being given out; whoever reads on in between misses none. */
    @Test
    void whoeverReadsOnMissesNone() throws Exception {
        int many = 40;
        ExecutorService threads = Executors.newFixedThreadPool(5);
        List<Long> seen = new ArrayList<>();
        try {
            List<Future<Long>> ids = new ArrayList<>();
            for (int at = 0; at < many; at++) {
                String day = java.time.LocalDate.of(2026, 1, 1).plusDays(at).toString();
                ids.add(threads.submit(() -> finished(day)));
            }
            String[] after = {""};
            await().untilAsserted(() -> {
                after[0] = follow(coach, after[0], seen);
                assertThat(seen.stream().distinct()).hasSize(many);
            });
            List<Long> all = new ArrayList<>();
            for (Future<Long> id : ids) {
                all.add(id.get());
            }
            assertThat(seen).containsExactlyInAnyOrderElementsOf(all);
        } finally {
            threads.shutdown();
        }
    }

    /** A log that came in a file is told by its days, once, however often its coming is heard of. */
    @Test
    void whatCameInAFileIsToldByItsDays() {
        long club = this.club.lifter.clubId();
        jdbc.sql("""
                        insert into training_session (club_id, lifter_id, held_on, started_at, finished_at)
                        select ?, ?, date '2025-01-01' + n, now(), now() from generate_series(4, 0, -1) n""").params(club, this.club.lifter.id()).update();

        feed.on(new LogImported(club, List.of(this.club.lifter.id())));
        feed.on(new LogImported(club, List.of(this.club.lifter.id())));

        // whoever hears of it does so by and by
        await().untilAsserted(() -> assertThat(
                        jdbc.sql("""
                        select s.held_on::text from session_feed f join training_session s on s.id = f.session_id
                        where f.club_id = ? order by f.number""").param(club).query(String.class).list())
                .containsExactly("2025-01-01", "2025-01-02", "2025-01-03", "2025-01-04", "2025-01-05"));
        long next = finished("2026-03-01");
        await().untilAsserted(() -> {
            List<Long> seen = new ArrayList<>();
            follow(coach, "", seen);
            assertThat(seen).hasSize(6).endsWith(next);
        });
    }
}
