package dev.yarbel.web.exchange;

import dev.yarbel.core.exchange.Plain;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.TableFile;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import dev.yarbel.web.roster.TableOut;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** What a lifter, or all whom somebody sees, have, as files that are sent while they are written. */
@Controller
class TablesController {

    private static final String WORKBOOK = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

    private final Tables tables;
    private final LifterFile file;
    private final ClubFile club;
    private final Roster roster;
    private final Words words;
    private final Clock clock;

    TablesController(Tables tables, LifterFile file, ClubFile club, Roster roster, Words words, Clock clock) {
        this.tables = tables;
        this.file = file;
        this.club = club;
        this.roster = roster;
        this.words = words;
        this.clock = clock;
    }

    @GetMapping("/exchange/{table}.csv")
    void csv(
            @AuthenticationPrincipal Person person,
            @PathVariable String table,
            @RequestParam(required = false) Long lifter,
            HttpServletResponse response)
            throws IOException {
        List<LifterCard> lifters = lifters(person, lifter);
        TableFile.Table made = table(person, table, lifters);
        begin(response, "text/csv;charset=UTF-8", name(person, made.name(), lifters) + ".csv");
        TableFile.csv(made, response.getOutputStream());
    }

    @GetMapping("/exchange/{table}.xlsx")
    void xlsx(
            @AuthenticationPrincipal Person person,
            @PathVariable String table,
            @RequestParam(required = false) Long lifter,
            HttpServletResponse response)
            throws IOException {
        List<LifterCard> lifters = lifters(person, lifter);
        TableFile.Table made = table(person, table, lifters);
        begin(response, WORKBOOK, name(person, made.name(), lifters) + ".xlsx");
        TableFile.xlsx(List.of(made), response.getOutputStream());
    }

    /** Every table, each on a sheet of its own. */
    @GetMapping("/exchange/all.xlsx")
    void all(
            @AuthenticationPrincipal Person person,
            @RequestParam(required = false) Long lifter,
            HttpServletResponse response)
            throws IOException {
        List<LifterCard> lifters = lifters(person, lifter);
        begin(response, WORKBOOK, name(person, words.say("exchange.table.all"), lifters) + ".xlsx");
        TableFile.xlsx(
                tables.of(person).stream()
                        .map(table -> tables.file(table, person, lifters))
                        .toList(),
                response.getOutputStream());
    }

    /** All that is kept of one lifter: their own where they are one, else of the lifter named. */
    @GetMapping("/exchange/lifter.zip")
    void everything(
            @AuthenticationPrincipal Person person,
            @RequestParam(required = false) Long lifter,
            HttpServletResponse response)
            throws IOException {
        LifterCard card = lifter(person, lifter);
        begin(response, "application/zip", name(person, words.say("exchange.table.all"), List.of(card)) + ".zip");
        file.zip(person, card, response.getOutputStream());
    }

    @GetMapping("/exchange/lifter.json")
    void json(
            @AuthenticationPrincipal Person person,
            @RequestParam(required = false) Long lifter,
            HttpServletResponse response)
            throws IOException {
        LifterCard card = lifter(person, lifter);
        begin(response, "application/json", name(person, words.say("exchange.table.all"), List.of(card)) + ".json");
        file.json(card, response.getOutputStream());
    }

    /** All that is kept of the club: its head coach's to give away. */
    @GetMapping("/exchange/club.zip")
    void wholeClub(@AuthenticationPrincipal Person person, HttpServletResponse response) throws IOException {
        begin(
                response,
                "application/zip",
                name(headCoach(person), words.say("exchange.table.all"), List.of()) + ".zip");
        club.zip(person.clubId(), response.getOutputStream());
    }

    @GetMapping("/exchange/club.json")
    void clubJson(@AuthenticationPrincipal Person person, HttpServletResponse response) throws IOException {
        begin(
                response,
                "application/json",
                name(headCoach(person), words.say("exchange.table.all"), List.of()) + ".json");
        club.json(person.clubId(), response.getOutputStream());
    }

    private static Person headCoach(Person person) {
        if (!person.isHeadCoach()) {
            throw new NotFoundException();
        }
        return person;
    }

    private LifterCard lifter(Person person, Long named) {
        return Optional.ofNullable(named)
                .or(person::lifterId)
                .map(id -> roster.lifter(person, id))
                .orElseThrow(NotFoundException::new);
    }

    private TableFile.Table table(Person person, String code, List<LifterCard> lifters) {
        TableOut table = tables.of(person).stream()
                .filter(one -> one.code().equals(code))
                .findFirst()
                .orElseThrow(NotFoundException::new);
        return tables.file(table, person, lifters);
    }

    private List<LifterCard> lifters(Person person, Long lifter) {
        return lifter == null ? roster.lifters(person) : List.of(roster.lifter(person, lifter));
    }

    private String name(Person person, String table, List<LifterCard> lifters) {
        String whose = lifters.size() == 1 ? " " + lifters.get(0).name() : "";
        return Plain.of(table + whose).replace(' ', '-').replaceAll("[^a-z0-9-]", "") + "-"
                + LocalDate.ofInstant(clock.instant(), person.zone());
    }

    private static void begin(HttpServletResponse response, String type, String name) {
        response.setContentType(type);
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                        .filename(name, StandardCharsets.UTF_8)
                        .build()
                        .toString());
    }
}
