package dev.yarbel.web.contest;

import dev.yarbel.web.page.Pdf;
import dev.yarbel.web.page.Person;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** What came of a contest, as a file and on paper. */
@Controller
class ResultsController {

    private final Contests contests;
    private final Events events;
    private final DayReader days;
    private final ResultsFile file;
    private final Pdf pdf;

    ResultsController(Contests contests, Events events, DayReader days, ResultsFile file, Pdf pdf) {
        this.contests = contests;
        this.events = events;
        this.days = days;
        this.file = file;
        this.pdf = pdf;
    }

    @GetMapping("/contests/{contest}/results.csv")
    ResponseEntity<String> results(@AuthenticationPrincipal Person coach, @PathVariable long contest) {
        ContestEntity held = contests.contest(coach, contest);
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(ResultsFile.name(held, ".csv"))
                                .build()
                                .toString())
                .body(ResultsFile.csv(results(coach, held)));
    }

    /** The same on paper, for the wall. */
    @GetMapping("/contests/{contest}/results.pdf")
    ResponseEntity<byte[]> paper(@AuthenticationPrincipal Person coach, @PathVariable long contest) {
        ContestEntity held = contests.contest(coach, contest);
        return pdf.of(
                        "contest/paper-contest",
                        Pdf.Paper.LANDSCAPE,
                        Map.of("contest", held, "results", results(coach, held)))
                .named(ResultsFile.name(held, ".pdf"));
    }

    private ResultsFile.Results results(Person coach, ContestEntity held) {
        DayView.Made made = days.of(coach, held);
        return held.rules().isOfEvents()
                ? file.of(EventsView.of(events.of(held), made.entries(), events.results(held), made.own()))
                : file.of(made);
    }
}
