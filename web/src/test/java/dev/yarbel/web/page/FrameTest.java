package dev.yarbel.web.page;

import static dev.yarbel.web.OnPage.shows;
import static dev.yarbel.web.OnPage.tagged;
import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.allOf;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.cookie;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.YarbelTest;
import jakarta.servlet.http.Cookie;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.util.Locale;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

@YarbelTest
class FrameTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Test
    void thePageFollowsTheSystemUntilAThemeIsChosenAndThenThisBrowserRemembers() throws Exception {
        var club = clubs.club();
        mvc.perform(get("/lifters").with(club.asCoach()))
                .andExpect(content().string(containsString("data-theme=\"system\"")));
        mvc.perform(post("/theme").param("theme", "iron").with(csrf()).with(club.asCoach()))
                .andExpect(cookie().value("yarbel-theme", "iron"))
                .andExpect(cookie().httpOnly("yarbel-theme", true));
        mvc.perform(get("/lifters").cookie(new Cookie("yarbel-theme", "iron")).with(club.asCoach()))
                .andExpect(content().string(containsString("data-theme=\"iron\"")));
        mvc.perform(get("/lifters").cookie(new Cookie("yarbel-theme", "\"><b>")).with(club.asCoach()))
                .andExpect(
                        content().string(allOf(containsString("data-theme=\"system\""), not(containsString("<b>\"")))));
    }

    @ParameterizedTest
    @CsvSource({
        "http://localhost/lifters/1/plan?day=2, /lifters/1/plan?day=2",
        "https://elsewhere.example/lifters, /lifters",
        "https://elsewhere.example//evil.example, /",
        "javascript:alert(1), /",
        "not an address, /"
    })
    void theSwitchLeadsBackToThePageAndNeverToAnotherServer(String from, String to) throws Exception {
        mvc.perform(post("/theme")
                        .param("theme", "chalk")
                        .header("Referer", from)
                        .with(csrf())
                        .with(clubs.club().asCoach()))
                .andExpect(redirectedUrl(to));
    }

    /** A phone installs it from what every page names: a manifest, and icons of the sizes it says. */
    @Test
    void aPhoneCanInstallIt() throws Exception {
        mvc.perform(get("/sign-in"))
                .andExpect(content().string(tagged("link[rel=manifest]", "href=\"/manifest.webmanifest\"")));
        JsonNode manifest = JsonMapper.shared()
                .readTree(mvc.perform(get("/manifest.webmanifest"))
                        .andExpect(status().isOk())
                        .andReturn()
                        .getResponse()
                        .getContentAsByteArray());
        assertThat(manifest.get("display").asString()).isEqualTo("standalone");
        for (JsonNode icon : manifest.get("icons")) {
            byte[] picture = mvc.perform(get(icon.get("src").asString()))
                    .andExpect(status().isOk())
                    .andReturn()
                    .getResponse()
                    .getContentAsByteArray();
            if (icon.get("type").asString().equals("image/png")) {
                BufferedImage read = ImageIO.read(new ByteArrayInputStream(picture));
                assertThat(read.getWidth() + "x" + read.getHeight())
                        .isEqualTo(icon.get("sizes").asString());
            }
        }
        // where the start page leads depends on who opens it
        assertThat(manifest.get("start_url").asString()).isEqualTo("/");
    }

    @Test
    void anotherLanguageIsAFileAndWhatItLeavesOutReadsInEnglish() throws Exception {
        // src/test/resources/messages_cy.properties has the lifters' room and no more
        mvc.perform(get("/lifters").with(clubs.club().asCoach()).locale(Locale.forLanguageTag("cy")))
                .andExpect(content()
                        .string(allOf(
                                containsString("<html lang=\"cy\""),
                                shows("h1", "Codwyr"),
                                containsString(">Calls<"))));
    }

    @Test
    void aReaderWhoseLanguageHasNoFileReadsEnglishThroughout() throws Exception {
        var club = clubs.club();
        mvc.perform(get(club.url("/plan")).with(club.asCoach()).locale(Locale.FRENCH))
                .andExpect(content()
                        .string(allOf(
                                containsString("<html lang=\"en\""),
                                containsString(">10 Mar<"),
                                not(containsString("10 mars")))));
    }
}
