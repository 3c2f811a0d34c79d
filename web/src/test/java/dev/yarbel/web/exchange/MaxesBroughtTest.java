package dev.yarbel.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.LiftRecord;
import dev.yarbel.web.roster.Roster;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMultipartHttpServletRequestBuilder;

/** A coach brings the maxes and body masses of their lifters as a table. */
@YarbelTest
class MaxesBroughtTest {

    private static final Lift BENCH = Lift.BENCH_PRESS;

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Book book;

    @Autowired
    private Roster roster;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;
    private final Map<String, String> said = new HashMap<>();

    @BeforeEach
    void gather() {
        club = clubs.club();
        said.put("kind", "CONTEST");
        said.put("on", "2026-02-01");
        said.put("unit", "KG");
    }

    private MockHttpServletResponse send(String path, String text, byte[] file) throws Exception {
        MockMultipartHttpServletRequestBuilder request =
                multipart(path).file(new MockMultipartFile("file", "maxes", "text/csv", file));
        said.forEach(request::param);
        return mvc.perform(request.param("text", text).with(club.asCoach()).with(csrf()))
                .andReturn()
                .getResponse();
    }

    private Document look(String text) throws Exception {
        MockHttpServletResponse answer = send("/exchange/maxes", text, new byte[0]);
        Document page = Jsoup.parse(answer.getContentAsString(StandardCharsets.UTF_8));
        Optional.ofNullable(page.selectFirst("input[name=seen]")).ifPresent(seen -> said.put("seen", seen.val()));
        return page;
    }

    /** Takes in what was looked at, as the page sends it. */
    private void take(String text) throws Exception {
        look(text);
        assertThat(send("/exchange/maxes/take", text, new byte[0]).getStatus()).isEqualTo(302);
    }

    private List<RecordedMax> maxes(Lift lift) {
        return book.standing(club.lifter).of(lift).map(LiftRecord::maxes).orElse(List.of());
    }

    private Optional<Mass> bodyMass() {
        return roster.lifter(club.coach, club.lifter.id()).bodyMass();
    }

    private String table(String cells) {
        return "Name\tBW\tBench press\tDeadlift\n" + club.lifter.name().toUpperCase(Locale.ROOT) + "\t" + cells;
    }

    @Test
    void whatWasLookedAtComesInAndGoesAgainInOneStep() throws Exception {
        String text = table("82,5\t120\t190x3") + "\nNobody Known\t80\t100\t";
        Document page = look(text);
        assertThat(page.select(".result").text()).isEqualTo("3 figures.");
        assertThat(page.select(".troublelines tbody tr").eachText())
                .singleElement()
                .asString()
                .contains("Nobody Known", "Take them on first");
        assertThat(maxes(BENCH)).as("nothing is written by looking").isEmpty();
        take(text);
        assertThat(maxes(BENCH)).singleElement().satisfies(max -> {
            assertThat(max.load()).isEqualTo(Mass.ofKg(120));
            assertThat(max.kind()).isEqualTo(RecordedMax.Kind.CONTEST);
            assertThat(max.on()).isEqualTo("2026-02-01");
        });
        assertThat(maxes(Lift.DEADLIFT)).singleElement().satisfies(max -> {
            assertThat(max.kind()).isEqualTo(RecordedMax.Kind.REP_MAX);
            assertThat(max.reps()).isEqualTo(3);
        });
        assertThat(bodyMass()).contains(Mass.of("82.5", MassUnit.KG));
        assertThat(workingMax(BENCH)).as("a first max makes a working max").isPresent();
        takeBack();
        assertThat(maxes(BENCH)).isEmpty();
        assertThat(maxes(Lift.DEADLIFT)).isEmpty();
        assertThat(bodyMass()).isEmpty();
        assertThat(workingMax(BENCH)).isEmpty();
        take(text);
        assertThat(maxes(BENCH)).hasSize(1);
    }

    private Optional<Mass> workingMax(Lift lift) {
        return book.standing(club.lifter).of(lift).flatMap(LiftRecord::workingMax);
    }

    private void takeBack() throws Exception {
        long id = jdbc.sql("select max(id) from maxes_import where club_id = ?")
                .param(club.lifter.clubId())
                .query(Long.class)
                .single();
        for (int twice = 0; twice < 2; twice++) {
            assertThat(mvc.perform(post("/exchange/maxes/" + id + "/take-back")
                                    .with(club.asCoach())
                                    .with(csrf()))
                            .andReturn()
                            .getResponse()
                            .getStatus())
                    .isEqualTo(302);
        }
    }

    /** A working max that the coach moved since is theirs. */
    @Test
    void whatWasMovedSinceStays() throws Exception {
        take(table("\t120\t"));
        jdbc.sql("update lift_numbers set working_max = 111 where lifter_id = ? and lift = 'bench-press'")
                .param(club.lifter.id())
                .update();
        takeBack();
        assertThat(workingMax(BENCH)).contains(Mass.ofKg(111));
        assertThat(maxes(BENCH)).isEmpty();
    }

    @Test
    void theSameTableTwiceAddsNothing() throws Exception {
        String text = table("82,5\t120\t190x3");
        take(text);
        Document page = look(text);
        assertThat(page.select(".result").text()).isEqualTo("Nothing new; 3 are on record already.");
        assertThat(page.select("button[formaction$=take]")).isEmpty();
        take(text);
        assertThat(maxes(BENCH)).hasSize(1);
        // the same in one table
        take(table("\t121\t") + "\n" + club.lifter.name() + "\t\t121\t");
        assertThat(maxes(BENCH)).hasSize(2);
    }

