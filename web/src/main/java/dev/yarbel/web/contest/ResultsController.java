package dev.yarbel.web.contest;

import dev.yarbel.web.page.Person;
import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** What came of a contest, as a file. */
@Controller
class ResultsController {

    private final Contests contests;
    private final Events events;
    private final DayReader days;
    private final ResultsFile file;

    ResultsController(Contests contests, Events events, DayReader days, ResultsFile file) {
        this.contests = contests;
        this.events = events;
        this.days = days;
        this.file = file;
    }

    @GetMapping("/contests/{contest}/results.csv")
    ResponseEntity<String> results(@AuthenticationPrincipal Person coach, @PathVariable long contest) {
        ContestEntity held = contests.contest(coach, contest);
        DayView.Made made = days.of(coach, held);
        String table = held.rules().isOfEvents()
                ? file.of(EventsView.of(events.of(held), made.entries(), events.results(held), made.own()))
                : file.of(made);
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(ResultsFile.name(held))
                                .build()
                                .toString())
                .body(table);
    }
}
