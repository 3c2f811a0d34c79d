package dev.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import jakarta.servlet.http.Cookie;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import net.ttddyy.dsproxy.QueryCountHolder;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;

/** What a page asks of the database, counted as it is served to somebody signed in. */
@YarbelTest
class PageCostTest {

    private static final int DOZEN = 12;

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    private Clubs4Tests.TestClub club;
    private Clubs4Tests.TestContest held;
    private Clubs4Tests.TestContest ahead;
    private Clubs4Tests.TestContest games;
    private long brought;
    private Cookie cookie;

    @BeforeEach
    void signIn() throws Exception {
        club = clubs.club();
        held = clubs.contest(club);
        ahead = clubs.contest(club, 14);
        games = clubs.games(club);
        brought = clubs.brought(club, "OPEN");
        cookie = signedIn(club.coachName());
    }

    private Cookie signedIn(String name) throws Exception {
        return mvc.perform(post("/sign-in")
                        .param("username", name)
                        .param("password", club.password())
                        .with(csrf()))
                .andReturn()
                .getResponse()
                .getCookie("yarbel");
    }

    /** The statements of each main page. */
    private Map<String, Long> cost(long lifter) throws Exception {
        String base = "/lifters/" + lifter;
        Map<String, Long> cost = new LinkedHashMap<>();
        String contest = "/contests/" + held.contest();
        for (String page : new String[] {
            "/lifters",
            "/lifters?q=oth",
            "/calls",
            "/calls/rules",
            "/calls/judged",
            "/kit/" + club.gym,
            "/me/tokens",
            "/calendar",
            "/calendar.ics",
            "/exchange",
            "/exchange/kit",
            "/exchange/lifters",
            "/exchange/plans",
            "/exchange/whole",
            "/exchange/maxes",
            "/exchange/" + brought,
            "/contests",
            contest,
            contest + "/day",
            contest + "/warm-up",
            "/contests/" + games.contest() + "/events",
            contest + "/entries/" + held.entry(),
            "/contests/" + ahead.contest() + "/entries/" + ahead.entry(),
            base + "/plan",
            base + "/plan/wake",
            base + "/plan/recovery",
            base + "/report",
            base + "/plan/rehearsal",
            base + "/plan/rehearsal/odds",
            base + "/plan/checklist",
            base + "/plan/checklist?with=asked",
            base + "/plan/rehearsal?with=contest-8",
            base + "/floor",
            base + "/floor?cards=yes",
            base + "/floor/fallbacks?day=0&week=2",
            base + "/floor/side",
            "/live",
            base + "/clips",
            base + "/book",
            base + "/book/decisions",
            base + "/book/maxes",
            base + "/book/curves",
            base + "/book/lifts",
            base + "/book/lifts/squat",
            base + "/season",
            base + "/home",
            base + "/practice",
            base + "/readiness",
            base + "/week",
            base + "/profile",
            base + "/gyms"
        }) {
            mvc.perform(get(page).cookie(cookie)).andExpect(status().isOk());
            QueryCountHolder.clear();
            mvc.perform(get(page).cookie(cookie));
            cost.put(page.replace(base, ""), QueryCountHolder.getGrandTotal().getTotal());
        }
        return cost;
    }

    @Test
    void noPageAsksMoreThanADozenTimesAndNoneMoreOftenForMoreLiftersSessionsOrWeeks() throws Exception {
        // one lifter, one session a week for three weeks; a slip so that the queue is not empty
        long small = clubs.grow(club, 1, 3, 1).id();
        awaitSlips(1);
        Map<String, Long> few = cost(small);
        long large = clubs.grow(club, 25, 40, 5).id();
        fill(large);
        awaitSlips(26);
        Map<String, Long> many = cost(large);

        assertThat(many).isEqualTo(few);
        assertThat(many.values())
                .allSatisfy(statements -> assertThat(statements).isBetween(3L, (long) DOZEN));
    }

    /** For the lifter in it; a coach who looks pays for the frame's calls and lifters besides. */
    @Test
    void aSessionUnderWayAsksNoMoreThanADozenTimesHoweverMuchWasChanged() throws Exception {
        cookie = signedIn(club.lifterName());
        String floor = club.url("/floor");
        mvc.perform(get(floor).cookie(cookie)).andExpect(status().isOk());
        change("C shorten 2");
        long few = count(floor);
        for (int i = 0; i < 20; i++) {
            change("A go-on A." + (i + 1));
        }
        assertThat(count(floor)).isEqualTo(few).isLessThanOrEqualTo(DOZEN);
    }

