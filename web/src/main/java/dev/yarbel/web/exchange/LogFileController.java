package dev.yarbel.web.exchange;

import dev.yarbel.core.exchange.Plain;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
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
import org.springframework.web.bind.annotation.RequestParam;

/** The log of a lifter, or of all that somebody sees, as a file that is sent while it is written. */
@Controller
class LogFileController {

    private final LogFile file;
    private final Roster roster;
    private final Words words;
    private final Clock clock;

    LogFileController(LogFile file, Roster roster, Words words, Clock clock) {
        this.file = file;
        this.roster = roster;
        this.words = words;
        this.clock = clock;
    }

    @GetMapping("/exchange/log.csv")
    void csv(
            @AuthenticationPrincipal Person person,
            @RequestParam(required = false) Long lifter,
            HttpServletResponse response)
            throws IOException {
        List<LifterCard> lifters = lifters(person, Optional.ofNullable(lifter));
        begin(response, "text/csv;charset=UTF-8", name(person, lifters, ".csv"));
        file.csv(lifters, response.getOutputStream());
    }

    @GetMapping("/exchange/log.xlsx")
    void xlsx(
            @AuthenticationPrincipal Person person,
            @RequestParam(required = false) Long lifter,
            HttpServletResponse response)
            throws IOException {
        List<LifterCard> lifters = lifters(person, Optional.ofNullable(lifter));
        begin(
                response,
                "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
                name(person, lifters, ".xlsx"));
        file.xlsx(lifters, response.getOutputStream());
    }

    private List<LifterCard> lifters(Person person, Optional<Long> lifter) {
        return lifter.map(id -> List.of(roster.lifter(person, id))).orElseGet(() -> roster.lifters(person));
    }

    private String name(Person person, List<LifterCard> lifters, String end) {
        String whose = lifters.size() == 1
                ? "-" + Plain.of(lifters.get(0).name()).replace(' ', '-').replaceAll("[^a-z0-9-]", "")
                : "";
        return words.say("exchange.out.file") + whose + "-" + LocalDate.ofInstant(clock.instant(), person.zone()) + end;
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
