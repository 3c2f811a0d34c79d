package dev.yarbel.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;

import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMultipartHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.RequestPostProcessor;

/** Whoever brings a small table says what its columns hold, on the page, and the next one of its shape is read so. */
@YarbelTest
class ColumnsSaidTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    private TestClub club;

    @BeforeEach
    void gather() {
        club = clubs.club();
    }

    private MockHttpServletResponse send(String path, Map<String, String> said, byte[] file, RequestPostProcessor who)
            throws Exception {
        MockMultipartHttpServletRequestBuilder request =
                multipart(path).file(new MockMultipartFile("file", "table", "text/csv", file));
        said.forEach(request::param);
        return mvc.perform(request.with(who).with(csrf())).andReturn().getResponse();
    }

    private MockHttpServletResponse send(String path, Map<String, String> said) throws Exception {
        return send(path, said, new byte[0], club.asCoach());
    }

    private static Document page(MockHttpServletResponse answer) throws Exception {
        return Jsoup.parse(answer.getContentAsString(StandardCharsets.UTF_8));
    }

    /** All that a page would send if somebody pressed a button of its form. */
    private static Map<String, String> shown(Document page) {
        Map<String, String> shown = new LinkedHashMap<>();
        ((FormElement) page.selectFirst("form[enctype]"))
                .formData()
                .forEach(field -> shown.put(field.key(), field.value()));
        shown.put("text", page.selectFirst("textarea").wholeText());
        shown.keySet().removeAll(List.of("_csrf", "file"));
        return shown;
    }

    private static List<String> held(Document page) {
        return page.select("select[name^=holds]").stream()
                .map(select -> select.select("option[selected]").val())
                .toList();
    }

    private Map<String, String> table(String text) {
        return new LinkedHashMap<>(Map.of(
                "text", text,
                "unit", "KG",
                "kind", "TESTED",
                "on", "2026-03-01",
                "order", "DAY_FIRST",
                "gym", String.valueOf(club.gym),
                "lifter", String.valueOf(club.lifter.id()),
                "name", "As brought",
                "start", "2031-01-06",
                "weekdays", "MONDAY"));
    }

    /** Of each kind a table that cannot be read as it stands, what is to be said of it, and the words of one that came in. */
    static Stream<Arguments> kinds() {
        return Stream.of(
                Arguments.of("lifters", "Wer;Wt\nWren Halloway;80", List.of("name", "body"), "Wren Halloway"),
                Arguments.of("kit", "Zeug;Wucht\nZug;25", List.of("kind", "mass"), ""),
                Arguments.of("maxes", "Wer;KB\nTest Lifter;150", List.of("lifter", "max:squat"), ""),
                Arguments.of("plans", "Was;Eins\nSquat;schwer\nSquat;5x5 @ 100", List.of("lift", "week-1"), "5x5"));
    }

    @ParameterizedTest
    @MethodSource("kinds")
    void whatIsSaidOfColumnsIsKeptOnThePage(String kind, String text, List<String> said, String shows)
            throws Exception {
        String path = "/exchange/" + kind;
        Document refused = page(send(path, table(text)));
        assertThat(held(refused))
                .as("columns are shown where they are not understood")
                .hasSize(2);

        Map<String, String> again = table(text);
        again.putAll(shown(refused));
        for (int at = 0; at < said.size(); at++) {
            again.put("holds[" + at + "]", said.get(at));
        }
        MockHttpServletResponse answer = send(path, again);
        assertThat(answer.getStatus()).isEqualTo(200);
        Document looked = page(answer);

        assertThat(held(looked)).isEqualTo(said);
        assertThat(looked.selectFirst("#main").text()).contains(shows);
    }

    @Test
    void theNextTableOfTheShapeIsReadTheSameWay() throws Exception {
        Map<String, String> first = table("Wer;Wt;Seit\nWren Halloway;80;2015");
        first.putAll(shown(page(send("/exchange/lifters", first))));
        first.putAll(Map.of("holds[0]", "name", "holds[1]", "body", "holds[2]", ""));
        MockHttpServletResponse looked = send("/exchange/lifters", first);
        assertThat(looked.getStatus()).isEqualTo(200);
        assertThat(send("/exchange/lifters/take", shown(page(looked))).getStatus())
                .isEqualTo(302);

        Map<String, String> next = table("WER; wt ;Seit\nAda Brook;70;2016");
        Document read = page(send("/exchange/lifters", next));
        assertThat(held(read)).containsExactly("name", "body", "");
        assertThat(read.select("table.sampleread tbody").text())
                .contains("Ada Brook")
                .contains("70 kg");

        TestClub other = clubs.club();
        assertThat(held(page(send("/exchange/lifters", next, new byte[0], other.asCoach()))))
                .as("what one club says is not another's")
                .containsExactly("name", "", "born");
    }

    @Test
    void whatWasSaidOfAnotherShapeIsNotHeld() throws Exception {
        Map<String, String> said = table("Name;Sex\nWren Halloway;f");
        said.putAll(shown(page(send("/exchange/lifters", said))));
        said.put("holds[1]", "");
        said.put("text", "Name;Born\nWren Halloway;1994");

        assertThat(held(page(send("/exchange/lifters", said)))).containsExactly("name", "born");
    }

    @Test
    void columnsChangedAfterTheLookAreLookedAtOnceMore() throws Exception {
        Map<String, String> said = table("Name;Sex\nWren Halloway;f");
        said.putAll(shown(page(send("/exchange/lifters", said))));
        said.put("holds[1]", "");

        MockHttpServletResponse answer = send("/exchange/lifters/take", said);

        assertThat(answer.getStatus()).isEqualTo(200);
        assertThat(page(answer).select(".watch").text()).contains("You changed something");
    }

    @Test
    void aFileThatIsNotUnderstoodStaysAsTextWithWhatWasTyped() throws Exception {
        Map<String, String> said = table("");
        MockHttpServletResponse answer = send(
                "/exchange/lifters", said, "Wer\tWo\nWren\tHalle".getBytes(StandardCharsets.UTF_8), club.asCoach());

        assertThat(answer.getStatus()).isEqualTo(422);
        Document page = page(answer);
        assertThat(page.selectFirst("textarea").text()).contains("Wren");
        assertThat(page.selectFirst("[name=on]").val()).isEqualTo("2026-03-01");
        assertThat(held(page)).hasSize(2);
        assertThat(page.select("[name=shape]").val()).isEqualTo("wer|wo");
    }

    @Test
    void troubleElsewhereKeepsWhatWasSaidOfColumns() throws Exception {
        Map<String, String> said = table("Wer;Wt\nWren Halloway;80");
        said.putAll(shown(page(send("/exchange/lifters", said))));
        said.putAll(Map.of("holds[0]", "name", "holds[1]", "body", "on", "2099-01-01"));

        MockHttpServletResponse answer = send("/exchange/lifters", said);

        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(held(page(answer))).containsExactly("name", "body");
    }

    @Test
    void whatNoColumnCanHoldIsNothing() throws Exception {
        Map<String, String> said = table("Name;Sex\nWren Halloway;f");
        said.putAll(shown(page(send("/exchange/lifters", said))));
        said.put("holds[1]", "password");

        assertThat(held(page(send("/exchange/lifters", said)))).containsExactly("name", "");
    }

    @Test
    void aListOfMereNamesIsTakenForOneAndSaidToBeAGuess() throws Exception {
        Document page = page(send("/exchange/lifters", table("Ada Brook\nWren Halloway")));

        assertThat(held(page)).containsExactly("name");
        assertThat(page.select("table.sampleread tbody tr")).hasSize(2);
        assertThat(page.select("details .watch").text()).contains("It is taken from what stands in them");
    }

    @Test
    void whatIsSaidOfATableWithoutHeadsIsOnlyOfThatOne() throws Exception {
        Map<String, String> first = table("Wren Halloway;w\nAda Brook;w");
        first.putAll(shown(page(send("/exchange/lifters", first))));
        first.put("holds[1]", "");
        MockHttpServletResponse looked = send("/exchange/lifters", first);
        assertThat(send("/exchange/lifters/take", shown(page(looked))).getStatus())
                .isEqualTo(302);

        assertThat(held(page(send("/exchange/lifters", table("Bo Quay;m\nIda Sorn;w")))))
                .containsExactly("name", "sex");
    }
}
