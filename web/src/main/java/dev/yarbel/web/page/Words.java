package dev.yarbel.web.page;

import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.equipment.Plate;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Reference;
import dev.yarbel.core.progress.Step;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.temporal.TemporalAccessor;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.springframework.context.MessageSource;
import org.springframework.context.MessageSourceResolvable;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.stereotype.Component;

/**
 * How loads, lifts, shares and days read on a page, {@code @words} in templates. A load is always figure and unit; all
 * else comes from the message bundle of the reader's language.
 */
@Component("words")
public class Words {

    private final MessageSource messages;

    Words(MessageSource messages) {
        this.messages = messages;
    }

    /** A load that can be put on a bar, in full: {@code 142.5 kg}. */
    public String load(Mass mass, MassUnit unit) {
        return figure(mass.format(unit, 2));
    }

    /** An estimate, to half of what anybody could load: {@code 187.6 kg}. */
    public String about(Mass mass, MassUnit unit) {
        return figure(mass.format(unit, unit == MassUnit.KG ? 1 : 0));
    }

    /** The other unit, for a hover: {@code 314.2 lb}. */
    public String other(Mass mass, MassUnit unit) {
        return figure(mass.format(unit.other(), 1));
    }

    /** The figure of a load alone: {@code 142.5}. */
    public String figure(Mass mass, MassUnit unit) {
        return figure(mass.figure(unit, 2));
    }

