package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.ChangeLog;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Typed;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** What a club's coaches keep to start from: a row of doses, a day, a block. */
@Service
@Transactional
class Templates {

    private static final int LONGEST_NAME = 60;

    private final PlanTemplateRepository templates;
    private final BlockDesk desk;
    private final ChangeLog changes;
    private final JsonMapper json;
    private final Clock clock;

    Templates(PlanTemplateRepository templates, BlockDesk desk, ChangeLog changes, JsonMapper json, Clock clock) {
        this.templates = templates;
        this.changes = changes;
        this.desk = desk;
        this.json = json;
        this.clock = clock;
    }

    /** A template in a list. */
    record Kept(long id, PlanTemplate.Kind kind, String name, String madeBy) {}

    /** What the club has, by kind and name. */
    @Transactional(readOnly = true)
    public List<Kept> all(long clubId) {
        return templates.findByClubIdAndRemovedAtIsNullOrderByKindAscNameAsc(clubId).stream()
                .map(template -> new Kept(template.id(), template.kind(), template.name(), template.madeBy()))
                .toList();
    }

    /** Keeps a block, one of its days, or the doses of one of its slots. */
    public void keep(Person coach, LifterPlan plan, int day, Typed typed) {
        PlanTemplate.Kind kind = typed.read("kind", text -> Reading.choice(PlanTemplate.Kind.class, text));
        String name = typed.read("name", text -> BlockChanges.line(text, LONGEST_NAME));
        Block block = plan.block();
        Block kept =
                switch (kind) {
                    case BLOCK -> block;
                    case DAY -> with(block, block.days().get(day));
                    case SCHEME -> {
                        int slot = typed.read("slot", text -> slot(plan, day, text));
                        TrainingDay whole = block.days().get(day);
                        yield with(
                                block,
                                new TrainingDay(
                                        whole.name(),
                                        whole.offset(),
                                        List.of(whole.slots().get(slot))));
                    }
                };
        templates.save(new PlanTemplate(
                coach.clubId(),
                kind,
                name,
                json.writeValueAsString(BlockText.of(kept)),
                coach.personName(),
                clock.instant()));
    }

    private static Block with(Block block, TrainingDay day) {
        return new Block(block.start(), block.weeks(), List.of(day), block.shape(), Optional.empty());
    }

    private static int slot(LifterPlan plan, int day, String text) {
        int slot =
                plan.slotIds().get(day).stream().map(String::valueOf).toList().indexOf(text);
        if (slot < 0) {
            throw new BlockDesk.Refused("gone");
        }
        return slot;
    }

    /** A template of the club. */
    @Transactional(readOnly = true)
    public PlanTemplate find(Person coach, long id) {
        return templates.findByClubIdAndId(coach.clubId(), id).orElseThrow(NotFoundException::new);
    }

    BlockText text(PlanTemplate template) {
        return json.readValue(template.body(), BlockText.class);
    }

    /** Strikes a template; it can be brought back. */
    public void remove(Person coach, long id) {
        PlanTemplate template = find(coach, id);
        template.removed(clock.instant());
        write(coach, template, template.name(), "");
    }

    public void restore(Person coach, long id) {
        PlanTemplate template = find(coach, id);
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

    /** Puts a day of a template at the end of a block's week, or a scheme's doses into a slot from a week on. */
    public void use(Person coach, LifterPlan plan, Typed typed) {
        BlockDesk.Open open = desk.open(plan);
        String name = put(coach, open, typed);
        desk.keep(coach, open, BlockDesk.Told.of("template", name));
    }

    /** Puts a template into a block that is held; the template's name. */
    String put(Person coach, BlockDesk.Open open, Typed typed) {
        PlanTemplate template = find(coach, typed.read("template", text -> (long) Reading.number(text, 1, 999_999)));
        BlockText text = text(template);
        if (template.kind() == PlanTemplate.Kind.SCHEME) {
            scheme(open, text, typed);
        } else {
            text.days().forEach(day -> day(open, day));
        }
        return template.name();
    }

    private static void scheme(BlockDesk.Open open, BlockText text, Typed typed) {
        long slot = Long.parseLong(typed.read("slot", t -> {
            if (!t.matches("\\d{1,18}") || !open.draft.slots.containsKey(Long.valueOf(t))) {
                throw new BlockDesk.Refused("gone");
            }
            return t;
        }));
        int from = typed.read("week", t -> Reading.number(t, 1, open.draft.weeks.size())) - 1;
        List<String> doses = text.days().get(0).slots().get(0).doses();
        for (int i = 0; i < doses.size() && from + i < open.draft.weeks.size(); i++) {
            CellKey key = new CellKey(slot, from + i);
            if (!open.isHistory(key)) {
                open.draft.cell(key, doses.get(i));
            }
        }
    }

    private static void day(BlockDesk.Open open, BlockText.DayText day) {
        BlockDraft draft = open.draft;
        int last = draft.daysInOrder().stream()
                .mapToInt(BlockDraft.Day::position)
                .max()
                .orElse(-1);
        BlockDraft.Day made = open.newDay(last + 1, day.offset(), day.name());
        draft.days.put(made.id(), made.removed(false));
        for (int s = 0; s < day.slots().size(); s++) {
            BlockText.SlotText slot = day.slots().get(s);
            BlockDraft.Slot twin = open.newSlot(made.id(), s, slot.letter(), new Lift(slot.lift()));
            draft.slots.put(
                    twin.id(),
                    new BlockDraft.Slot(
                            twin.id(),
                            made.id(),
                            s,
                            slot.letter(),
                            twin.lift(),
                            Optional.of(slot.school()).filter(text -> !text.isEmpty()),
                            Optional.of(slot.reason()).filter(text -> !text.isEmpty()),
                            false));
            int first = open.plan().firstOpenWeek();
            for (int week = 0; week < slot.doses().size() && first + week < draft.weeks.size(); week++) {
                draft.cell(new CellKey(twin.id(), first + week), slot.doses().get(week));
            }
        }
    }
}
