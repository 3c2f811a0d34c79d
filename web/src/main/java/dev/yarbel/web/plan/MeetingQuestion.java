package dev.yarbel.web.plan;

import dev.yarbel.web.block.Meeting;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Two blocks of one lifter on the same days are told of before it happens. */
@Component
class MeetingQuestion {

    private final Words words;

    MeetingQuestion(Words words) {
        this.words = words;
    }

    /** What a block would meet, in words. */
    List<String> said(LifterCard lifter, List<Meeting> meetings) {
        return meetings.stream()
                .map(meeting -> words.say(
                        meeting.replaced() ? "meeting.replaced" : "meeting.cut-short",
                        lifter.name(),
                        meeting.other().name(),
                        words.shortDay(meeting.replaced() ? meeting.other().end() : meeting.from()),
                        words.shortDay(meeting.from())))
                .toList();
    }

    /**
     * Asks beside the first day, unless that was done and it is meant.
     *
     * @throws UnreadableException where something is met
     */
    void ask(List<String> said, boolean meant) {
        if (!said.isEmpty() && !meant) {
            throw new UnreadableException("ask.block-meets", said.stream().collect(Collectors.joining(" ")))
                    .in("start");
        }
    }
}
