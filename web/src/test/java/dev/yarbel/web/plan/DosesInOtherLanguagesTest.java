package dev.yarbel.web.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.DoseParser;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.page.Words;
import java.util.Collection;
import java.util.Locale;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.i18n.LocaleContextHolder;

/** A dose reads with the reader's decimal sign, and means the same when it comes back so. */
@YarbelTest
class DosesInOtherLanguagesTest extends DeskTesting {

    @Autowired
    private Words words;

    @BeforeEach
    void readGerman() {
        LocaleContextHolder.setLocale(Locale.GERMAN);
    }

    @AfterEach
    void readAgainAsBefore() {
        LocaleContextHolder.resetLocaleContext();
    }

    static Stream<String> doses() {
        return Stream.concat(
                DoseSheet.DOSES.values().stream().flatMap(Collection::stream),
                Stream.of(
                        "1 @8.5 then 3x5 -22.5%",
                        "5x5 102.25kg", "3x8 1.125bw", "8,8,6 72.5% cue \"hold 2.5 s\"", "5x3 0.8m/s rest 90"));
    }

    @Test
    void itMeansTheSame() {
        assertThat(doses()).isNotEmpty().allSatisfy(shorthand -> {
            Dose dose = Dose.parse(shorthand);
            String german = words.dose(dose.shorthand());
            assertThat(DoseParser.parse(german, MassUnit.KG).dose()).as(german).contains(dose);
        });
    }

    @Test
    void itHasTheReadersSignAndLeavesSomebodysOwnWords() {
        assertThat(words.dose(Dose.parse("3x5 72.5% cue \"hold 2.5 s\"").shorthand()))
                .isEqualTo("3x5 72,5% cue \"hold 2.5 s\"");
        LocaleContextHolder.setLocale(Locale.ENGLISH);
        assertThat(words.dose("3x5 72.5%")).isEqualTo("3x5 72.5%");
    }

    /** What the page had, and what is typed, both with commas: no other hand wrote there, and it is kept as ever. */
    @Test
    void aCellIsReadChangedAndKeptByWhoeverReadsCommas() throws Exception {
        String cell = club.cell(2, 2);
        String page = mvc.perform(get(club.url("/plan")).locale(Locale.GERMAN).with(club.asCoach()))
                .andReturn()
                .getResponse()
                .getContentAsString();
        String was = Jsoup.parse(page).select("input[name='was." + cell + "']").attr("value");
        assertThat(was).isEqualTo("3x5 77,5%");

        mvc.perform(post(club.url("/plan/days/0"))
                        .locale(Locale.GERMAN)
                        .with(club.asCoach())
                        .with(csrf())
                        .param("was." + cell, was)
                        .param("dose." + cell, "4x6 72,5%"))
                .andExpect(status().is3xxRedirection());

        Dose kept = club.plan().block().days().get(0).slots().get(2).dose(2).orElseThrow();
        assertThat(kept.shorthand()).isEqualTo("4x6 72.5%");
        assertThat(ledger.latest(club.lifter, 1).get(0).after()).isEqualTo("4x6 72.5%");
    }
}
