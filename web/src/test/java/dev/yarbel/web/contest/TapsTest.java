package dev.yarbel.web.contest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import dev.yarbel.core.contest.NoLift;
import dev.yarbel.core.contest.Outcome;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.account.Accounts;
import dev.yarbel.web.book.Ledger;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** What is said of attempts on the day, by one phone and by several. */
@YarbelTest
class TapsTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Contests contests;

    @Autowired
    private Taps taps;

    @Autowired
    private Accounts accounts;

    @Autowired
    private Ledger ledger;

    @Autowired
    private Clock clock;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;
    private ContestEntity contest;
    private long entry;

    @BeforeEach
    void begin() {
        club = clubs.club();
        Clubs4Tests.TestContest held = clubs.contest(club);
        contest = contests.contest(club.coach, held.contest());
        entry = held.entry();
    }

    private static Mass kg(String figure) {
        return Mass.of(figure, MassUnit.KG);
    }

    private Taps.Which squat(int number) {
        return new Taps.Which(entry, Lift.SQUAT, number, Optional.empty());
    }

    private Taps.Which squat(int number, Instant at) {
        return new Taps.Which(entry, Lift.SQUAT, number, Optional.of(at));
    }

    private void named(int number, String load) {
        taps.name(club.coach, contest, squat(number), kg(load), false);
    }

    private void said(int number, Outcome outcome) {
        taps.say(club.coach, contest, squat(number), outcome, Optional.empty());
    }

    private AttemptEntity attempt(int number) {
        return taps.of(contest).stream()
                .filter(each -> each.number() == number)
                .findFirst()
                .orElseThrow();
    }

    private static void refused(Runnable what, String code) {
        assertThatThrownBy(what::run)
                .isInstanceOfSatisfying(UnreadableException.class, refused -> assertThat(refused.code())
                        .isEqualTo(code));
    }

    @Test
    void attemptsGoInOrderAndNeverDown() {
        refused(() -> said(1, Outcome.MADE), "contest.error.unnamed");
        named(1, "150");
        refused(() -> named(2, "160"), "contest.error.order");
        said(1, Outcome.MISSED);
        refused(() -> named(2, "147.5"), "contest.error.below");
        refused(() -> named(1, "155"), "contest.error.lifted");
        named(2, "150");
        said(2, Outcome.EASY);
        named(3, "160");
        said(3, Outcome.GRIND);
        refused(() -> named(4, "170"), "contest.error.order");

        assertThat(taps.of(contest)).extracting(AttemptEntity::number).containsExactly(1, 2, 3);
    }

    /** 151 is a slip of the thumb or a record attempt: it is asked about. */
    @Test
    void betweenTheStepsIsAskedAbout() {
        refused(() -> named(1, "151"), "ask.contest-step");
        taps.name(club.coach, contest, squat(1), kg("151"), true);

        assertThat(attempt(1).load()).isEqualTo(kg("151"));
    }

    @Test
    void aChangeIsCountedAndTheSameLoadIsNone() {
        named(1, "150");
        named(1, "150");
        assertThat(attempt(1).changes()).isZero();
        named(1, "152.5");
        assertThat(attempt(1).changes()).isOne();
    }

    @Test
    void whatIsTakenBackIsStillToBeLifted() {
        named(1, "150");
        said(1, Outcome.MISSED);
        named(2, "150");
        taps.unsay(club.coach, contest, squat(1));

        assertThat(taps.of(contest)).hasSize(1);
        assertThat(attempt(1).outcome()).isEmpty();
        said(1, Outcome.SOLID);
        named(2, "155");
        said(2, Outcome.MADE);
        refused(() -> taps.unsay(club.coach, contest, squat(1)), "contest.error.later");
    }

    // ---- two phones

    private Person other() {
        String username = "crew" + System.nanoTime();
        accounts.addCoach(club.lifter.clubId(), username, "Crew", "secret");
        return accounts.person(username);
    }

    @Test
    void twoWhoSayTheSameSayItOnce() {
        named(1, "150");
        said(1, Outcome.SOLID);
        taps.say(other(), contest, squat(1), Outcome.SOLID, Optional.empty());

        assertThat(attempt(1).saidBy()).isEqualTo(club.coach.personName());
        assertThat(attempt(1).otherOutcome()).isEmpty();
    }

    /** The later word stands, whichever came first to the server, and both are shown. */
    @Test
    void twoWhoSayOtherwiseAreBothHeard() {
        Instant now = clock.instant();
        Person other = other();
        named(1, "150");
        taps.say(club.coach, contest, squat(1, now.minusSeconds(60)), Outcome.SOLID, Optional.empty());
        taps.say(other, contest, squat(1, now), Outcome.TURNED_DOWN, Optional.empty());

        assertThat(attempt(1).outcome()).contains(Outcome.TURNED_DOWN);
        assertThat(attempt(1).otherOutcome()).contains(Outcome.SOLID);
        assertThat(attempt(1).otherBy()).isEqualTo(club.coach.personName());
    }

    /** A phone that was offline for an hour does not overrule what was said after it. */
    @Test
    void whatWasSaidEarlierAndComesLateDoesNotStand() {
        Instant now = clock.instant();
        Person other = other();
        named(1, "150");
        taps.say(club.coach, contest, squat(1, now), Outcome.SOLID, Optional.empty());
        taps.say(other, contest, squat(1, now.minusSeconds(3600)), Outcome.MISSED, Optional.empty());

        assertThat(attempt(1).outcome()).contains(Outcome.SOLID);
        assertThat(attempt(1).otherOutcome()).contains(Outcome.MISSED);
        assertThat(attempt(1).otherBy()).isEqualTo("Crew");
    }

    /** Both phones may be signed in as the same person. */
    @Test
    void aPhoneOfOnesOwnThatComesLateDoesNotOverruleEither() {
        Instant now = clock.instant();
        named(1, "150");
        taps.say(club.coach, contest, squat(1, now), Outcome.MISSED, Optional.empty());
        taps.say(club.coach, contest, squat(1, now.minusSeconds(60)), Outcome.SOLID, Optional.empty());

        assertThat(attempt(1).outcome()).contains(Outcome.MISSED);
        assertThat(attempt(1).otherOutcome()).contains(Outcome.SOLID);
    }

    @Test
    void aLoadThatWasNamedEarlierAndComesLateDoesNotStand() {
        Instant now = clock.instant();
        taps.name(club.coach, contest, squat(1, now), kg("155"), false);
        taps.name(other(), contest, squat(1, now.minusSeconds(3600)), kg("150"), false);

        assertThat(attempt(1).load()).isEqualTo(kg("155"));
    }

    @Test
    void aClockThatRunsAheadIsNotBelieved() {
        named(1, "150");
        taps.say(club.coach, contest, squat(1, clock.instant().plusSeconds(86_400)), Outcome.MADE, Optional.empty());

        assertThat(attempt(1).saidAt()).isBeforeOrEqualTo(clock.instant());
    }

    // ---- why, and the lights

    private void told(int number, NoLift why) {
        taps.tell(club.coach, contest, squat(number), Optional.of(why), Optional.empty());
    }

    @Test
    void whyAndTheLightsAreKeptUntilTheAttemptIsTakenBack() {
        named(1, "150");
        refused(() -> told(1, NoLift.DEPTH), "contest.error.unlifted");
        said(1, Outcome.TURNED_DOWN);
        refused(() -> told(1, NoLift.STRENGTH), "contest.error.why");
        refused(() -> told(1, NoLift.HITCHED), "contest.error.why");
        told(1, NoLift.DEPTH);
        taps.tell(club.coach, contest, squat(1), Optional.empty(), Optional.of(1));

        assertThat(attempt(1).why()).contains(NoLift.DEPTH);
        assertThat(attempt(1).lights()).contains(1);

        refused(() -> taps.tell(club.coach, contest, squat(1), Optional.empty(), Optional.of(3)), "contest.error.why");

        taps.unsay(club.coach, contest, squat(1));
        assertThat(attempt(1).why()).isEmpty();
        assertThat(attempt(1).lights()).isEmpty();
        said(1, Outcome.MADE);
        assertThat(attempt(1).why()).isEmpty();
    }

    @Test
    void whereSomethingHurtNothingMoreIsAdvised() throws Exception {
        knowAll();
        named(1, "150");
        said(1, Outcome.MISSED);
        assertThat(lookAt("/day?lift=squat").select(".card.mine .hurt").hasAttr("hidden"))
                .isTrue();
        assertThat(lookAt("/day?lift=squat").select(".card.mine").attr("data-tree"))
                .isNotEmpty();

        day("number", "1", "act", "MORE", "why", "PAIN");

        for (String lift : List.of("squat", "bench-press")) {
            Document page = lookAt("/day?lift=" + lift);
            assertThat(page.select(".card.mine .hurt").hasAttr("hidden"))
                    .as(lift)
                    .isFalse();
            assertThat(page.select(".card.mine").attr("data-tree")).as(lift).isEmpty();
            // the coach may name one all the same
            assertThat(page.select(".card.mine form.name")).as(lift).isNotEmpty();
        }
        assertThat(lookAt("/day?lift=squat").select(".whys [aria-pressed=true]").val())
                .isEqualTo("PAIN");
    }

    @Test
    void whatBecameOfAttemptsIsInTheLedger() {
        named(1, "150");
        said(1, Outcome.MISSED);
        taps.unsay(club.coach, contest, squat(1));
        said(1, Outcome.GRIND);

        assertThat(ledger.latest(club.lifter, 5).stream()
                        .filter(change -> change.subject().get(0).equals("attempt"))
                        .map(change -> change.before() + ">" + change.after()))
                .containsExactly(">150 kg/GRIND", "150 kg/MISSED>", ">150 kg/MISSED");
    }

    /** Something is known of each lift, and what is believed of the day was found. */
    private void knowAll() throws Exception {
        for (String lift : List.of("squat", "bench-press", "deadlift")) {
            String load = lift.equals("squat") ? "190" : lift.equals("deadlift") ? "230" : "125";
            MockHttpServletRequestBuilder max = post(club.url("/book/lifts/" + lift + "/max"))
                    .with(club.asCoach())
                    .with(csrf())
                    .param("kind", "CONTEST")
                    .param("load", load)
                    .param("on", "2026-03-01");
            assertThat(mvc.perform(max).andReturn().getResponse().getStatus()).isEqualTo(302);
        }
        lookAt("/entries/" + entry);
    }

    // ---- the page

    private String day(String... fields) throws Exception {
        MockHttpServletRequestBuilder request = post("/contests/" + contest.id() + "/day")
                .with(club.asCoach())
                .with(csrf())
                .param("entry", String.valueOf(entry))
                .param("lift", "squat");
        for (int i = 0; i < fields.length; i += 2) {
            request.param(fields[i], fields[i + 1]);
        }
        return mvc.perform(request).andReturn().getResponse().getContentAsString();
    }

    @Test
    void whatCannotBeNamedIsSaidBesideTheFieldAndStaysInIt() throws Exception {
        for (String load : List.of("heavy", "0", "-20", "5000", "151")) {
            String page = day("number", "1", "act", "NAME", "load", load);
            assertThat(Jsoup.parse(page).select("form.name .bad").text())
                    .as(load)
                    .isNotEmpty();
            assertThat(Jsoup.parse(page).select("form.name [name=load]").val()).isEqualTo(load);
        }
        assertThat(taps.of(contest)).isEmpty();
        day("number", "1", "act", "NAME", "load", "151", "confirmed", "151");
        assertThat(attempt(1).load()).isEqualTo(kg("151"));
    }

    /** Three misses, and the page says so and offers nothing more. */
    @Test
    void whoeverIsOutIsNotAskedForMore() throws Exception {
        for (int number = 1; number <= 3; number++) {
            named(number, "150");
            said(number, Outcome.MISSED);
        }
        String page = mvc.perform(get("/contests/" + contest.id() + "/day?lift=bench-press")
                        .with(club.asCoach()))
                .andReturn()
                .getResponse()
                .getContentAsString();

        assertThat(Jsoup.parse(page).select(".card .bad").text()).contains("no total today");
        assertThat(Jsoup.parse(page).select(".card form.name")).isEmpty();
        assertThat(Jsoup.parse(page).select("table.board tbody").text()).contains("out");
    }

    // ---- the warm-up room

    private Document room(String... fields) throws Exception {
        MockHttpServletRequestBuilder request = fields.length == 0
                ? get("/contests/" + contest.id() + "/warm-up?lift=squat").with(club.asCoach())
                : post("/contests/" + contest.id() + "/warm-up")
                        .with(club.asCoach())
                        .with(csrf())
                        .param("lift", "squat")
                        .param("flight", "1");
        Map<String, String> once = new HashMap<>();
        for (int i = 0; i < fields.length; i += 2) {
            once.put(fields[i], fields[i + 1]);
        }
        once.forEach(request::param);
        return Jsoup.parse(mvc.perform(request).andReturn().getResponse().getContentAsString());
    }

    /** The named opener leads the ramp; the set before it lies four minutes before the attempt. */
    @Test
    void theRoomIsCountedBackFromTheFlight() throws Exception {
        named(1, "150");
        room("starts", "23:30", "bars", "1", "pace", "60");

        Document page = room();
        assertThat(page.select(".warming").text()).contains("opens with 150 kg at about 23:30, first of the flight");
        assertThat(page.select(".turnlist li").last().select(".at").text()).isBetween("23:25", "23:26");

        room("entry", String.valueOf(entry), "before", "10");
        assertThat(room().select(".warming").text()).contains("at about 23:40, after 10 attempts");
        room("by", "-5");
        assertThat(room().select(".warming").text()).contains("at about 23:35");
    }

    /** Without small plates each warm-up is a load that can be made from what lies there. */
    @Test
    void theRoomLoadsWhatLiesThere() throws Exception {
        named(1, "150");
        room("starts", "23:30", "bars", "1", "pace", "60");
        assertThat(room().select(".turnlist li .saying").text()).contains("115 kg");

        send(
                "",
                "name",
                "Open",
                "on",
                contest.on().orElseThrow().toString(),
                "rules",
                "ipf-classic",
                "plates",
                "25, 25");
        assertThat(mvc.perform(post("/contests/" + contest.id())
                                .with(club.asCoach())
                                .with(csrf())
                                .param("name", "Open")
                                .param("rules", "ipf-classic")
                                .param("plates", "all of them"))
                        .andReturn()
                        .getResponse()
                        .getContentAsString())
                .contains("contest-plates-says")
                .contains("all of them");

        assertThat(room().select(".turnlist li")).isNotEmpty();
        assertThat(room().select(".turnlist li .saying span").eachText())
                .allSatisfy(set -> assertThat(set.replaceAll("\\s.*", "")).isIn("25", "75", "125"));
    }

    @Test
    void whatCannotBeOfARoomStandsBesideItsField() throws Exception {
        for (String[] wrong : new String[][] {{"starts", "noon"}, {"bars", "0"}, {"pace", "5"}, {"starts", ""}}) {
            Document page = room("bars", "2", "starts", "10:00", "pace", "60", wrong[0], wrong[1]);
            assertThat(page.select(".asked:has([name=" + wrong[0] + "]) .bad, #flight-" + wrong[0] + "-says")
                            .text())
                    .as(wrong[0] + " " + wrong[1])
                    .isNotEmpty();
        }
    }

    /** Eleven attempts were over 24 minutes and 45 seconds in: the room is counted by 135 s each. */
    @Test
    void theRoomLearnsThePaceOfTheFlight() throws Exception {
        named(1, "150");
        room("starts", "23:30", "bars", "1", "pace", "60");
        room("entry", String.valueOf(entry), "before", "10");
        assertThat(room().select("#pace")).isEmpty();
        said(1, Outcome.MADE);
        jdbc.sql("""
                        update contest_attempt set said_at = flight.starts_at + interval '1485 seconds'
                        from contest_flight flight where flight.contest_id = ? and contest_attempt.entry_id = ?""").param(contest.id()).param(entry).update();

        assertThat(room().select("#pace").text()).contains("takes 135 s");
    }

    @Test
    void whoeverHasLiftedWarmsUpNoMore() throws Exception {
        named(1, "150");
        said(1, Outcome.MADE);

        assertThat(room().text()).contains("Nobody of yours warms up for this flight");
    }

    // ---- against others

    /** Common practice, no source: the last deadlift is what it takes to win. */
    @Test
    void theDeadliftSaysWhatItTakesToComeBeforeSomebody() throws Exception {
        send("/entries", "guest", "yes", "name", "Rival", "expected", "400");
        for (Lift lift : List.of(Lift.SQUAT, Lift.BENCH_PRESS)) {
            Taps.Which which = new Taps.Which(entry, lift, 1, Optional.empty());
            taps.name(club.coach, contest, which, kg(lift.equals(Lift.SQUAT) ? "140" : "90"), false);
            taps.say(club.coach, contest, which, Outcome.MADE, Optional.empty());
        }

        assertThat(lookAt("/day?lift=deadlift").select(".topass").text())
                .isEqualTo("To come before Rival (400 kg expected): 172.5 kg.");
        assertThat(lookAt("/day?lift=bench-press").select(".topass")).isEmpty();
    }

    /** From here: what was made counts, and what hardly ever happens is not said to. */
    @Test
    void theDaySaysWhatItMayBringFromHere() throws Exception {
        knowAll();
        for (Lift lift : List.of(Lift.SQUAT, Lift.BENCH_PRESS, Lift.DEADLIFT)) {
            Taps.Which which = new Taps.Which(entry, lift, 1, Optional.empty());
            taps.name(club.coach, contest, which, kg("80"), false);
            taps.say(club.coach, contest, which, Outcome.EASY, Optional.empty());
        }

        assertThat(lookAt("/day?lift=deadlift").select(".card.mine").text())
                .contains("The day may bring")
                .contains("< 0.1 % without a total");
        assertThat(lookAt("/day?lift=squat").select(".card.mine").text()).doesNotContain("The day may bring");
    }

    /** A mock contest has a fourth attempt, which counts for no total. */
    @Test
    void aFourthAttemptIsOfferedWhereTheRulesHaveIt() throws Exception {
        send(
                "",
                "name",
                "Mock",
                "rules",
                "mock",
                "on",
                contest.on().orElseThrow().toString());
        contest = contests.contest(club.coach, contest.id());
        for (int number = 1; number <= 3; number++) {
            named(number, String.valueOf(140 + 5 * number));
            said(number, Outcome.MADE);
        }
        assertThat(lookAt("/day?lift=squat").select(".which").text()).contains("Fourth, for no total");

        named(4, "160");
        said(4, Outcome.MADE);
        assertThat(lookAt("/day?lift=squat").select("table.board td b").text()).isEqualTo("155");
        assertThat(lookAt("/day?lift=squat").select("form.name")).isEmpty();
    }

    private void send(String path, String... fields) throws Exception {
        MockHttpServletRequestBuilder request =
                post("/contests/" + contest.id() + path).with(club.asCoach()).with(csrf());
        for (int i = 0; i < fields.length; i += 2) {
            request.param(fields[i], fields[i + 1]);
        }
        assertThat(mvc.perform(request).andReturn().getResponse().getStatus()).isEqualTo(302);
    }

    private Document lookAt(String path) throws Exception {
        return Jsoup.parse(mvc.perform(get("/contests/" + contest.id() + path).with(club.asCoach()))
                .andReturn()
                .getResponse()
                .getContentAsString());
    }
}
