package dev.yarbel.web.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.web.Browser;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.Clubs4Tests.TestContest;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.contest.HeldContests;
import java.io.StringReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.LocalDate;
import java.util.Optional;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** A lifter subscribes on their phone; what their calendar fetches afterwards knows nothing of their sign-in. */
@YarbelTest
class CalendarJourneyTest {

    @LocalServerPort
    private int port;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private HeldContests contests;

    private final HttpClient calendarProgram = HttpClient.newHttpClient();
    private Browser browser;

    @BeforeEach
    void openBrowser() {
        browser = new Browser("http://127.0.0.1:" + port);
    }

    @AfterEach
    void closeBrowser() {
        browser.close();
    }

    private HttpResponse<String> fetch(String address) throws Exception {
        return calendarProgram.send(
                HttpRequest.newBuilder(URI.create(address))
                        .timeout(Duration.ofSeconds(30))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    private LocalDate contestDay(String address) throws Exception {
        return new CalendarBuilder()
                .build(new StringReader(fetch(address).body())).<VEvent>getComponents(Component.VEVENT).stream()
                        .filter(event -> event.getSummary().getValue().equals("Open"))
                        .map(event -> (LocalDate) event.getDateTimeStart().getDate())
                        .findFirst()
                        .orElseThrow();
    }

    @Test
    void aCalendarIsSubscribedFollowsAContestThatMovesAndIsRenewed() throws Exception {
        TestClub club = clubs.club();
        TestContest open = clubs.contest(club, 40);
        LocalDate day = club.plan().today().plusDays(40);
        browser.phone().signIn(club.lifterName(), club.password());
        browser.open("/calendar");
        browser.click("form[action$='/calendar/address'] button");
        String address = browser.find("#calendar-address").getDomProperty("value");
        assertThat(fetch(address).headers().firstValue("Content-Type")).contains("text/calendar;charset=UTF-8");
        assertThat(contestDay(address)).isEqualTo(day);
        contests.move(club.coach, open.contest(), Optional.of(day.plusDays(7)));
        assertThat(contestDay(address)).isEqualTo(day.plusDays(7));
        browser.open("/calendar");
        browser.click("form[action$='/calendar/address'] button");
        String renewed = browser.find("#calendar-address").getDomProperty("value");
        assertThat(fetch(address).statusCode()).isEqualTo(404);
        assertThat(contestDay(renewed)).isEqualTo(day.plusDays(7));
    }
}
