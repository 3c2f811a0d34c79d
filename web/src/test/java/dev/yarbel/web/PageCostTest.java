package dev.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import jakarta.servlet.http.Cookie;
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
    private Cookie cookie;

    @BeforeEach
    void signIn() throws Exception {
        club = clubs.club();
        cookie = mvc.perform(post("/sign-in")
                        .param("username", club.coachName())
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
        for (String page : new String[] {
            "/lifters", "/calls", base + "/plan", base + "/floor", base + "/book", base + "/book/curves"
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
        awaitSlips(26);
        Map<String, Long> many = cost(large);

        assertThat(many).isEqualTo(few);
        assertThat(many.values())
                .allSatisfy(statements -> assertThat(statements).isBetween(4L, (long) DOZEN));
    }

    private void awaitSlips(int open) {
        await().untilAsserted(() -> assertThat(jdbc.sql("select count(*) from slip where club_id = ?")
                        .param(club.lifter.clubId())
                        .query(Integer.class)
                        .single())
                .isEqualTo(open));
    }
}
