package dev.yarbel.web.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import java.util.Collections;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** The same form sent twice. */
@YarbelTest
class OnceTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;

    @BeforeEach
    void makeClub() {
        club = clubs.club();
    }

    private MockHttpServletRequestBuilder note(String once, String text) {
        return post(club.url("/profile/notes"))
                .with(club.asCoach())
                .with(csrf())
                .param("once", once)
                .param("kind", "NOTE")
                .param("text", text);
    }

    private int notes() {
        return jdbc.sql("select count(*) from lifter_note where lifter_id = ?")
                .param(club.lifter.id())
                .query(Integer.class)
                .single();
    }

    @Test
    void everyFormThatSendsSomethingBearsANumberOfItsOwn() throws Exception {
        for (String page :
                List.of(club.url("/profile"), club.url("/plan"), "/kit/" + club.gym, club.url("/floor"), "/me")) {
            String html = mvc.perform(get(page).with(club.asCoach()))
                    .andReturn()
                    .getResponse()
                    .getContentAsString();
            List<Element> forms = Jsoup.parse(html).select("form[method=post]");
            assertThat(forms).as(page).isNotEmpty().allSatisfy(form -> assertThat(form.select("input[name=once]"))
                    .as(form.attr("action"))
                    .hasSize(1));
            assertThat(forms.stream()
                            .map(form -> form.select("input[name=once]").attr("value")))
                    .doesNotHaveDuplicates();
        }
    }

    @Test
    void whatIsSentTwiceActsOnceAndGetsTheSameAnswer() throws Exception {
        String once = UUID.randomUUID().toString();
        String first =
                mvc.perform(note(once, "knees out")).andReturn().getResponse().getRedirectedUrl();
        mvc.perform(note(once, "knees out")).andExpect(redirectedUrl(first));
        mvc.perform(note(once, "knees out").header("HX-Request", "true"))
                .andExpect(status().isOk())
                .andExpect(header().string("HX-Refresh", "true"));
        assertThat(notes()).isOne();
        mvc.perform(note(once, "chest up")).andExpect(status().isFound());
        assertThat(notes()).as("other contents are something else").isEqualTo(2);
        mvc.perform(note(UUID.randomUUID().toString(), "knees out")).andExpect(status().isFound());
        assertThat(notes()).as("and so is another form").isEqualTo(3);
    }

    @Test
    void tenAtTheSameMomentActOnce() throws Exception {
        String once = UUID.randomUUID().toString();
        Callable<Integer> click =
                () -> mvc.perform(note(once, "brace")).andReturn().getResponse().getStatus();
        ExecutorService crowd = Executors.newFixedThreadPool(10);
        for (Future<Integer> answer : crowd.invokeAll(Collections.nCopies(10, click))) {
            assertThat(answer.get()).isEqualTo(302);
        }
        crowd.shutdown();
        assertThat(notes()).isOne();
    }

    @Test
    void aDoubleClickOnWhatIsRefusedSaysSoTwiceAndIsNoFault() throws Exception {
        String once = UUID.randomUUID().toString();
        Callable<Integer> click =
                () -> mvc.perform(note(once, "")).andReturn().getResponse().getStatus();
        ExecutorService crowd = Executors.newFixedThreadPool(6);
        for (Future<Integer> answer : crowd.invokeAll(Collections.nCopies(6, click))) {
            assertThat(answer.get()).isEqualTo(422);
        }
        crowd.shutdown();
        assertThat(notes()).isZero();
    }

    @Test
    void whatWasRefusedMayBeSentAgain() throws Exception {
        String once = UUID.randomUUID().toString();
        mvc.perform(note(once, "")).andExpect(status().isUnprocessableContent());
        mvc.perform(note(once, "")).andExpect(status().isUnprocessableContent());
        mvc.perform(note(once, "brace")).andExpect(status().isFound());
        assertThat(notes()).isOne();
    }

    @Test
    void anothersNumberIsNotMine() throws Exception {
        String once = UUID.randomUUID().toString();
        TestClub other = clubs.club();
        mvc.perform(note(once, "brace")).andExpect(status().isFound());
        mvc.perform(post(club.url("/profile/notes"))
                        .with(other.asCoach())
                        .with(csrf())
                        .param("once", once)
                        .param("kind", "NOTE")
                        .param("text", "brace"))
                .andExpect(status().isNotFound());
    }

    @Test
    void aFirstTryThatCameToNoEndIsMadeAgainAfterAWhile() throws Exception {
        String once = UUID.randomUUID().toString();
        mvc.perform(note(once, "brace")).andExpect(status().isFound());
        jdbc.sql(
                        "update sent_form set answered_at = null, sent_at = sent_at - interval '1 minute' where account_id = ?")
                .param(club.coach.accountId())
                .update();
        mvc.perform(note(once, "brace")).andExpect(status().isFound());
        assertThat(notes()).isEqualTo(2);
    }

    /** Requests of one session that write the same attribute at once; Spring Session inserts where another just has. */
    @Test
    void parallelRequestsOfOneSessionGiveNoFault() throws Exception {
        var cookie = mvc.perform(post("/sign-in")
                        .param("username", club.coachName())
                        .param("password", club.password())
                        .with(csrf()))
                .andReturn()
                .getResponse()
                .getCookie("yarbel");
        Callable<Integer> strike = () -> mvc.perform(post("/lifters/" + club.lifter.id() + "/archive")
                        .cookie(cookie)
                        .with(csrf()))
                .andReturn()
                .getResponse()
                .getStatus();
        ExecutorService crowd = Executors.newFixedThreadPool(8);
        for (int round = 0; round < 5; round++) {
            for (Future<Integer> answer : crowd.invokeAll(Collections.nCopies(8, strike))) {
                assertThat(answer.get()).isEqualTo(302);
            }
        }
        crowd.shutdown();
    }
}
