package dev.yarbel.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMultipartHttpServletRequestBuilder;

/** A coach brings a list of lifters: seen first, taken on as a whole, put away as a whole, and nothing made up. */
@YarbelTest
class RosterBroughtTest {

    private static final String LIST = """
            Name;Sex;Born;Sport;Body mass (lb);Gym;Days
            Low, Ada;f;12.03.1994;Powerlifting;165;Gym;3
            Bo Quay;m;1988;strongman;;;
            """;

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Roster roster;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;
    private final Map<String, String> said = new HashMap<>();

    @BeforeEach
    void gather() {
        club = clubs.club();
        said.put("unit", "KG");
        said.put("on", "2026-03-01");
    }

    private MockHttpServletResponse send(String path, String text, byte[] file) throws Exception {
        MockMultipartHttpServletRequestBuilder request =
                multipart(path).file(new MockMultipartFile("file", "list", "text/csv", file));
        said.forEach(request::param);
        return mvc.perform(request.param("text", text).with(club.asCoach()).with(csrf()))
                .andReturn()
                .getResponse();
    }

    private Document page(MockHttpServletResponse answer) throws Exception {
        return Jsoup.parse(answer.getContentAsString(StandardCharsets.UTF_8));
    }

    private Document look(String text) throws Exception {
        MockHttpServletResponse answer = send("/exchange/lifters", text, new byte[0]);
        assertThat(answer.getStatus()).isEqualTo(200);
        return page(answer);
    }

    private void take(String text) throws Exception {
        said.put("seen", look(text).selectFirst("[name=seen]").val());
        assertThat(send("/exchange/lifters/take", text, new byte[0]).getStatus())
                .isEqualTo(302);
    }

    private List<String> names() {
        return roster.lifters(club.coach).stream().map(LifterCard::name).toList();
    }

    private LifterCard named(String name) {
        long id = roster.lifters(club.coach).stream()
                .filter(card -> card.name().equals(name))
                .findFirst()
                .orElseThrow()
                .id();
        return roster.lifter(club.coach, id);
    }

    private String profile(String name, String column) {
        return jdbc.sql("select " + column + "::text from lifter where id = ?")
                .param(named(name).id())
                .query(String.class)
                .single();
    }

    private static List<String> rows(Document page, String table) {
        return page.select("table." + table + " tbody tr").eachText();
    }

    @Test
    void aListIsSeenFirstAndThenTakenOn() throws Exception {
        Document look = look(LIST);

        assertThat(look.select(".result").text()).isEqualTo("2 lifters.");
        assertThat(rows(look, "sampleread").get(0))
                .contains("Ada Low")
                .contains("Born in: 1994")
                .contains("74.84 kg");
        assertThat(names()).as("nobody yet").hasSize(1);

        take(LIST);

        assertThat(names()).contains("Ada Low", "Bo Quay").hasSize(3);
        LifterCard ada = named("Ada Low");
        assertThat(ada.unit()).isEqualTo(MassUnit.KG);
        assertThat(ada.birthYear()).contains(1994);
        // as it is kept, to ten grams of a kilogram's hundredth
        assertThat(ada.bodyMass().orElseThrow().distanceTo(Mass.ofLb(165))).isLessThan(Mass.of("0.01", MassUnit.KG));
        assertThat(profile("Ada Low", "days")).isEqualTo("3");
        assertThat(profile("Bo Quay", "sport")).isEqualTo("STRONGMAN");
        assertThat(jdbc.sql("select g.name from lifter_gym l join gym g on g.id = l.gym_id where l.lifter_id = ?")
                        .param(ada.id())
                        .query(String.class)
                        .list())
                .containsExactly("Gym");
    }

    @Test
    void theSameListTwiceAddsNobody() throws Exception {
        take(LIST);

        Document again = look(LIST);

        assertThat(again.select(".result").text()).isEqualTo("Nobody new; 2 are in the club already.");
        assertThat(again.select("[formaction$=/take]")).isEmpty();
        take(LIST.replace("Bo Quay", "Cy Moor"));
        assertThat(names()).hasSize(4);
    }

    /** Somebody else's lifter, and one who was archived, are in the club too. */
    @Test
    void whoeverIsInTheClubIsKnown() throws Exception {
        take(LIST);
        mvc.perform(post("/lifters/" + named("Bo Quay").id() + "/archive")
                .with(club.asCoach())
                .with(csrf()));

        assertThat(rows(look(LIST), "sampleread").get(1)).contains("in the club already");
    }

