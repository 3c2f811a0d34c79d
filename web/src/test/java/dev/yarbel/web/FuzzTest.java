package dev.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.anonymous;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;

import dev.yarbel.web.Clubs4Tests.TestClub;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.http.HttpMethod;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.RequestPostProcessor;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** Every form of every page, filled in with what nobody should send: no answer is a fault of ours. */
@YarbelTest
class FuzzTest {

    private static final String NUL = "a\u0000b";
    private static final List<String> NASTY = List.of(
            NUL,
            "\u0007",
            "x".repeat(5000),
            "' or 1=1; --",
            "\ud83c\udfcb \u202e \u0663",
            "-1",
            "1e999",
            "99999999999999999999",
            "{0}");

    /** What is sent as something nobody types: a number, a choice, a hidden figure. */
    private static final List<String> TAMPERED = List.of(NUL, "x".repeat(5000), "-1", "99999999999999999999");

    /** What would end the test's own ground. */
    private static final Pattern ENDS_SOMETHING =
            Pattern.compile(".*/(archive|hand-over|close|sign-out|remove|end|undo)$|/me/second-factor.*");

    /** Routes that no form of these pages leads to: most take nothing but their address, and stand where something was struck. */
    private static final Set<String> WITHOUT_A_FORM_HERE = Set.of(
            "POST /api/sensor/pair",
            "POST /api/sensor/readings",
            "POST /lifters/{id}/clips/parts",
            "POST /lifters/{id}/clips/parts/{upload}/keep",
            "POST /first-run",
            "POST /join/{token}",
            "POST /sign-in/code",
            "POST /me/second-factor/end",
            "POST /me/sessions/{key}/end",
            "POST /me/sessions/end",
            "POST /me/tokens/{id}/end",
            "POST /calls/{id}/take-back",
            "POST /calls/rules/{rule}/reset",
            "POST /club/coaches/{id}/bring-back",
            "POST /contests/{contest}/entries/{entry}/restore",
            "POST /contests/{contest}/events/{event}/restore",
            "POST /contests/{contest}/restore",
            "POST /kit/pieces/{piece}/restore",
            "POST /kit/{gym}/open",
            "POST /exchange/kit/take",
            "POST /exchange/lifters/take",
            "POST /exchange/maxes/take",
            "POST /exchange/plans/take",
            "POST /exchange/whole/{whole}/again",
            "POST /exchange/whole/{whole}/take",
            "POST /exchange/stay",
            "POST /lifters/{id}/bring-back",
            "POST /lifters/{id}/book/lifts/maxes/{max}/restore",
            "POST /lifters/{id}/book/lifts/{lift}/start/back",
            "POST /lifters/{id}/book/lifts/{lift}/start/end",
            "POST /lifters/{id}/floor/before",
            "POST /lifters/{id}/floor/reopen",
            "POST /lifters/{id}/floor/free/{session}/reopen",
            "POST /lifters/{id}/floor/retask",
            "POST /lifters/{id}/floor/side",
            "POST /lifters/{id}/gyms/{gym}/bar",
            "POST /lifters/{id}/plan/use",
            "POST /lifters/{id}/profile/aches/{ache}/reopen",
            "POST /lifters/{id}/profile/health/clear",
            "POST /lifters/{id}/profile/measurements/{measurement}/restore",
            "POST /lifters/{id}/profile/notes/{note}/restore",
            "POST /plan/templates/{template}/restore");

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    private RequestMappingHandlerMapping mappings;

    private TestClub club;

    /** A form as a page holds it: where it goes, what it would send, and which of it can be written into. */
    private record Form(
            RequestPostProcessor who,
            String page,
            HttpMethod method,
            String action,
            Map<String, String> fields,
            Set<String> text) {}

