package dev.yarbel.web.calls;

import dev.yarbel.core.adjust.CallRule;
import dev.yarbel.core.adjust.Calls;
import dev.yarbel.core.adjust.Threshold;
import dev.yarbel.core.adjust.Tuning;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import java.math.BigDecimal;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** How each coach has the rules set, and what they learn from what the coach leaves. */
@Service
@Transactional
class RuleSettings {

    /** So many of a kind left in a row, and it speaks half a step later. */
    static final int LEFT_THAT_TEACH = 3;

    private final RuleSettingRepository settings;
    private final Words words;

    RuleSettings(RuleSettingRepository settings, Words words) {
        this.settings = settings;
        this.words = words;
    }

    /** As the coach of a lifter has them. */
    @Transactional(readOnly = true)
    public Tuning of(long clubId, long lifterId) {
        return tuning(settings.findForLifter(clubId, lifterId));
    }

    private static Tuning tuning(Collection<RuleSetting> all) {
        return new Tuning(all.stream().collect(Collectors.toMap(RuleSetting::rule, RuleSetting::setting)));
    }

    /** Every rule there is, as a coach has it. */
    @Transactional(readOnly = true)
    public List<RuleLine> lines(Person coach) {
        Map<String, RuleSetting> own = settings.findByClubIdAndAccountId(coach.clubId(), coach.accountId()).stream()
                .collect(Collectors.toMap(RuleSetting::rule, Function.identity()));
        Tuning tuning = tuning(own.values());
        return Calls.RULES.stream()
                .map(rule -> RuleLine.of(
                        rule,
                        tuning.isOn(rule),
                        tuning.threshold(rule),
                        Optional.ofNullable(own.get(rule.key()))
                                .map(RuleSetting::lefts)
                                .orElse(0)))
                .toList();
    }

    /**
     * Sets a rule.
     *
     * @param threshold as it was typed; blank for the usual one
     * @throws NotFoundException when there is no such rule
     * @throws UnreadableException when the threshold is no figure of its range, or the rule cannot be switched off
     */
    public void set(Person coach, String key, boolean on, String threshold) {
        CallRule rule = Calls.rule(key).orElseThrow(NotFoundException::new);
        if (!on && !rule.isSwitchable()) {
            throw new UnreadableException("rules.error.always").in("on");
        }
        Optional<BigDecimal> from = rule.threshold().flatMap(of -> read(threshold, of));
        own(coach, key).set(on, from);
    }

    private Optional<BigDecimal> read(String text, Threshold of) {
        String figure = text.strip().replace(',', '.');
        if (figure.isEmpty()) {
            return Optional.empty();
        }
        if (figure.matches("\\d{1,3}(\\.\\d{1,2})?") && of.allows(new BigDecimal(figure))) {
            return Optional.of(new BigDecimal(figure));
        }
        throw new UnreadableException(
                        "rules.error.threshold",
                        words.figure(of.least().toPlainString()),
                        words.figure(of.most().toPlainString()))
                .in("threshold");
    }

    /**
     * What a rule found was left: the third time in a row its threshold grows by half a step, as far as it goes.
     *
     * @return from where on it speaks now, where that changed
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public Optional<BigDecimal> left(Person coach, String key) {
        Optional<CallRule> rule = Calls.rule(key);
        if (rule.isEmpty()) {
            return Optional.empty();
        }
        RuleSetting own = own(coach, key);
        own.left();
        if (own.lefts() < LEFT_THAT_TEACH) {
            return Optional.empty();
        }
        BigDecimal now = tuning(List.of(own)).threshold(rule.get());
        Optional<BigDecimal> raised =
                rule.get().threshold().map(of -> of.raised(now)).filter(higher -> higher.compareTo(now) > 0);
        raised.ifPresent(higher -> own.set(own.setting().on(), Optional.of(higher)));
        return raised;
    }

    /** What a rule found was taken or changed. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void notLeft(Person coach, String key) {
        settings.findByClubIdAndAccountIdAndRule(coach.clubId(), coach.accountId(), key)
                .ifPresent(RuleSetting::notLeft);
    }

    /** A slip of a rule that was left waits again. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void notLeftAfterAll(Person coach, String key) {
        settings.findByClubIdAndAccountIdAndRule(coach.clubId(), coach.accountId(), key)
                .ifPresent(RuleSetting::oneFewerLeft);
    }

    private RuleSetting own(Person coach, String key) {
        return settings.findByClubIdAndAccountIdAndRule(coach.clubId(), coach.accountId(), key)
                .orElseGet(() -> settings.save(new RuleSetting(coach.clubId(), coach.accountId(), key)));
    }
}
