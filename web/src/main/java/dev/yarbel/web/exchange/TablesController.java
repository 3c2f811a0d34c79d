package dev.yarbel.web.exchange;

import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.TableFile;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** What a lifter, or all whom somebody sees, have, as files that are sent while they are written. */
@Controller
class TablesController {

    private final TablesAsked asked;
    private final Tables tables;
    private final LifterFile file;
    private final ClubFile club;
    private final Roster roster;

    TablesController(TablesAsked asked, Tables tables, LifterFile file, ClubFile club, Roster roster) {
        this.asked = asked;
        this.tables = tables;
        this.file = file;
        this.club = club;
        this.roster = roster;
    }

    @GetMapping("/exchange/{table}.csv")
    void csv(
            @AuthenticationPrincipal Person person,
            @PathVariable String table,
            @RequestParam(required = false) Long lifter,
            HttpServletResponse response)
            throws IOException {
        List<LifterCard> lifters = asked.lifters(person, lifter);
        List<TableFile.Table> made = made(person, table, lifters);
        TablesAsked.begin(response, "text/csv;charset=UTF-8", asked.name(person, table, lifters) + ".csv");
        TableFile.csv(made.get(0), response.getOutputStream());
    }

    @GetMapping("/exchange/{table}.xlsx")
    void xlsx(
            @AuthenticationPrincipal Person person,
            @PathVariable String table,
            @RequestParam(required = false) Long lifter,
            HttpServletResponse response)
            throws IOException {
        workbook(person, table, lifter, response);
    }

    /** Every table, each on a sheet of its own. */
    @GetMapping("/exchange/all.xlsx")
    void all(
            @AuthenticationPrincipal Person person,
            @RequestParam(required = false) Long lifter,
            HttpServletResponse response)
            throws IOException {
        workbook(person, null, lifter, response);
    }

    /** All that is kept of one lifter: their own where they are one, else of the lifter named. */
    @GetMapping("/exchange/lifter.zip")
    void everything(
            @AuthenticationPrincipal Person person,
            @RequestParam(required = false) Long lifter,
            HttpServletResponse response)
            throws IOException {
        LifterCard card = lifter(person, lifter);
        TablesAsked.begin(response, "application/zip", asked.name(person, null, List.of(card)) + ".zip");
        file.zip(person, card, response.getOutputStream());
    }

    @GetMapping("/exchange/lifter.json")
    void json(
            @AuthenticationPrincipal Person person,
            @RequestParam(required = false) Long lifter,
            HttpServletResponse response)
            throws IOException {
        LifterCard card = lifter(person, lifter);
        TablesAsked.begin(response, "application/json", asked.name(person, null, List.of(card)) + ".json");
        file.json(card, response.getOutputStream());
    }

    /** All that is kept of the club: its head coach's to give away. */
    @GetMapping("/exchange/club.zip")
    void wholeClub(@AuthenticationPrincipal Person person, HttpServletResponse response) throws IOException {
        TablesAsked.begin(response, "application/zip", asked.name(headCoach(person), null, List.of()) + ".zip");
        club.zip(person.clubId(), response.getOutputStream());
    }

    @GetMapping("/exchange/club.json")
    void clubJson(@AuthenticationPrincipal Person person, HttpServletResponse response) throws IOException {
        TablesAsked.begin(response, "application/json", asked.name(headCoach(person), null, List.of()) + ".json");
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

    private void workbook(Person person, String table, Long lifter, HttpServletResponse response) throws IOException {
        List<LifterCard> lifters = asked.lifters(person, lifter);
        List<TableFile.Table> made = made(person, table, lifters);
        TablesAsked.begin(response, TablesAsked.WORKBOOK, asked.name(person, table, lifters) + ".xlsx");
        TableFile.xlsx(made, response.getOutputStream());
    }

    private List<TableFile.Table> made(Person person, String table, List<LifterCard> lifters) {
        return asked.tables(person, table).stream()
                .map(one -> tables.file(one, person, lifters))
                .toList();
    }
}
