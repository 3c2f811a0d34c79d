package dev.yarbel.web.calls;

import dev.yarbel.core.adjust.Aftermath;
import dev.yarbel.core.adjust.Direction;
import dev.yarbel.core.adjust.Verdict;
import dev.yarbel.core.measure.Percent;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.Optional;

/** What followed an answered slip, and whether that bears the answer out. */
@Entity
class JudgedCall {

    @Id
    private long slipId;

    private long clubId;
    private Instant judgedAt;

    @Enumerated(EnumType.STRING)
    private Direction direction;

    @Enumerated(EnumType.STRING)
    private Verdict verdict;

    private int sessions;
    private int rated;
    private int overTarget;
    private int underTarget;
    private int missed;
    private boolean hurt;
    private BigDecimal trend;

    protected JudgedCall() {}

    JudgedCall(long clubId, long slipId, Instant judgedAt, Direction direction, Aftermath followed) {
        this.clubId = clubId;
        this.slipId = slipId;
        this.judgedAt = judgedAt;
        this.direction = direction;
        this.verdict = followed.verdict(direction);
        this.sessions = followed.sessions();
        this.rated = followed.rated();
        this.overTarget = followed.over();
        this.underTarget = followed.under();
        this.missed = followed.missed();
        this.hurt = followed.hurt();
        this.trend = followed.trend().map(Percent::figure).orElse(null);
    }

    Verdict verdict() {
        return verdict;
    }

    Aftermath followed() {
        return new Aftermath(
                sessions,
                rated,
                overTarget,
                underTarget,
                missed,
                hurt,
                Optional.ofNullable(trend).map(moved -> Percent.of(moved.toPlainString())));
    }
}
