package dev.yarbel.web.roster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.YarbelTest;
import jakarta.servlet.http.Cookie;
import java.util.List;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** The coach's morning: who needs somebody, how the last session went, what is next. */
@YarbelTest
class MorningTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Roster roster;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;

    @BeforeEach
    void makeClub() {
        club = clubs.club();
    }

    private Document morning(String query, Cookie... kept) throws Exception {
        MockHttpServletRequestBuilder asked = get("/lifters" + query).with(club.asCoach());
        return Jsoup.parse(mvc.perform(kept.length == 0 ? asked : asked.cookie(kept))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    private List<String> names(Document page) {
        return page.select(".morning tbody th a").eachText();
    }

    private Element line() throws Exception {
        return morning("").selectFirst(".morning tbody tr");
    }

    private void floor(String path, String... fields) throws Exception {
        MockHttpServletRequestBuilder request = post(club.url("/floor" + path))
                .with(club.asLifter())
                .with(csrf())
                .param("day", "0")
                .param("week", "1");
        for (int i = 0; i < fields.length; i += 2) {
            request.param(fields[i], fields[i + 1]);
        }
        mvc.perform(request).andExpect(status().is3xxRedirection());
    }

    private void lift(String effort, UUID token) throws Exception {
        floor("/sets", "task", "A.1", "token", "" + token, "load", "190", "reps", "1", "effort", effort);
    }

    private void move(String sql) {
        jdbc.sql(sql + " where lifter_id = :lifter")
                .param("today", TestSettings.TODAY)
                .param("lifter", club.lifter.id())
                .update();
    }

    /** The club's block began a week ago with one day a week, and nobody has lifted yet. */
    @Test
    void aLineSaysWhatWasMissedWhatIsNextAndHowFarTheBlockIs() throws Exception {
        Element line = line();
        assertThat(line.select(".needs").text()).contains("missed");
        assertThat(line.select(".lastheld").text()).isEqualTo("has not trained yet");
        assertThat(line.select(".istoday").text()).isEqualTo("today");
        assertThat(line.select(".inblock").text()).contains("week 2 of 3");
        assertThat(line.select(".ministrip path.missed")).hasSize(1);
        assertThat(line.select(".ministrip rect.tocome")).hasSize(2);
        assertThat(line.select(".ministrip").attr("aria-label")).contains("0 of 3 sessions lifted, 1 missed");
    }

    /** Who needs nobody gets a word too. */
    @Test
    void whoeverIsOnPlanIsSaidToBe() throws Exception {
        lift("8", UUID.randomUUID());
        floor("/finish", "left", "99", "count", "MISCOUNTED");
        assertThat(line().select(".needs .nothing")).isEmpty();
        jdbc.sql("update training_session set plan_week = 0 where lifter_id = ?")
                .param(club.lifter.id())
                .update();
        move("update block set start_on = :today");
        assertThat(line().select(".needs .nothing").text()).isEqualTo("on plan, week 1; nothing to decide");
    }

    @ParameterizedTest
    @CsvSource({"9, harder than asked, over", "8, as planned, done", "7, lighter than asked, under"})
    void aSessionIsHeldAgainstWhatItsDayAsked(String effort, String words, String mark) throws Exception {
        lift(effort, UUID.randomUUID());
        assertThat(line().select(".lastheld").text()).isEqualTo("today not ended");
        assertThat(line().select(".ministrip rect.begun")).hasSize(1);
        floor("/finish", "left", "99");
        assertThat(line().select(".lastheld").text()).isEqualTo("today " + words);
        assertThat(line().select(".ministrip rect." + mark)).hasSize(1);
        // what is done today is not what comes next
        assertThat(line().select(".istoday")).isEmpty();
    }

    @Test
    void aCorrectionAfterTheEndIsJudgedAnew() throws Exception {
        UUID token = UUID.randomUUID();
        lift("9", token);
        floor("/finish", "left", "99");
        lift("8", token);
        assertThat(line().select(".lastheld").text()).contains("as planned");
    }

    @Test
    void painIsNamedBeforeAnythingElse() throws Exception {
        lift("8", UUID.randomUUID());
        floor("/finish", "left", "99", "pain", "left knee");
        assertThat(line().select(".needs > *").first().text()).isEqualTo("something hurt");
    }

    /** Each choice shows exactly those who have what it is about: the lines say so themselves. */
    @ParameterizedTest
    @EnumSource
    void eachChoiceShowsExactlyThoseItIsAbout(MorningLook.Only only) throws Exception {
        roster.add(NewLifter.of(club.lifter.clubId(), "Nobody's plan", club.coach.accountId(), MassUnit.KG));
        clubs.grow(club, 3, 4, 1);
        Document everybody = morning("?only=EVERYBODY");
        Document shown = morning("?only=" + only);
        // slips may come in meanwhile: a page is held against itself
        int count = shown.select(".tabs a[href$='only=" + only + "'] b").eachText().stream()
                .mapToInt(Integer::parseInt)
                .sum();
        assertThat(names(shown)).hasSize(count);
        assertThat(names(everybody)).containsAll(names(shown)).hasSize(5);
        if (only == MorningLook.Only.PLAN) {
            assertThat(names(shown)).contains("Nobody's plan");
        }
        if (only == MorningLook.Only.MISSED) {
            assertThat(names(shown)).contains(club.lifter.name());
        }
    }

    @Test
    void whatWasChosenStaysInThisBrowserAndNonsenseIsAsNobodyHadChosen() throws Exception {
        roster.add(NewLifter.of(club.lifter.clubId(), "Aaron", club.coach.accountId(), MassUnit.KG));
        Cookie kept = mvc.perform(get("/lifters?order=NAME&only=MISSED").with(club.asCoach()))
                .andReturn()
                .getResponse()
                .getCookie(MorningLook.COOKIE);
        assertThat(names(morning("", kept))).containsExactly(club.lifter.name());
        assertThat(names(morning("?only=EVERYBODY", kept))).containsExactly("Aaron", club.lifter.name());
        // whoever is looked for is found whatever is shown else
        assertThat(names(morning("?q=aar", kept))).containsExactly("Aaron");
        // a missed session is more urgent than nothing planned
        for (String nonsense : new String[] {"", "x", "NAME", "a.b.c", "."}) {
            assertThat(names(morning("", new Cookie(MorningLook.COOKIE, nonsense))))
                    .hasSize(2);
        }
        assertThat(names(morning("?order=zzz&only=zzz"))).containsExactly(club.lifter.name(), "Aaron");
    }

    @Test
    void aBlockThatIsOverWithNothingAfterItWantsTheNext() throws Exception {
        move("update block set start_on = :today - 60");
        Element line = line();
        assertThat(line.select(".needs a").text()).isEqualTo("nothing planned");
        assertThat(line.select(".needs a").attr("href")).isEqualTo(club.url("/plan/new"));
        assertThat(line.select(".inblock").text()).contains("ended");
    }

    /** From the day the next block begins on, the days of the one before are not trained any more. */
    @Test
    void theDaysOfABlockThatAnotherReplacesAreNotMissed() throws Exception {
        jdbc.sql("insert into block (club_id, lifter_id, name, start_on, weeks) values (?, ?, 'Next', ?, 1)")
                .params(club.lifter.clubId(), club.lifter.id(), TestSettings.TODAY.plusDays(1))
                .update();
        Element line = line();
        assertThat(line.select(".ministrip rect.tocome")).hasSize(1);
        assertThat(line.select(".needs").text()).contains("plan ends");
    }
}
