package dev.yarbel.core.adjust;

import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;

/**
 * How a coach has the rules set: which are switched off, and from where on each speaks. Of a rule nobody touched the usual
 * holds.
 */
public record Tuning(Map<String, Setting> settings) {

    /** Every rule as it comes. */
    public static final Tuning USUAL = new Tuning(Map.of());

    /**
     * How one rule is set.
     *
     * @param threshold empty where the usual one holds
     */
    public record Setting(boolean on, Optional<BigDecimal> threshold) {}

    public Tuning {
        settings = Map.copyOf(settings);
    }

    /** Whether a rule is asked; one that cannot be switched off always is. */
    public boolean isOn(CallRule rule) {
        return !rule.isSwitchable()
                || Optional.ofNullable(settings.get(rule.key()))
                        .map(Setting::on)
                        .orElse(true);
    }

    /** From where on a rule speaks; nothing for a rule without a threshold. */
    public BigDecimal threshold(CallRule rule) {
        return rule.threshold()
                .map(usual -> Optional.ofNullable(settings.get(rule.key()))
                        .flatMap(Setting::threshold)
                        .filter(usual::allows)
                        .orElse(usual.usual()))
                .orElse(BigDecimal.ZERO);
    }
}
