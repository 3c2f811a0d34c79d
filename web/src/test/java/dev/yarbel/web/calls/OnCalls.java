package dev.yarbel.web.calls;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.book.Ledger;
import dev.yarbel.web.book.Sessions;
import dev.yarbel.web.roster.Roster;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;

/** A club with a day of slots, whose lifter trains week by week, and whose coach answers what that gives. */
abstract class OnCalls {

    @Autowired
    protected MockMvc mvc;

    @Autowired
    protected Clubs4Tests clubs;

    @Autowired
    protected Sessions sessions;

    @Autowired
    protected Ledger ledger;

    @Autowired
    protected Slips slips;

    @Autowired
    protected SlipWriter writer;

    @Autowired
    protected Roster roster;

    @Autowired
    protected JdbcClient jdbc;

    protected TestClub club;

    /** Lifts and finishes the club's day of a week with what it asked for, such as {@code squat 1 @8|180}, and sets like {@code A 180x1 9}. */
    protected void session(int week, List<String> asked, String... lifted) {
        StringBuilder day = new StringBuilder();
        for (String slot : asked) {
            String[] parts = slot.split("[ |]", 2);
            String[] dose = parts[1].split("\\|");
            day.append((char) ('A' + asked.indexOf(slot)))
                    .append('\t')
                    .append(parts[0])
                    .append('\t')
                    .append(dose[0])
                    .append('\t')
                    .append(dose.length > 1 ? dose[1] + "kg" : "-")
                    .append('\n');
        }
        List<DoneSet> done = new ArrayList<>();
        for (String set : lifted) {
            String[] parts = set.split("[ x]");
            int number = (int) done.stream()
                            .filter(before -> before.task().letter().equals(parts[0]))
                            .count()
                    + 1;
            Lift lift = new Lift(asked.get(parts[0].charAt(0) - 'A').split(" ")[0]);
            done.add(new DoneSet(
                    TaskKey.work(parts[0], number),
                    new LiftedSet(
                            lift, Mass.of(parts[1], MassUnit.KG), Integer.parseInt(parts[2]), Effort.parse(parts[3]))));
        }
        sessions.addHistory(
                club.lifter,
                Optional.of(club.plan().planned(0, week)),
                day.toString(),
                TestSettings.TODAY.minusWeeks(1L - week),
                TestSettings.NOW,
                done,
                true);
        waitForThoseWhoHear();
    }

    protected void waitForThoseWhoHear() {
        await().untilAsserted(() -> assertThat(
                        jdbc.sql("select count(*) from event_publication where completion_date is null")
                                .query(Integer.class)
                                .single())
                .isZero());
    }

    protected List<SlipLine> queue() {
        return slips.queue(club.coach, roster.choices(club.coach));
    }

    protected long slip(String rule) {
        return queue().stream()
                .filter(line -> line.rule().equals(rule))
                .findFirst()
                .orElseThrow()
                .id();
    }

    protected Document page(String address) throws Exception {
        return Jsoup.parse(mvc.perform(get(address).with(club.asCoach()))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    protected ResultActions answer(long id, String how, String... parameters) throws Exception {
        String shown = page("/calls/" + id).select("input[name=shown]").val();
        var request = post("/calls/" + id + "/" + how)
                .with(club.asCoach())
                .with(csrf())
                .param("shown", shown);
        for (int i = 0; i < parameters.length; i += 2) {
            request = request.param(parameters[i], parameters[i + 1]);
        }
        return mvc.perform(request);
    }

    protected String dose(int slot, int week) {
        return club.plan()
                .block()
                .days()
                .get(0)
                .slots()
                .get(slot)
                .dose(week)
                .map(Dose::shorthand)
                .orElse("");
    }
}
