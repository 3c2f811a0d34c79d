package dev.yarbel.web.calls;

import static dev.yarbel.web.OnPage.shows;
import static dev.yarbel.web.OnPage.tagged;
import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.hamcrest.Matchers.allOf;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.flash;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.adjust.CallRule;
import dev.yarbel.core.adjust.Calls;
import dev.yarbel.core.adjust.Threshold;
import dev.yarbel.core.adjust.Urgency;
import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.book.Change;
import dev.yarbel.web.book.Ledger;
import dev.yarbel.web.book.SessionFinished;
import dev.yarbel.web.book.Sessions;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.Roster;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.reflect.Constructor;
import java.lang.reflect.Method;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.core.io.ClassPathResource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.MvcResult;
import org.springframework.test.web.servlet.ResultActions;

@YarbelTest
class CallsTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Sessions sessions;

    @Autowired
    private Ledger ledger;

    @Autowired
    private Slips slips;

    @Autowired
    private SlipWriter writer;

    @Autowired
    private Roster roster;

    @Autowired
    private Words words;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;

    @BeforeEach
    void makeClub() {
        club = clubs.club();
    }

    /** A single at a rating, as today's whole session. */
    private void lift(int kg, String effort, Optional<String> pain) throws Exception {
        DoneSet top =
                new DoneSet(TaskKey.work("A", 1), new LiftedSet(Lift.SQUAT, Mass.ofKg(kg), 1, Effort.parse(effort)));
        sessions.log(
                club.lifterPerson,
                club.lifter,
                club.plan().planned(0, 1),
                TestSettings.TODAY,
                new Sessions.Sent(UUID.randomUUID(), top, TestSettings.NOW),
                "");
        sessions.finish(club.lifter, club.plan().planned(0, 1), Sessions.Finish.of(pain));
        waitForThoseWhoHear();
    }

    private void waitForThoseWhoHear() {
        await().untilAsserted(() -> assertThat(
                        jdbc.sql("select count(*) from event_publication where completion_date is null")
                                .query(Integer.class)
                                .single())
                .isZero());
    }

    private long openSlip() {
        return queue().get(0).id();
    }

    private ResultActions answer(long id, String how, String shown, String... parameters) throws Exception {
        var request = post("/calls/" + id + "/" + how)
                .with(club.asCoach())
                .with(csrf())
                .param("shown", shown);
        for (int i = 0; i < parameters.length; i += 2) {
            request = request.param(parameters[i], parameters[i + 1]);
        }
        return mvc.perform(request);
    }

    /** What the page of a slip would send as seen. */
    private String shown(long id) throws Exception {
        String page = mvc.perform(get("/calls/" + id).with(club.asCoach()))
                .andReturn()
                .getResponse()
                .getContentAsString();
        var matcher = Pattern.compile("name=\"shown\" value=\"([^\"]+)\"").matcher(page);
        assertThat(matcher.find()).isTrue();
        return matcher.group(1);
    }

    private List<SlipLine> queue() {
        return slips.queue(club.coach, roster.choices(club.coach));
    }

    @Test
    void aSessionThatPartsEstimateAndWorkingMaxOpensASlipWithEverythingItWouldChange() throws Exception {
        // a single at 220 to the limit: 200 → about 217.7; the cap lets 200 rise by 5
        lift(220, "10", Optional.empty());
        // week 2 is lifted; in week 3 77.5 % of 200 is 155, of 205 it is 158.9, loaded as 160
        mvc.perform(get("/calls").with(club.asCoach()))
                .andExpect(status().isOk())
                .andExpect(content()
                        .string(allOf(
                                shows(".halves", "Seen"),
                                shows(".evidence", "220 kg × 1"),
                                containsString("2.5\u00a0% at most"),
                                shows(".figure", "205 kg"),
                                shows(".num", "155 kg"),
                                shows(".num", "160 kg"))));
    }

    @Test
    void aSessionAsExpectedOpensNone() throws Exception {
        lift(187, "8", Optional.empty());
        assertThat(queue()).isEmpty();
        mvc.perform(get("/calls").with(club.asCoach()))
                .andExpect(content().string(shows(".empty", "No decision waits")));
    }

    @Test
    void anOpenAcheThatTheLiftLoadsForbidsARiseAndSaysSo() throws Exception {
        lift(215, "7", Optional.empty());
        long id = openSlip();
        jdbc.sql(
                        "insert into ache (club_id, lifter_id, place, words, since) values (?, ?, 'KNEE', 'left', '2026-03-01')")
                .param(club.lifter.clubId())
                .param(club.lifter.id())
                .update();
        mvc.perform(get("/calls/" + id).with(club.asCoach()))
                .andExpect(content()
                        .string(allOf(
                                shows(".slip", "No rise while something hurts"),
                                shows(".watch", "left"),
                                not(containsString("Take it")))));
        // a place the squat does not load forbids nothing
        jdbc.sql("update ache set place = 'CALF' where lifter_id = ?")
                .param(club.lifter.id())
                .update();
        mvc.perform(get("/calls/" + id).with(club.asCoach()))
                .andExpect(content().string(shows(".act", "Take it")));
    }

    @Test
    void painMeansNoRiseAndAProfessionalsLook() throws Exception {
        lift(220, "10", Optional.of("left knee"));
        assertThat(queue()).extracting(SlipLine::rule).containsExactly("pain-noted");
        long id = openSlip();
        mvc.perform(get("/calls/" + id).with(club.asCoach()))
                .andExpect(content().string(allOf(shows(".stop", "doctor"), shows("q", "left knee"))));
        // nor by a figure of one's own
        answer(id, "change", shown(id), "own", "205")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(shows("#change-own-says", "No rise")));
        answer(id, "change", shown(id), "own", "195").andExpect(redirectedUrl("/calls"));
        assertThat(club.workingMax()).isEqualTo(Mass.ofKg(195));
    }

    @Test
    void aSlipTakenMovesTheComingLoadsAndTheLedgerSaysWhoWhenAndWhy() throws Exception {
        lift(220, "10", Optional.empty());
        long id = openSlip();
        answer(id, "take", shown(id), "reason", "moved well")
                .andExpect(redirectedUrl("/calls"))
                .andExpect(flash().attribute("notice", containsString("Taken")));
        assertThat(club.workingMax()).isEqualTo(Mass.ofKg(205));
        assertThat(ledger.latest(club.lifter, 1))
                .containsExactly(new Change(
                        TestSettings.NOW,
                        club.coach.personName(),
                        ChangeKind.CALL_TAKEN,
                        List.of("squat"),
                        Optional.of("moved well"),
                        "200 kg",
                        "205 kg"));
        mvc.perform(get(club.url("/plan")).with(club.asCoach()))
                .andExpect(content().string(shows(".load", "160 kg")));
        mvc.perform(get(club.url("/book/decisions")).with(club.asLifter()))
                .andExpect(content().string(allOf(shows(".ledger", "Call taken"), shows(".ledger", "moved well"))));
        assertThat(queue()).isEmpty();
    }

    @Test
    void aSlipChangedTakesTheCoachsOwnFigure() throws Exception {
        lift(220, "10", Optional.empty());
        long id = openSlip();
        answer(id, "change", shown(id), "own", "202,5");
        assertThat(club.workingMax()).isEqualTo(Mass.parse("202.5", MassUnit.KG));
        assertThat(ledger.latest(club.lifter, 1).get(0).kind()).isEqualTo(ChangeKind.CALL_CHANGED);
    }

    /** 1470 where 200 stood. */
    @Test
    void aFigureFarFromTheWorkingMaxIsAskedAboutOnce() throws Exception {
        lift(215, "7", Optional.empty());
        long id = openSlip();
        String shown = shown(id);
        String asked = answer(id, "change", shown, "own", "470")
                .andExpect(status().isUnprocessableContent())
                .andReturn()
                .getResponse()
                .getContentAsString();
        Element own = Jsoup.parse(asked).selectFirst("details[open] label:has(input[name=own])");
        assertThat(own.select("input[name=own]").val()).isEqualTo("470");
        // sent twice, it would be "470,470" and never be what they stand by
        assertThat(Jsoup.parse(asked).select("button[name=confirmed]").eachAttr("value"))
                .containsExactly("470");
        assertThat(own.select("[role=alert]").text()).isNotEmpty();
        assertThat(openSlip()).isEqualTo(id);
        answer(id, "change", shown, "own", "470", "confirmed", "470").andExpect(status().isFound());
        assertThat(queue()).isEmpty();
    }

    @Test
    void aFigureThatCannotBeReadKeepsWhatWasTypedAndTheSlipOpen() throws Exception {
        lift(220, "10", Optional.empty());
        long id = openSlip();
        for (String own : new String[] {"", "a lot", "-5", "0", "5000"}) {
            answer(id, "change", shown(id), "own", own, "reason", "because")
                    .andExpect(status().isUnprocessableContent())
                    .andExpect(content()
                            .string(allOf(
                                    shows("#change-own-says", "A working max such as"),
                                    tagged(".form-control", "value=\"" + own + "\""),
                                    tagged(".form-control", "value=\"because\""))));
        }
        assertThat(queue()).hasSize(1);
    }

    @Test
    void anAnswerTakenBackPutsTheWorkingMaxWhereItStoodAndTheSlipWaitsAgain() throws Exception {
        lift(220, "10", Optional.empty());
        long id = openSlip();
        answer(id, "take", shown(id));
        mvc.perform(get("/calls/answered").with(club.asCoach()))
                .andExpect(content().string(allOf(shows(".nowrap", "205 kg"), shows(".act", "Take it back"))));
        answer(id, "take-back", "").andExpect(flash().attribute("notice", containsString("Taken back")));
        assertThat(club.workingMax()).isEqualTo(Mass.ofKg(200));
        assertThat(queue()).singleElement().satisfies(line -> assertThat(line.id())
                .isEqualTo(id));
        assertThat(ledger.latest(club.lifter, 1).get(0).kind()).isEqualTo(ChangeKind.CALL_TAKEN_BACK);
        answer(id, "take-back", "").andExpect(flash().attribute("notice", containsString("cannot be taken back")));
        answer(id, "change", shown(id), "own", "202.5");
        answer(id, "take-back", "");
        answer(id, "leave", "");
        answer(id, "take-back", "").andExpect(flash().attribute("notice", containsString("Taken back")));
        assertThat(club.workingMax()).isEqualTo(Mass.ofKg(200));
        assertThat(queue()).hasSize(1);
    }

    @Test
    void anAnswerThatALaterDecisionStandsOnStays() throws Exception {
        lift(220, "10", Optional.empty());
        long id = openSlip();
        answer(id, "take", shown(id));
        mvc.perform(post(club.url("/book/lifts/squat/working-max"))
                        .with(club.asCoach())
                        .with(csrf())
                        .param("load", "205"))
                .andReturn();
        mvc.perform(post(club.url("/book/lifts/squat/working-max"))
                        .with(club.asCoach())
                        .with(csrf())
                        .param("load", "190"))
                .andReturn();
        mvc.perform(get("/calls/answered").with(club.asCoach()))
                .andExpect(content().string(shows(".quiet", "a later decision stands on it")));
        answer(id, "take-back", "").andExpect(flash().attribute("notice", containsString("cannot be taken back")));
        assertThat(club.workingMax()).isEqualTo(Mass.ofKg(190));
    }

    @Test
    void anAnswerIsTakenBackByWhoeverMayGiveIt() throws Exception {
        lift(220, "10", Optional.empty());
        long id = openSlip();
        answer(id, "take", shown(id));
        mvc.perform(post("/calls/" + id + "/take-back").with(club.asColleague()).with(csrf()))
                .andExpect(status().isNotFound());
        mvc.perform(post("/calls/" + id + "/take-back").with(club.asLifter()).with(csrf()))
                .andExpect(status().isForbidden());
        assertThat(club.workingMax()).isEqualTo(Mass.ofKg(205));
    }

    @Test
    void aSignThatCannotBeWrittenIsRefusedBesideItsFieldByEachAnswer() throws Exception {
        lift(220, "10", Optional.empty());
        long id = openSlip();
        for (String how : new String[] {"take", "change", "leave"}) {
            answer(id, how, shown(id), "reason", "be\u0000cause")
                    .andExpect(status().isUnprocessableContent())
                    .andExpect(content()
                            .string(allOf(
                                    containsString("be\u2400cause"),
                                    shows("form.answers [role=alert]", "cannot be written"))));
        }
        answer(id, "leave", "", "own", "a\u0000b").andExpect(status().isUnprocessableContent());
        assertThat(queue()).hasSize(1);
    }

    @Test
    void aLongReasonIsRefusedBesideItsFieldAndNotCut() throws Exception {
        lift(220, "10", Optional.empty());
        long id = openSlip();
        answer(id, "take", shown(id), "reason", "x".repeat(501))
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(shows("#reason-error", "1 to 500 characters.")));
        assertThat(queue()).hasSize(1);
    }

    @Test
    void aSlipLeftChangesNothingAndIsOnRecord() throws Exception {
        lift(220, "10", Optional.empty());
        answer(openSlip(), "leave", "").andExpect(flash().attribute("notice", containsString("Left as it was")));
        assertThat(club.workingMax()).isEqualTo(Mass.ofKg(200));
        assertThat(ledger.latest(club.lifter, 1).get(0).kind()).isEqualTo(ChangeKind.CALL_LEFT);
        assertThat(queue()).isEmpty();
    }

    @Test
    void aSlipWhosePlanChangedMeanwhileIsWorkedOutAnewAndShownAgain() throws Exception {
        lift(220, "10", Optional.empty());
        long id = openSlip();
        String before = shown(id);
        mvc.perform(post(club.url("/plan/days/0"))
                .with(club.asCoach())
                .with(csrf())
                .param("was." + club.cell(2, 2), "3x5 77.5%")
                .param("dose." + club.cell(2, 2), "3x5 70%"));
        answer(id, "take", before, "reason", "because")
                .andExpect(status().isConflict())
                .andExpect(content()
                        .string(allOf(
                                shows(".note", "worked out anew"),
                                shows(".changes", "3x5 70%"),
                                tagged(".form-control", "value=\"because\""))));
        assertThat(club.workingMax()).isEqualTo(Mass.ofKg(200));
        answer(id, "take", shown(id)).andExpect(redirectedUrl("/calls"));
        assertThat(club.workingMax()).isEqualTo(Mass.ofKg(205));
    }

    @Test
    void aSlipIsAnsweredOnce() throws Exception {
        lift(220, "10", Optional.empty());
        long id = openSlip();
        String shown = shown(id);
        answer(id, "take", shown);
        answer(id, "take", shown)
                .andExpect(flash().attribute("notice", containsString(club.coach.personName() + " took this slip")));
        mvc.perform(get("/calls/" + id).with(club.asCoach()))
                .andExpect(redirectedUrl("/calls"))
                .andExpect(flash().attribute("notice", containsString("10 Mar 18:00")));
        assertThat(club.workingMax()).isEqualTo(Mass.ofKg(205));
    }

    @Test
    void ofTwoWhoAnswerAtTheSameMomentOneDecides() throws Exception {
        lift(220, "10", Optional.empty());
        long id = openSlip();
        String shown = shown(id);
        List<Callable<MvcResult>> coaches = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            coaches.add(() -> answer(id, "take", shown).andReturn());
            coaches.add(() -> answer(id, "leave", shown).andReturn());
        }
        var pool = Executors.newFixedThreadPool(6);
        List<String> notices = new ArrayList<>();
        try {
            for (Future<MvcResult> result : pool.invokeAll(coaches)) {
                notices.add((String) result.get().getFlashMap().get("notice"));
            }
        } finally {
            pool.shutdownNow();
        }
        assertThat(notices)
                .filteredOn(notice -> !notice.contains("Nothing was changed now"))
                .hasSize(1);
        assertThat(ledger.latest(club.lifter, 10)).hasSize(1);
    }

    /** What a rule is called, looks for and means has its words; what it sees and proposes has a fragment of each kind. */
    @Test
    void everyRuleHasItsWords() {
        for (CallRule rule : Calls.RULES) {
            List<String> codes = new ArrayList<>(List.of("calls.line.", "calls.rule."));
            if (!rule.key().equals("estimate-apart")) {
                codes.add("calls.means.");
            }
            assertThat(codes)
                    .allSatisfy(code -> assertThat(words.say(code + rule.key())).doesNotContain(code));
        }
        for (Urgency urgency : Urgency.values()) {
            assertThat(words.say("rules.urgency." + urgency)).doesNotContain("rules.urgency");
        }
        for (Threshold.Unit unit : Threshold.Unit.values()) {
            assertThat(words.say("rules.from." + unit, "1", "2")).doesNotContain("rules.from");
        }
        assertThat(names(fragments("found"))).containsAll(named(Names.OfEvidence.class));
        assertThat(names(fragments("proposed"))).containsAll(named(Names.OfProposal.class));
    }

    /** How many kinds a visitor of names knows. */
    private static List<String> named(Class<?> visitor) {
        return Stream.of(visitor.getDeclaredMethods())
                .filter(method -> !method.isBridge() && !method.isSynthetic())
                .map(CallsTest::name)
                .toList();
    }

    private static String name(Method method) {
        try {
            Constructor<?> made = method.getDeclaringClass().getDeclaredConstructor();
            return (String) method.invoke(made.newInstance(), new Object[] {null});
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    private static List<String> names(Document fragments) {
        return fragments.select("[th:fragment]").eachAttr("th:fragment").stream()
                .map(fragment -> fragment.replaceFirst("\\(.*", ""))
                .toList();
    }

    private static Document fragments(String file) {
        try {
            return Jsoup.parse(new ClassPathResource("templates/calls/" + file + ".html").getFile());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void hearingOfASessionTwiceOpensNothingTwice() throws Exception {
        lift(220, "10", Optional.empty());
        long session = club.plan().session(0, 1).orElseThrow().id();
        writer.on(new SessionFinished(club.lifter.clubId(), club.lifter.id(), session));
        answer(openSlip(), "leave", "");
        writer.on(new SessionFinished(club.lifter.clubId(), club.lifter.id(), session));
        assertThat(queue()).isEmpty();
    }

    @Test
    void aSetThatArrivesAfterItsSessionWasFinishedIsLookedAtToo() throws Exception {
        lift(187, "8", Optional.empty());
        assertThat(queue()).isEmpty();
        // it had waited on the phone
        DoneSet late =
                new DoneSet(TaskKey.work("B", 1), new LiftedSet(Lift.SQUAT, Mass.ofKg(220), 1, Effort.parse("10")));
        sessions.log(
                club.lifterPerson,
                club.lifter,
                club.plan().planned(0, 1),
                TestSettings.TODAY,
                new Sessions.Sent(UUID.randomUUID(), late, TestSettings.NOW),
                "");
        waitForThoseWhoHear();
        assertThat(queue()).hasSize(1);
    }

    @Test
    void aCorrectionOfAFinishedSessionIsLookedAtToo() throws Exception {
        lift(187, "8", Optional.empty());
        DoneSet corrected =
                new DoneSet(TaskKey.work("A", 1), new LiftedSet(Lift.SQUAT, Mass.ofKg(220), 1, Effort.parse("10")));
        sessions.correct(club.lifterPerson, club.lifter, club.plan().planned(0, 1), corrected);
        waitForThoseWhoHear();
        assertThat(queue()).hasSize(1);
    }

    @Test
    void anothersSlipIsNotThere() throws Exception {
        lift(220, "10", Optional.empty());
        long id = openSlip();
        TestClub other = clubs.club();
        mvc.perform(get("/calls/" + id).with(other.asCoach())).andExpect(status().isNotFound());
        mvc.perform(get("/calls/" + id).with(club.asColleague())).andExpect(status().isNotFound());
        for (String how : List.of("take", "leave")) {
            mvc.perform(post("/calls/" + id + "/" + how)
                            .with(other.asCoach())
                            .with(csrf())
                            .param("shown", "x"))
                    .andExpect(status().isNotFound());
        }
        assertThat(queue()).hasSize(1);
    }

    @Test
    void aSlipAnsweredBeforeIsNotAnsweredWithAnotherFigure() throws Exception {
        lift(220, "10", Optional.empty());
        long id = openSlip();
        String shown = shown(id);
        answer(id, "leave", "");
        answer(id, "change", shown, "own", "210")
                .andExpect(flash().attribute("notice", containsString("left this slip")));
        assertThat(club.workingMax()).isEqualTo(Mass.ofKg(200));
    }
}
