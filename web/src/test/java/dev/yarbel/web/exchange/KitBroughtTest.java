package dev.yarbel.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
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

/** A coach brings a list of a gym's kit: seen first, added as a whole, taken away as a whole. */
@YarbelTest
class KitBroughtTest {

    private static final String LIST = """
            Item;Weight (lb);Count
            Plates;45;8
            ;0.5 kg;2 pairs
            Safety bar;65;
            Atlas stone;220;1
            """;

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;
    private final Map<String, String> said = new HashMap<>();

    @BeforeEach
    void gather() {
        club = clubs.club();
        said.put("gym", String.valueOf(club.gym));
    }

    private MockHttpServletResponse send(String path, String text) throws Exception {
        MockMultipartHttpServletRequestBuilder request =
                multipart(path).file(new MockMultipartFile("file", "kit", "text/csv", new byte[0]));
        said.forEach(request::param);
        return mvc.perform(request.param("text", text).with(club.asCoach()).with(csrf()))
                .andReturn()
                .getResponse();
    }

    private static Document page(MockHttpServletResponse answer) throws Exception {
        return Jsoup.parse(answer.getContentAsString(StandardCharsets.UTF_8));
    }

    private Document look(String text) throws Exception {
        MockHttpServletResponse answer = send("/exchange/kit", text);
        assertThat(answer.getStatus()).isEqualTo(200);
        return page(answer);
    }

    private void take(String text) throws Exception {
        said.put("seen", look(text).selectFirst("[name=seen]").val());
        assertThat(send("/exchange/kit/take", text).getStatus()).isEqualTo(302);
    }

    private List<String> pieces() {
        return jdbc.sql("""
                        select shelf || ' ' || coalesce(fields ->> 'NAME', '') || ' ' || coalesce(fields ->> 'MASS', '') || ' '
                          || coalesce(fields ->> 'COUNT', '') from piece where gym_id = ? and removed_at is null order by id""").param(club.gym).query(String.class).list();
    }

    @Test
    void aListIsSeenFirstAndThenAdded() throws Exception {
        int before = pieces().size();
        assertThat(look(LIST).select(".result").text()).isEqualTo("4 rows.");
        assertThat(pieces()).hasSize(before);

        take(LIST);

        assertThat(pieces().subList(before, before + 4))
                .satisfiesExactly(
                        plates -> assertThat(plates)
                                .startsWith("PLATES")
                                .contains("45 lb")
                                .endsWith("8"),
                        small -> assertThat(small).contains("0.5 kg").endsWith("4"),
                        bar -> assertThat(bar)
                                .startsWith("BARS")
                                .contains("safety bar")
                                .contains("65 lb"),
                        stone -> assertThat(stone).startsWith("PIECES").contains("220 lb"));
    }

    @Test
    void whatEachRowBecomesIsToldWithItsMassAndItsNumber() throws Exception {
        Document look = look("""
                Item,Name,kg,Count
                Plate,,0.5,2 pairs
                Bar,Stiff bar,20,1
                Bar,,15,2
                Stone,Old grey stone,110,
                Dumbbell,,22.5,x
                """);

        assertThat(look.select(".sampleread td:last-child").eachText())
                .containsExactly(
                        "0.5 kg × 4",
                        "Stiff bar, 20 kg",
                        "bar, 15 kg; one comes in, its number is not kept",
                        "Old grey stone, 110 kg",
                        "dumbbells, 22.5 kg; one comes in, its number is not kept");
    }

    @Test
    void theSameListTwiceAddsNothingAndIsTakenAwayAsAWhole() throws Exception {
        int before = pieces().size();
        take(LIST);
        assertThat(look(LIST).select(".result").text()).isEqualTo("Nothing new; 4 are there already.");

        String back = page(mvc.perform(get("/exchange/kit").with(club.asCoach()))
                        .andReturn()
                        .getResponse())
                .selectFirst("form[action$=/take-back]")
                .attr("action");
        mvc.perform(post(back).with(clubs.club().asCoach()).with(csrf()));
        assertThat(pieces()).as("by another club's coach").hasSize(before + 4);
        mvc.perform(post(back).with(club.asCoach()).with(csrf()));
        mvc.perform(post(back).with(club.asCoach()).with(csrf()));
        assertThat(pieces()).hasSize(before);
    }

    @Test
    void whatCannotBeKeptStaysOutAndIsTold() throws Exception {
        int before = pieces().size();
        String list = """
                Item,kg,Count
                Canoe,80,1
                Plate,heavy,4
                Plate,0.25,
                Plate,0.75,4
                Plate,0.75,4
                """;

        Document look = look(list);

        assertThat(look.select(".result").text()).isEqualTo("1 row; 1 is there already.");
        assertThat(look.select(".sampleread .stop")).hasSize(3).allSatisfy(cell -> assertThat(cell.text())
                .isNotBlank());
        take(list);
        assertThat(pieces()).hasSize(before + 1);
    }

    @Test
    void anotherClubsGymIsNone() throws Exception {
        said.put("gym", String.valueOf(clubs.club().gym));

        assertThat(send("/exchange/kit", LIST).getStatus()).isEqualTo(404);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "Colour;Size\nred;4", "just words"})
    void whatIsNoListIsToldBesideTheText(String text) throws Exception {
        MockHttpServletResponse answer = send("/exchange/kit", text);

        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(page(answer).select(".bad")).hasSize(1);
    }

    @Test
    void theGymIsAskedFor() throws Exception {
        said.put("gym", "");

        MockHttpServletResponse answer = send("/exchange/kit", LIST);

        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(page(answer).selectFirst("textarea[name=text]").wholeText()).contains("Atlas stone");
    }

    @Test
    void whatWasChangedSinceIsLookedAtOnceMore() throws Exception {
        int before = pieces().size();
        said.put("seen", look(LIST).selectFirst("[name=seen]").val());

        assertThat(send("/exchange/kit/take", LIST.replace("220", "240")).getStatus())
                .isEqualTo(200);
        assertThat(pieces()).hasSize(before);
    }
}
