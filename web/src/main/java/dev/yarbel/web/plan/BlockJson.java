package dev.yarbel.web.plan;

import com.fasterxml.jackson.annotation.JsonInclude;
import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.Phase;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.SessionPlan;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.rest.JsonMass;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A block as it is planned, for programs. */
@JsonInclude(JsonInclude.Include.NON_ABSENT)
record BlockJson(
        long id,
        String name,
        LocalDate start,

        @Schema(description = "The day of the contest it leads to")
        Optional<LocalDate> contest,

        List<WeekJson> weeks,
        List<DayJson> days) {

    /** What a week is for. */
    record WeekJson(Phase phase, boolean deload) {

        static WeekJson of(BlockWeek week) {
            return new WeekJson(week.phase(), week.deload());
        }
    }

    /** A training day. */
    record DayJson(
            long id,
            String name,

            @Schema(description = "Days after the first day of the week, 0 to 6")
            int offset,

            List<SlotJson> slots) {

        static DayJson of(TrainingDay day) {
            return new DayJson(
                    day.id().number(),
                    day.name(),
                    day.offset(),
                    day.slots().stream().map(SlotJson::of).toList());
        }
    }

    /** A line of a day. */
    @JsonInclude(JsonInclude.Include.NON_ABSENT)
    record SlotJson(
            long id,
            String letter,
            @Schema(description = "The key of the lift") String lift,

            @Schema(description = "A dose a week in the shorthand of the sheet; empty for a week that leaves it out")
            List<String> doses,

            Optional<String> reason) {

        static SlotJson of(Slot slot) {
            return new SlotJson(
                    slot.id().number(),
                    slot.letter(),
                    slot.lift().key(),
                    slot.doses().stream()
                            .map(dose -> dose.map(Dose::shorthand).orElse(""))
                            .toList(),
                    slot.reason());
        }
    }

    static BlockJson of(LifterBlock plan) {
        Block block = plan.block();
        return new BlockJson(
                plan.blockId(),
                block.name(),
                block.start(),
                block.contest(),
                block.shape().stream().map(WeekJson::of).toList(),
                block.days().stream().map(DayJson::of).toList());
    }

    /** What a part of a dose comes to on its day, with the kit at hand. */
    @JsonInclude(JsonInclude.Include.NON_ABSENT)
    record LoadJson(
            LocalDate on,
            long day,
            int week,
            String letter,
            String lift,
            String dose,

            @Schema(description = "Absent where only the day decides")
            Optional<JsonMass> load) {}

    static List<LoadJson> loads(LifterBlock plan) {
        List<LoadJson> loads = new ArrayList<>();
        for (int week = 0; week < plan.block().weeks(); week++) {
            for (int day : plan.block().daysByDate()) {
                LocalDate on = plan.block().date(day, week);
                long number = plan.block().days().get(day).id().number();
                List<PrescribedSets> asked = plan.projection().prescriptions(day, week);
                for (SessionPlan.SlotPlan slot :
                        SessionPlan.of(plan.resolver(), asked, List.of()).slots()) {
                    loads.add(new LoadJson(
                            on,
                            number,
                            week + 1,
                            slot.prescription().letter(),
                            slot.prescription().lift().key(),
                            slot.prescription().part().shorthand(),
                            slot.planned().load().map(JsonMass::of)));
                }
            }
        }
        return loads;
    }
}
