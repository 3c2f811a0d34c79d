package dev.yarbel.web.contest;

import static dev.yarbel.web.OnPage.shows;
import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.flash;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.web.YarbelTest;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** The way to a contest: its season, the plan that leads there, another day, the class that is meant. */
@YarbelTest
class SeasonTest extends ContestPages {

    @Autowired
    private ContestRepository contests;

    @Autowired
    private EntryRepository entries;

    /** Whom something hurts is not led to heavy singles, and is told why. */
    @Test
    void whereSomethingHurtsNoSinglesAreOnTheWayToTheDay() throws Exception {
        String entry = entered(held());
        assertThat(page(entry).select(".toward .datelist").text()).contains("heavy single");
        mvc.perform(post(club.url("/floor/aches"))
                .with(club.asCoach())
                .with(csrf())
                .param("day", "0")
                .param("week", "1")
                .param("place", "KNEE")
                .param("weight", "3"));

        assertThat(page(entry).select(".toward .datelist").text()).doesNotContain("heavy single");
        assertThat(page(entry).select(".toward .watch").text()).contains("Something hurts");
    }

    // ---- body mass toward a class

    private void weighed(String on, String kg) throws Exception {
        send(club.url("/profile/measurements"), "kind", "BODY_MASS", "figure", kg, "on", on, "meant", "true")
                .andExpect(status().is3xxRedirection());
    }

    @Test
    void bodyMassStandsBesideTheLimitOfTheClassThatIsMeant() throws Exception {
        String entry = entered(held());
        assertThat(page(entry).select("#class-title")).isEmpty();

        send(entry, "limit", "74", "way", "SHARES").andExpect(status().is3xxRedirection());
        assertThat(page(entry).select("section:has(#class-title)").text()).contains("Nobody was weighed");

        weighed("2026-02-10", "76.5");
        weighed("2026-02-24", "75.7");
        weighed("2026-03-09", "75");
        String going = page(entry).select("section:has(#class-title)").text();
        assertThat(going).contains("inside it on the day", "75 kg on 9 Mar", "1 kg, 0.4", "% a week, to 73.8 kg");

        send(entry, "limit", "70", "way", "SHARES");
        assertThat(page(entry).select("section:has(#class-title) .watch").text())
                .contains("More than about one percent");
        send(entry, "limit", "7", "way", "SHARES").andExpect(status().isUnprocessableContent());
    }

    /** A minor is never asked to cut, however little it is. */
    @Test
    void aMinorOverTheLimitStaysInTheirClass() throws Exception {
        String entry = entered(held());
        send(entry, "limit", "74", "way", "SHARES");
        weighed("2026-03-09", "74.2");
        jdbc.sql("update lifter set birth_year = 2010 where id = ?")
                .param(club.lifter.id())
                .update();
        assertThat(page(entry).select("section:has(#class-title) .watch").text())
                .contains("a minor: no cut");
    }

    // ---- the season

    /** What leads where, and the days that no block covers. */
    @Test
    void aSeasonSaysWhatLeadsToEachContest() throws Exception {
        entered(held());
        LocalDate end = club.plan().block().end();
        send("/contests", "name", "Far Cup", "on", end.plusDays(30).toString(), "rules", "ipf-classic");
        String far = "/contests/"
                + jdbc.sql("select max(id) from contest where club_id = ?")
                        .param(club.lifter.clubId())
                        .query(Long.class)
                        .single();
        entered(far);

        Document page = page(club.url("/season"));

        assertThat(page.select(".contestlines li")).hasSize(2);
        assertThat(page.select(".contestlines").text())
                .contains("No plan leads to this day")
                .contains("29 days until then are in no block");
        assertThat(page.select("svg.season .flag")).hasSize(2);
        assertThat(page.select("svg.season .block")).isNotEmpty();
    }

    /** Where only a window is known plans lead to its first day; what to bring stands where it is needed. */
    @Test
    void aWindowAndWhatToBring() throws Exception {
        String contest = held();
        send(
                        contest,
                        "name",
                        "Test Open",
                        "rules",
                        "ipf-classic",
                        "on",
                        "2026-05-02",
                        "until",
                        "2026-05-16",
                        "bring",
                        "belt\n\n deadlift slippers \nfood")
                .andExpect(status().is3xxRedirection());
        Document page = page(contest);
        assertThat(page.select(".facts").text()).contains("2 May 2026 or later, until 16 May 2026");
        assertThat(page.select(".bring li").eachText()).containsExactly("belt", "deadlift slippers", "food");
        assertThat(page(contest + "/day").select(".bring li")).hasSize(3);
        assertThat(page("/contests").select(".contestlines").text()).contains("until 16 May 2026");
        assertThat(page(contest).select("textarea[name=bring]").text()).contains("slippers");

        for (String until : List.of("2026-05-01", "2026-12-01")) {
            send(contest, "name", "Test Open", "rules", "ipf-classic", "on", "2026-05-02", "until", until)
                    .andExpect(status().isUnprocessableContent())
                    .andExpect(content().string(shows("#contest-until-says", "ends after its first day")));
        }
        send(contest, "name", "Test Open", "rules", "ipf-classic", "until", "2026-05-02")
                .andExpect(status().isUnprocessableContent());
        // once the day is set the window is over
        send(contest + "/move", "on", "2026-05-09").andExpect(status().is3xxRedirection());
        assertThat(page(contest).select(".facts").text()).doesNotContain("or later");
    }

