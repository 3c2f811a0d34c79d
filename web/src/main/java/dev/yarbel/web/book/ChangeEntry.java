package dev.yarbel.web.book;

import dev.yarbel.web.page.ChangeKind;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
class ChangeEntry {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private Long lifterId;
    private Instant madeAt;
    private long madeBy;
    private String madeByName;

    @Enumerated(EnumType.STRING)
    private ChangeKind kind;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<String> subject;

    private String why;
    private String before;
    private String after;
    private Long blockId;
    private String payload;
    private Long undoes;

    protected ChangeEntry() {}

    ChangeEntry(long clubId, Long lifterId, Instant madeAt, long madeBy, String madeByName, Change change) {
        this.clubId = clubId;
        this.lifterId = lifterId;
        this.madeAt = madeAt;
        this.madeBy = madeBy;
        this.madeByName = madeByName;
        this.kind = change.kind();
        this.subject = change.subject();
        this.why = change.why().orElse(null);
        this.before = change.before();
        this.after = change.after();
    }

    ChangeEntry traced(Ledger.Trace trace) {
        blockId = trace.blockId();
        payload = trace.payload();
        undoes = trace.undoes().orElse(null);
        return this;
    }

    /** What undoing it takes, known to whoever wrote it. */
    ChangeEntry undoneBy(String what) {
        payload = what;
        return this;
    }

    long id() {
        return id;
    }

    Optional<String> payload() {
        return Optional.ofNullable(payload);
    }

    /** The block it changed; empty where it is about something else. */
    Optional<Long> blockId() {
        return Optional.ofNullable(blockId);
    }

    Ledger.Traced traced() {
        return new Ledger.Traced(id, madeBy, madeByName, change(), payload, Optional.ofNullable(undoes));
    }

    Change change() {
        return new Change(madeAt, madeByName, kind, subject, Optional.ofNullable(why), before, after);
    }
}
