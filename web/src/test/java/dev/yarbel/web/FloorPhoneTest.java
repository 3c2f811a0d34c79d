package dev.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.session.Amendment;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.book.SessionLog;
import dev.yarbel.web.book.Sessions;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Floor on a phone of 390 by 844, as somebody uses it who was never told how. */
@YarbelTest
class FloorPhoneTest {

    /** What somebody taps who only looks at the set in hand: done, made, or the rating that was asked for. */
    private static final String PRIMARY =
            ".now form.log > button.wide, .now form.log .verdict button, .now .picker .target,"
                    + " .now form.log > .picker button[value='8']";

    private static final long FIRST_VISIT_BYTES = 200_000;

    @LocalServerPort
    private int port;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Sessions sessions;

    private Browser browser;

    @BeforeEach
    void openBrowser() {
        browser = new Browser("http://127.0.0.1:" + port);
    }

    @AfterEach
    void closeBrowser() {
        browser.close();
    }

    private TestClub signedIn(String... doses) {
        TestClub club = clubs.club(doses);
        browser.phone().signIn(club.lifterName(), club.password());
        browser.waitForText(".now h2", "A ");
        return club;
    }

    private long logged(TestClub club) {
        return club.plan().session(0, 1).map(SessionLog::sets).map(List::size).orElse(0);
    }

    @Test
    void aFiveLiftSessionTakesAtMostTwoTapsASet() {
        TestClub club = signedIn(
                "squat 1 @8 then 2x5 -20%",
                "bench-press 3x5 90kg", "barbell-row 2x8 70kg", "dip 2x8 feel", "general-preparation prep 5min");
        browser.script("window.taps = 0; addEventListener('pointerdown', () => { window.taps++; }, true);");
        Set<String> sets = new HashSet<>();
        while (!browser.all(".now").isEmpty() && sets.size() < 60) {
            String before = browser.text(".now h2");
            browser.pressUntil(
                    () -> browser.tap(browser.find(PRIMARY)),
                    () -> browser.all(".now").isEmpty()
                            || !browser.shows(".now h2", before)
                                    && !browser.all(".now h2").isEmpty());
            sets.add(before);
        }
        long done = sets.size();
        browser.waitFor(d -> logged(club) == done ? true : null);
        assertThat(done).as("planned work sets and their warm-ups").isGreaterThanOrEqualTo(16);
        assertThat((Long) browser.script("return window.taps;")).isLessThanOrEqualTo(2 * done);
        browser.click(".finish form.ending button[type=submit]");
        browser.waitForText(".finished", "Every set is in the book");
    }

    /** Special words, load and the whole picker are in sight together, upright and on the side. */
    @Test
    void whatMakesASetSpecialAndTheWholePickerAreInSight() {
        for (String dose : List.of(
                "squat 2x8-12 100kg lowering tempo 5010", "squat max to @9 100kg paused", "squat 3x3 100kg assisted")) {
            TestClub club = signedIn(dose);
            browser.phone().open(club.url("/floor?day=0&week=1&task=A.1"));
            seen(".now .load", ".now .special", ".now .picker .miss");
            browser.onItsSide();
            seen(".now .load", ".now .picker .miss");
            browser.phone();
            browser.assertSound();
            signOut();
        }
    }

