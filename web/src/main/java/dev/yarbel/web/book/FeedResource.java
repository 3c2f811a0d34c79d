package dev.yarbel.web.book;

import dev.yarbel.web.page.Person;
import dev.yarbel.web.rest.Listed;
import dev.yarbel.web.rest.Problems;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Finished sessions in the order in which they became known, for programs that follow them. */
@RestController
@Tag(name = "Sessions")
class FeedResource {

    private final SessionFeed feed;
    private final Roster roster;

    FeedResource(SessionFeed feed, Roster roster) {
        this.feed = feed;
        this.roster = roster;
    }

    /** @param next where to go on, also where nothing is there yet */
    record Told(
            List<SessionFeed.Finished> items,

            @Schema(description = "Send it as `after` the next time, also where nothing is there yet")
            String next) {}

    @GetMapping(Problems.ROOT + "finished-sessions")
    @Operation(
            summary = "Finished sessions in the order they became known",
            description =
                    "Ask again with `after` from time to time: whatever was finished since comes once, and once more"
                            + " when it was corrected. None is missed.")
    Told finished(
            @AuthenticationPrincipal Person person,
            @RequestParam(required = false) String after,
            @RequestParam(defaultValue = Listed.USUAL) int limit) {
        long since = Listed.number(after);
        List<SessionFeed.Finished> items = feed.after(
                person.clubId(),
                roster.lifters(person).stream().map(LifterCard::id).toList(),
                since,
                Listed.limit(limit));
        long last = items.isEmpty() ? since : items.get(items.size() - 1).number();
        return new Told(items, Listed.cursor(List.of(last)));
    }
}
