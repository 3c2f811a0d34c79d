package dev.yarbel.web.plan;

import com.fasterxml.jackson.annotation.JsonInclude;
import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Phase;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.web.block.BlockSummary;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.LiftNames;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.rest.Listed;
import dev.yarbel.web.rest.Problems;
import dev.yarbel.web.rest.Versions;
import dev.yarbel.web.roster.LifterCard;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.hibernate.validator.constraints.Range;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Blocks, their doses and the loads they come to, for programs. */
@RestController
@RequestMapping(Problems.ROOT + "lifters/{id}/blocks")
@Tag(name = "Plans")
class BlocksResource {

    private static final int MOST_DOSES = 2000;

    private final Blocks blocks;
    private final SheetEdits edits;
    private final MeetingQuestion meeting;
    private final LiftNames lifts;
    private final Words words;
    private final Versions versions;

    BlocksResource(
            Blocks blocks, SheetEdits edits, MeetingQuestion meeting, LiftNames lifts, Words words, Versions versions) {
        this.blocks = blocks;
        this.edits = edits;
        this.meeting = meeting;
        this.lifts = lifts;
        this.words = words;
        this.versions = versions;
    }

    /**
     * A block in the list.
     *
     * @param putAside the day on which another takes its place
     */
    @JsonInclude(JsonInclude.Include.NON_ABSENT)
    record BlockLine(
            long id,
            String name,
            LocalDate start,
            int weeks,
            Optional<LocalDate> contest,

            @Schema(description = "The day on which another block takes its place")
            Optional<LocalDate> putAside) {

        static BlockLine of(BlockSummary block) {
            return new BlockLine(
                    block.id(), block.name(), block.start(), block.weeks(), block.contest(), block.putAside());
        }
    }

    @GetMapping
    @Operation(summary = "A lifter's blocks, the latest first")
    Listed<BlockLine> blocks(LifterCard lifter) {
        return new Listed<>(blocks.of(lifter).stream().map(BlockLine::of).toList(), null);
    }

    private LifterBlock open(Person person, LifterCard lifter, long block) {
        return blocks.open(lifter, person.zone(), Optional.of(block)).orElseThrow(NotFoundException::new);
    }

    private BlockJson told(Person person, LifterCard lifter, long block) {
        return BlockJson.of(open(person, lifter, block));
    }

    @GetMapping("/{block}")
    @Operation(summary = "A block with its weeks, days and doses")
    ResponseEntity<BlockJson> block(
            @AuthenticationPrincipal Person person, LifterCard lifter, @PathVariable long block) {
        return versions.tagged(told(person, lifter, block));
    }

    @GetMapping("/{block}/loads")
    @Operation(summary = "What a block's doses come to, by day, as things stand today")
    Listed<BlockJson.LoadJson> loads(
            @AuthenticationPrincipal Person person, LifterCard lifter, @PathVariable long block) {
        return new Listed<>(BlockJson.loads(open(person, lifter, block)), null);
    }

    @PostMapping
    @Operation(
            summary = "Begin a block",
            description =
                    "Doses that stand behind a gate are left out: a gate is opened on the sheet, in a coach's own name.")
    ResponseEntity<BlockJson> begin(
            @AuthenticationPrincipal Person coach, LifterCard lifter, @Valid @RequestBody NewBlockBody body) {
        Block block = body.read(name -> lift(lifter, name), blocks.currentOrNone(lifter, coach.zone()), words);
        meeting.ask(meeting.said(lifter, blocks.meetings(lifter, block.start(), block.weeks())), body.confirmed());
        long made = blocks.begin(coach, lifter, block, "");
        return versions.created(
                Problems.ROOT + "lifters/" + lifter.id() + "/blocks/" + made, told(coach, lifter, made));
    }

    private Lift lift(LifterCard lifter, String name) {
        return lifts.read(lifter.clubId(), name);
    }

    /**
     * A dose of a slot in a week.
     *
     * @param week from 1
     * @param dose empty for a week that leaves it out
     */
    record DoseBody(
            @NotNull Long slot,
            @NotNull @Schema(description = "From 1") Integer week,
            @NotNull @Size(max = 4000) String dose) {}

    /** Doses that are written at once. */
    record DosesBody(
            @NotNull @Size(min = 1, max = MOST_DOSES) List<@NotNull @Valid DoseBody> doses) {}

