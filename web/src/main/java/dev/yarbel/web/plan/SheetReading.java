package dev.yarbel.web.plan;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.DoseReading;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What is written of a block elsewhere is read as on the sheet. */
@Component
class SheetReading implements DoseReading {

    private final Blocks blocks;
    private final MeetingQuestion meeting;
    private final Words words;

    SheetReading(Blocks blocks, MeetingQuestion meeting, Words words) {
        this.blocks = blocks;
        this.meeting = meeting;
        this.words = words;
    }

    @Override
    public Optional<Dose> read(LifterBlock of, String text) {
        return TypedDoses.read(of, text);
    }

    @Override
    public Optional<String> trouble(LifterBlock of, Lift lift, String text) {
        return TypedDoses.trouble(of, lift, text).map(trouble -> trouble.said(words));
    }

    @Override
    public List<String> meets(LifterCard lifter, LocalDate start, int weeks) {
        return meeting.said(lifter, blocks.meetings(lifter, start, weeks));
    }
}