    /** A contest that moved away from the plan that leads to it: both plans stand side by side, and every session of both. */
    @Test
    void aCallAboutAContestAsksNoMoreThanADozenTimes() throws Exception {
        LocalDate day = club.plan().today().plusDays(14);
        jdbc.sql("update block set contest_on = ? where club_id = ? and lifter_id = ?")
                .params(day, club.lifter.clubId(), club.lifter.id())
                .update();
        mvc.perform(post("/contests/" + ahead.contest())
                        .cookie(cookie)
                        .with(csrf())
                        .param("name", "Open")
                        .param("rules", "ipf-classic")
                        .param("on", day.plusWeeks(3).toString()))
                .andExpect(status().is3xxRedirection());
        awaitSlips(1);
        long slip = jdbc.sql("select id from slip where club_id = ? and contest_id = ?")
                .param(club.lifter.clubId())
                .param(ahead.contest())
                .query(Long.class)
                .single();
        assertThat(count("/calls")).isLessThanOrEqualTo(DOZEN);
        assertThat(count("/calls/" + slip)).isLessThanOrEqualTo(DOZEN);
    }

    private void change(String what) throws Exception {
        mvc.perform(post(club.url("/floor/changes"))
                        .cookie(cookie)
                        .with(csrf())
                        .param("day", "0")
                        .param("week", "1")
                        .param("change", what))
                .andExpect(status().is3xxRedirection());
    }

    private long count(String page) throws Exception {
        mvc.perform(get(page).cookie(cookie)).andExpect(status().isOk());
        QueryCountHolder.clear();
        mvc.perform(get(page).cookie(cookie));
        return QueryCountHolder.getGrandTotal().getTotal();
    }

    /** A long history: what was measured, noted, set down and hurts; and a gym full of kit. */
    private void fill(long lifter) {
        for (String sql : new String[] {"""
            insert into measurement (club_id, lifter_id, kind, on_date, figure)
            select :club, :lifter, 'BODY_MASS', date '2026-03-01' - n, 80 from generate_series(1, 100) n""", """
            insert into lifter_note (club_id, lifter_id, kind, text, written_at, written_by, author)
            select :club, :lifter, 'NOTE', 'n', now(), :coach, 'c' from generate_series(1, 50)""", """
            insert into ache (club_id, lifter_id, place, since)
            select :club, :lifter, 'KNEE', date '2026-03-01' from generate_series(1, 9)""", """
            insert into recorded_max (club_id, lifter_id, lift, kind, load, unit, reps, on_date, entered_at, entered_by)
            select :club, :lifter, 'squat', 'REP_MAX', 150, 'KG', 2 + n % 5, date '2025-01-01' + n, now(), 'c'
            from generate_series(1, 60) n""", """
            insert into set_up (club_id, lifter_id, lift, measure, figure)
            select :club, :lifter, 'squat', m, '1' from unnest(array['STANCE', 'RACK_HEIGHT']) m""", """
            insert into own_variation (club_id, lift, parent, ratio, implement, pins)
            select :club, 'own-' || n, 'squat', 70, 'BARBELL', false from generate_series(1, 30) n""", """
            insert into piece (club_id, gym_id, shelf, fields)
            select :club, :gym, 'PIECES', jsonb_build_object('IMPLEMENT', 'DUMBBELL', 'MASS', n || ' kg')
            from generate_series(1, 40) n""", """
            with more as (insert into gym (club_id, name, collars, unit)
              select :club, 'Gym ' || n, 0, 'KG' from generate_series(1, 20) n returning id)
            insert into lifter_gym (club_id, lifter_id, gym_id, position) select :club, :lifter, id, 1 from more"""}) {
            jdbc.sql(sql)
                    .param("club", club.lifter.clubId())
                    .param("lifter", lifter)
                    .param("coach", club.coach.accountId())
                    .param("gym", club.gym)
                    .update();
        }
    }

    private void awaitSlips(int open) {
        await().untilAsserted(
                        () -> assertThat(jdbc.sql("select count(*) from slip where club_id = ? and status = 'OPEN'")
                                        .param(club.lifter.clubId())
                                        .query(Integer.class)
                                        .single())
                                .isEqualTo(open));
    }
}
