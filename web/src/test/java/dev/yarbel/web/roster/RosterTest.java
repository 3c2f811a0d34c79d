package dev.yarbel.web.roster;

import static dev.yarbel.web.OnPage.shows;
import static dev.yarbel.web.OnPage.tagged;
import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.allOf;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.book.Ledger;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.InviteLink;
import jakarta.servlet.http.Cookie;
import java.net.URI;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.RequestPostProcessor;

/** Lifters come, are invited, go to another coach, are put away and come back. */
@YarbelTest
class RosterTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Roster roster;

    @Autowired
    private Ledger ledger;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;

    @BeforeEach
    void makeClub() {
        club = clubs.club();
    }

    private ResultActions send(RequestPostProcessor who, String path, String... fields) throws Exception {
        MockHttpServletRequestBuilder request = post(path).with(who).with(csrf());
        for (int i = 0; i < fields.length; i += 2) {
            request.param(fields[i], fields[i + 1]);
        }
        return mvc.perform(request);
    }

    private String look(RequestPostProcessor who, String path) throws Exception {
        return mvc.perform(get(URI.create(path)).with(who))
                .andReturn()
                .getResponse()
                .getContentAsString();
    }

    /** The names in the list. */
    private String names(RequestPostProcessor who, String query) throws Exception {
        return Jsoup.parse(look(who, "/lifters" + query))
                .select(".roster tbody th > :first-child")
                .text();
    }

    @Test
    void threeFieldsStartALifter() throws Exception {
        send(club.asCoach(), "/lifters", "name", "Signe Aalto", "unit", "LB", "gym", "" + club.gym)
                .andExpect(status().isFound());
        LifterCard signe = roster.lifters(club.coach).stream()
                .filter(card -> card.name().equals("Signe Aalto"))
                .findFirst()
                .orElseThrow();
        assertThat(signe.unit()).isEqualTo(MassUnit.LB);
        String profile = look(club.asCoach(), "/lifters/" + signe.id() + "/profile");
        assertThat(profile).contains("Ask these before the first session");
        // what is not known is not asked until something needs it
        assertThat(profile).doesNotContain("Weight class", "Guardian", "The job strains");
        assertThat(ledger.latest(signe, 1).get(0).kind()).isEqualTo(ChangeKind.ROSTER);
    }

    @Test
    void withoutAGymALifterGetsOneAtHomeWithABareBar() throws Exception {
        send(club.asCoach(), "/lifters", "name", "Signe Aalto", "unit", "LB", "gym", "")
                .andExpect(status().isFound());
        assertThat(look(club.asCoach(), "/lifters")).contains("Signe Aalto, at home");
    }

    @Test
    void aMissingNameIsAskedForAndTheRestOfTheFormKept() throws Exception {
        send(club.asCoach(), "/lifters", "name", " ", "unit", "LB", "gym", "")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content()
                        .string(allOf(
                                shows("#take-on-name-says", "This is needed."),
                                containsString("value=\"LB\" selected=\"selected\""))));
    }

    @Test
    void aCoachMayBeTheirOwnLifter() throws Exception {
        send(club.asCoach(), "/lifters", "name", "Me", "unit", "KG", "gym", "" + club.gym, "me", "on")
                .andExpect(status().isFound());
        long self = jdbc.sql("select lifter_id from account where id = ?")
                .param(club.coach.accountId())
                .query(Long.class)
                .single();
        assertThat(roster.lifter(club.coach, self).name()).isEqualTo("Me");
        // handed to a colleague, they still see themselves
        long colleague = colleague();
        send(club.asCoach(), "/lifters/" + self + "/hand-over", "coach", "" + colleague);
        mvc.perform(get("/lifters/" + self + "/floor").with(clubs.signedIn(club.coachName())))
                .andExpect(status().isOk());
    }

    private long colleague() {
        club.asColleague();
        return jdbc.sql("select max(id) from account where club_id = ? and name = 'Colleague'")
                .param(club.lifter.clubId())
                .query(Long.class)
                .single();
    }

    @Test
    void anArchivedLifterIsOnNoListAndComesBackWithEverything() throws Exception {
        send(club.asCoach(), club.url("/archive")).andExpect(redirectedUrl("/lifters"));
        assertThat(names(club.asCoach(), "")).isEmpty();
        assertThat(names(club.asCoach(), "?archived=true")).isEqualTo(club.lifter.name());
        send(club.asCoach(), club.url("/bring-back"));
        assertThat(names(club.asCoach(), "")).isEqualTo(club.lifter.name());
        assertThat(club.plan().standing().lifts()).hasSize(1);
    }

    @Test
    void whoeverIsHandedOverIsSeenByTheOtherCoachAlone() throws Exception {
        long colleague = colleague();
        String username = jdbc.sql("select username from account where id = ?")
                .param(colleague)
                .query(String.class)
                .single();
        send(club.asCoach(), club.url("/hand-over"), "coach", "" + colleague).andExpect(status().isFound());
        assertThat(names(club.asCoach(), "")).isEmpty();
        assertThat(names(clubs.signedIn(username), "")).isEqualTo(club.lifter.name());
        mvc.perform(get(club.url("/plan")).with(club.asCoach())).andExpect(status().isNotFound());
        assertThat(ledger.latest(club.lifter, 1).get(0).after()).isEqualTo("Colleague");
    }

    @Test
    void nobodyIsHandedToACoachOfAnotherClub() throws Exception {
        TestClub other = clubs.club();
        send(club.asCoach(), club.url("/hand-over"), "coach", "" + other.coach.accountId())
                .andExpect(status().isNotFound());
        assertThat(names(club.asCoach(), "")).isEqualTo(club.lifter.name());
    }

    @Test
    void theHeadCoachSeesTheWholeClubAndDecidesWhoCoachesWhom() throws Exception {
        RequestPostProcessor head = club.asHeadCoach();
        assertThat(names(head, "")).isEmpty();
        assertThat(names(head, "?whole=true")).contains(club.lifter.name());
        long colleague = colleague();
        send(head, club.url("/hand-over"), "coach", "" + colleague, "whole", "true")
                .andExpect(redirectedUrl("/lifters?whole=true"));
        // no other coach asks for the whole club
        assertThat(names(club.asCoach(), "?whole=true")).isEmpty();
    }

    @Test
    void theListIsSearchedByPartOfANameTakenAsItIs() throws Exception {
        for (String name : new String[] {"Anna 100%", "Annika", "Bo_b"}) {
            send(club.asCoach(), "/lifters", "name", name, "unit", "KG", "gym", "" + club.gym);
        }
        assertThat(names(club.asCoach(), "?q=ann")).isEqualTo("Anna 100% Annika");
        assertThat(names(club.asCoach(), "?q=%25")).isEqualTo("Anna 100%");
        assertThat(names(club.asCoach(), "?q=_")).isEqualTo("Bo_b");
        assertThat(look(club.asCoach(), "/lifters?q=zzz")).contains("Nobody by that name");
    }

    @Test
    void aLongListComesInPagesThatMissNobody() throws Exception {
        for (int i = 0; i < Roster.PAGE + 5; i++) {
            roster.add(NewLifter.of(club.lifter.clubId(), "Twin", club.coach.accountId(), MassUnit.KG));
        }
        comesInPages(club.asCoach(), "/lifters");
        comesInPages(club.asHeadCoach(), "/lifters?whole=true");
    }

    private void comesInPages(RequestPostProcessor who, String list) throws Exception {
        String first = look(who, list);
        String more = Jsoup.parse(first).select("a.more").attr("href");
        assertThat(Jsoup.parse(first).select(".roster tbody tr")).hasSize(Roster.PAGE);
        assertThat(Jsoup.parse(look(who, more)).select(".roster tbody tr")).hasSize(6);
    }

    // ---- invitations

    private String invite(String path, String... fields) throws Exception {
        InviteLink link = (InviteLink)
                send(club.asCoach(), path, fields).andReturn().getFlashMap().get("invite");
        return link.address().replaceFirst("^http://localhost", "");
    }

    private ResultActions join(String link, String name, String username, String password) throws Exception {
        return mvc.perform(post(link)
                .with(csrf())
                .param("name", name)
                .param("username", username)
                .param("password", password));
    }

    private Optional<Cookie> signIn(String username, String password) throws Exception {
        var answer = mvc.perform(post("/sign-in")
                        .param("username", username)
                        .param("password", password)
                        .with(csrf()))
                .andReturn()
                .getResponse();
        return String.valueOf(answer.getRedirectedUrl()).contains("error")
                ? Optional.empty()
                : Optional.ofNullable(answer.getCookie("yarbel"));
    }

    private long takeOn(String name) throws Exception {
        send(club.asCoach(), "/lifters", "name", name, "unit", "KG", "gym", "" + club.gym);
        return jdbc.sql("select max(id) from lifter").query(Long.class).single();
    }

    @Test
    void aLinkWorksOnceAndSignsTheLifterInToTheirOwnHome() throws Exception {
        long id = takeOn("Signe Aalto");
        String link = invite("/lifters/" + id + "/invite");
        mvc.perform(get(link)).andExpect(content().string(shows(".lead-in", "Signe Aalto")));
        String username = "signe" + id;
        join(link, "Signe Aalto", username, "three loose boats adrift").andExpect(redirectedUrl("/sign-in?joined"));
        Cookie cookie = signIn(username, "three loose boats adrift").orElseThrow();
        mvc.perform(get("/").cookie(cookie)).andExpect(redirectedUrl("/lifters/" + id + "/home?now=true"));
        mvc.perform(get(link)).andExpect(status().isGone());
        join(link, "Signe Aalto", username + "x", "three loose boats adrift").andExpect(status().isGone());
    }

    @Test
    void whatIsWrongInAnAnswerIsSaidBesideItAndTheLinkGoesOnWorking() throws Exception {
        String link = invite("/lifters/" + takeOn("Signe Aalto") + "/invite");
        join(link, "Signe", "Not A Name!", "short")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content()
                        .string(allOf(
                                tagged("#username", "value=\"Not A Name!\""),
                                shows("#password-says", "12 to 72 characters."),
                                shows("#username-says", "2 to 40 small letters"),
                                not(containsString("value=\"short\"")))));
        join(link, "Signe", club.coachName(), "three loose boats adrift")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(shows("#username-says", "Somebody signs in by that name")));
        mvc.perform(get(link)).andExpect(status().isOk());
    }

    @Test
    void aNewerLinkReplacesTheOlderAndAWeekOldOneIsGone() throws Exception {
        long id = takeOn("Signe Aalto");
        String older = invite("/lifters/" + id + "/invite");
        String newer = invite("/lifters/" + id + "/invite");
        mvc.perform(get(older)).andExpect(status().isGone());
        mvc.perform(get(newer)).andExpect(status().isOk());
        jdbc.sql("update invite set expires_at = expires_at - interval '7 days' where lifter_id = ?")
                .param(id)
                .update();
        mvc.perform(get(newer)).andExpect(status().isGone());
    }

    @Test
    void whoeverForgotTheirPasswordGetsALinkThatEndsTheirOldSessions() throws Exception {
        Cookie old = signIn(club.lifterName(), club.password()).orElseThrow();
        mvc.perform(get(club.url("/floor")).cookie(old)).andExpect(status().isOk());
        String link = invite(club.url("/invite"));
        mvc.perform(get(link)).andExpect(content().string(shows(".lead-in", "you sign in as " + club.lifterName())));
        join(link, "", "", "four moored hulls rusting").andExpect(status().isFound());
        mvc.perform(get(club.url("/floor")).cookie(old)).andExpect(status().isFound());
        assertThat(signIn(club.lifterName(), club.password())).isEmpty();
        assertThat(signIn(club.lifterName(), "four moored hulls rusting")).isPresent();
    }

    @Test
    void onlyTheHashOfALinkIsKept() throws Exception {
        String link = invite(club.url("/invite"));
        String secret = link.substring(link.lastIndexOf('/') + 1);
        assertThat(jdbc.sql("select count(*) from invite where token_hash = ?")
                        .param(secret)
                        .query(Integer.class)
                        .single())
                .isZero();
        assertThat(secret).hasSize(32);
    }

    @Test
    void theHeadCoachInvitesAnotherCoach() throws Exception {
        RequestPostProcessor head = club.asHeadCoach();
        InviteLink link = (InviteLink) send(head, "/club/invites", "name", "Ansgar Lund")
                .andReturn()
                .getFlashMap()
                .get("invite");
        String path = link.address().replaceFirst("^http://localhost", "");
        String username = "ansgar" + club.lifter.id();
        join(path, "Ansgar Lund", username, "three loose boats adrift").andExpect(status().isFound());
        Cookie cookie = signIn(username, "three loose boats adrift").orElseThrow();
        mvc.perform(get("/").cookie(cookie)).andExpect(redirectedUrl("/lifters"));
        mvc.perform(get("/club").cookie(cookie)).andExpect(status().isForbidden());
        assertThat(look(head, "/club")).contains("Ansgar Lund");
        send(head, "/club/invites", "name", "").andExpect(status().isUnprocessableContent());
    }
}
