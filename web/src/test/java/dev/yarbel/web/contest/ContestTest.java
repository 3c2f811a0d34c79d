package dev.yarbel.web.contest;

import static dev.yarbel.web.OnPage.shows;
import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.flash;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.contest.ContestRules;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.book.Change;
import dev.yarbel.web.book.Ledger;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Contests at the desk, and the attempts of those who lift in them. */
@YarbelTest
class ContestTest extends ContestPages {

    @Autowired
    private Ledger ledger;

    private List<Change> told() {
        return ledger.latest(club.lifter, 20);
    }

    // ---- the contest

    @Test
    void aContestIsAddedAndStandsInTheList() throws Exception {
        look("/contests").andExpect(content().string(containsString("No contest yet")));

        String contest = held();

        look("/contests").andExpect(content().string(shows(".contestlines", "Test Open 31 Mar 2026 in 21 days")));
        look(contest).andExpect(content().string(shows(".facts", "To come 31 Mar 2026 in 21 days")));
    }

    @Test
    void whatCannotBeStandsBesideItsFieldAndKeepsWhatWasTyped() throws Exception {
        for (String[] wrong : new String[][] {
            {"name", ""},
            {"on", "2026-13-40"},
            {"on", "1926-03-31"},
            {"rules", "none"},
            {"step", "heavy"},
            {"seconds", "9000"},
            {"weighIn", "8 o’clock"}
        }) {
            Map<String, String> typed =
                    new TreeMap<>(Map.of("name", "Test Open", "place", "The hall", "rules", "ipf-classic"));
            typed.put(wrong[0], wrong[1]);
            String[] fields = typed.entrySet().stream()
                    .flatMap(field -> Stream.of(field.getKey(), field.getValue()))
                    .toArray(String[]::new);
            String html = send("/contests", fields)
                    .andExpect(status().isUnprocessableContent())
                    .andReturn()
                    .getResponse()
                    .getContentAsString();
            assertThat(Jsoup.parse(html)
                            .select("#new-" + wrong[0] + "-says, .asked:has([name=" + wrong[0] + "]) .bad")
                            .text())
                    .as(wrong[0])
                    .isNotEmpty();
            assertThat(Jsoup.parse(html).select("[name=place]").val()).isEqualTo("The hall");
        }
        assertThat(page("/contests").select(".contestlines")).isEmpty();
    }

    @Test
    void aContestLosesItsDateIsCancelledStruckAndBroughtBack() throws Exception {
        String contest = held();

        send(contest, "name", "Test Open", "rules", "ipf-classic").andExpect(status().is3xxRedirection());
        look(contest).andExpect(content().string(containsString("A peak cannot be held")));

        send(contest, "name", "Test Open", "rules", "ipf-classic", "cancelled", "true");
        look("/contests").andExpect(content().string(shows("h2", "Cancelled")));

        send(contest + "/remove").andExpect(flash().attribute("undo", contest + "/restore"));
        look(contest).andExpect(status().isNotFound());
        send(contest + "/restore");
        look(contest).andExpect(status().isOk());
    }

    // ---- who lifts

    @Test
    void aLifterIsEnteredOnceWithdrawnAndEnteredAgain() throws Exception {
        String contest = held();
        String entry = entered(contest);
        assertThat(entered(contest)).isEqualTo(entry);
        assertThat(page(contest).select("table.entries tbody tr")).hasSize(1);
        assertThat(told().stream().map(change -> change.kind().name())).contains("CONTEST");

        send(entry + "/remove");
        assertThat(page(contest).select("table.entries tbody tr")).isEmpty();
        look(entry).andExpect(status().isNotFound());
        send(entry + "/restore");
        assertThat(page(contest).select("table.entries tbody tr")).hasSize(1);
    }

