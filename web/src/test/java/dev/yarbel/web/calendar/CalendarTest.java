package dev.yarbel.web.calendar;

import static dev.yarbel.web.TestSettings.TODAY;
import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.Clubs4Tests.TestContest;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.account.Accounts;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.io.StringReader;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZonedDateTime;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.component.VTimeZone;
import net.fortuna.ical4j.model.property.Transp;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.RequestPostProcessor;

/** What calendars fetch, read as they do: by a parser of RFC 5545 that is not ours. */
@YarbelTest
class CalendarTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Accounts accounts;

    @Autowired
    private Roster roster;

    @Autowired
    private Blocks blocks;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;

    @BeforeEach
    void gather() {
        club = clubs.club();
    }

    private String subscribe(RequestPostProcessor who, boolean sessions) throws Exception {
        Object made = mvc.perform(post("/calendar/address")
                        .param("sessions", String.valueOf(sessions))
                        .with(who)
                        .with(csrf()))
                .andReturn()
                .getFlashMap()
                .get("made");
        return URI.create(made.toString()).getPath();
    }

    private MockHttpServletResponse ask(String path) throws Exception {
        return mvc.perform(get(path)).andReturn().getResponse();
    }

    private Calendar fetch(String path) throws Exception {
        MockHttpServletResponse answer = ask(path);
        assertThat(answer.getStatus()).isEqualTo(200);
        assertThat(answer.getContentType()).isEqualTo("text/calendar;charset=UTF-8");
        return read(answer.getContentAsString(StandardCharsets.UTF_8));
    }

    private static Calendar read(String text) throws Exception {
        Calendar calendar = new CalendarBuilder().build(new StringReader(text));
        assertThat(calendar.validate().hasErrors()).isFalse();
        return calendar;
    }

    private static List<VEvent> events(Calendar calendar, String kind) {
        Stream<VEvent> all = calendar.<VEvent>getComponents(Component.VEVENT).stream();
        return all.filter(event -> event.getUid().orElseThrow().getValue().startsWith(kind))
                .toList();
    }

    private static List<String> summaries(List<VEvent> events) {
        return events.stream().map(event -> event.getSummary().getValue()).toList();
    }

    @Test
    void aLifterSubscribesToEverySessionOfTheirPlanOnItsDay() throws Exception {
        Calendar calendar = fetch(subscribe(club.asLifter(), true));
        List<VEvent> sessions = events(calendar, "session-");
        assertThat(days(sessions)).containsExactly(TODAY.minusWeeks(1), TODAY, TODAY.plusWeeks(1));
        // RFC 7986, 5.7: the kind of value is said
        assertThat(calendar.toString()).contains("REFRESH-INTERVAL;VALUE=DURATION:PT1H");
        assertThat(summaries(sessions)).containsExactly("Squat day, week 1", "Squat day, week 2", "Squat day, week 3");
        assertThat(sessions).allSatisfy(event -> {
            LocalDate start = (LocalDate) event.getDateTimeStart().getDate();
            assertThat(event.getDateTimeEnd().getDate()).isEqualTo(start.plusDays(1));
            assertThat(event.<Transp>getProperty("TRANSP").orElseThrow().getValue())
                    .isEqualTo("TRANSPARENT");
        });
        assertThat(sessions).extracting(VEvent::getUid).doesNotHaveDuplicates();
        assertThat(sessions.get(2).getDescription().getValue())
                .isEqualTo("Block\nA Squat 1 @8\nB Squat 2x5 -20%\nC Squat 3x5 77.5%");
    }

    private static List<LocalDate> days(List<VEvent> events) {
        return events.stream()
                .map(event -> (LocalDate) event.getDateTimeStart().getDate())
                .sorted()
                .toList();
    }

    @Test
    void aSessionStandsOnTheDayItWasLiftedAndGivesWayToAnotherBlock() throws Exception {
        String path = subscribe(club.asLifter(), true);
        long day = club.plan().block().days().get(0).id().number();
        jdbc.sql("""
                        insert into training_session (club_id, lifter_id, held_on, plan_day, plan_week, started_at, finished_at)
                        values (?, ?, ?, ?, 0, now(), now())""")
                .params(club.lifter.clubId(), club.lifter.id(), TODAY.minusDays(5), day)
                .update();
        Slot squat = new Slot("A", Lift.SQUAT, Collections.nCopies(2, Optional.of(Dose.parse("3x5 75%"))));
        blocks.add(
                club.lifter,
                new Block(TODAY.plusDays(3), 2, List.of(new TrainingDay("Other day", 4, List.of(squat)))).named("Next"),
                "");
        List<VEvent> sessions = events(fetch(path), "session-");
        assertThat(days(sessions)).containsExactly(TODAY.minusDays(5), TODAY, TODAY.plusDays(7), TODAY.plusDays(14));
        assertThat(summaries(sessions))
                .containsExactlyInAnyOrder(
                        "Squat day, week 1 (done)", "Squat day, week 2", "Other day, week 1", "Other day, week 2");
    }

    @Test
    void aNewAddressEndsTheOneBeforeAndSoDoesTheEndOfAccess() throws Exception {
        String first = subscribe(club.asLifter(), true);
        String second = subscribe(club.asLifter(), true);
        assertThat(ask(first).getStatus()).isEqualTo(404);
        assertThat(ask(second).getStatus()).isEqualTo(200);
        accounts.lifterCloses(club.lifter.clubId(), club.lifter.id(), true);
        assertThat(ask(second).getStatus()).isEqualTo(404);
        accounts.lifterCloses(club.lifter.clubId(), club.lifter.id(), false);
        mvc.perform(post("/calendar/address/end").with(club.asLifter()).with(csrf()))
                .andExpect(status().is3xxRedirection());
        assertThat(ask(second).getStatus()).isEqualTo(404);
        assertThat(ask("/calendar/none.ics").getStatus()).isEqualTo(404);
    }

    @Test
    void aSecretIsKeptNowhereAndOpensNoPage() throws Exception {
        String path = subscribe(club.asLifter(), true);
        String secret = path.substring("/calendar/".length(), path.length() - ".ics".length());
        assertThat(jdbc.sql("select to_jsonb(a)::text from calendar_address a where club_id = ?")
                        .param(club.lifter.clubId())
                        .query(String.class)
                        .list())
                .hasSize(1)
                .noneMatch(row -> row.contains(secret));
        assertThat(page(club.asLifter())).doesNotContain(secret);
        assertThat(ask("/calendar").getStatus()).isEqualTo(302);
    }

    @Test
    void aCoachHasContestsAndSessionsOnlyWhereTheyAsk() throws Exception {
        clubs.contest(club, 30);
        LifterCard second = clubs.grow(club, 1, 2, 2);
        Calendar contests = fetch(subscribe(club.asCoach(), false));
        assertThat(events(contests, "session-")).isEmpty();
        assertThat(summaries(events(contests, "contest-"))).containsExactly("Open", "Weigh-in: Open");
        String path = subscribe(club.asCoach(), true);
        List<String> both = summaries(events(fetch(path), "session-"));
        assertThat(both)
                .anyMatch(summary -> summary.startsWith(club.lifter.name() + ": "))
                .anyMatch(summary -> summary.startsWith(second.name() + ": "));
        club.asColleague();
        Person other = accounts.coaches(club.lifter.clubId()).stream()
                .filter(coach -> coach.id() != club.coach.accountId())
                .findFirst()
                .map(coach -> accounts.member(club.lifter.clubId(), coach.id()))
                .orElseThrow();
        roster.handOver(club.coach, club.lifter.id(), other.accountId());
        assertThat(summaries(events(fetch(path), "session-")))
                .isNotEmpty()
                .noneMatch(summary -> summary.startsWith(club.lifter.name() + ": "));
        assertThat(events(fetch(path), "contest-")).isEmpty();
    }

    @Test
    void aContestStandsOnItsDayAndItsTimesByTheClockOfTheClub() throws Exception {
        TestContest held = clubs.contest(club, 60);
        LocalDate day = club.plan().today().plusDays(60);
        jdbc.sql(
                        "update contest set weigh_in = '07:30', begins = '09:30', place = 'Halle; Süd, 2\nHinten' where id = ?")
                .param(held.contest())
                .update();
        String path = subscribe(club.asLifter(), true);
        Calendar calendar = fetch(path);
        List<VEvent> contest = events(calendar, "contest-" + held.contest());
        assertThat(contest).hasSize(2);
        assertThat(contest.get(0).getDateTimeStart().getDate()).isEqualTo(day);
        assertThat(contest.get(0).getLocation().getValue()).isEqualTo("Halle; Süd, 2\nHinten");
        assertThat(contest.get(0).getStatus().getValue()).isEqualTo("CONFIRMED");
        VEvent times = contest.get(1);
        assertThat(instant(times.getDateTimeStart().getDate()))
                .isEqualTo(day.atTime(LocalTime.of(7, 30))
                        .atZone(TestSettings.ZONE)
                        .toInstant());
        assertThat(instant(times.getDateTimeEnd().getDate()))
                .isEqualTo(day.atTime(LocalTime.of(9, 30))
                        .atZone(TestSettings.ZONE)
                        .toInstant());
        // the rules of the zone that travel with it say the same as those of this machine
        VTimeZone zone = (VTimeZone) calendar.getComponent(Component.VTIMEZONE).orElseThrow();
        assertThat(zone.getTimeZoneId().getValue()).isEqualTo(TestSettings.ZONE.getId());
        OffsetDateTime summer = OffsetDateTime.parse("2026-07-01T12:00:00Z");
        assertThat(zone.getApplicableObservance(summer).getName()).isEqualTo("DAYLIGHT");
        jdbc.sql("update contest set held_until = held_on + 7 where id = ?")
                .param(held.contest())
                .update();
        List<VEvent> window = events(fetch(path), "contest-");
        assertThat(window).hasSize(1);
        assertThat(window.get(0).getStatus().getValue()).isEqualTo("TENTATIVE");
        assertThat(window.get(0).getDateTimeEnd().getDate()).isEqualTo(day.plusDays(8));
        jdbc.sql("update contest set cancelled = true where id = ?")
                .param(held.contest())
                .update();
        assertThat(events(fetch(path), "contest-").get(0).getStatus().getValue())
                .isEqualTo("CANCELLED");
    }

    private static Instant instant(Object date) {
        return ((ZonedDateTime) date).toInstant();
    }

    /** RFC 5545, 3.1: no line over 75 octets, each ended by CR LF; 3.3.11: what is escaped. */
    @Test
    void whateverANameHoldsComesBackFromLinesThatAreFolded() throws Exception {
        TestContest held = clubs.contest(club, 10);
        for (String name : List.of(
                "Pokal, Klasse; A\\B",
                "Ü".repeat(80),
                "END:VCALENDAR",
                "a\r\nBEGIN:VEVENT",
                "💪".repeat(35),
                "\"quoted\": yes")) {
            jdbc.sql("update contest set name = ? where id = ?")
                    .params(name, held.contest())
                    .update();
            String text = mvc.perform(get("/calendar.ics").with(club.asLifter()))
                    .andReturn()
                    .getResponse()
                    .getContentAsString(StandardCharsets.UTF_8);
            assertThat(text.split("\r\n")).allSatisfy(line -> {
                assertThat(line.getBytes(StandardCharsets.UTF_8).length).isLessThanOrEqualTo(75);
                assertThat(line).doesNotContain("\n").doesNotContain("\r");
            });
            assertThat(summaries(events(read(text), "contest-"))).startsWith(name.replaceAll("\r\n", "\n"));
        }
    }

    @Test
    void aFileIsForWhoeverSeesTheLifter() throws Exception {
        MockHttpServletResponse file = mvc.perform(get("/calendar.ics")
                        .param("lifter", "" + club.lifter.id())
                        .with(club.asCoach()))
                .andReturn()
                .getResponse();
        assertThat(file.getHeader("Content-Disposition")).contains("calendar.ics");
        assertThat(events(read(file.getContentAsString()), "session-")).isNotEmpty();
        mvc.perform(get("/calendar.ics")
                        .param("lifter", "" + clubs.club().lifter.id())
                        .with(club.asCoach()))
                .andExpect(status().isNotFound());
    }

    @Test
    void thePageSaysWhatTheAddressHolds() throws Exception {
        subscribe(club.asCoach(), false);
        assertThat(page(club.asCoach())).contains(": contests.");
        subscribe(club.asCoach(), true);
        assertThat(page(club.asCoach())).contains(": contests and sessions.");
        subscribe(club.asLifter(), true);
        assertThat(page(club.asLifter())).contains("There is an address").doesNotContain(": contests");
    }

    private String page(RequestPostProcessor who) throws Exception {
        return mvc.perform(get("/calendar").with(who)).andReturn().getResponse().getContentAsString();
    }

    @Test
    void itSpeaksTheLanguageInWhichItWasMade() throws Exception {
        Object made = mvc.perform(post("/calendar/address")
                        .locale(Locale.GERMAN)
                        .param("sessions", "true")
                        .with(club.asLifter())
                        .with(csrf()))
                .andReturn()
                .getFlashMap()
                .get("made");
        assertThat(summaries(events(fetch(URI.create(made.toString()).getPath()), "session-")))
                .allMatch(summary -> summary.contains("Woche"));
    }
}