    @Test
    void aListIsPutAwayAsAWholeAndOnce() throws Exception {
        take(LIST);
        long ada = named("Ada Low").id();
        Document page = page(mvc.perform(get("/exchange/lifters").with(club.asCoach()))
                .andReturn()
                .getResponse());
        String back = page.selectFirst("form[action$=/take-back]").attr("action");

        mvc.perform(post(back).with(clubs.club().asCoach()).with(csrf()));
        assertThat(names()).as("by another coach").hasSize(3);
        mvc.perform(post(back).with(club.asCoach()).with(csrf()));
        assertThat(names()).hasSize(1);
        mvc.perform(post("/lifters/" + ada + "/bring-back").with(club.asCoach()).with(csrf()));
        mvc.perform(post(back).with(club.asCoach()).with(csrf()));
        assertThat(names()).as("brought back since").contains("Ada Low");
    }

    @Test
    void whatCannotBeReadStaysOpenAndIsTold() throws Exception {
        said.remove("on");
        Document look = look("""
                Name,Sex,Born,Days,Height,Gym,Body mass
                Ada Low,x,94,nine,tall,Attic,75
                ,f,1990,,,,
                """);

        assertThat(rows(look, "troublelines")).hasSize(7).allSatisfy(row -> assertThat(row)
                .isNotBlank());
        assertThat(look.select("table.troublelines td:nth-child(2)").eachText())
                .containsExactlyInAnyOrder(
                        "Sex, for formulas", "Born in", "Days a week", "Height", "Gym", "Body mass", "Name");
        take("Name,Sex,Born,Days,Height,Gym,Body mass\nAda Low,x,94,nine,tall,Attic,75\n");
        LifterCard ada = named("Ada Low");
        assertThat(ada.sex()).isEmpty();
        assertThat(ada.birthYear()).isEmpty();
        assertThat(ada.bodyMass()).isEmpty();
    }

    @Test
    void twoOfOneNameAreToldApartFirst() throws Exception {
        Document look = look("Name\nAda Low\nADA  LOW\n");

        assertThat(look.select(".result").text()).isEqualTo("1 lifter.");
        assertThat(rows(look, "sampleread").get(1)).contains("further up");
    }

    @Test
    void whatWasChangedSinceIsLookedAtOnceMore() throws Exception {
        said.put("seen", look(LIST).selectFirst("[name=seen]").val());

        MockHttpServletResponse answer = send("/exchange/lifters/take", LIST.replace("Bo", "Bob"), new byte[0]);

        assertThat(answer.getStatus()).isEqualTo(200);
        assertThat(page(answer).text()).contains("Bob Quay");
        assertThat(names()).hasSize(1);
    }

    /** As a spreadsheet saves it on an older machine; the text stays on the page to be put right. */
    @Test
    void aFileIsReadInItsEncodingAndStaysAsText() throws Exception {
        MockHttpServletResponse answer = send(
                "/exchange/lifters",
                "",
                "Name;Beruf\r\nJürgen Groß;Möbelträger\r\n".getBytes(Charset.forName("windows-1252")));

        Element text = page(answer).selectFirst("textarea[name=text]");
        assertThat(text.val()).contains("Jürgen Groß\tMöbelträger");
        take(text.val());
        assertThat(profile("Jürgen Groß", "job")).isEqualTo("Möbelträger");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "   ", "Colour,Size\nred,4", "these are only words of a letter to the club"})
    void whatIsNoListIsToldBesideTheText(String text) throws Exception {
        MockHttpServletResponse answer = send("/exchange/lifters", text, new byte[0]);

        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(page(answer).select(".bad")).hasSize(1);
        assertThat(names()).hasSize(1);
    }

    @Test
    void moreThanACoachHasAreTooMany() throws Exception {
        StringBuilder many = new StringBuilder("Name\n");
        for (int at = 0; at < 501; at++) {
            many.append("Lifter ").append(at).append('\n');
        }

        assertThat(send("/exchange/lifters", many.toString(), new byte[0]).getStatus())
                .isEqualTo(422);
    }

    @Test
    void aNameNobodyCanHaveIsRefused() throws Exception {
        Document look = look("Name\n" + "x".repeat(200) + "\nAda Low\n");

        assertThat(look.select(".result").text()).isEqualTo("1 lifter.");
        assertThat(rows(look, "sampleread").get(0)).contains("not to be taken on");
        take("Name\n" + "x".repeat(200) + "\nAda Low\n");
        assertThat(names()).contains("Ada Low").hasSize(2);
    }
}