    /** What somebody typed into the total, in words and in slips. */
    @Test
    void aTotalToReachIsAskedForAndRead() throws Exception {
        String entry = entered(held());

        send(entry, "way", "TOTAL")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(containsString("What total is to be reached?")));
        for (String wrong : List.of("a lot", "-500", "50000", "0")) {
            send(entry, "way", "TOTAL", "asked", wrong)
                    .andExpect(status().isUnprocessableContent())
                    .andExpect(content().string(containsString("value=\"" + wrong + "\"")));
        }
        send(entry, "way", "TOTAL", "asked", "1200 lb").andExpect(status().is3xxRedirection());
        assertThat(jdbc.sql("select asked from contest_entry where lifter_id = ?")
                        .param(club.lifter.id())
                        .query(BigDecimal.class)
                        .single())
                .isEqualByComparingTo("544.310844");
    }

    // ---- attempts

    /** A lifter of whom a lift is not known has no attempts, and it is said which one. */
    @Test
    void whatIsNotKnownIsNotMadeUp() throws Exception {
        String entry = entered(held());

        Document page = page(entry);

        boolean all = Stream.of(Lift.SQUAT, Lift.BENCH_PRESS, Lift.DEADLIFT)
                .allMatch(
                        lift -> club.plan().standing().strength().estimate(lift).isPresent());
        if (all) {
            assertThat(page.select(".ladder")).hasSize(3);
        } else {
            assertThat(page.select(".ladder")).isEmpty();
            assertThat(page.text()).contains("Too little is known");
        }
    }

    @Test
    void everyWayGivesALadderThatTheRulesAllow() throws Exception {
        knowAll();
        String contest = held();
        send(contest + "/entries", "guest", "yes", "name", "A rival", "expected", "560", "body", "80");
        String entry = entered(contest);
        for (String way : List.of("SHARES", "AVERAGE", "TOTAL", "AHEAD")) {
            send(entry, "way", way, "asked", "540").andExpect(status().is3xxRedirection());
            Document page = page(entry);
            assertThat(page.select(".ladder")).as(way).hasSize(3);
            page.select(".ladder").forEach(ladder -> {
                List<Mass> loads = ladder.select(".rungs b").stream()
                        .map(load -> Mass.parse(load.text(), MassUnit.KG))
                        .toList();
                // third, third, third, second, opener
                assertThat(loads.get(0)).isGreaterThanOrEqualTo(loads.get(2));
                assertThat(loads.get(2)).isGreaterThan(loads.get(3));
                assertThat(loads.get(3)).isGreaterThan(loads.get(4));
                assertThat(loads)
                        .allMatch(load -> ContestRules.named("ipf-classic").isOnStep(load));
            });
            assertThat(page.select(".daysays").text()).contains("kg");
        }
    }

    /** With nobody to be ahead of, or an empty club of rivals, the usual shares stand in and it is said. */
    @Test
    void withoutRivalsTheUsualSharesStandInAndItIsSaid() throws Exception {
        knowAll();
        String entry = entered(held());
        send(entry, "way", "AHEAD");

        look(entry).andExpect(content().string(containsString("Nobody is entered with an expected total")));
    }

    private void knowAll() throws Exception {
        for (String lift : List.of("squat", "bench-press", "deadlift")) {
            String load = lift.equals("squat") ? "190" : lift.equals("deadlift") ? "230" : "125";
            send(club.url("/book/lifts/" + lift + "/max"), "kind", "CONTEST", "load", load, "on", "2026-03-01");
        }
    }

    /** What a session tells counts without anybody looking. */
    @Test
    void aFinishedSessionMovesWhatIsBelievedOfTheDay() throws Exception {
        knowAll();
        String contest = held();
        entered(contest);
        String before = believed();

        clubs.grow(club, 0, 3, 1);
        send(club.url("/floor/free/sets"), "task", "", "lift", "squat", "load", "150", "reps", "3", "effort", "6");
        send(club.url("/floor/free/finish"));

        await().untilAsserted(() -> assertThat(believed()).isNotEqualTo(before));
    }

    private String believed() {
        return jdbc.sql("select believed::text from contest_entry where lifter_id = ?")
                .param(club.lifter.id())
                .query(String.class)
                .single();
    }

    @Test
    void anotherCoachSeesWhoLiftsAndNotWhatIsBelievedOfThem() throws Exception {
        knowAll();
        String contest = held();
        String entry = entered(contest);

        mvc.perform(get(contest).with(club.asColleague()))
                .andExpect(status().isOk())
                .andExpect(content().string(containsString(club.lifter.name())))
                .andExpect(content().string(not(containsString("/entries/" + entry.replaceAll(".*/", "") + "\""))));
        mvc.perform(get(contest + "/day").with(club.asColleague()))
                .andExpect(content().string(not(containsString("advised,"))));
    }

    // ---- results

    /** What was lifted, a minus before what was not made; what is only named is no result, and no name is a formula. */
    @Test
    void resultsAreAFileForASpreadsheet() throws Exception {
        String contest = held();
        String entry = entered(contest).replaceAll(".*/", "");
        send(contest + "/entries", "guest", "yes", "name", "=1+1", "sex", "MALE", "body", "181 lb");
        String[][] taps = {
            {"1", "150", "SOLID"},
            {"2", "160", "MISSED"},
            {"3", "160", null}
        };
        for (String[] tap : taps) {
            send(contest + "/day", "entry", entry, "lift", "squat", "number", tap[0], "act", "NAME", "load", tap[1]);
            if (tap[2] != null) {
                send(contest + "/day", "entry", entry, "lift", "squat", "number", tap[0], "act", tap[2]);
            }
        }
        var file = look(contest + "/results.csv")
                .andExpect(status().isOk())
                .andReturn()
                .getResponse();
        assertThat(file.getHeader("Content-Disposition")).contains("attachment", "test-open-2026-03-31.csv");
        assertThat(file.getContentType()).startsWith("text/csv");
        List<String> lines = file.getContentAsString().lines().toList();
        assertThat(lines).hasSize(3);
        assertThat(lines.get(0)).startsWith("Class,").contains("Squat 1,Squat 2,Squat 3,Squat,Bench press 1");
        assertThat(lines)
                .anySatisfy(line -> assertThat(line).contains("150,-160,,150,").contains(club.lifter.name()));
        assertThat(lines).anySatisfy(line -> assertThat(line).contains("'=1+1,82.1,"));
        byte[] paper = look(contest + "/results.pdf")
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
        try (PDDocument document = Loader.loadPDF(paper)) {
            assertThat(new PDFTextStripper().getText(document))
                    .contains("Test Open", club.lifter.name(), "150", "-160")
                    // on paper nothing is a formula, and names stand as they are
                    .contains("=1+1")
                    .doesNotContain("'=1+1");
        }
    }
}
