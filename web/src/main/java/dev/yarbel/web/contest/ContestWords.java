package dev.yarbel.web.contest;

import dev.yarbel.web.page.Words;
import org.springframework.stereotype.Component;

/** Words that only contests need. */
@Component("contestWords")
class ContestWords {

    private final Words words;

    ContestWords(Words words) {
        this.words = words;
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
