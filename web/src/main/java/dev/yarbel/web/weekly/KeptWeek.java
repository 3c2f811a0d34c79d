package dev.yarbel.web.weekly;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import java.time.LocalDate;

/** What a coach wrote about a lifter's week. */
@Entity
class KeptWeek {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long lifterId;
    private LocalDate monday;
    private String words;
    private Instant keptAt;
    private String keptByName;
    private int edition;

    protected KeptWeek() {}

    String words() {
        return words;
    }

    /**
     * What was written.
     *
     * @param edition how often it was, from 1
     */
    record Written(String words, String by, Instant at, int edition) {}

    Written written() {
        return new Written(words, keptByName, keptAt, edition);
    }

    String keptByName() {
        return keptByName;
    }

    /** How often it was written, from 1; 0 while nobody did. */
    int edition() {
        return edition;
    }

    void write(String text, Instant at, String who) {
        words = text;
        keptAt = at;
        keptByName = who;
        edition++;
    }
}
