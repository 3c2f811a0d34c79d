package dev.yarbel.web.plan;

import static dev.yarbel.web.OnPage.shows;
import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.allOf;
import static org.hamcrest.Matchers.endsWith;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.flash;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.block.SetDoses;
import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.block.BlockSummary;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.roster.LifterCard;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.ResultActions;

/** Blocks that are given, drawn up by a school or put together from templates; and edits that follow. */
@YarbelTest
class PlanGivingTest extends DeskTesting {

    // ---- giving

    private LifterCard other() throws Exception {
        LifterCard[] made = new LifterCard[1];
        made[0] = clubs.grow(club, 1, 3, 1);
        return made[0];
    }

    @Test
    void aBlockIsGivenWithEachLiftersOwnNumbersAndItsEditsFollow() throws Exception {
        LifterCard other = other();
        long source = club.plan().blockId();
        give(other).andExpect(status().isOk()).andExpect(content().string(shows("h2", "Given. Look these over")));
        LifterBlock theirs = blocks.current(other, TestSettings.ZONE).orElseThrow();
        assertThat(theirs.name()).isEqualTo("Block");
        assertThat(row(theirs, 0, 2)).containsExactly("3x5 75%", "3x5 75%", "3x5 77.5%");
        // 75 % of 120 kg, not of the 200 kg of the lifter it came from
        assertThat(theirs.projection().loads(0, 0).get(2).load()).contains(Mass.ofKg(90));

        String cell = club.cell(2, 2);
        send("/days/0", "was." + cell, "3x5 77.5%", "dose." + cell, "3x4 80%", "follow", "on")
                .andExpect(flash().attribute("done", endsWith("Followed to 1 block.")));
        assertThat(row(blocks.current(other, TestSettings.ZONE).orElseThrow(), 0, 2)
                        .get(2))
                .isEqualTo("3x4 80%");
        // with scripts, the answer says so as well
        mvc.perform(post(club.url("/plan/days/0"))
                        .with(club.asCoach())
                        .with(csrf())
                        .header("HX-Request", "true")
                        .param("was." + club.cell(2, 1), "3x5 75%")
                        .param("dose." + club.cell(2, 1), "3x5 70%")
                        .param("follow", "on"))
                .andExpect(content().string(shows("#told", "Followed to 1 block.")));
        type(2, 2, "3x4 80%", "3x3 82.5%");
        assertThat(row(blocks.current(other, TestSettings.ZONE).orElseThrow(), 0, 2)
                        .get(2))
                .isEqualTo("3x4 80%");
        assertThat(club.plan().blockId()).isEqualTo(source);
        assertThat(club.plan().copies()).isOne();
    }

    @Test
    void whatWasChangedThereDoesNotFollow() throws Exception {
        LifterCard other = other();
        give(other);
        LifterBlock theirs = blocks.current(other, TestSettings.ZONE).orElseThrow();
        String twin = theirs.block().days().get(0).slots().get(2).id() + ".2";
        mvc.perform(post("/lifters/" + other.id() + "/plan/days/0")
                .with(club.asCoach())
                .with(csrf())
                .param("was." + twin, "3x5 77.5%")
                .param("dose." + twin, "3x5 60%"));
        String cell = club.cell(2, 2);
        send("/days/0", "was." + cell, "3x5 77.5%", "dose." + cell, "3x4 80%", "follow", "on");
        assertThat(row(blocks.current(other, TestSettings.ZONE).orElseThrow(), 0, 2)
                        .get(2))
                .isEqualTo("3x5 60%");
    }