    /** One session with every special kind: the words in sight above what is tapped, whatever kind it is. */
    @Test
    void aSessionOfEverySpecialKindSaysSoInSight() {
        List<String> slots = List.of(
                "squat 3x3 100kg +bands 10/35kg",
                "bench-press 3x3 80kg +chains 15kg",
                "squat 2x5 100kg lowering tempo 5010",
                "bench-press 2x3 80kg assisted",
                "squat 8x2 90kg speed",
                "deadlift 3x3 120kg partial",
                "squat max to @9 90kg paused",
                "squat 3x5 100kg position",
                "deadlift 2x3 140kg rest free",
                "barbell-row 3x10 feel choice bad",
                "pull-up 3x5 bw+10kg",
                "squat 3x3 100kg +bands 10/35kg blind");
        TestClub club = signedIn(slots.toArray(String[]::new));
        for (int i = 0; i < slots.size(); i++) {
            String task = (char) ('A' + i) + ".1";
            browser.open(club.url("/floor?day=0&week=1&task=" + task));
            browser.waitForText(".now h2", task.substring(0, 1) + " ");
            if (!browser.all(".now .lookover button").isEmpty()) {
                browser.all(".now .lookover input[type=checkbox]").forEach(WebElement::click);
                browser.click(".now .lookover button");
                browser.waitFor(d -> browser.all(".now .lookover").isEmpty() ? true : null);
                browser.open(club.url("/floor?day=0&week=1&task=" + task));
            }
            seen(".now .special");
            seen(Stream.of(".now .verdict button", ".now form.log > .picker .miss", ".now form.log > button.wide")
                    .filter(tapped -> !browser.all(tapped).isEmpty())
                    .findFirst()
                    .orElseThrow(() -> new AssertionError(task + " " + browser.text(".now"))));
        }
    }

    /** The smallest phone, and text twice as large, push nothing out of the window to the right. */
    @Test
    void aSmallPhoneAndTextTwiceAsLargeLoseNothing() {
        TestClub club = signedIn("squat 2x8-12 100kg lowering tempo 5010", "bench-press 3x5 60kg");
        for (String page : List.of(
                "/floor?day=0&week=1&task=A.1", "/floor?day=0&week=1&task=A.w1", "/home", "/book", "/profile")) {
            browser.smallPhone().open(club.url(page));
            fits(page, "320 wide");
            for (boolean small : new boolean[] {false, true}) {
                (small ? browser.smallPhone() : browser.phone()).open(club.url(page));
                browser.script("document.documentElement.style.fontSize = '200%'");
                fits(page, (small ? "320 wide, " : "") + "text at 200 %");
            }
        }
        browser.phone().open("/how");
        browser.script("document.documentElement.style.fontSize = '200%'");
        fits("/how", "text at 200 %");
    }

    private void fits(String page, String how) {
        assertThat((Boolean) browser.script("return document.documentElement.scrollWidth <= innerWidth"))
                .as(page + ", " + how)
                .isTrue();
        assertThat(browser.script("""
                return [...document.querySelectorAll("main button, main input, main select")]
                  .filter((e) => e.getClientRects().length && !e.closest("table, .panel, .visually-hidden"))
                  .filter((e) => e.getBoundingClientRect().right > innerWidth + 1 || e.getBoundingClientRect().left < -1)
                  .map((e) => e.outerHTML.slice(0, 80)).join(" ")""")).as(page + ", " + how).isEqualTo("");
    }

    /** With a question on top the picker is still whole, above the bar. */
    @Test
    void aQuestionOnTopLeavesTheWholePickerInReach() {
        TestClub club = signedIn("squat 1 @8", "squat 3x5 -20%");
        browser.phone().open(club.url("/floor?day=0&week=1&task=A.1"));
        browser.type(".now input[name=load]", "187.5");
        browser.click(".now .picker button[value='10']");
        browser.waitFor(d -> browser.find(".asks h2"));
        browser.waitForText(".now h2", "B Squat");
        seen(".asks h2", ".now .picker .miss");
    }

    private void signOut() {
        browser.unfold(".me summary");
        browser.click("form[action='/sign-out'] button");
        browser.waitFor(d -> browser.address().startsWith("/sign-in"));
    }

    /** Each stands within the window, above the bar at its foot, and nothing lies over its middle. */
    private void seen(String... parts) {
        browser.waitFor(d -> browser.all(parts[0]).isEmpty() ? null : true);
        for (String part : parts) {
            assertThat(browser.script("""
                    const part = document.querySelector(arguments[0]);
                    const box = part.getBoundingClientRect();
                    const foot = document.querySelector(".rooms").getBoundingClientRect();
                    const low = foot.top > innerHeight / 2 ? foot.top : innerHeight;
                    const over = document.elementFromPoint(box.x + box.width / 2, box.y + box.height / 2);
                    return box.top < 0 || box.bottom > low ? "from " + box.top + " to " + box.bottom + " of " + low
                        : part.contains(over) ? "seen" : "under " + over.outerHTML;""", part)).as(part).isEqualTo("seen");
        }
    }