    @PutMapping("/{block}/doses")
    @Operation(
            summary = "Write doses into a block",
            description = "In the shorthand of the sheet; all of them or none. What was lifted stays.")
    ResponseEntity<BlockJson> doses(
            @AuthenticationPrincipal Person coach,
            LifterCard lifter,
            @PathVariable long block,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String seen,
            @Valid @RequestBody DosesBody body) {
        List<DoseBody> doses = body.doses();
        LifterBlock plan = open(coach, lifter, block);
        versions.check(seen, BlockJson.of(plan));
        Map<CellKey, SheetEdits.TypedCell> typed = new HashMap<>();
        Map<CellKey, String> fields = new HashMap<>();
        for (int at = 0; at < doses.size(); at++) {
            DoseBody dose = doses.get(at);
            int week = Reading.within(
                            "doses[" + at + "].week",
                            dose.week(),
                            1,
                            plan.block().weeks())
                    - 1;
            SlotId slot = new SlotId(dose.slot());
            String was = plan.block()
                    .slot(slot)
                    .orElseThrow(NotFoundException::new)
                    .dose(week)
                    .map(Dose::shorthand)
                    .orElse("");
            CellKey cell = new CellKey(slot, week);
            typed.put(cell, new SheetEdits.TypedCell(was, dose.dose().replaceAll("[\\r\\n]+", " ")));
            fields.put(cell, "doses[" + at + "].dose");
        }
        edits.save(coach, plan, typed).troubles().entrySet().stream()
                .findFirst()
                .ifPresent(trouble -> {
                    throw new UnreadableException(
                                    "http.says", trouble.getValue().said(words))
                            .in(fields.get(trouble.getKey()));
                });
        return versions.tagged(told(coach, lifter, block));
    }

    /**
     * A change of weeks, days, slots or the block itself; each kind has fields of its own.
     *
     * @param confirmed whether other blocks on the same days are meant to give way
     */
    record ChangeBody(
            @NotNull ChangeForm.Kind kind,
            @Schema(description = "From 1") Integer week,
            Phase phase,
            Boolean deload,

            @Range(min = 1, max = 12) @Schema(description = "How many weeks a phase grows")
            Integer by,

            Long slot,
            @Size(max = 4) String letter,
            String lift,
            @Size(max = 80) String reason,
            Long day,
            @Size(max = 40) String name,
            Integer offset,
            LocalDate contest,
            LocalDate start,

            @Schema(description = "Whether days move to other weekdays along with the first day of the block")
            Boolean weekdays,

            boolean confirmed) {

        ChangeForm form(String stamp, Lift of) {
            return new ChangeForm(
                    kind, stamp, false, week, phase, deload, by, slot, letter, of, reason, day, name, offset, contest,
                    start, weekdays, null);
        }
    }

    @PostMapping("/{block}/changes")
    @Operation(
            summary = "Change weeks, days, slots or the block itself",
            description =
                    "As the forms beside the sheet do. Weeks are named by their number, days and slots by their ids.")
    ResponseEntity<BlockJson> change(
            @AuthenticationPrincipal Person coach,
            LifterCard lifter,
            @PathVariable long block,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String seen,
            @Valid @RequestBody ChangeBody body) {
        LifterBlock plan = open(coach, lifter, block);
        versions.check(seen, BlockJson.of(plan));
        Lift lift = body.lift() == null ? null : Reading.field("lift", body.lift(), name -> lift(lifter, name));
        if (body.kind() == ChangeForm.Kind.BLOCK_SHIFT && body.start() != null) {
            meeting.ask(meeting.said(lifter, blocks.meetings(plan, body.start())), body.confirmed());
        }
        edits.change(coach, plan, body.form(plan.stamp(), lift));
        return versions.tagged(told(coach, lifter, block));
    }

    @DeleteMapping("/{block}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(summary = "Take a block away; what was lifted in it stays in the log")
    void remove(@AuthenticationPrincipal Person coach, LifterCard lifter, @PathVariable long block) {
        blocks.remove(coach, open(coach, lifter, block));
    }

    @PostMapping("/{block}/bring-back")
    @Operation(summary = "Bring back a block that was taken away")
    ResponseEntity<BlockJson> bringBack(
            @AuthenticationPrincipal Person coach, LifterCard lifter, @PathVariable long block) {
        blocks.bringBack(coach, lifter, block);
        return versions.tagged(told(coach, lifter, block));
    }

    @PostMapping("/{block}/undo")
    @Operation(
            summary = "Take back the last change of a block",
            description = "One change each time, as on the sheet. A block without one stays as it is.")
    ResponseEntity<BlockJson> undo(
            @AuthenticationPrincipal Person coach,
            LifterCard lifter,
            @PathVariable long block,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String seen) {
        LifterBlock plan = open(coach, lifter, block);
        versions.check(seen, BlockJson.of(plan));
        edits.undo(coach, plan, false);
        return versions.tagged(told(coach, lifter, block));
    }
}
