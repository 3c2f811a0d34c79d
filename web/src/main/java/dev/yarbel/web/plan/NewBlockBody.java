package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.Phase;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.hibernate.validator.constraints.Range;

/**
 * A whole block as a program sends it.
 *
 * @param contest the day of the contest it leads to
 * @param confirmed whether other blocks on the same days are meant to give way
 */
record NewBlockBody(
        @NotBlank @Size(max = 40) String name,
        @NotNull LocalDate start,
        LocalDate contest,
        @NotNull @Size(min = 1, max = Block.MOST_WEEKS) List<@NotNull @Valid WeekBody> weeks,
        @NotNull @Size(max = 14) List<@NotNull @Valid DayBody> days,

        @Schema(description = "Whether other blocks on the same days are meant to give way")
        boolean confirmed) {

    /** What a week is for. */
    record WeekBody(Phase phase, boolean deload) {

        BlockWeek week() {
            return new BlockWeek(phase == null ? Phase.GENERAL : phase, deload);
        }
    }

    /** A training day. */
    record DayBody(
            @NotBlank @Size(max = 40) String name,
            @NotNull @Range(min = 0, max = 6) Integer offset,
            @NotNull @Size(max = 26) List<@NotNull @Valid SlotBody> slots) {}

    /** A line of a day. */
    record SlotBody(
            @NotBlank String letter,

            @NotBlank @Schema(description = "The key of a lift, or its name")
            String lift,

            @NotNull
            @Schema(description = "A dose a week in the shorthand of the sheet; empty for a week that leaves it out")
            List<@NotNull @Size(max = 4000) String> doses,

            @Size(max = 80) String reason) {}

    /**
     * The block.
     *
     * @param lifts reads the name of a lift
     * @param read what is known of the lifter, by which doses are looked at
     * @throws UnreadableException when something of it cannot be used
     */
    Block read(Function<String, Lift> lifts, LifterBlock read, Words words) {
        List<TrainingDay> training = new ArrayList<>();
        for (int d = 0; d < days.size(); d++) {
            DayBody day = days.get(d);
            Set<String> letters = new HashSet<>();
            List<Slot> slots = new ArrayList<>();
            for (int s = 0; s < day.slots().size(); s++) {
                Slot slot = slot(day.slots().get(s), "days[" + d + "].slots[" + s + "].", lifts, read, words);
                if (!letters.add(slot.letter())) {
                    throw new UnreadableException("plan.letter-taken").in("days[" + d + "].slots[" + s + "].letter");
                }
                slots.add(slot);
            }
            training.add(new TrainingDay(BlockForms.line(day.name(), 40), day.offset(), slots));
        }
        return new Block(
                BlockForms.line(name, 40),
                start,
                training,
                weeks.stream().map(WeekBody::week).toList(),
                Optional.ofNullable(contest));
    }

    private Slot slot(SlotBody body, String in, Function<String, Lift> lifts, LifterBlock read, Words words) {
        Lift lift = Reading.field(in + "lift", body.lift(), lifts);
        if (body.doses().size() != weeks.size()) {
            throw new UnreadableException("http.doses", weeks.size()).in(in + "doses");
        }
        List<Optional<Dose>> doses = new ArrayList<>();
        for (int week = 0; week < body.doses().size(); week++) {
            String text = body.doses().get(week);
            String at = in + "doses[" + week + "]";
            TypedDoses.trouble(read, lift, text).ifPresent(trouble -> {
                throw new UnreadableException("http.says", trouble.said(words)).in(at);
            });
            doses.add(TypedDoses.read(read, text));
        }
        return new Slot(
                Reading.field(in + "letter", body.letter(), BlockForms::letter),
                lift,
                doses,
                Optional.empty(),
                Optional.ofNullable(body.reason()).filter(text -> !text.isBlank()));
    }
}