    @Test
    void aCountThatTheDoseLeavesOpenWaitsForTheThumbAndTakesTwoTaps() {
        TestClub club = signedIn("squat 1x8-12 100kg", "bench-press max to @9 60kg");
        browser.open(club.url("/floor?day=0&week=1&task=A.1"));
        browser.waitForText(".now h2", "set 1");
        browser.tap(browser.find(".now .picker button[value='8']"));
        assertThat(logged(club)).isZero();
        browser.tap(browser.find(".now [data-made='10']"));
        browser.tap(browser.find(".now .picker button[value='8']"));
        browser.waitFor(d -> logged(club) == 1 ? true : null);
        browser.open(club.url("/floor?day=0&week=1&task=B.1"));
        browser.waitForText(".now .big.times", "until it rates 9");
        for (int tap = 0; tap < 3; tap++) {
            browser.tap(browser.find(".now [data-count='1']"));
        }
        browser.tap(browser.find(".now .picker button[value='9']"));
        browser.waitFor(d -> logged(club) == 2 ? true : null);
        assertThat(club.plan().session(0, 1).orElseThrow().sets())
                .extracting(done -> done.set().reps())
                .containsExactly(10, 3);
    }

    @Test
    void aLoadThatNobodyKnowsIsAskedForBesideItsField() {
        TestClub club = signedIn("bench-press 3x5 75%");
        browser.waitForText(".now .small", "no working max yet");
        browser.click(".now .picker button[value='8']");
        browser.waitForText(".now .bad", "A load such as");
        browser.type(".now input[name=load]", "60");
        browser.click(".now .picker button[value='8']");
        browser.waitForText(".now h2", "set 2 of 3");
        browser.waitFor(d -> logged(club) == 1 ? true : null);
    }

    @Test
    void aMissSaysHowManyWereMadeAndEnterRatesNothing() {
        TestClub club = signedIn("squat 3x5 75%");
        browser.click(".stair .step.top");
        browser.waitForText(".now h2", "set 1 of 3");
        browser.type(".now input[name=load]", "152.5");
        browser.press(Keys.ENTER);
        browser.click(".now .picker button[value=missed]");
        browser.waitForText(".now .bad", "How many were made before the miss?");
        assertThat(browser.focused(".now input[name=reps][aria-invalid=true]")).isTrue();
        assertThat(browser.find(".now input[name=load]").getAttribute("value")).isEqualTo("152.5");
        assertThat(logged(club)).isZero();
        browser.assertSound();
        browser.type(".now input[name=reps]", "3");
        browser.click(".now .picker button[value=missed]");
        browser.waitForText(".now h2", "set 2 of 3");
        browser.waitForText(".whymissed", "Squat");
        assertThat(club.plan().session(0, 1).orElseThrow().sets().get(0).set().reps())
                .isEqualTo(3);
    }

    @Test
    void whatIsTypedStaysWhileTheCoachChangesTheDay() {
        TestClub club = signedIn("squat 3x5 75%", "bench-press 3x5 90kg");
        browser.click(".stair .step.top");
        browser.waitForText(".now h2", "set 1 of 3");
        browser.waitFor(
                d -> browser.all("#main[data-listening=true][data-kept=true]").isEmpty() ? null : true);
        browser.type(".now input[name=load]", "152.5");
        browser.press(Keys.TAB);
        sessions.amend(
                club.coach,
                club.lifter,
                club.plan().planned(0, 1),
                TestSettings.TODAY,
                UUID.randomUUID(),
                new Amendment.Shorten("B", 2),
                Optional.of("bar is needed"),
                "");
        browser.waitForText(".slots article[data-letter=B] .changed", "cut to 2");
        assertThat(browser.text(".now h2")).contains("set 1 of 3");
        assertThat(browser.find(".now input[name=load]").getAttribute("value")).isEqualTo("152.5");
        assertThat(browser.focused(".now input[name=reps]")).isTrue();
        browser.click(".now .picker button[value='8']");
        browser.waitForText(".now h2", "set 2 of 3");
        browser.waitFor(d -> logged(club) == 1 ? true : null);
        assertThat(club.plan()
                        .session(0, 1)
                        .orElseThrow()
                        .sets()
                        .get(0)
                        .set()
                        .load()
                        .in(MassUnit.KG))
                .isEqualByComparingTo("152.5");
    }

