package dev.yarbel.web.calls;

import dev.yarbel.core.adjust.Tuning;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.math.BigDecimal;
import java.util.Optional;

/** How one coach has one rule set. */
@Entity
class RuleSetting {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long accountId;
    private String rule;
    private boolean switchedOn = true;
    private BigDecimal threshold;
    private int lefts;

    protected RuleSetting() {}

    RuleSetting(long clubId, long accountId, String rule) {
        this.clubId = clubId;
        this.accountId = accountId;
        this.rule = rule;
    }

    String rule() {
        return rule;
    }

    Tuning.Setting setting() {
        return new Tuning.Setting(switchedOn, Optional.ofNullable(threshold));
    }

    int lefts() {
        return lefts;
    }

    void set(boolean on, Optional<BigDecimal> from) {
        switchedOn = on;
        threshold = from.orElse(null);
        lefts = 0;
    }

    void left() {
        lefts++;
    }

    void oneFewerLeft() {
        lefts = Math.max(0, lefts - 1);
    }

    void notLeft() {
        lefts = 0;
    }
}
