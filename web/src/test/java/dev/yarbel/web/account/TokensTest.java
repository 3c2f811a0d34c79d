package dev.yarbel.web.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.Program;
import dev.yarbel.web.YarbelTest;
import jakarta.servlet.http.Cookie;
import java.util.List;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.RequestPostProcessor;

/** Tokens: made by whoever knows the password, shown once, kept as a hash, and over in time. */
@YarbelTest
class TokensTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;

    @BeforeEach
    void gather() {
        club = clubs.club();
    }

    private MockHttpServletResponse make(
            RequestPostProcessor who, String name, List<String> scopes, String days, String password) throws Exception {
        return mvc.perform(post("/me/tokens")
                        .with(who)
                        .with(csrf())
                        .param("name", name)
                        .param("scopes", scopes.toArray(String[]::new))
                        .param("days", days)
                        .param("current", password))
                .andReturn()
                .getResponse();
    }

    private String made(RequestPostProcessor who, String... scopes) throws Exception {
        MockHttpServletResponse answer = make(who, "Sheet", List.of(scopes), "30", club.password());
        assertThat(answer.getStatus()).isEqualTo(200);
        assertThat(answer.getHeader("Cache-Control")).contains("no-store");
        return Jsoup.parse(answer.getContentAsString()).selectFirst("#token").val();
    }

    private Document page(RequestPostProcessor who) throws Exception {
        return Jsoup.parse(mvc.perform(get("/me/tokens").with(who))
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    private int asks(String secret) {
        return Program.bearing(mvc, secret).get("/lifters/" + club.lifter.id()).status();
    }

    @Test
    void aTokenIsShownOnceAndKeptAsAHash() throws Exception {
        String secret = made(club.asCoach(), "READ", "LOG");

        assertThat(asks(secret)).isEqualTo(200);
        Document page = page(club.asCoach());
        assertThat(page.text()).contains("Sheet").contains("read, log").doesNotContain(secret);
        assertThat(page.select("#token")).isEmpty();
        assertThat(jdbc.sql("select row_to_json(t)::text from access_token t where account_id = ?")
                        .param(club.coach.accountId())
                        .query(String.class)
                        .single())
                .doesNotContain(secret)
                .doesNotContain(secret.substring(AccessTokens.PREFIX.length()));
    }

    @ParameterizedTest
    @CsvSource({
        "'', READ, 30, right, name",
        "Sheet, '', 30, right, scopes",
        "Sheet, READ, 0, right, days",
        "Sheet, READ, 366, right, days",
        "Sheet, READ, soon, right, days",
        "Sheet, READ, 30, wrong, current",
        "Sheet, READ, 30, '', current"
    })
    void whatIsWrongStandsBesideItsFieldAndNothingIsMade(
            String name, String scope, String days, String password, String field) throws Exception {
        MockHttpServletResponse answer =
                make(club.asCoach(), name, List.of(scope), days, password.equals("right") ? club.password() : password);

        assertThat(answer.getStatus()).isEqualTo(422);
        Document page = Jsoup.parse(answer.getContentAsString());
        assertThat(page.select("form [name=" + field + "]")).isNotEmpty();
        assertThat(page.select(".bad")).hasSize(1);
        assertThat(page.selectFirst("[name=name]").val()).isEqualTo(name);
        assertThat(page.select("#token")).isEmpty();
    }

    @Test
    void aTokenEndsWithItsDay() throws Exception {
        String secret = made(club.asCoach(), "READ");
        jdbc.sql(
                        "update access_token set made_at = made_at - interval '40 days', ends_at = ends_at - interval '30 days'"
                                + " where account_id = ?")
                .param(club.coach.accountId())
                .update();

        assertThat(asks(secret)).isEqualTo(401);
        assertThat(page(club.asCoach()).text()).doesNotContain("Sheet");
    }

    @Test
    void aTokenIsEndedByItsOwnerAndByNobodyElse() throws Exception {
        String secret = made(club.asCoach(), "READ");
        String end = page(club.asCoach()).selectFirst("form[action$=/end]").attr("action");

        mvc.perform(post(end).with(club.asLifter()).with(csrf()));
        mvc.perform(post(end).with(clubs.club().asCoach()).with(csrf()));
        assertThat(asks(secret)).isEqualTo(200);
        mvc.perform(post(end).with(club.asCoach()).with(csrf()));
        assertThat(asks(secret)).isEqualTo(401);
    }

    @Test
    void anotherPasswordEndsAllOfThem() throws Exception {
        String secret = made(club.asCoach(), "READ");
        String lifters = made(club.asLifter(), "READ");

        mvc.perform(post("/me/password")
                .with(club.asCoach())
                .with(csrf())
                .param("current", club.password())
                .param("password", "three loose boats adrift"));

        assertThat(asks(secret)).isEqualTo(401);
        assertThat(asks(lifters)).isEqualTo(200);
    }

    @Test
    void aTokenEndsWhileItsOwnersAccessHasEnded() throws Exception {
        String secret = made(club.asLifter(), "READ");
        assertThat(asks(secret)).isEqualTo(200);

        mvc.perform(post(club.url("/archive")).with(club.asCoach()).with(csrf()));

        assertThat(asks(secret)).isEqualTo(401);
    }

    @Test
    void whoeverOwesASecondFactorSetsItUpFirst() throws Exception {
        String secret = made(club.asLifter(), "READ");

        jdbc.sql("update club set second_factor = 'EVERYBODY' where id = ?")
                .param(club.lifter.clubId())
                .update();

        assertThat(asks(secret)).isEqualTo(403);
    }

    @Test
    void aLifterIsOfferedWhatIsOfUseToThem() throws Exception {
        assertThat(page(club.asLifter()).select("[name=scopes]").eachAttr("value"))
                .containsExactly("READ", "LOG", "LIFTERS");
        assertThat(page(club.asCoach()).select("[name=scopes]")).hasSize(Scope.values().length);
    }

    @Test
    void tooManyRequestsInAMinuteWait() throws Exception {
        String secret = made(club.asCoach(), "READ");
        Program program = Program.bearing(mvc, secret);
        Program.Answer answer = program.get("/gyms");
        for (int asked = 0; asked < 700 && answer.status() == 200; asked++) {
            answer = program.get("/gyms");
        }

        assertThat(answer.status()).isEqualTo(429);
        assertThat(answer.response().getHeader("Retry-After")).matches("[1-9]\\d*");
        assertThat(asks(made(club.asCoach(), "READ"))).as("another token").isEqualTo(200);
    }

    @ParameterizedTest
    @CsvSource({"Basic Ym9iOmJvYg==, 401", "Bearer, 401", "Bearer yarbel_none, 401", "Bearer  , 401"})
    void whatIsNoTokenOpensNothing(String header, int status) throws Exception {
        MockHttpServletResponse answer = mvc.perform(get("/api/v1/lifters").header("Authorization", header))
                .andReturn()
                .getResponse();

        assertThat(answer.getStatus()).isEqualTo(status);
        assertThat(answer.getHeader("WWW-Authenticate")).startsWith("Bearer");
        assertThat(answer.getContentType()).startsWith("application/problem+json");
    }

    /** A session's cookie is for pages: another site must not make a browser write here. */
    @Test
    void aSessionOpensNoResource() throws Exception {
        Cookie session = mvc.perform(post("/sign-in")
                        .param("username", club.coachName())
                        .param("password", club.password())
                        .with(csrf()))
                .andReturn()
                .getResponse()
                .getCookie("yarbel");

        assertThat(mvc.perform(get("/me/tokens").cookie(session))
                        .andReturn()
                        .getResponse()
                        .getStatus())
                .isEqualTo(200);
        assertThat(mvc.perform(get("/api/v1/lifters").cookie(session))
                        .andReturn()
                        .getResponse()
                        .getStatus())
                .isEqualTo(401);
    }
}
