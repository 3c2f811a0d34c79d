package dev.yarbel.web.roster;

import static dev.yarbel.web.TestSettings.TODAY;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.FullLifter;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.account.Accounts;
import dev.yarbel.web.block.Blocks;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.RequestPostProcessor;

/** A lifter has everything of theirs deleted, after a pause. */
@YarbelTest
class LeavingTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Leaving leaving;

    @Autowired
    private Accounts accounts;

    @Autowired
    private Blocks blocks;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;

    @BeforeEach
    void gather() {
        club = clubs.club();
    }

    private MockHttpServletResponse send(String path, String name) throws Exception {
        return mvc.perform(post(path).param("name", name).with(club.asLifter()).with(csrf()))
                .andReturn()
                .getResponse();
    }

    private String page(RequestPostProcessor who, String path) throws Exception {
        MockHttpServletResponse answer =
                mvc.perform(get(path).with(who)).andReturn().getResponse();
        assertThat(answer.getStatus()).as(path).isEqualTo(200);
        return answer.getContentAsString();
    }

    private Optional<LocalDate> leavesOn() {
        return jdbc.sql("select leaves_on from lifter where id = ? and leaves_on is not null")
                .param(club.lifter.id())
                .query(LocalDate.class)
                .optional();
    }

    /** As the day comes on which it is done. */
    private void dayComes(LifterCard lifter) {
        jdbc.sql("update lifter set leaves_on = ? where id = ?")
                .params(TODAY, lifter.id())
                .update();
        // what still reckons with sessions just lifted may be in the way: then it is tried again
        Awaitility.await().until(() -> {
            leaving.eraseDue();
            return jdbc.sql("select count(*) from lifter where id = ?")
                            .param(lifter.id())
                            .query(Long.class)
                            .single()
                    == 0;
        });
    }

    @Test
    void itIsMeantSeenByTheCoachAndTakenBack() throws Exception {
        MockHttpServletResponse other = send("/exchange/leave", "Somebody");
        assertThat(other.getStatus()).isEqualTo(422);
        assertThat(other.getContentAsString())
                .contains("Type your name as it stands above.")
                .contains("value=\"Somebody\"");
        assertThat(leavesOn()).isEmpty();
        assertThat(send("/exchange/leave", " " + club.lifter.name().toUpperCase(Locale.ROOT) + " ")
                        .getStatus())
                .isEqualTo(302);
        assertThat(leavesOn()).contains(TODAY.plusDays(14));
        assertThat(page(club.asCoach(), "/lifters")).contains("is deleted on 24 Mar");
        assertThat(page(club.asCoach(), club.url("/book/decisions"))).contains("asked to be deleted", "24 Mar 2026");
        assertThat(page(club.asCoach(), club.url("/profile"))).contains("asked that everything of theirs is deleted");
        assertThat(page(club.asLifter(), club.url("/home"))).contains("Everything of yours is deleted on");
        leaving.eraseDue();
        assertThat(leavesOn()).as("the day has not come").isPresent();
        send("/exchange/stay", "");
        assertThat(leavesOn()).isEmpty();
        assertThat(page(club.asCoach(), "/lifters")).doesNotContain("is deleted on");
    }

    @Test
    void nothingOfTheirsIsLeftButWhatTheyDidInContests() throws Exception {
        new FullLifter(mvc, clubs, jdbc, club).fill();
        clubs.brought(club, "TAKEN");
        mvc.perform(post("/calendar/address").with(club.asLifter()).with(csrf()));
        send("/exchange/leave", club.lifter.name());
        TestClub other = clubs.club();
        new FullLifter(mvc, clubs, jdbc, other).fill();
        Map<String, Long> otherBefore = rows(other);
        dayComes(club.lifter);
        Map<String, Long> left = rows(club);
        assertThat(left.keySet())
                .containsExactlyInAnyOrder(
                        "account", "change_entry", "contest", "contest_attempt", "contest_entry", "gym", "piece");
        assertThat(jdbc.sql("select kind from change_entry where club_id = ?")
                        .param(club.lifter.clubId())
                        .query(String.class)
                        .list())
                .as("what is told of a contest stays with it")
                .allMatch(kind -> kind.startsWith("CONTEST"));
        assertThat(left).containsEntry("account", 1L);
        assertThat(rows(other)).isEqualTo(otherBefore);
        assertThat(jdbc.sql("select name from contest_entry where club_id = ? and lifter_id is null")
                        .param(club.lifter.clubId())
                        .query(String.class)
                        .single())
                .isEqualTo(club.lifter.name());
        long contest = jdbc.sql("select id from contest where club_id = ?")
                .param(club.lifter.clubId())
                .query(Long.class)
                .single();
        assertThat(page(club.asCoach(), "/contests/" + contest + "/day")).contains(club.lifter.name());
        assertThat(page(club.asCoach(), "/lifters")).doesNotContain(club.lifter.name());
        assertThatThrownBy(() -> accounts.person(club.lifterName())).isInstanceOf(UsernameNotFoundException.class);
    }

    /** How many rows a club has in each table that has any. */
    private Map<String, Long> rows(TestClub of) {
        Map<String, Long> rows = new TreeMap<>();
        List<String> tables = jdbc.sql("""
                select table_name from information_schema.columns
                where table_schema = 'yarbel' and column_name = 'club_id'""").query(String.class).list();
        for (String table : tables) {
            long count = jdbc.sql("select count(*) from " + table + " where club_id = ?")
                    .param(of.lifter.clubId())
                    .query(Long.class)
                    .single();
            if (count > 0) {
                rows.put(table, count);
            }
        }
        return rows;
    }

    @Test
    void whatAnotherWasGivenFromThemStaysTheirs() {
        LifterCard second = clubs.grow(club, 1, 2, 1);
        blocks.give(club.coach, club.plan(), List.of(second), TODAY.plusWeeks(8));
        long given = jdbc.sql("select id from block where given_from is not null and lifter_id = ?")
                .param(second.id())
                .query(Long.class)
                .single();
        dayComes(club.lifter);
        assertThat(jdbc.sql("select count(*) from block_day where block_id = ?")
                        .param(given)
                        .query(Long.class)
                        .single())
                .isOne();
    }

    /** A coach who lifts goes on as a coach. */
    @Test
    void aCoachWhoLiftsKeepsTheirSignIn() throws Exception {
        LifterCard themselves = clubs.grow(club, 1, 2, 1);
        accounts.lifts(club.coach, themselves.id());
        // with what signs them in now, as whoever opened the page since
        RequestPostProcessor coach = clubs.signedIn(club.coachName());
        assertThat(page(coach, "/exchange")).contains("You stay a coach with your sign-in");
        assertThat(mvc.perform(post("/exchange/leave")
                                .param("name", themselves.name())
                                .with(coach)
                                .with(csrf()))
                        .andReturn()
                        .getResponse()
                        .getStatus())
                .isEqualTo(302);
        dayComes(themselves);
        assertThat(accounts.member(club.lifter.clubId(), club.coach.accountId()).lifterId())
                .isEmpty();
    }

    /** Whatever refers to anything may be looked at late: else what rooms delete would depend on their order. */
    @Test
    void everyReferenceMayBeLookedAtInTheEnd() {
        assertThat(jdbc.sql("""
                        select conrelid::regclass::text from pg_constraint
                        where contype = 'f' and not condeferrable and connamespace = 'yarbel'::regnamespace""").query(String.class).list()).isEmpty();
    }
}
