package dev.yarbel.web.calendar;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Locale;

/** Where calendars fetch what somebody sees. Each person has one at most. */
@Entity
class CalendarAddress {

    @Id
    private Long accountId;

    private long clubId;
    private String secretHash;
    private boolean sessions;
    private String language;
    private Instant madeAt;

    protected CalendarAddress() {}

    CalendarAddress(long clubId, long accountId, String secretHash, boolean sessions, Locale language, Instant madeAt) {
        this.clubId = clubId;
        this.accountId = accountId;
        this.secretHash = secretHash;
        this.sessions = sessions;
        this.language = language.toLanguageTag();
        this.madeAt = madeAt;
    }

    long clubId() {
        return clubId;
    }

    long accountId() {
        return accountId;
    }

    /** Whether sessions are among what is fetched; contests are. */
    public boolean hasSessions() {
        return sessions;
    }

    Locale language() {
        return Locale.forLanguageTag(language);
    }

    public Instant madeAt() {
        return madeAt;
    }
}
