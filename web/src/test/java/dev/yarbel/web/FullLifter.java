package dev.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.Clubs4Tests.TestContest;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** Gives a club's lifter something of everything that is kept of lifters. */
public record FullLifter(MockMvc mvc, Clubs4Tests clubs, JdbcClient jdbc, TestClub club) {

    public void asCoach(String path, Map<String, String> fields) throws Exception {
        MockHttpServletRequestBuilder request =
                post(club.url(path)).with(club.asCoach()).with(csrf());
        fields.forEach(request::param);
        assertThat(mvc.perform(request).andReturn().getResponse().getStatus())
                .as(path)
                .isLessThan(400);
    }

    /** As the coach, and where that takes more than a request, into the database. */
    public FullLifter fill() throws Exception {
        asCoach("/profile/measurements", Map.of("kind", "BODY_MASS", "figure", "82.55", "on", "2026-03-01"));
        asCoach("/profile/notes", Map.of("kind", "NOTE", "text", "\"Quoted\" \\ and\nüber zwei Zeilen"));
        asCoach("/profile/aches", Map.of("place", "KNEE", "since", "2026-03-01"));
        asCoach(
                "/floor/sets",
                Map.of("day", "0", "week", "1", "task", "A.1", "load", "180.5", "reps", "1", "effort", "8"));
        asCoach("/floor/slots/C", Map.of("day", "0", "week", "1", "what", "shorten", "sets", "2"));
        asCoach("/book/lifts/squat/max", Map.of("kind", "CONTEST", "load", "452 lb", "on", "2026-03-01", "reps", "1"));
        asCoach("/floor/side/words", Map.of("words", "Rest longer", "day", "0", "week", "1"));
        asCoach("/plan/recovery", Map.of("lift", "squat", "own", "96"));
        asCoach("/week", Map.of("words", "A good week.", "edition", "0"));
        clubs.question(club);
        TestContest held = clubs.contest(club);
        jdbc.sql("""
                        insert into contest_attempt (club_id, entry_id, lift, number, load, outcome, said_at, said_by)
                        values (?, ?, 'squat', 1, 182.5, 'GRIND', now(), 'Coach')""").params(club.lifter.clubId(), held.entry()).update();
        jdbc.sql("""
                        insert into slip (club_id, lifter_id, lift, contest_id, status, opened_at, rule, proposes, raises, size)
                        values (?, ?, 'squat', ?, 'OPEN', now(), 'contest-moved', 'replan', false, 0)""")
                .params(club.lifter.clubId(), club.lifter.id(), held.contest())
                .update();
        jdbc.sql("""
                        insert into practice_guess (club_id, lifter_id, lift, kind, number, said, was, guessed_at)
                        select ?, ?, 'squat', 'DRAWN', 7, 2, 2, now()""").params(club.lifter.clubId(), club.lifter.id()).update();
        return this;
    }
}