    /** A contest that is trained through asks nothing of the plan, and no other one that is given up leads there. */
    @Test
    void aContestIsTrainedThrough() throws Exception {
        String contest = held();
        String entry = entered(contest);
        assertThat(page(entry).select(".toward")).hasSize(1);
        assertThat(page(contest).select("table.entries tbody").text()).contains("leads to no contest");

        send(entry, "priority", "THROUGH").andExpect(status().is3xxRedirection());
        assertThat(page(entry).select(".toward")).isEmpty();
        assertThat(page(contest).select("table.entries tbody").text())
                .contains("trained through")
                .doesNotContain("leads to no contest");
        assertThat(page(club.url("/season")).select(".contestlines").text())
                .contains("trained through")
                .doesNotContain("No plan leads to this day");
        LifterContests told = new LifterContests(contests, entries);
        assertThat(told.seen(
                                club.lifter.clubId(),
                                club.lifter.id(),
                                Long.parseLong(send("/contests", "name", "Other", "rules", "ipf-classic")
                                        .andReturn()
                                        .getResponse()
                                        .getRedirectedUrl()
                                        .replaceAll(".*/", "")),
                                Optional.empty(),
                                club.plan().today())
                        .next())
                .isEmpty();
    }

    /** What would follow of another day is shown beside what stands, and nothing is kept until it is. */
    @Test
    void aContestIsTriedOnAnotherDayBeforeItIsMoved() throws Exception {
        String contest = held();
        String entry = entered(contest);
        LocalDate end = club.plan().block().end();
        send(contest, "name", "Test Open", "rules", "ipf-classic", "on", end.toString());
        String number = contest.replaceAll(".*/", "");
        String tried = club.url("/season") + "?contest=" + number + "&to=" + end.plusWeeks(2);
        assertThat(page(tried).select("#moving").text()).contains("does not lead to this contest");

        shape(entry, end);
        Document moving = page(tried);
        assertThat(moving.select("#moving table.bothplans tbody tr")).hasSize(4);
        assertThat(page(contest).select(".facts").text()).doesNotContain("6 Apr");

        send(contest + "/move", "on", end.plusWeeks(2).toString())
                .andExpect(status().is3xxRedirection())
                .andExpect(flash().attributeExists("notice"));
        assertThat(page(contest).select(".facts").text()).contains("6 Apr 2026");
        send(contest + "/move", "on", "1926-01-01").andExpect(status().isUnprocessableContent());
        assertThat(page(club.url("/season") + "?contest=" + number + "&to=2020-01-01")
                        .select("#moving"))
                .isEmpty();
        look(club.url("/season") + "?contest=" + number + "&to=soon").andExpect(status().isBadRequest());
    }

    /** A contest that moves twice and then has no date: each time it is said whose plan leads elsewhere, and it can be shaped anew. */
    @Test
    void whosePlanLeadsElsewhereIsSaidWhenAContestMoves() throws Exception {
        String contest = held();
        String entry = entered(contest);
        LocalDate end = club.plan().block().end();
        assertThat(page(contest).select("table.entries tbody").text()).contains("leads to no contest");

        send(contest, "name", "Test Open", "rules", "ipf-classic", "on", end.toString());
        shape(entry, end);
        assertThat(page(contest).select("table.entries tbody").text()).contains("leads here");
        assertThat(page(entry).select(".toward").text()).contains("leads to this day");

        send(
                contest,
                "name",
                "Test Open",
                "rules",
                "ipf-classic",
                "on",
                end.plusDays(9).toString());
        assertThat(page(contest).select("table.entries tbody").text()).contains("leads to");
        assertThat(page(entry).select(".toward .watch").text()).contains("leads to another day");

        send(contest, "name", "Test Open", "rules", "ipf-classic");
        assertThat(page(contest).select("table.entries tbody").text()).contains("there is no date");
    }
}
