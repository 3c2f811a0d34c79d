package dev.yarbel.web.account;

import static dev.yarbel.web.OnPage.shows;
import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.response.SecurityMockMvcResultMatchers.unauthenticated;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.forwardedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.YarbelTest;
import jakarta.servlet.http.Cookie;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.web.csrf.MissingCsrfTokenException;
import org.springframework.test.web.servlet.MockMvc;

@YarbelTest
class SignInTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    @Test
    void aCoachStartsAtTheLiftersAndTheSessionIsKeptInTheDatabase() throws Exception {
        Cookie cookie = mvc.perform(post("/sign-in")
                        .param("username", " Bryn ")
                        .param("password", "harbour-light")
                        .with(csrf()))
                .andExpect(redirectedUrl("/"))
                .andReturn()
                .getResponse()
                .getCookie("yarbel");
        mvc.perform(get("/").cookie(cookie)).andExpect(redirectedUrl("/lifters"));
        mvc.perform(get("/lifters").cookie(cookie))
                .andExpect(status().isOk())
                .andExpect(content().string(shows(".roster", "Wren Halloway")))
                .andExpect(content().string(shows(".roster", "Tobin Marsh")));
        assertThat(jdbc.sql("select count(*) from spring_session where principal_name = 'bryn'")
                        .query(Integer.class)
                        .single())
                .isPositive();
    }

    @Test
    void aWrongPasswordIsSaidWithoutSayingWhichPartWasWrong() throws Exception {
        for (String name : new String[] {"bryn", "nobody"}) {
            mvc.perform(post("/sign-in")
                            .param("username", name)
                            .param("password", "x")
                            .with(csrf()))
                    .andExpect(forwardedUrl("/sign-in/refused"));
        }
    }

    /** A page left open over night, or overtaken by another window's: whoever signs in is not shown a wall. */
    @Test
    void aSignInPageThatStoodTooLongIsShownAgainWithItsName() throws Exception {
        mvc.perform(post("/sign-in").param("username", "bryn").param("password", "harbour-light"))
                .andExpect(forwardedUrl("/sign-in/refused"))
                .andExpect(unauthenticated());
        mvc.perform(post("/sign-in/refused")
                        .with(csrf())
                        .requestAttr(SignInController.REFUSED, new MissingCsrfTokenException(null))
                        .param("username", "bryn"))
                .andExpect(status().isForbidden())
                .andExpect(content().string(shows("form .bad", "type the password once more")))
                .andExpect(content().string(containsString("value=\"bryn\"")));
    }

    /** The tests' own hashes are quick; the application's take 2^10 rounds, as Spring has it. */
    @Test
    void theApplicationHashesSlowly() {
        assertThat(SecurityConfiguration.passwordEncoder().encode("secret")).startsWith("{bcrypt}$2a$10$");
    }

    @Test
    void passwordsAreKeptHashed() {
        assertThat(jdbc.sql("select password_hash from account where username = 'bryn'")
                        .query(String.class)
                        .single())
                .startsWith("{bcrypt}")
                .doesNotContain("harbour");
    }

    @Test
    void aFormWithoutItsTokenIsRefused() throws Exception {
        var club = clubs.club();
        mvc.perform(post(club.url("/floor/finish"))
                        .with(club.asLifter())
                        .param("day", "0")
                        .param("week", "1"))
                .andExpect(status().isForbidden());
    }

    @Test
    void everyPageForbidsInlineAndForeignCode() throws Exception {
        for (String page : new String[] {"/sign-in", "/css/yarbel.css"}) {
            mvc.perform(get(page))
                    .andExpect(header().string("Content-Security-Policy", containsString("script-src 'self'")))
                    .andExpect(header().string("Content-Security-Policy", containsString("default-src 'none'")))
                    .andExpect(header().string("Content-Security-Policy", not(containsString("unsafe"))));
        }
    }

    @Test
    void aFragmentAskedForWithoutASessionSendsThePageToTheSignIn() throws Exception {
        var club = clubs.club();
        mvc.perform(get(club.url("/floor")).header("HX-Request", "true"))
                .andExpect(status().isUnauthorized())
                .andExpect(header().string("HX-Redirect", "/sign-in"));
        mvc.perform(get(club.url("/floor"))).andExpect(status().is3xxRedirection());
    }

    @Test
    void anothersLifterAnswersAsIfItDidNotExist() throws Exception {
        var mine = clubs.club();
        var other = clubs.club();
        for (String page : new String[] {"/floor", "/book"}) {
            mvc.perform(get(mine.url(page)).with(mine.asLifter())).andExpect(status().isOk());
            mvc.perform(get(other.url(page)).with(mine.asLifter())).andExpect(status().isNotFound());
            mvc.perform(get(other.url(page)).with(mine.asCoach())).andExpect(status().isNotFound());
            mvc.perform(get("/lifters/999999" + page).with(mine.asLifter())).andExpect(status().isNotFound());
        }
        mvc.perform(get(other.url("/plan")).with(mine.asCoach())).andExpect(status().isNotFound());
        mvc.perform(post(other.url("/floor/sets"))
                        .with(mine.asLifter())
                        .with(csrf())
                        .param("day", "0")
                        .param("week", "1")
                        .param("task", "A.1"))
                .andExpect(status().isNotFound());
        mvc.perform(post(other.url("/plan/days/0")).with(mine.asCoach()).with(csrf()))
                .andExpect(status().isNotFound());
    }

    @Test
    void aCoachReachesOnlyTheLiftersAssignedToThem() throws Exception {
        var club = clubs.club();
        var colleague = club.asColleague();
        for (String page : new String[] {"/plan", "/floor", "/book"}) {
            mvc.perform(get(club.url(page)).with(club.asCoach())).andExpect(status().isOk());
            mvc.perform(get(club.url(page)).with(colleague)).andExpect(status().isNotFound());
        }
        mvc.perform(get("/lifters").with(colleague)).andExpect(content().string(shows("#main", "Nobody is assigned")));
    }

    @Test
    void aLifterHasNoCallsNoPlanAndNoRoster() throws Exception {
        var club = clubs.club();
        for (String page : new String[] {"/calls", "/lifters", club.url("/plan")}) {
            mvc.perform(get(page).with(club.asLifter())).andExpect(status().isForbidden());
        }
        mvc.perform(get("/").with(club.asLifter())).andExpect(redirectedUrl(club.url("/home?now=true")));
        // there is a session today
        mvc.perform(get(club.url("/home?now=true")).with(club.asLifter())).andExpect(redirectedUrl(club.url("/floor")));
    }
}
