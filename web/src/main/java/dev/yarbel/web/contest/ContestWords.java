package dev.yarbel.web.contest;

import dev.yarbel.core.contest.AnnouncedEvent;
import dev.yarbel.core.contest.Pacing;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Words that only contests need. */
@Component("contestWords")
class ContestWords {

    private final Words words;

    ContestWords(Words words) {
        this.words = words;
    }

    /** What is announced of an event, in a line: what counts, and whatever else was said of it. */
    public String announced(EventEntity event) {
        AnnouncedEvent as = event.announced();
        List<String> parts = new ArrayList<>();
        as.load().ifPresent(load -> parts.add(words.load(load, MassUnit.KG)));
        if (!as.series().isEmpty()) {
            parts.add(list(as.series()) + " kg");
        }
        as.course().ifPresent(far -> parts.add(metres(far)));
        as.limit().ifPresent(time -> parts.add(time.toSeconds() + " s"));
        parts.add(words.say("contest.measure." + as.measure()));
        return String.join(", ", parts);
    }

    /** When it begins, and how long each takes; blank where nobody said. */
    public String held(EventEntity event) {
        List<String> parts = new ArrayList<>();
        event.begins().ifPresent(at -> parts.add(words.say("contest.event.begins.at", at)));
        event.minutes().ifPresent(each -> parts.add(words.say("contest.event.minutes.each", each)));
        return String.join(", ", parts);
    }

    private String metres(Length far) {
        return words.figure(far.in(LengthUnit.M).stripTrailingZeros().toPlainString()) + " m";
    }

    /** Masses one after the other, as they are typed again. */
    public String list(List<Mass> masses) {
        return masses.stream().map(mass -> words.figure(mass, MassUnit.KG)).collect(Collectors.joining(" / "));
    }

    /** A pace as a crew calls it: {@code 3 by 15 s, 6 by 30 s}. */
    public String pace(Pacing pace, String unit) {
        return pace.marks().stream()
                .map(mark -> words.say(
                        "contest.pace.mark",
                        words.figure(mark.amount().stripTrailingZeros().toPlainString()) + unit,
                        words.figure(mark.seconds().stripTrailingZeros().toPlainString())))
                .collect(Collectors.joining(", "));
    }

    /** A sex and a class, as {@code MALE/93}, in words; a dash where nothing is known. */
    public String group(String group) {
        if (group.isEmpty()) {
            return "–";
        }
        String[] parts = group.split("/", -1);
        String limit = parts[1].isEmpty() ? "" : parts[1].equals("+") ? " +" : " −" + parts[1];
        return words.say("contest.sex." + parts[0]) + limit;
    }
}
