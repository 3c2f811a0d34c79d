package dev.yarbel.web.block;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockEdit;
import dev.yarbel.core.block.DayEdit;
import dev.yarbel.core.block.SetDoses;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.ChangeLog;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** What a club's coaches keep to start from: a row of doses, a day, a block. */
@Service
@Transactional
public class Templates {

    private final PlanTemplateRepository templates;
    private final ChangeLog changes;
    private final JsonMapper json;
    private final Clock clock;

    Templates(PlanTemplateRepository templates, ChangeLog changes, JsonMapper json, Clock clock) {
        this.templates = templates;
        this.changes = changes;
        this.json = json;
        this.clock = clock;
    }

    /** What the club has, by kind and name. */
    @Transactional(readOnly = true)
    public List<Template> all(long clubId) {
        return templates.findByClubIdAndRemovedAtIsNullOrderByKindAscNameAsc(clubId).stream()
                .map(Template::of)
                .toList();
    }

    /** A template of the club. */
    @Transactional(readOnly = true)
    public Template find(Person coach, long id) {
        return Template.of(entity(coach, id));
    }

    /** The block that a template keeps, from a day on. */
    @Transactional(readOnly = true)
    public Block block(Person coach, long id, LocalDate start) {
        return text(entity(coach, id)).from(start);
    }

    private PlanTemplate entity(Person coach, long id) {
        return templates.findByClubIdAndId(coach.clubId(), id).orElseThrow(NotFoundException::new);
    }

    private BlockText text(PlanTemplate template) {
        return json.readValue(template.body(), BlockText.class);
    }

    // ---- keeping

    /** Keeps a whole block. */
    public void keep(Person coach, String name, Block block) {
        keep(coach, name, TemplateKind.BLOCK, block);
    }

    /** Keeps a day of a block. */
    public void keep(Person coach, String name, Block block, TrainingDay day) {
        keep(coach, name, TemplateKind.DAY, block.with(List.of(day)));
    }

    /** Keeps the doses of a slot. */
    public void keep(Person coach, String name, Block block, TrainingDay day, Slot slot) {
        keep(coach, name, TemplateKind.SCHEME, block.with(List.of(day.with(List.of(slot)))));
    }

    private void keep(Person coach, String name, TemplateKind kind, Block block) {
        templates.save(new PlanTemplate(
                coach.clubId(),
                kind,
                name,
                json.writeValueAsString(BlockText.of(block)),
                coach.personName(),
                clock.instant()));
    }

    /** Strikes a template; it can be brought back. */
    public void remove(Person coach, long id) {
        PlanTemplate template = entity(coach, id);
        template.removed(clock.instant());
        write(coach, template, template.name(), "");
    }

    public void restore(Person coach, long id) {
        PlanTemplate template = entity(coach, id);
        template.removed(null);
        write(coach, template, "", template.name());
    }

    private void write(Person coach, PlanTemplate template, String before, String after) {
        changes.write(
                coach,
                Optional.empty(),
                ChangeKind.TEMPLATE,
                List.of(template.kind().name()),
                Optional.empty(),
                before,
                after);
    }

    // ---- putting in

    /** The edit that puts the days of a template after a block's last one, its doses from the first week that is open. */
    @Transactional(readOnly = true)
    public BlockEdit days(Person coach, Template template, HeldBlock held) {
        int first = held.read().firstOpenWeek();
        int at = held.block().days().size();
        List<BlockEdit> edits = new ArrayList<>();
        for (TrainingDay day :
                text(entity(coach, template.id())).from(held.block().start()).days()) {
            List<Slot> slots = day.slots().stream()
                    .map(slot -> slot.with(later(slot.doses(), first)).as(held.newSlot()))
                    .toList();
            edits.add(new DayEdit.Add(at + edits.size(), day.with(slots).as(held.newDay())));
        }
        return new BlockEdit.Several(edits);
    }

    private static List<Optional<Dose>> later(List<Optional<Dose>> doses, int by) {
        List<Optional<Dose>> later = new ArrayList<>();
        for (int week = 0; week < by; week++) {
            later.add(Optional.empty());
        }
        later.addAll(doses);
        return later;
    }

    /** The edit that puts the doses of a template into a slot from a week on; days that were lifted are passed over. */
    @Transactional(readOnly = true)
    public BlockEdit doses(Person coach, Template template, HeldBlock held, SlotId id, int from) {
        Slot slot = held.block().slot(id).orElseThrow(() -> new BlockRefused("gone"));
        TrainingDay day = held.block().dayOf(id).orElseThrow();
        Slot scheme = text(entity(coach, template.id()))
                .from(held.block().start())
                .slots()
                .findFirst()
                .orElseThrow();
        List<SetDoses.Change> changes = new ArrayList<>();
        for (int week = from;
                week < held.block().weeks() && week - from < scheme.doses().size();
                week++) {
            if (!held.read().isFinished(day.id(), week)) {
                changes.add(new SetDoses.Change(id, week, slot.dose(week), scheme.dose(week - from)));
            }
        }
        return new SetDoses(changes);
    }
}
