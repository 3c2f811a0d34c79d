package dev.yarbel.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;

import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.Program;
import dev.yarbel.web.YarbelTest;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.TreeMap;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMultipartHttpServletRequestBuilder;

/** Whatever is said beside a table that comes in: when it is changed after the look, it is looked at once more before anything is kept. */
@YarbelTest
class LookedAtTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    private MockHttpServletResponse send(TestClub club, String path, Map<String, String> said) throws Exception {
        MockMultipartHttpServletRequestBuilder request =
                multipart("/exchange/" + path).file(new MockMultipartFile("file", "table", "text/csv", new byte[0]));
        said.forEach(request::param);
        return mvc.perform(request.with(club.asCoach()).with(csrf()))
                .andReturn()
                .getResponse();
    }

    private static Document page(MockHttpServletResponse answer) throws Exception {
        return Jsoup.parse(answer.getContentAsString(StandardCharsets.UTF_8));
    }

    @ParameterizedTest(name = "{0}: {3}")
    @CsvSource({
        "kit, Item;kg/Plate;0.5, gym=GYM, gym=GYM2",
        "lifters, Name;Body mass/Wren Ash;70, unit=KG&on=2026-03-01, unit=LB",
        "lifters, Name;Body mass/Wren Ash;70, unit=KG&on=2026-03-01, on=2026-02-28",
        "maxes, Lifter;Squat/NAME;150, kind=CONTEST&on=2026-02-01&unit=KG, kind=TESTED",
        "maxes, Lifter;Squat/NAME;150, kind=CONTEST&on=2026-02-01&unit=KG, on=2026-02-02",
        "maxes, Lifter;Squat/NAME;150, kind=CONTEST&on=2026-02-01&unit=KG, unit=LB",
        "maxes, Lifter;Squat/NAME;150, kind=CONTEST&on=2026-02-01&unit=KG, slips=true",
        "plans, Exercise;Week 1/Squat;3x5 @8, lifter=LIFTER&name=Spring&start=2026-06-01&weekdays=MONDAY, lifter=OTHER",
        "plans, Exercise;Week 1/Squat;3x5 @8, lifter=LIFTER&name=Spring&start=2026-06-01&weekdays=MONDAY, start=2026-06-08",
        "plans, Exercise;Week 1/Squat;3x5 @8, lifter=LIFTER&name=Spring&start=2026-06-01&weekdays=MONDAY, name=Autumn",
        "plans, Exercise;Week 1/Squat;3x5 @8, lifter=LIFTER&name=Spring&start=2026-06-01&weekdays=MONDAY, weekdays=FRIDAY"
    })
    void whatIsSaidOfATableIsPartOfWhatWasLookedAt(String path, String table, String says, String changes)
            throws Exception {
        TestClub club = clubs.club();
        Map<String, String> ours = Map.of(
                "GYM2",
                Program.of(mvc, jdbc, club.coach)
                        .post("/gyms", "{\"name\":\"Quarry\",\"unit\":\"KG\"}")
                        .json()
                        .get("id")
                        .asString(),
                "GYM",
                String.valueOf(club.gym),
                "LIFTER",
                String.valueOf(club.lifter.id()),
                "OTHER",
                String.valueOf(clubs.grow(club, 1, 3, 1).id()));
        Map<String, String> said = new TreeMap<>();
        said.put("text", table.replace('/', '\n').replace("NAME", club.lifter.name()));
        fill(said, says, ours);
        Document look = page(send(club, path, said));
        said.put("seen", look.selectFirst("[name=seen]").val());

        Map<String, String> changed = new TreeMap<>(said);
        fill(changed, changes, ours);
        MockHttpServletResponse again = send(club, path + "/take", changed);

        assertThat(again.getStatus()).isEqualTo(200);
        assertThat(page(again).select("p.watch")).isNotEmpty();
        assertThat(send(club, path + "/take", said).getStatus())
                .as("as it was looked at")
                .isEqualTo(302);
    }

    private static void fill(Map<String, String> said, String says, Map<String, String> ours) {
        for (String one : says.split("&")) {
            String[] parts = one.split("=");
            said.put(parts[0], ours.getOrDefault(parts[1], parts[1]));
        }
    }
}
