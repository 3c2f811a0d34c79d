package dev.yarbel.web.account;

import static dev.yarbel.web.OnPage.shows;
import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.page.Person;
import jakarta.servlet.http.Cookie;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import org.apache.commons.codec.binary.Base32;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;

/** The second factor: its codes, and that nothing is open before one was given. */
@YarbelTest
class SecondFactorTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private SecondFactors factors;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;
    private Person coach;
    private byte[] secret;
    private List<String> recovery;

    @BeforeEach
    void setUp() {
        club = clubs.club();
        coach = club.coach;
        secret = factors.secret();
        // set up half a minute ago, so that the code of now is not used up
        String before = factors.code(secret, TestSettings.NOW.minusSeconds(30));
        recovery = factors.setUp(coach, secret, before).orElseThrow();
    }

    /** RFC 6238, appendix B, SHA-1; the last six of its eight figures. */
    @ParameterizedTest
    @CsvSource({
        "59, 287082",
        "1111111109, 081804",
        "1111111111, 050471",
        "1234567890, 005924",
        "2000000000, 279037",
        "20000000000, 353130"
    })
    void codesAreThoseOfTheStandard(long second, String code) {
        byte[] key = "12345678901234567890".getBytes(StandardCharsets.US_ASCII);
        assertThat(factors.code(key, Instant.ofEpochSecond(second))).isEqualTo(code);
    }

    @Test
    void aCodeWorksOnceAndARecoveryCodeToo() {
        String now = factors.code(secret, TestSettings.NOW);
        assertThat(check("000000")).isFalse();
        assertThat(check(now.substring(0, 3) + " " + now.substring(3))).isTrue();
        assertThat(check(now)).as("used up").isFalse();
        assertThat(check(factors.code(secret, TestSettings.NOW.minusSeconds(30))))
                .as("before one that was used")
                .isFalse();
        assertThat(check(factors.code(secret, TestSettings.NOW.plusSeconds(60))))
                .as("too far ahead")
                .isFalse();
        assertThat(check(recovery.get(0))).isTrue();
        assertThat(check(recovery.get(0))).isFalse();
        assertThat(check(recovery.get(1).toUpperCase())).isTrue();
    }

    private boolean check(String code) {
        return factors.check(coach.clubId(), coach.accountId(), code);
    }

    private Cookie password() throws Exception {
        return mvc.perform(post("/sign-in")
                        .param("username", club.coachName())
                        .param("password", club.password())
                        .with(csrf()))
                .andExpect(redirectedUrl("/sign-in/code"))
                .andReturn()
                .getResponse()
                .getCookie("yarbel");
    }

    @Test
    void thePasswordAloneOpensNothing() throws Exception {
        Cookie half = password();
        for (String page : List.of("/", "/lifters", club.url("/floor"), club.url("/book"), "/me", "/pass", "/calls")) {
            assertThat(mvc.perform(get(page).cookie(half))
                            .andReturn()
                            .getResponse()
                            .getStatus())
                    .as(page)
                    .isEqualTo(403);
        }
        mvc.perform(get("/sign-in/code").cookie(half)).andExpect(status().isOk());
        mvc.perform(post("/sign-in/code").cookie(half).with(csrf()).param("code", "000000"))
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(shows("#code-says", "not the code of this moment")));
        Cookie whole = mvc.perform(post("/sign-in/code")
                        .cookie(half)
                        .with(csrf())
                        .param("code", factors.code(secret, TestSettings.NOW)))
                .andExpect(redirectedUrl("/"))
                .andReturn()
                .getResponse()
                .getCookie("yarbel");
        mvc.perform(get("/lifters").cookie(whole)).andExpect(status().isOk());
        mvc.perform(get("/lifters").cookie(half)).andExpect(redirectedUrl("/sign-in"));
    }

    @Test
    void codesAreNotTriedForLong() throws Exception {
        Cookie half = password();
        for (int i = 0; i < 5; i++) {
            mvc.perform(post("/sign-in/code").cookie(half).with(csrf()).param("code", "00000" + i))
                    .andExpect(status().isUnprocessableContent());
        }
        mvc.perform(post("/sign-in/code")
                        .cookie(half)
                        .with(csrf())
                        .param("code", factors.code(secret, TestSettings.NOW)))
                .andExpect(status().isTooManyRequests())
                .andExpect(content().string(shows(".bad", "Too many tries")));
    }

    @Test
    void whoeverOwesOneSetsItUpBeforeAnythingElse() throws Exception {
        mvc.perform(post("/club/second-factor")
                        .with(club.asHeadCoach())
                        .with(csrf())
                        .param("of", "EVERYBODY"))
                .andExpect(redirectedUrl("/club"));
        Cookie lifter = mvc.perform(post("/sign-in")
                        .param("username", club.lifterName())
                        .param("password", club.password())
                        .with(csrf()))
                .andReturn()
                .getResponse()
                .getCookie("yarbel");
        mvc.perform(get(club.url("/floor")).cookie(lifter)).andExpect(redirectedUrl("/me/second-factor"));
        mvc.perform(get("/me/second-factor").cookie(lifter))
                .andExpect(status().isOk())
                .andExpect(content().string(shows(".note", "Your club asks for a second factor")));
        mvc.perform(post("/me/second-factor").cookie(lifter).with(csrf()).param("code", "000000"))
                .andExpect(status().isUnprocessableContent());
        assertThat(jdbc.sql("select count(*) from account where username = ? and otp_secret is not null")
                        .param(club.lifterName())
                        .query(Integer.class)
                        .single())
                .isZero();
    }

    @Test
    void whoeverShowsThatTheirAuthenticatorHasItGetsRecoveryCodesOnce() throws Exception {
        Cookie lifter = mvc.perform(post("/sign-in")
                        .param("username", club.lifterName())
                        .param("password", club.password())
                        .with(csrf()))
                .andReturn()
                .getResponse()
                .getCookie("yarbel");
        String shown = mvc.perform(get("/me/second-factor").cookie(lifter))
                .andReturn()
                .getResponse()
                .getContentAsString();
        byte[] proposed = new Base32()
                .decode(shown.replaceFirst("(?s).*class=\"secret\">([A-Z2-7 ]+)<.*", "$1")
                        .replace(" ", ""));
        mvc.perform(post("/me/second-factor")
                        .cookie(lifter)
                        .with(csrf())
                        .param("code", factors.code(proposed, TestSettings.NOW)))
                .andExpect(status().isOk())
                .andExpect(content().string(shows("#main", "They are shown this one time")));
        mvc.perform(post("/sign-in")
                        .param("username", club.lifterName())
                        .param("password", club.password())
                        .with(csrf()))
                .andExpect(redirectedUrl("/sign-in/code"));
    }

    @Test
    void theSecretIsOnNoPageOnceItIsSetUp() throws Exception {
        mvc.perform(get("/me").with(club.asCoach())).andExpect(content().string(shows(".act", "Do away with it")));
        mvc.perform(post("/me/second-factor/end")
                        .with(club.asCoach())
                        .with(csrf())
                        .param("current", "wrong"))
                .andExpect(status().isUnprocessableContent());
        mvc.perform(post("/me/second-factor/end")
                        .with(club.asCoach())
                        .with(csrf())
                        .param("current", club.password()))
                .andExpect(redirectedUrl("/me"));
        assertThat(factors.has(coach)).isFalse();
    }
}