    /** A figure to one decimal, without one that is nothing: {@code 3.8}, {@code 7}. */
    public String decimal(double figure) {
        return figure(BigDecimal.valueOf(figure)
                .setScale(1, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString());
    }

    /** A figure, with its unit or without, with the decimal sign of the reader's language; any other text as it is. */
    public String figure(String text) {
        return ReadersFigures.in(text, LocaleContextHolder.getLocale());
    }

    /** A dose in its shorthand, with the decimal sign of the reader's language: {@code 3x5 72.5%}. */
    public String dose(String shorthand) {
        return ReadersFigures.inDose(shorthand, LocaleContextHolder.getLocale());
    }

    /** A figure with its unit for the middle of a sentence, where no line may break between the two. */
    public String unbroken(String figure) {
        return figure.replace(' ', '\u00a0');
    }

    /** A movement with its sign: {@code +2.5 kg}, {@code −5 kg}. */
    public String moved(Mass mass, MassUnit unit) {
        String figure = figure(mass.abs().format(unit, 1));
        return figure.startsWith("0 ") ? figure : (mass.isNegative() ? "−" : "+") + figure;
    }

    /** A share, its sign never alone on a line: {@code 72.5 %}. */
    public String percent(Percent percent) {
        return figure(percent.format(1)) + "\u00a0%";
    }

    /** A share without decimals: {@code 73 %}. */
    public String wholePercent(Percent percent) {
        return figure(percent.format(0)) + "\u00a0%";
    }

    /** A share that something moved by, with its sign: {@code +2.1 %}, {@code −5 %}. */
    public String moved(Percent percent) {
        String share = percent(percent.abs());
        return share.startsWith("0\u00a0") ? share : (percent.isNegative() ? "−" : "+") + share;
    }

    /** Why a law did what it did: {@code 2 of 3 sets made}. */
    public String reasons(Step step) {
        return step.reasons().stream()
                .map(reason -> say("law.reason." + reason.kind(), reason.done(), reason.of()))
                .collect(Collectors.joining(", "));
    }

    /** A lift by its name; one of a club's own, which has none in the bundle, by its key put into words. */
    public String lift(Lift lift) {
        return lift(lift, LocaleContextHolder.getLocale());
    }

    /** The same in a language that need not be the reader's. */
    String lift(Lift lift, Locale language) {
        String inWords = lift.key().replaceFirst("^own-", "").replace('-', ' ');
        return messages.getMessage(
                "lift." + lift.key(),
                null,
                inWords.substring(0, 1).toUpperCase(Locale.ROOT) + inWords.substring(1),
                language);
    }

    /**
     * What a load is made with: a bar or a machine by its name, a row of pieces or a belt by its kind.
     *
     * @param name what it is called in the gym
     */
    public String madeWith(Implement implement, String name) {
        return switch (implement.made()) {
            case PLATES, STACK -> name;
            case PIECES, FREELY -> say("implement." + implement);
        };
    }

    /** What a percentage hangs on, with its figure: {@code the goal max, 200 kg}. */
    public String reference(Reference of, String figure) {
        return of.accept(new Reference.Visitor<>() {
            @Override
            public String named(Reference.Named named) {
                return say("reference." + named, figure);
            }

            @Override
            public String repMax(Reference.RepMax repMax) {
                return say("reference.rep-max", figure, repMax.reps());
            }

            @Override
            public String other(Reference.Other other) {
                return say("reference.other", figure, lift(other.lift()));
            }
        });
    }

    /** A lift by the name of its key; empty for no key. */
    public String liftOf(String key) {
        return key.isEmpty() ? "" : lift(new Lift(key));
    }

    /** Plates as they are picked up: {@code 20 + 2.5}; with the unit only where it is not the lifter's. */
    public String plates(List<Plate> plates, MassUnit unit) {
        return plates.stream()
                .map(plate -> figure(plate.castIn() == unit ? plate.label() : plate.toString()))
                .collect(Collectors.joining(" + "));
    }

    /** A day in a narrow column: {@code 10 Mar}. */
    public String shortDay(LocalDate date) {
        return format(date, "date.short");
    }

    /** A day not far off, to plan by, in a narrow column: {@code Tue 10 Mar}. */
    public String nearDay(LocalDate date) {
        return format(date, "date.near");
    }

    /** A day within a sentence: {@code 10 March}. */
    public String day(LocalDate date) {
        return format(date, "date.day");
    }

    /** A day of any year: {@code 10 March 2026}. */
    public String fullDay(LocalDate date) {
        return format(date, "date.full");
    }

    /** What can be chosen in a field of the profile. */
    public String choice(String field, String option) {
        return say((field.equals("job-strains") ? "tissue." : "profile." + field + ".") + option);
    }

    /** A day one plans by: {@code Tuesday 10 March}. */
    public String weekday(LocalDate date) {
        return format(date, "date.weekday");
    }

    /** A day of the week alone: {@code Tuesday}. */
    public String weekdayName(LocalDate date) {
        return format(date, "date.weekday-name");
    }

    /** A moment as a clock in that zone showed it: {@code 10 Mar 18:02}. */
    public String moment(Instant at, ZoneId zone) {
        return format(at.atZone(zone), "date.moment");
    }

    /** Any other words, by their code. */
    public String say(String code, Object... parts) {
        return messages.getMessage(code, parts, LocaleContextHolder.getLocale());
    }

    /** What is wrong with a field, as Spring found it. */
    public String say(MessageSourceResolvable trouble) {
        return messages.getMessage(trouble, LocaleContextHolder.getLocale());
    }

    /** The same with parts that were kept as text: figures among them count as figures. */
    public String say(String code, List<String> parts) {
        return say(
                code,
                parts.stream()
                        .map(part -> part.matches("\\d{1,6}") ? (Object) Integer.valueOf(part) : part)
                        .toArray());
    }

    /** What an edit of a block did, as the ledger keeps it: its code and the parts; one taken or brought back says so. */
    public String edit(List<String> told) {
        String code = told.get(0);
        for (String again : List.of("undone", "redone")) {
            if (code.endsWith("-" + again)) {
                String first = code.substring(0, code.length() - again.length() - 1);
                return say("plan.change." + again, say("plan.change." + first, told));
            }
        }
        return say("plan.change." + code, told);
    }

    /** Any other words, by their code; where there is none, the text given. */
    public String sayIfAny(String code, String otherwise) {
        return messages.getMessage(code, null, otherwise, LocaleContextHolder.getLocale());
    }

    private String format(TemporalAccessor moment, String pattern) {
        return DateTimeFormatter.ofPattern(say(pattern), LocaleContextHolder.getLocale())
                .format(moment);
    }
}