    @BeforeEach
    void gather() throws Exception {
        club = clubs.club();
        send(club.asCoach(), "/profile/notes", Map.of("kind", "NOTE", "text", "n"));
        send(club.asCoach(), "/profile/measurements", Map.of("kind", "WAIST", "figure", "80", "on", "2026-03-01"));
        send(club.asCoach(), "/profile/aches", Map.of("place", "ELBOW", "since", "2026-03-01"));
        send(club.asCoach(), "/plan/templates", Map.of("kind", "BLOCK", "name", "t"));
        clubs.takenAway(club);
        jdbc.sql("insert into calendar_address values (?, ?, 'fuzz', true, 'en', now())")
                .params(club.coach.accountId(), club.lifter.clubId())
                .update();
        jdbc.sql("""
                        insert into maxes_import (club_id, account_id, brought_at, maxes, measurements, working, made)
                        values (?, ?, now(), '{}', '{}', '{}', '{}')""").params(club.lifter.clubId(), club.coach.accountId()).update();
        for (String kind : List.of("LIFTERS", "KIT")) {
            jdbc.sql(
                            "insert into brought_batch (club_id, account_id, kind, brought_at, numbers) values (?, ?, ?, now(), '{}')")
                    .params(club.lifter.clubId(), club.coach.accountId(), kind)
                    .update();
        }
        clubs.grow(club, 2, 3, 1);
        await().untilAsserted(() ->
                assertThat(one("select count(*) from slip where club_id = ?")).isPositive());
        Map<String, String> set =
                Map.of("day", "0", "week", "1", "task", "A.w1", "load", "20", "reps", "5", "effort", "easy");
        send(club.asLifter(), "/floor/sets", set);
        send(
                club.asLifter(),
                "/floor/sets",
                Map.of("day", "0", "week", "1", "task", "A.1", "load", "180", "reps", "0", "effort", "missed"));
        clubs.question(club);
        send(club.asLifter(), "/floor/slots/C", Map.of("day", "0", "week", "1", "what", "shorten", "sets", "2"));
        send(club.asLifter(), "/floor/free/sets", Map.of("lift", "squat", "load", "100", "reps", "5", "effort", "8"));
    }

    private long one(String sql) {
        return jdbc.sql(sql).param(club.lifter.clubId()).query(Long.class).single();
    }

    private void send(RequestPostProcessor who, String path, Map<String, String> fields) throws Exception {
        MockHttpServletRequestBuilder request =
                request(HttpMethod.POST, club.url(path)).with(who).with(csrf());
        fields.forEach(request::param);
        assertThat(mvc.perform(request).andReturn().getResponse().getStatus()).isEqualTo(302);
    }