    @Test
    void aSlotIsLeftOutAndTakenInAgainWhereItStands() {
        signedIn("squat 3x5 75%", "bench-press 3x5 90kg");
        browser.click("#change-B");
        browser.type(".change input[name=reason]", "no bench free");
        browser.click(".change button[value=skip]");
        browser.waitForText(".slots article[data-letter=B] .changed", "no bench free");
        assertThat(browser.all(".change")).isEmpty();
        browser.assertSound();
        browser.click(".slots article[data-letter=B] .changed button");
        browser.waitFor(d -> browser.all(".changed").isEmpty() ? true : null);
        // and asked for once more by the same link
        browser.click("#change-B");
        browser.waitFor(d -> browser.all(".change").size() == 1 && browser.focused("#change-B") ? true : null);
        browser.assertSound();
        browser.click("#change-B");
        browser.waitFor(d -> browser.all(".change").isEmpty() ? true : null);
    }

    @Test
    void theFirstVisitTransfersLittleAndWhatIsTappedIsLarge() {
        signedIn("squat 1 @8 then 4x5 -20%", "bench-press 4x7 75%", "barbell-row 3x8 @7");
        browser.waitFor(
                d -> Boolean.TRUE.equals(browser.script("return document.getElementById('main').dataset.kept === 'true'"
                                + " && (await caches.keys()).some((key) => key.startsWith('yarbel-pages-'));"))
                        ? true
                        : null);
        // the sign-in before shared some files with it: what they weigh counts all the same
        long bytes = (Long)
                browser.script(
                        "const entries = performance.getEntriesByType('resource')"
                                + ".concat(performance.getEntriesByType('navigation'));"
                                + "return entries.reduce((sum, entry) => sum + Math.max(entry.transferSize, entry.encodedBodySize), 0);");
        assertThat(bytes).isBetween(50_000L, FIRST_VISIT_BYTES);
        assertThat((String) browser.script("return performance.getEntriesByType('navigation')[0].encodedBodySize"
                        + " < performance.getEntriesByType('navigation')[0].decodedBodySize ? 'compressed' : 'plain';"))
                .isEqualTo("compressed");
        assertThat((Long) browser.script("return Array.from(document.querySelectorAll('.now button, .now summary'))"
                        + ".filter((e) => e.offsetParent !== null && !e.matches('.textact, .card > summary')"
                        + " && e.getBoundingClientRect().height < 43.5).length;"))
                .as("targets under 44 px")
                .isZero();
        browser.assertSound();
    }

    /** A page that was kept before an upgrade lacks what the new script asks for. */
    @Test
    void pagesKeptInAnotherShapeAreGivenUp() {
        signedIn("squat 3x5 75%");
        browser.script("const name = 'yarbel-pages-' + document.body.dataset.account;"
                + "await (await caches.open(name)).put('/floor', new Response('before'));");
        browser.open(browser.address());
        browser.waitFor(d -> Boolean.TRUE.equals(browser.script(
                        "const kept = (await caches.keys()).filter((key) => key.startsWith('yarbel-pages-'));"
                                + "return kept.length === 1"
                                + " && kept[0] !== 'yarbel-pages-' + document.body.dataset.account;"))
                ? true
                : null);
    }