    @Test
    void aBlockIsGivenToOnesOwnLiftersOnlyAndToAtLeastOne() throws Exception {
        TestClub foreign = clubs.club();
        send("/give", "to", String.valueOf(foreign.lifter.id()), "start", "2026-05-04")
                .andExpect(status().isNotFound());
        send("/give", "start", "2026-05-04")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(shows("#give-to-says", "Choose at least one lifter.")));
    }

    /** Gives the block from today on, in place of the one they have. */
    private ResultActions give(LifterCard other) throws Exception {
        String today = TestSettings.TODAY.toString();
        return send("/give", "to", String.valueOf(other.id()), "start", today, "confirmed", today);
    }

    private LifterBlock given(LifterCard other) throws Exception {
        give(other);
        return of(other);
    }

    private LifterBlock of(LifterCard other) {
        return blocks.current(other, TestSettings.ZONE).orElseThrow();
    }

    @Test
    void whatSomebodyElseChangedMeanwhileDoesNotFollow() throws Exception {
        LifterCard other = other();
        given(other);
        LifterBlock before = club.plan();
        type(2, 1, "3x5 75%", "3x5 70%");
        type(2, 2, "3x5 77.5%", "3x4 80%");
        SetDoses own = new SetDoses(List.of(new SetDoses.Change(
                before.block().days().get(0).slots().get(2).id(),
                1,
                Optional.of(Dose.parse("3x5 75%")),
                Optional.of(Dose.parse("3x5 70%")))));
        assertThat(blocks.followWhereAlike(club.coach, before, own).blocks()).isEqualTo(1);
        assertThat(row(of(other), 0, 2)).containsExactly("3x5 75%", "3x5 70%", "3x5 77.5%");
    }

    @Test
    void weeksDaysAndSlotsFollow() throws Exception {
        LifterCard other = other();
        given(other);
        change("WEEK_COPY", "week", "3", "follow", "on")
                .andExpect(flash().attribute("done", endsWith("Followed to 1 block.")));
        assertThat(of(other).block().weeks()).isEqualTo(4);
        assertThat(row(of(other), 0, 2)).containsExactly("3x5 75%", "3x5 75%", "3x5 77.5%", "3x5 77.5%");
        change("SLOT_SET", "slot", slotId(2), "letter", "G", "lift", "squat", "reason", "", "follow", "on");
        assertThat(of(other).block().days().get(0).slots().get(2).letter()).isEqualTo("G");
        change("SLOT_REMOVE", "slot", slotId(1), "follow", "on");
        assertThat(of(other).block().days().get(0).slots()).hasSize(2);
        String day = String.valueOf(club.plan().block().days().get(0).id());
        change("DAY_COPY", "day", day, "name", "Again", "offset", "3", "follow", "on");
        assertThat(of(other).block().days())
                .extracting(d -> d.name())
                .hasSize(2)
                .contains("Again");
        // a name and a start are each lifter's own
        change("BLOCK_SET", "name", "Mine", "contest", "", "follow", "on");
        assertThat(club.plan().name()).isEqualTo("Mine");
        assertThat(of(other).name()).isEqualTo("Block");
    }

    @Test
    void aFillFollowsWithItsDeload() throws Exception {
        LifterCard other = other();
        given(other);
        send(
                        "/days/0/fill",
                        "slot",
                        slotId(2),
                        "from",
                        "2",
                        "to",
                        "3",
                        "rule",
                        "deload",
                        "style",
                        "HALF_SETS",
                        "follow",
                        "on")
                .andExpect(flash().attribute("done", endsWith("Followed to 1 block.")));
        assertThat(row(of(other), 0, 2)).isEqualTo(row(2)).doesNotContain("3x5 77.5%");
        assertThat(of(other).block().shape().get(2).deload()).isTrue();
    }

    @Test
    void aTemplateFollows() throws Exception {
        String scheme = template("SCHEME", "Fives");
        String day = template("DAY", "Squats");
        LifterCard other = other();
        given(other);
        send("/use", "template", scheme, "slot", slotId(0), "week", "2", "follow", "on");
        send("/use", "template", day, "follow", "on");
        assertThat(row(of(other), 0, 0)).containsExactly("1 @8", "3x5 75%", "3x5 75%");
        assertThat(of(other).block().days()).hasSize(2);
    }

    @Test
    void whereAnEditDoesNotGoTheLifterIsNamedAndTheirBlockStays() throws Exception {
        LifterCard begun = other();
        LifterCard open = other();
        LifterBlock theirs = given(begun);
        given(open);
        sessions.addHistory(
                begun,
                Optional.of(theirs.planned(0, 1)),
                TestSettings.TODAY,
                TestSettings.NOW,
                List.of(new DoneSet(
                        TaskKey.work("A", 1), new LiftedSet(Lift.SQUAT, Mass.ofKg(100), 1, Effort.parse("8")))),
                false);
        change("WEEK_INSERT", "week", "2", "follow", "on")
                .andExpect(flash().attribute(
                                "done",
                                endsWith("Followed to 1 block. Left as they are, for something else stands there: "
                                        + begun.name() + ".")));
        assertThat(of(begun).block().weeks()).isEqualTo(3);
        assertThat(of(open).block().weeks()).isEqualTo(4);
    }

    @Test
    void aGatedDoseDoesNotFollowToWhereNobodyOpenedTheGateButTheRestDoes() throws Exception {
        LifterCard other = other();
        given(other);
        send("/gates", "slot", slotId(1), "gate", "REVERSE_BANDS", "spotter", "Somebody");
        String gated = club.cell(1, 1);
        String plain = club.cell(2, 1);
        send(
                        "/days/0",
                        "was." + gated,
                        "2x5 -20%",
                        "dose." + gated,
                        "3x1 105% reverse 20kg",
                        "was." + plain,
                        "3x5 75%",
                        "dose." + plain,
                        "3x5 70%",
                        "follow",
                        "on")
                .andExpect(status().is3xxRedirection())
                .andExpect(flash().attribute("done", endsWith("Followed to 1 block.")));
        assertThat(row(1).get(1)).isEqualTo("3x1 105% reverse 20kg");
        assertThat(row(of(other), 0, 1).get(1)).isEqualTo("2x5 -20%");
        assertThat(row(of(other), 0, 2).get(1)).isEqualTo("3x5 70%");

        send(
                        "/days/0",
                        "was." + gated,
                        "3x1 105% reverse 20kg",
                        "dose." + gated,
                        "2x1 105% reverse 20kg",
                        "follow",
                        "on")
                .andExpect(
                        flash().attribute(
                                        "done",
                                        endsWith(
                                                "Nothing followed: something else stands there, or it was lifted, or a gate is closed.")));
    }

    @Test
    void whatFollowedIsTakenBackWhereItCame() throws Exception {
        LifterCard other = other();
        given(other);
        change("WEEK_REMOVE", "week", "3", "follow", "on");
        assertThat(of(other).block().weeks()).isEqualTo(2);
        mvc.perform(post("/lifters/" + other.id() + "/plan/undo")
                .with(club.asCoach())
                .with(csrf()));
        assertThat(of(other).block().weeks()).isEqualTo(3);
        assertThat(club.plan().block().weeks()).isEqualTo(2);
    }

    // ---- new blocks and templates

    @Test
    void aTemplateStruckAndBroughtBackStandsInTheClubsLedger() throws Exception {
        String id = template("BLOCK", "Fives");
        for (String what : List.of("remove", "restore")) {
            mvc.perform(post("/plan/templates/" + id + "/" + what)
                            .with(club.asCoach())
                            .with(csrf()))
                    .andExpect(status().is3xxRedirection());
            assertThat(ledger.latestOfClub(club.lifter.clubId(), 1))
                    .singleElement()
                    .satisfies(change -> {
                        assertThat(change.kind()).isEqualTo(ChangeKind.TEMPLATE);
                        assertThat(what.equals("remove") ? change.before() : change.after())
                                .isEqualTo("Fives");
                    });
        }
        mvc.perform(get("/kit/ledger").with(club.asCoach())).andExpect(content().string(shows(".ledger", "Template")));
    }

    private ResultActions draw(String... more) throws Exception {
        String[] fields = {
            "start",
            "2026-05-04",
            "weeks",
            "8",
            "every",
            "4",
            "deload",
            "HALF_SETS",
            "days",
            "0",
            "days",
            "3",
            "lifts[0].lift",
            "squat",
            "lifts[0].school",
            "heavy-light"
        };
        String[] all = new String[fields.length + more.length];
        System.arraycopy(fields, 0, all, 0, fields.length);
        System.arraycopy(more, 0, all, fields.length, more.length);
        return send("/new", all);
    }

    @Test
    void aSchoolsBlockIsLookedAtBeforeItIsKept() throws Exception {
        long before = club.plan().blockId();
        draw().andExpect(status().isOk())
                .andExpect(content().string(allOf(shows("#drawn-title", "not kept yet"), shows(".whole", "3x5 80%"))));
        assertThat(blocks.of(club.lifter)).hasSize(1);
        String address = draw("keep", "1").andReturn().getResponse().getRedirectedUrl();
        mvc.perform(get(address).with(club.asCoach()))
                .andExpect(status().isOk())
                .andExpect(content().string(allOf(shows("h1", "Heavy day and light day"), shows(".act", "deload"))));
        assertThat(club.plan().blockId()).isEqualTo(before);
    }

    @Test
    void aBlockThatBeginsBeforeTheOneUnderWayIsOverPutsThatAside() throws Exception {
        String today = TestSettings.TODAY.toString();
        String[] another = {"name", "Another", "start", today, "weeks", "4", "template", "", "confirmed", today};
        send("/new/template", another);
        assertThat(blocks.of(club.lifter))
                .filteredOn(block -> block.putAside().isPresent())
                .extracting(BlockSummary::name)
                .containsExactly("Block");
        mvc.perform(get(club.url("/plan")).with(club.asCoach()))
                .andExpect(content().string(shows(".watch", "two weeks are no trial")));
    }

    @Test
    void aRequestThatMakesNoSenseIsSaidBesideItsField() throws Exception {
        draw("lifts[1].school", "rpe-led", "lifts[1].lift", "squat")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(shows(".bad", "This lift stands above already.")));
        send(
                        "/new",
                        "every",
                        "0",
                        "deload",
                        "OFF",
                        "start",
                        "2026-05-04",
                        "weeks",
                        "4",
                        "lifts[0].lift",
                        "squat",
                        "lifts[0].school",
                        "phases",
                        "days",
                        "0")
                .andExpect(content().string(shows("#new-block-weeks-says", "The school needs at least 8 weeks.")));
        send(
                        "/new",
                        "every",
                        "0",
                        "deload",
                        "OFF",
                        "start",
                        "2026-05-04",
                        "weeks",
                        "8",
                        "lifts[0].lift",
                        "squat",
                        "lifts[0].school",
                        "phases")
                .andExpect(content().string(shows("#new-block-days-says", "Choose at least one day.")));
        assertThat(blocks.of(club.lifter)).hasSize(1);
    }

    private String template(String kind, String name) throws Exception {
        send("/templates", "kind", kind, "name", name, "slot", slotId(2));
        return jdbc.sql("select id::text from plan_template where club_id = ? and name = ?")
                .param(club.lifter.clubId())
                .param(name)
                .query(String.class)
                .single();
    }

    @Test
    void aDayASchemeAndABlockAreKeptAndPutInAgain() throws Exception {
        String day = template("DAY", "Squats");
        String scheme = template("SCHEME", "Fives");
        String block = template("BLOCK", "Three weeks");
        mvc.perform(get(club.url("/plan/templates")).with(club.asCoach()))
                .andExpect(content()
                        .string(allOf(
                                shows(".templates", "Squats"),
                                shows(".templates", "Fives"),
                                shows(".templates", "Three weeks"))));
        send("/use", "template", day);
        assertThat(club.plan().block().days()).hasSize(2);
        assertThat(row(club.plan(), 1, 2)).containsExactly("3x5 75%", "3x5 75%", "3x5 77.5%");
        send("/use", "template", scheme, "slot", slotId(0), "week", "2");
        assertThat(row(0)).containsExactly("1 @8", "3x5 75%", "3x5 75%");
        send("/new/template", "template", block, "start", "2026-06-01", "name", "", "weeks", "");
        assertThat(blocks.of(club.lifter).get(0).name()).isEqualTo("Three weeks");
        send("/undo");
        assertThat(row(0)).containsExactly("1 @8", "1 @8", "1 @8");
    }

    @Test
    void theThirdRunOfTheSameBlockIsMarked() throws Exception {
        String block = template("BLOCK", "Three weeks");
        for (String start : List.of("2026-04-06", "2026-05-04", "2026-06-01")) {
            send("/new/template", "template", block, "start", start);
        }
        long third = blocks.of(club.lifter).get(0).id();
        mvc.perform(get(club.url("/plan?block=" + third)).with(club.asCoach()))
                .andExpect(content().string(shows(".watch", "run 3 of the same block")));
    }

    @Test
    void aTemplateOfAnotherClubCannotBeUsed() throws Exception {
        String day = template("DAY", "Squats");
        TestClub other = clubs.club();
        mvc.perform(post(other.url("/plan/use"))
                        .with(other.asCoach())
                        .with(csrf())
                        .param("template", day))
                .andExpect(status().isNotFound());
    }

    @Test
    void allThatIsOutOfRangeInALiftsRowIsSaidAtOnce() throws Exception {
        draw("lifts[0].sessions", "12", "lifts[0].from", "20")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content()
                        .string(allOf(
                                shows("[id='new-block-lifts[0].sessions-says']", "A number from 1 to 7."),
                                shows("[id='new-block-lifts[0].from-says']", "A number from 30 to 100."))));
    }
}