    private List<Form> forms() throws Exception {
        Clubs4Tests.TestContest held = clubs.contest(club);
        clubs.opens(club, held);
        long slip = one("select max(id) from slip where club_id = ?");
        Clubs4Tests.TestClip clip = clubs.clip(club);
        long free = one("select max(id) from training_session where club_id = ? and plan_day is null");
        Map<String, RequestPostProcessor> pages = new LinkedHashMap<>();
        List<Form> forms = new ArrayList<>();
        RequestPostProcessor coach = club.asCoach();
        for (String page : List.of(
                "/lifters",
                "/lifters?archived=true",
                club.url("/profile"),
                club.url("/gyms?on=2026-03-10"),
                "/kit/" + club.gym,
                "/kit/ledger",
                "/contests",
                "/contests/" + held.contest(),
                "/contests/" + held.contest() + "/day",
                "/contests/" + held.contest() + "/warm-up",
                "/contests/" + clubs.gamesOfTwo(club).contest() + "/events",
                "/contests/" + held.contest() + "/entries/" + held.entry(),
                club.url("/season") + "?contest=" + clubs.contest(club, 14).contest() + "&to="
                        + TestSettings.TODAY.plusDays(30),
                club.url("/book"),
                club.url("/week"),
                club.url("/book/curves"),
                club.url("/book/maxes"),
                club.url("/book/decisions?about=PLAN"),
                club.url("/plan/print"),
                club.url("/floor/side"),
                club.url("/book/lifts"),
                club.url("/book/lifts/squat"),
                club.url("/book/lifts/front-squat"),
                club.url("/book/lifts/front-squat/start"),
                club.url("/plan"),
                club.url("/plan?in=2"),
                club.url("/plan/wake?weekday=3"),
                club.url("/plan/recovery"),
                club.url("/plan/blocks"),
                club.url("/plan/new"),
                club.url("/plan/give"),
                club.url("/plan/templates"),
                "/plan/templates",
                club.url("/floor?day=0&week=1&change=B"),
                club.url("/floor?day=0&week=1&task=A.w1"),
                club.url("/floor?day=0&week=1&cards=yes"),
                club.url("/floor?day=0&week=2"),
                club.url("/floor/fallbacks?day=0&week=2"),
                club.url("/floor/review?day=0&week=1"),
                club.url("/floor/free"),
                club.url("/floor/free?task=A.1&session=" + free),
                "/live?lifter=" + club.lifter.id(),
                "/calls/" + slip,
                "/calls/answered",
                "/calls/rules",
                "/calls/judged",
                "/calendar",
                "/exchange",
                "/exchange/kit",
                "/exchange/lifters",
                "/exchange/plans",
                "/exchange/maxes",
                "/exchange/whole",
                club.url("/clips"),
                club.url("/clips/of?task=A.1&session=" + clip.session()),
                club.url("/clips/" + clip.clip()),
                club.url("/clips/pair?one=" + clip.clip() + "&other=" + clip.clip()),
                "/exchange/whole/" + clubs.whole(club, "OPEN"),
                "/exchange/whole/" + clubs.whole(club, "TAKEN"),
                "/exchange/" + clubs.brought(club, "OPEN"),
                "/exchange/" + clubs.brought(club, "TAKEN"),
                "/exchange/" + clubs.brought(club, "TAKEN_BACK"),
                "/me",
                "/me/tokens",
                "/me/second-factor")) {
            collect(coach, page, forms);
        }
        collect(club.asLifter(), club.url("/floor?day=0&week=1"), forms);
        collect(club.asLifter(), club.url("/clips/" + clip.clip()), forms);
        collect(club.asLifter(), club.url("/home"), forms);
        collect(club.asLifter(), club.url("/profile"), forms);
        collect(club.asLifter(), club.url("/practice"), forms);
        collect(club.asLifter(), "/exchange", forms);
        collect(club.asHeadCoach(), "/club", forms);
        collect(club.asHeadCoach(), "/lifters?whole=true", forms);
        collect(anonymous(), "/sign-in", forms);
        return forms;
    }

    private void collect(RequestPostProcessor who, String page, List<Form> forms) throws Exception {
        MockHttpServletResponse shown =
                mvc.perform(get(page).with(who)).andReturn().getResponse();
        assertThat(shown.getStatus()).as(page).isEqualTo(200);
        String html = shown.getContentAsString().replace("<template", "<div").replace("</template>", "</div>");
        for (Element form : Jsoup.parse(html, "http://localhost" + page).select("form[action]")) {
            Map<String, String> fields = new TreeMap<>();
            Set<String> text = new TreeSet<>();
            for (Element field : form.select("input[name], select[name], textarea[name], button[name]")) {
                String name = field.attr("name");
                if (field.is("select")) {
                    Element chosen = field.selectFirst("option[selected]");
                    fields.put(name, (chosen == null ? field.selectFirst("option") : chosen).attr("value"));
                } else {
                    fields.putIfAbsent(name, field.val());
                }
                if (field.is(
                        "textarea, input:not([type]), input[type=text], input[type=password], input[type=search]")) {
                    text.add(name);
                }
            }
            fields.remove("_csrf");
            fields.remove("once");
            String action = form.absUrl("action").replaceFirst("http://localhost", "");
            HttpMethod method = HttpMethod.valueOf(
                    form.attr("method").isEmpty() ? "GET" : form.attr("method").toUpperCase(Locale.ROOT));
            forms.add(new Form(who, page, method, action, fields, text));
            for (Element button : form.select("button[formaction]")) {
                String other = button.absUrl("formaction").replaceFirst("http://localhost", "");
                forms.add(new Form(who, page, method, other, fields, text));
            }
        }
    }