    @Test
    void poundsAmongKilogramsAreAskedAbout() throws Exception {
        take(table("82\t120\t"));
        String slip = table("181\t265\t");
        Document page = look(slip);
        assertThat(page.select(".result").text()).isEqualTo("Nothing new.");
        assertThat(page.text()).contains("pounds, or kilograms? Last: 120 kg", "pounds, or kilograms? Last: 82 kg");
        said.put("unit", "LB");
        assertThat(look(slip).select(".result").text()).isEqualTo("2 figures.");
        said.put("unit", "KG");
        said.put("slips", "true");
        take(slip);
        assertThat(maxes(BENCH)).hasSize(2);
    }

    /** Of whom nothing was set down, the working max says what is far off; so does the last body mass. */
    @Test
    void whatIsFarFromWhatIsKnownIsAskedAbout() throws Exception {
        jdbc.sql("delete from recorded_max where lifter_id = ?")
                .param(club.lifter.id())
                .update();
        String text = "Name\tSquat\n" + club.lifter.name() + "\t440";
        Document page = look(text);
        assertThat(page.select(".result").text()).isEqualTo("Nothing new.");
        assertThat(page.text()).contains("pounds, or kilograms? Last: 200 kg");
        assertThat(look("Name\tSquat\n" + club.lifter.name() + "\t20").text()).contains("far from the last, 200 kg");
        assertThat(look("Name\tSquat\n" + club.lifter.name() + "\t205")
                        .select(".result")
                        .text())
                .isEqualTo("1 figure.");
        // ten repetitions speak for a single that is near
        assertThat(look("Name\tSquat\n" + club.lifter.name() + "\t150x10")
                        .select(".result")
                        .text())
                .isEqualTo("1 figure.");
    }

    /** Whatever was changed since the look is looked at once more before anything is written. */
    @Test
    void whatWasNotLookedAtIsNotTaken() throws Exception {
        look(table("\t120\t"));
        MockHttpServletResponse answer = send("/exchange/maxes/take", table("\t125\t"), new byte[0]);
        assertThat(answer.getStatus()).isEqualTo(200);
        assertThat(answer.getContentAsString()).contains("You changed something", "125 kg");
        assertThat(maxes(BENCH)).isEmpty();
    }

    @Test
    void whatCannotBeReadIsSaidAndWhatWasTypedStays() throws Exception {
        assertThat(look("just words").select("textarea").val()).isEqualTo("just words");
        said.remove("kind");
        Document page = look(table("\t120\t"));
        assertThat(page.select("#maxes-kind-says").text()).isEqualTo("Say what these maxes are.");
        assertThat(page.select("textarea").val()).contains("120");
        said.put("kind", "GOAL");
        assertThat(look(table("\t120\t")).select("#maxes-kind-says")).isNotEmpty();
        said.put("kind", "TESTED");
        assertThat(look(table("15\t0\t")).select(".troublelines tbody tr").eachText())
                .containsExactly("2 15 A body mass is 20 to 350 kg.", "2 0 A max is above nothing and up to 1000 kg.");
        said.remove("on");
        assertThat(look(table("\t120\t")).text()).contains("No date stands here, and none is said above.");
        assertThat(look("").select("#maxes-file-says")).isNotEmpty();
    }

    /** A file is read into the text, where it can be put right. */
    @Test
    void aFileBecomesTheText() throws Exception {
        String csv = "Name;Bankdrücken;Körpergewicht\r\n" + club.lifter.name() + ";102,5;82,5\r\n";
        MockHttpServletResponse answer = send("/exchange/maxes", "", csv.getBytes(Charset.forName("windows-1252")));
        Document page = Jsoup.parse(answer.getContentAsString(StandardCharsets.UTF_8));
        assertThat(page.select("textarea").val()).contains(club.lifter.name() + "\t102,5\t82,5");
        assertThat(page.select(".result").text()).isEqualTo("2 figures.");
        assertThat(send("/exchange/maxes", "", "%PDF-1.7".getBytes(StandardCharsets.US_ASCII))
                        .getStatus())
                .isEqualTo(422);
    }

    /** What goes out as maxes comes back as nothing new. */
    @Test
    void whatIsTakenAlongIsKnown() throws Exception {
        take(table("82,5\t120\t190x3"));
        String csv = mvc.perform(get("/exchange/maxes.csv").with(club.asCoach()))
                .andReturn()
                .getResponse()
                .getContentAsString(StandardCharsets.UTF_8);
        Document page = look(csv.substring(1));
        assertThat(page.select(".result").text()).startsWith("Nothing new");
        assertThat(page.select(".troublelines")).isEmpty();
    }

    @Test
    void nobodyReachesAnothersLifters() throws Exception {
        TestClub other = clubs.club();
        Document page = look("Name\tBench\n" + other.lifter.name() + "\t120");
        assertThat(page.select(".result").text()).isEqualTo("Nothing new.");
        take(table("\t120\t"));
        long id = jdbc.sql("select max(id) from maxes_import where club_id = ?")
                .param(club.lifter.clubId())
                .query(Long.class)
                .single();
        mvc.perform(post("/exchange/maxes/" + id + "/take-back")
                .with(other.asCoach())
                .with(csrf()));
        assertThat(maxes(BENCH)).hasSize(1);
    }
}
