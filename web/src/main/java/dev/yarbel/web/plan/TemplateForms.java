package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockEdit;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.web.block.BlockRefused;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.EditRecord;
import dev.yarbel.web.block.HeldBlock;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.block.Template;
import dev.yarbel.web.block.TemplateKind;
import dev.yarbel.web.block.Templates;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import jakarta.validation.constraints.NotNull;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps parts of a block as templates, and puts templates into one, as the forms beside the sheet ask. */
@Service
class TemplateForms {

    private static final int LONGEST_NAME = 60;

    private final Templates templates;
    private final Blocks blocks;

    TemplateForms(Templates templates, Blocks blocks) {
        this.templates = templates;
        this.blocks = blocks;
    }

    /** What is kept as a template, and by what name; the doses of a slot are of one by its number. */
    record Keep(@NotNull TemplateKind kind, String name, Long slot) {}

    /** Keeps a block, one of its days, or the doses of one of its slots. */
    void keep(Person coach, LifterBlock plan, int at, Keep form) {
        TemplateKind kind = form.kind();
        String name = Reading.field("name", form.name(), text -> BlockForms.line(text, LONGEST_NAME));
        Block block = plan.block();
        if (kind == TemplateKind.BLOCK) {
            templates.keep(coach, name, block);
            return;
        }
        if (at < 0 || at >= block.days().size()) {
            throw new NotFoundException();
        }
        TrainingDay day = block.days().get(at);
        if (kind == TemplateKind.DAY) {
            templates.keep(coach, name, block, day);
        } else {
            SlotId id = new SlotId(Reading.needed("slot", form.slot()));
            Slot slot = day.slots().stream()
                    .filter(there -> there.id().equals(id))
                    .findFirst()
                    .orElseThrow(() -> new BlockRefused("gone"));
            templates.keep(coach, name, block, day, slot);
        }
    }

    /** A template that is put into a block; doses go into a slot by its number, from a week on. */
    record Use(@NotNull Long template, Long slot, Integer week, Boolean follow) implements Follows {}

    /** Puts a day of a template at the end of a block's week, or a scheme's doses into a slot from a week on. */
    @Transactional
    public BlockEdit use(Person coach, LifterBlock plan, Use form) {
        HeldBlock held = blocks.hold(plan);
        Template template = templates.find(coach, form.template());
        BlockEdit edit;
        if (template.kind() == TemplateKind.SCHEME) {
            SlotId slot = new SlotId(Reading.needed("slot", form.slot()));
            int week = Reading.within("week", form.week(), 1, held.block().weeks()) - 1;
            edit = templates.doses(coach, template, held, slot, week);
        } else {
            edit = templates.days(coach, template, held);
        }
        blocks.make(coach, held, edit, EditRecord.of("template", template.name()));
        return edit;
    }
}