    private int answer(Form form, String field, String value) {
        MockHttpServletRequestBuilder request =
                request(form.method(), form.action()).with(form.who()).with(csrf());
        form.fields().forEach((name, kept) -> {
            request.param(name, name.equals(field) ? value : kept);
        });
        try {
            return mvc.perform(request).andReturn().getResponse().getStatus();
        } catch (Exception fault) {
            return 500;
        }
    }

    @Test
    void nothingSentIntoAnyFieldIsAFaultOfOurs() throws Exception {
        Set<String> faults = new TreeSet<>();
        Set<String> kept = new TreeSet<>();
        Set<String> done = new TreeSet<>();
        Set<String> reached = new TreeSet<>();
        List<Form> forms = forms();
        Map<Form, List<String>> fields = new LinkedHashMap<>();
        for (Form form : forms) {
            reached.add(form.method() + " " + form.action());
            if (!ENDS_SOMETHING.matcher(form.action()).matches()) {
                fields.put(
                        form,
                        form.fields().keySet().stream()
                                .filter(field -> done.add(form.method() + " "
                                        + form.action().replaceAll("\\d+", "#") + " " + field.replaceAll("\\d+", "#")))
                                .toList());
            }
        }
        // what must be refused comes first, everywhere: what is taken may end what another form is about
        fields.forEach(
                (form, names) -> names.stream().filter(form.text()::contains).forEach(field -> {
                    int status = answer(form, field, NUL);
                    if (form.method() == HttpMethod.POST
                            && status < 400
                            && !form.action().equals("/sign-in")) {
                        kept.add(form.action() + " " + field + " = " + status);
                    }
                }));
        for (String nasty : NASTY) {
            fields.forEach((form, names) -> names.stream()
                    .filter(field -> form.text().contains(field) || TAMPERED.contains(nasty))
                    .forEach(field -> {
                        int status = answer(form, field, nasty);
                        if (status >= 500) {
                            faults.add(form.method() + " " + form.action() + " " + field + " ← "
                                    + nasty.substring(0, Math.min(12, nasty.length())) + " = " + status);
                        }
                    }));
        }
        assertThat(faults).isEmpty();
        assertThat(kept).as("a NUL that was taken").isEmpty();
        assertThat(done).as("fields tried").hasSizeGreaterThan(150);
        assertThat(unreached(reached)).isEmpty();
    }

    /** Routes that take something and were not tried by any form of a page. */
    private Set<String> unreached(Set<String> reached) {
        Set<String> missing = new TreeSet<>();
        mappings.getHandlerMethods().forEach((mapping, handler) -> {
            if (handler.getBeanType().getName().startsWith("dev.yarbel.web.")
                    && mapping.getMethodsCondition().getMethods().contains(RequestMethod.POST)) {
                for (String pattern : mapping.getPatternValues()) {
                    if (pattern.startsWith("/api/v1/")) {
                        // programs send no forms: InterfaceFuzzTest
                        continue;
                    }
                    Pattern route = Pattern.compile("POST " + pattern.replaceAll("\\{\\w+}", "[^/]+") + "(\\?.*)?");
                    if (reached.stream()
                            .noneMatch(address -> route.matcher(address).matches())) {
                        missing.add("POST " + pattern);
                    }
                }
            }
        });
        missing.removeAll(WITHOUT_A_FORM_HERE);
        return missing;
    }
}
