package dev.yarbel.web.calls;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;

@Entity
class Slip {

    enum Status {
        OPEN,
        TAKEN,
        CHANGED,
        LEFT,
        /** The answer was taken back when another slip of the lift was open already. */
        TAKEN_BACK,
        /** It was taken without asking, where the coach lets small changes be. */
        BY_ITSELF,
        /** Nobody answered it before a newer session said more. */
        OVERTAKEN
    }

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long lifterId;
    private Lift lift;
    private Long sessionId;
    private Long contestId;
    private LocalDate contestWas;

    @Enumerated(EnumType.STRING)
    private Status status;

    private Instant openedAt;
    private String rule;
    private String proposes;
    private boolean raises;
    private BigDecimal size;
    private LocalDate putOffUntil;
    private Instant answeredAt;
    private Long answeredBy;
    private Long answerEntry;

    protected Slip() {}

    long id() {
        return id;
    }

    long clubId() {
        return clubId;
    }

    long lifterId() {
        return lifterId;
    }

    Lift lift() {
        return lift;
    }

    Cause cause() {
        return sessionId == null
                ? new Cause.OfContest(contestId, Optional.ofNullable(contestWas))
                : new Cause.OfSession(sessionId);
    }

    Instant openedAt() {
        return openedAt;
    }

    /** The key of the rule that gave it. */
    String rule() {
        return rule;
    }

    /** The name of the kind of what it proposed, when it was opened. */
    String proposes() {
        return proposes;
    }

    /** Whether it proposed that the lifter does more, when it was opened. */
    boolean raises() {
        return raises;
    }

    /** How much it proposed to change, when it was opened. */
    Percent size() {
        return Percent.of(size.toPlainString());
    }

    /** Whether it is out of sight on a day. */
    boolean isPutOff(LocalDate today) {
        return putOffUntil != null && today.isBefore(putOffUntil);
    }

    Optional<LocalDate> putOffUntil() {
        return Optional.ofNullable(putOffUntil);
    }

    void putOff(LocalDate until) {
        putOffUntil = until;
    }

    boolean isOpen() {
        return status == Status.OPEN;
    }

    /**
     * How and when it was answered.
     *
     * @param by which account; empty where it was overtaken
     */
    record Answer(Status status, Instant at, Optional<Long> by) {}

    Optional<Answer> answer() {
        return isOpen()
                ? Optional.empty()
                : Optional.of(new Answer(status, answeredAt, Optional.ofNullable(answeredBy)));
    }

    /** @param entry the ledger's entry of the answer */
    void answer(Status answer, Instant at, long by, long entry) {
        status = answer;
        answeredAt = at;
        answeredBy = by;
        answerEntry = entry;
    }

    Status status() {
        return status;
    }

    Instant answeredAt() {
        return answeredAt;
    }

    Optional<Long> answerEntry() {
        return Optional.ofNullable(answerEntry);
    }

    /** It waits again for an answer. */
    void reopen() {
        status = Status.OPEN;
        answeredAt = null;
        answeredBy = null;
        answerEntry = null;
    }

    /** Its answer does not hold, and another slip of the lift asks what it asked. */
    void takeBack() {
        status = Status.TAKEN_BACK;
    }
}
