package dev.yarbel.web.exchange;

import dev.yarbel.core.exchange.Plain;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import dev.yarbel.web.roster.TableOut;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;

/** Which tables, and of whom, somebody asks for, and what the file with them is called. */
@Component
class TablesAsked {

    static final String WORKBOOK = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

    private final Tables tables;
    private final Roster roster;
    private final Words words;
    private final Clock clock;

    TablesAsked(Tables tables, Roster roster, Words words, Clock clock) {
        this.tables = tables;
        this.roster = roster;
        this.words = words;
        this.clock = clock;
    }

    /**
     * The table of a code, or all that somebody sees where it is null or blank.
     *
     * @throws NotFoundException when they see none of that code
     */
    List<TableOut> tables(Person person, String code) {
        List<TableOut> found = tables.of(person).stream()
                .filter(one -> isAll(code) || one.code().equals(code))
                .toList();
        if (found.isEmpty()) {
            throw new NotFoundException();
        }
        return found;
    }

    private static boolean isAll(String code) {
        return code == null || code.isBlank();
    }

    /** A lifter, or all whom somebody sees where none is named. */
    List<LifterCard> lifters(Person person, Long lifter) {
        return lifter == null ? roster.lifters(person) : List.of(roster.lifter(person, lifter));
    }

    /** What a file is called without its end: the table, or that it is all; who, if it is one; and the day. */
    String name(Person person, String code, List<LifterCard> lifters) {
        String whose = lifters.size() == 1 ? " " + lifters.get(0).name() : "";
        return Plain.of(words.say("exchange.table." + (isAll(code) ? "all" : code)) + whose)
                        .replace(' ', '-')
                        .replaceAll("[^a-z0-9-]", "")
                + "-" + LocalDate.ofInstant(clock.instant(), person.zone());
    }

    static void begin(HttpServletResponse response, String type, String name) {
        response.setContentType(type);
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                        .filename(name, StandardCharsets.UTF_8)
                        .build()
                        .toString());
    }
}
