package dev.yarbel.web.account;

import static dev.yarbel.web.OnPage.shows;
import static dev.yarbel.web.OnPage.tagged;
import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.forwardedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import jakarta.servlet.http.Cookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;

/** Access that ends, and accounts that nobody reaches by way of somebody else. */
@YarbelTest
class AccessEndTest {

    private static final String ANOTHER = "four moored hulls rusting";

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    @Autowired
    private Accounts accounts;

    @LocalServerPort
    private int port;

    private TestClub club;

    @BeforeEach
    void makeClub() {
        club = clubs.club();
    }

    private ResultActions trySignIn(String name, String password) throws Exception {
        return mvc.perform(post("/sign-in")
                .param("username", name)
                .param("password", password)
                .with(csrf()));
    }

    private Cookie signIn(String name, String password) throws Exception {
        return trySignIn(name, password)
                .andExpect(redirectedUrl("/"))
                .andReturn()
                .getResponse()
                .getCookie("yarbel");
    }

    /** A line on which the floor is heard of; true once the server has ended it. */
    private Line listen(Cookie cookie) {
        Line line = new Line(new CopyOnWriteArrayList<>(), new CompletableFuture<>());
        HttpRequest request = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + club.url("/floor/events")))
                .header("Cookie", "yarbel=" + cookie.getValue())
                .header("Accept", "text/event-stream")
                .build();
        HttpClient.newHttpClient()
                .sendAsync(request, HttpResponse.BodyHandlers.ofLines())
                .thenAccept(response -> {
                    try (Stream<String> lines = response.body()) {
                        lines.forEach(line.heard()::add);
                    } finally {
                        line.ended().complete(null);
                    }
                });
        await().atMost(Duration.ofSeconds(60)).until(() -> line.heard().contains(":open"));
        return line;
    }

    private record Line(List<String> heard, CompletableFuture<Void> ended) {

        void endsAtOnce() {
            await().atMost(Duration.ofSeconds(60)).until(ended::isDone);
        }
    }

    @Test
    void whoeverIsArchivedIsOutAtOnceAndComesBackWhenBroughtBack() throws Exception {
        Cookie lifter = signIn(club.lifterName(), club.password());
        mvc.perform(get(club.url("/floor")).cookie(lifter)).andExpect(status().isOk());
        Line line = listen(lifter);
        mvc.perform(post(club.url("/archive")).with(club.asCoach()).with(csrf()))
                .andExpect(status().isFound());
        line.endsAtOnce();
        mvc.perform(get(club.url("/floor")).cookie(lifter)).andExpect(redirectedUrl("/sign-in"));
        trySignIn(club.lifterName(), club.password()).andExpect(forwardedUrl("/sign-in/refused"));
        mvc.perform(post(club.url("/bring-back")).with(club.asCoach()).with(csrf()));
        signIn(club.lifterName(), club.password());
    }

    @Test
    void aLineEndsWithTheSignInThatOpenedItAndWithAHandOver() throws Exception {
        Cookie lifter = signIn(club.lifterName(), club.password());
        Line own = listen(lifter);
        Cookie coach = signIn(club.coachName(), club.password());
        Line coachs = listen(coach);
        mvc.perform(post("/sign-out").cookie(lifter).with(csrf())).andExpect(status().isFound());
        own.endsAtOnce();
        assertThat(coachs.ended()).as("another's line goes on").isNotDone();
        long colleague = accounts.addCoach(club.lifter.clubId(), "next-" + club.coachName(), "Next", "x");
        mvc.perform(post(club.url("/hand-over"))
                        .with(club.asCoach())
                        .with(csrf())
                        .param("coach", String.valueOf(colleague)))
                .andExpect(status().isFound());
        coachs.endsAtOnce();
    }

    @Test
    void aCoachGoesOnceTheirLiftersAreHandedOver() throws Exception {
        var head = club.asHeadCoach();
        Cookie coach = signIn(club.coachName(), club.password());
        String remove = "/club/coaches/" + club.coach.accountId() + "/remove";
        mvc.perform(post(remove).with(head).with(csrf()))
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(shows(".bad", "hand them over first")));
        mvc.perform(get("/lifters").cookie(coach)).andExpect(status().isOk());
        long colleague = accounts.addCoach(club.lifter.clubId(), "next-" + club.coachName(), "Next", "x");
        mvc.perform(post(club.url("/hand-over")).with(head).with(csrf()).param("coach", String.valueOf(colleague)));
        mvc.perform(post(remove).with(head).with(csrf())).andExpect(redirectedUrl("/club"));
        mvc.perform(get("/lifters").cookie(coach)).andExpect(redirectedUrl("/sign-in"));
        trySignIn(club.coachName(), club.password()).andExpect(forwardedUrl("/sign-in/refused"));
        mvc.perform(post(remove.replace("remove", "bring-back")).with(head).with(csrf()));
        signIn(club.coachName(), club.password());
    }

    @Test
    void aHeadCoachIsNotRemoved() throws Exception {
        long head = accounts.addHeadCoach(club.lifter.clubId(), "keeps-" + club.coachName(), "Head", "x");
        mvc.perform(post("/club/coaches/" + head + "/remove")
                        .with(club.asHeadCoach())
                        .with(csrf()))
                .andExpect(status().isNotFound());
    }

    /** A coach who lifts is coached by somebody: who has no say in their account. */
    @Test
    void aCoachsAccountIsNotReachedThroughTheLifterTheyAre() throws Exception {
        long head = accounts.addHeadCoach(club.lifter.clubId(), "head-" + club.coachName(), "Head", "their-own-secret");
        Object lifterOfHead =
                jdbc.sql("""
                        insert into lifter (club_id, name, coach_id, unit, rounding, share_of_estimate)
                        select club_id, 'Head', coach_id, unit, rounding, share_of_estimate from lifter where id = ? returning id""").param(club.lifter.id()).query(Long.class).single();
        // an invitation made before they became that lifter
        String early = mvc.perform(post("/lifters/" + lifterOfHead + "/invite")
                        .with(club.asCoach())
                        .with(csrf()))
                .andReturn()
                .getFlashMap()
                .get("invite")
                .toString()
                .replaceFirst(".*(/join/[\\w-]+).*", "$1");
        mvc.perform(get(early)).andExpect(status().isOk());
        jdbc.sql("update account set lifter_id = ? where id = ?")
                .params(lifterOfHead, head)
                .update();

        mvc.perform(get(early)).andExpect(status().isGone());
        mvc.perform(post(early).with(csrf()).param("password", ANOTHER)).andExpect(status().isGone());
        mvc.perform(post("/lifters/" + lifterOfHead + "/invite")
                        .with(club.asCoach())
                        .with(csrf()))
                .andExpect(status().isForbidden());
        mvc.perform(post("/lifters/" + lifterOfHead + "/archive")
                        .with(club.asCoach())
                        .with(csrf()))
                .andExpect(status().isFound());
        signIn("head-" + club.coachName(), "their-own-secret");
        mvc.perform(get(club.url("/profile")).with(club.asCoach()))
                .andExpect(content().string(tagged("#signs-in", "/invite")));
    }

    @Test
    void aCoachBecomesTheirOwnLifterOnce() throws Exception {
        ExecutorService crowd = Executors.newFixedThreadPool(4);
        Callable<Integer> takeOn = () -> mvc.perform(post("/lifters")
                        .with(club.asCoach())
                        .with(csrf())
                        .param("name", "Me")
                        .param("unit", "KG")
                        .param("gym", String.valueOf(club.gym))
                        .param("me", "on"))
                .andReturn()
                .getResponse()
                .getStatus();
        int taken = 0;
        for (Future<Integer> answer : crowd.invokeAll(List.of(takeOn, takeOn, takeOn, takeOn))) {
            taken += answer.get() == 302 ? 1 : 0;
        }
        crowd.shutdown();
        assertThat(taken).isOne();
        assertThat(jdbc.sql("select count(*) from lifter where club_id = ? and name = 'Me'")
                        .param(club.lifter.clubId())
                        .query(Integer.class)
                        .single())
                .isOne();
    }

    @Test
    void anothersGymInAFormIsNoChoice() throws Exception {
        TestClub other = clubs.club();
        mvc.perform(post("/lifters")
                        .with(club.asCoach())
                        .with(csrf())
                        .param("name", "Somebody")
                        .param("unit", "KG")
                        .param("gym", String.valueOf(other.gym)))
                .andExpect(status().isUnprocessableContent());
    }

    @Test
    void everybodyChangesTheirOwnPasswordAndSeesWhereTheyAreSignedIn() throws Exception {
        Cookie here = signIn(club.lifterName(), club.password());
        Cookie there = signIn(club.lifterName(), club.password());
        mvc.perform(get("/me").cookie(here)).andExpect(content().string(shows(".act", "Sign out there")));
        mvc.perform(post("/me/password")
                        .cookie(here)
                        .with(csrf())
                        .param("current", "wrong")
                        .param("password", ANOTHER))
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(shows("#current-says", "That is not your password.")));
        mvc.perform(post("/me/password")
                        .cookie(here)
                        .with(csrf())
                        .param("current", club.password())
                        .param("password", "password1234"))
                .andExpect(status().isUnprocessableContent());
        mvc.perform(get(club.url("/floor")).cookie(there)).andExpect(status().isOk());
        Cookie after = mvc.perform(post("/me/password")
                        .cookie(here)
                        .with(csrf())
                        .param("current", club.password())
                        .param("password", ANOTHER))
                .andExpect(redirectedUrl("/me?changed"))
                .andReturn()
                .getResponse()
                .getCookie("yarbel");
        mvc.perform(get(club.url("/floor")).cookie(after)).andExpect(status().isOk());
        mvc.perform(get(club.url("/floor")).cookie(there)).andExpect(redirectedUrl("/sign-in"));
        trySignIn(club.lifterName(), club.password()).andExpect(forwardedUrl("/sign-in/refused"));
        signIn(club.lifterName(), ANOTHER);
    }

    @Test
    void oneOfSeveralSessionsIsEndedFromAnother() throws Exception {
        Cookie here = signIn(club.lifterName(), club.password());
        Cookie there = signIn(club.lifterName(), club.password());
        String page =
                mvc.perform(get("/me").cookie(here)).andReturn().getResponse().getContentAsString();
        String end = page.replaceFirst("(?s).*action=\"(/me/sessions/[0-9a-f]{64}/end)\".*", "$1");
        mvc.perform(post(end).with(club.asCoach()).with(csrf())).andExpect(redirectedUrl("/me"));
        mvc.perform(get(club.url("/floor")).cookie(there)).andExpect(status().isOk());

        mvc.perform(post(end).cookie(here).with(csrf())).andExpect(redirectedUrl("/me"));
        mvc.perform(get(club.url("/floor")).cookie(there)).andExpect(redirectedUrl("/sign-in"));
        mvc.perform(get(club.url("/floor")).cookie(here)).andExpect(status().isOk());
    }

    @Test
    void aSessionLastsNinetyDaysHoweverOftenItIsUsed() throws Exception {
        Cookie lifter = signIn(club.lifterName(), club.password());
        for (int[] day : new int[][] {{89, 200}, {91, 302}}) {
            jdbc.sql("update spring_session set creation_time = ? where principal_name = ?")
                    .params(System.currentTimeMillis() - Duration.ofDays(day[0]).toMillis(), club.lifterName())
                    .update();
            mvc.perform(get(club.url("/floor")).cookie(lifter)).andExpect(status().is(day[1]));
        }
    }

    @Test
    void aStoredSessionHoldsNoHashOfAPassword() throws Exception {
        signIn(club.coachName(), club.password());
        byte[] kept = jdbc.sql("""
                        select attribute_bytes from spring_session_attributes a
                        join spring_session s on s.primary_id = a.session_primary_id
                        where principal_name = ? and attribute_name = 'SPRING_SECURITY_CONTEXT'""").param(club.coachName()).query(byte[].class).single();
        assertThat(new String(kept, java.nio.charset.StandardCharsets.ISO_8859_1))
                .contains(club.coachName())
                .doesNotContain("bcrypt")
                .doesNotContain("$2a$");
    }

    @Test
    void whoeverWasSentToTheDoorGoesOnWhereTheyWanted() throws Exception {
        Cookie wanted = mvc.perform(get(club.url("/book")).accept("text/html"))
                .andExpect(redirectedUrl("/sign-in"))
                .andReturn()
                .getResponse()
                .getCookie("REDIRECT_URI");
        mvc.perform(post("/sign-in")
                        .cookie(wanted)
                        .param("username", club.lifterName())
                        .param("password", club.password())
                        .with(csrf()))
                .andExpect(redirectedUrl(club.url("/book")));
        Cookie elsewhere = new Cookie(
                "REDIRECT_URI", java.util.Base64.getEncoder().encodeToString("https://evil.example//x".getBytes()));
        mvc.perform(post("/sign-in")
                        .cookie(elsewhere)
                        .param("username", club.lifterName())
                        .param("password", club.password())
                        .with(csrf()))
                .andExpect(redirectedUrl("/"));
    }
}