    @Test
    void theRestRunsByItselfAndOutlivesAReload() {
        TestClub club = signedIn("squat 3x5 75% rest 240", "bench-press 3x5 75%");
        browser.click(".stair .step.top");
        browser.waitForText(".now h2", "set 1 of 3");
        browser.click(".now .picker button[value='8']");
        browser.waitForText("#restbar", "Rest");
        browser.waitFor(d -> logged(club) == 1 ? true : null);
        browser.open(club.url("/floor"));
        browser.waitForText("#restbar", "Rest");
        browser.waitForText("#restface", "3:");
        // a clock that was started long ago says so, whatever ticked meanwhile
        browser.script("for (const key of Object.keys(localStorage)) { if (key.startsWith('rest ')) {"
                + " const rest = JSON.parse(localStorage.getItem(key)); rest.from = Date.now() - 231000;"
                + " localStorage.setItem(key, JSON.stringify(rest)); } }");
        browser.waitForText("#restbar", "Set up");
        browser.click("#restbar [data-clock=silence]");
        assertThat(browser.find("#restbar [data-clock=silence]").getAttribute("aria-pressed"))
                .isEqualTo("true");
        browser.click("#restbar [data-clock=skip]");
        assertThat(browser.all("#restbar[hidden]")).hasSize(1);
        browser.assertSound();
    }

    @Test
    void clustersAndSinglesAgainstTheClockAreCountedFromTheirTimestamps() {
        signedIn("squat 3x(5x1 20s) 85%", "bench-press 10x1 in 10min gap 30 100kg");
        browser.click(".stair .step.top");
        browser.waitForText(".now h2", "set 1 of 3");
        browser.click(".now [data-clock=start]");
        browser.waitForText(".now .clocksays", "set 1/5");
        // the clock is held at this moment until it is seen, however long this machine takes to draw it
        browser.waitFor(d -> {
            clocksStartedBefore(36_000);
            return browser.text(".now .clocksays").contains("set 2/5 · Set up") ? true : null;
        });
        clocksStartedBefore(106_000);
        browser.waitForText(".now .clocksays", "Time");
        browser.click(".now .verdict button[value=done]");
        browser.waitForText(".now h2", "set 2 of 3");

        browser.click(".slots article[data-letter=B] [data-go]");
        browser.waitForText(".now h2", "B Bench press");
        while (browser.text(".now h2").contains("warm-up")) {
            String before = browser.text(".now h2");
            browser.pressUntil(() -> browser.click(".now button.wide[value=easy]"), () -> !browser.text(".now h2")
                    .equals(before));
        }
        browser.click(".now [data-clock=start]");
        browser.waitForText(".now .clocksays", "0/10 made");
        browser.click(".now .verdict button[value=done]");
        browser.waitForText(".now h2", "set 2 of 10");
        browser.waitForText(".now .clocksays", "1/10 made");
        assertThat(browser.text(".now .clocksays")).contains("Rest 0:", "1:0");
        // a miss ends it
        browser.click(".now .verdict button[value=missed]");
        browser.waitFor(
                d -> browser.all(".now").isEmpty() || !browser.text(".now h2").contains("B Bench") ? true : null);
    }

    /** As if so much time had passed, however long this machine took meanwhile. */
    private void clocksStartedBefore(int millis) {
        browser.script(
                "for (const key of Object.keys(localStorage)) { if (key.startsWith('clock ')) {"
                        + " const run = JSON.parse(localStorage.getItem(key)); run.start = Date.now() - given[0];"
                        + " localStorage.setItem(key, JSON.stringify(run)); } }",
                millis);
    }

    @Test
    void platesAreTappedAndTheLoadFollows() {
        signedIn("squat 1x5 100kg");
        browser.click(".stair .step.top");
        browser.waitForText(".now h2", "set 1 of 1");
        browser.click("[data-rack=open]");
        browser.click(".rackplates .plate:not(.on)[data-plate='3']");
        // a pair of 10 kg more
        assertThat(browser.find(".now input[name=load]").getAttribute("value")).isEqualTo("120");
        assertThat(browser.text(".now .load")).isEqualTo("120 kg");
        int off = Integer.parseInt(browser.text(".rackplates .plate.on").substring(1));
        browser.click(".rackplates .plate.on");
        assertThat(browser.find(".now input[name=load]").getAttribute("value"))
                .isEqualTo(String.valueOf(120 - 2 * off));
    }
}
