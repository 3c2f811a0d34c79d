package dev.yarbel.web.plan;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.Ledger;
import dev.yarbel.web.book.Sessions;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.RequestPostProcessor;

/** What tests of the desk have in common: a club of their own, and forms sent as its coach. */
abstract class DeskTesting {

    @Autowired
    MockMvc mvc;

    @Autowired
    Clubs4Tests clubs;

    @Autowired
    Ledger ledger;

    @Autowired
    Sessions sessions;

    @Autowired
    Blocks blocks;

    @Autowired
    JdbcClient jdbc;

    TestClub club;

    @BeforeEach
    void makeClub() {
        club = clubs.club();
    }

    ResultActions send(RequestPostProcessor who, String path, String... fields) throws Exception {
        MockHttpServletRequestBuilder request =
                post(club.url("/plan" + path)).with(who).with(csrf());
        for (int i = 0; i < fields.length; i += 2) {
            request.param(fields[i], fields[i + 1]);
        }
        return mvc.perform(request);
    }

    ResultActions send(String path, String... fields) throws Exception {
        return send(club.asCoach(), path, fields);
    }

    ResultActions type(int slot, int week, String was, String text) throws Exception {
        String cell = club.cell(slot, week);
        return send("/days/0", "was." + cell, was, "dose." + cell, text);
    }

    ResultActions change(String kind, String... fields) throws Exception {
        String[] all = new String[fields.length + 4];
        all[0] = "kind";
        all[1] = kind;
        all[2] = "stamp";
        all[3] = club.plan().stamp();
        System.arraycopy(fields, 0, all, 4, fields.length);
        return send("/change", all);
    }

    List<String> row(int slot) {
        return row(club.plan(), 0, slot);
    }

    static List<String> row(LifterBlock plan, int day, int slot) {
        return plan.block().days().get(day).slots().get(slot).doses().stream()
                .map(dose -> dose.map(Dose::shorthand).orElse(""))
                .toList();
    }

    String slotId(int slot) {
        return String.valueOf(
                club.plan().block().days().get(0).slots().get(slot).id());
    }

    void lifted(int week) {
        sessions.addHistory(
                club.lifter,
                Optional.of(club.plan().planned(0, week)),
                TestSettings.TODAY,
                TestSettings.NOW,
                List.of(new DoneSet(
                        TaskKey.work("A", 1), new LiftedSet(Lift.SQUAT, Mass.ofKg(187), 1, Effort.parse("8")))),
                false);
    }
}
