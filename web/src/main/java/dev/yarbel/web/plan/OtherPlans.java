package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.school.BlockRequest;
import dev.yarbel.core.school.Instead;
import dev.yarbel.core.school.School;
import dev.yarbel.core.shape.Deload;
import dev.yarbel.web.block.BlockSummary;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.block.Template;
import dev.yarbel.web.block.TemplateKind;
import dev.yarbel.web.block.Templates;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Words;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What a plan may be held beside: another block of the lifter, a template as it would be for them, or the same plan otherwise. Nothing of it is kept. */
@Component
class OtherPlans {

    private static final Pattern BLOCK = Pattern.compile("\\d{1,18}");
    private static final Pattern TEMPLATE = Pattern.compile("template-(\\d{1,18})");
    private static final Pattern DELOAD = Pattern.compile("deload-(\\d{1,2})");
    private static final Pattern SCHOOL = Pattern.compile("school\\.([a-z0-9-]{1,60})\\.([a-z-]{1,40})");
    private static final Pattern CONTEST = Pattern.compile("contest-(\\d{1,2})");
    private static final String WITHOUT_DELOADS = "without-deloads";

    /** How many weeks ahead a contest may be held beside. */
    private static final List<Integer> CONTESTS = List.of(4, 6, 8, 10, 12, 16);

    private final Blocks blocks;
    private final Templates templates;
    private final Words words;

    OtherPlans(Blocks blocks, Templates templates, Words words) {
        this.blocks = blocks;
        this.templates = templates;
        this.words = words;
    }

    /** One to choose, as a request names it and in words. */
    record Choice(String value, String name) {}

    /** Some of a kind. */
    record Group(String title, List<Choice> choices) {}

    /** What was chosen, worked out for the lifter. */
    record Other(LifterBlock plan, String name) {}

    /** All that a plan may be held beside. */
    List<Group> groups(Person coach, LifterBlock plan, List<BlockSummary> all) {
        Instead.Standing standing = standing(plan);
        return Stream.of(
                        group("block", blocks(plan, all)),
                        group("template", templates(coach)),
                        group("deload", deloads(standing)),
                        group("contest", contests(standing)),
                        group("school", schools(standing)))
                .filter(group -> !group.choices().isEmpty())
                .toList();
    }

    private Group group(String kind, List<Choice> choices) {
        return new Group(words.say("beside.group." + kind), choices);
    }

    private List<Choice> blocks(LifterBlock plan, List<BlockSummary> all) {
        return all.stream()
                .filter(block -> block.id() != plan.blockId())
                .map(block -> new Choice(
                        String.valueOf(block.id()),
                        words.say("checklist.beside.block", block.name(), words.nearDay(block.start()))))
                .toList();
    }

    private List<Choice> templates(Person coach) {
        return templates.all(coach.clubId()).stream()
                .filter(template -> template.kind() == TemplateKind.BLOCK)
                .map(template -> new Choice("template-" + template.id(), template.name()))
                .toList();
    }

    private List<Choice> deloads(Instead.Standing standing) {
        List<Choice> choices = new ArrayList<>();
        if (new Instead.WithoutDeloads().of(standing).isPresent()) {
            choices.add(new Choice(WITHOUT_DELOADS, words.say("beside.without-deloads")));
        }
        IntStream.range(standing.from(), standing.block().weeks())
                .filter(week -> !standing.block().shape().get(week).deload()
                        && !standing.block().isGap(week))
                .forEach(week -> choices.add(new Choice("deload-" + (week + 1), words.say("beside.deload", week + 1))));
        return choices;
    }

    private List<Choice> contests(Instead.Standing standing) {
        int ahead = standing.block().weeks() - standing.from();
        return CONTESTS.stream()
                .filter(weeks -> ahead > 0 && standing.from() + weeks <= Block.MOST_WEEKS)
                .map(weeks -> new Choice("contest-" + weeks, words.say("beside.contest", weeks)))
                .toList();
    }

    private List<Choice> schools(Instead.Standing standing) {
        int ahead = standing.block().weeks() - standing.from();
        Catalogue catalogue = standing.resolver().catalogue();
        return contestLifts(standing)
                .flatMap(lift -> Stream.of(School.values())
                        .filter(school -> school.leastWeeks() <= ahead && ahead <= school.mostWeeks())
                        .filter(school -> school != School.EVENTS
                                && standing.block()
                                        .slots()
                                        .noneMatch(slot ->
                                                catalogue.root(slot.lift()).equals(lift)
                                                        && slot.school().equals(Optional.of(school.key()))))
                        .map(school -> new Choice(
                                "school." + lift.key() + "." + school.key(),
                                words.say("beside.school", words.lift(lift), words.say("school." + school.key())))))
                .toList();
    }

    private static Stream<Lift> contestLifts(Instead.Standing standing) {
        Catalogue catalogue = standing.resolver().catalogue();
        return standing.block()
                .slots()
                .map(slot -> catalogue.root(slot.lift()))
                .filter(root -> catalogue.of(root).contest())
                .distinct();
    }

    private static Instead.Standing standing(LifterBlock plan) {
        return Instead.Standing.of(
                plan.block(),
                plan,
                plan.resolver(),
                BlockRequest.Steps.in(plan.lifter().unit(), plan.lifter().rounding()),
                BlockRequests.means(plan.standing(), plan.kit()),
                plan.today());
    }

    /**
     * What was chosen of {@link #groups}; empty where it cannot be made of this plan, or not any more.
     *
     * @throws NotFoundException when there is no such thing
     */
    Optional<Other> open(Person coach, LifterBlock plan, List<Group> groups, String with) {
        if (BLOCK.matcher(with).matches()) {
            return Optional.of(block(coach, plan, with));
        }
        Matcher template = TEMPLATE.matcher(with);
        if (template.matches()) {
            return Optional.of(template(coach, plan, Long.parseLong(template.group(1))));
        }
        return instead(plan, with)
                .of(standing(plan))
                .map(other -> new Other(plan.with(other), name(plan, groups, with)));
    }

    private static String name(LifterBlock plan, List<Group> groups, String with) {
        return groups.stream()
                .flatMap(group -> group.choices().stream())
                .filter(choice -> choice.value().equals(with))
                .map(Choice::name)
                .findFirst()
                .orElse(plan.name());
    }

    private Other block(Person coach, LifterBlock plan, String number) {
        return blocks.open(plan.lifter(), coach.zone(), Optional.of(Long.parseLong(number)))
                .map(other -> new Other(other, other.name()))
                .orElseThrow(NotFoundException::new);
    }

    /** A template from where the plan begins; where that has begun from the next Monday. */
    private Other template(Person coach, LifterBlock plan, long id) {
        Template template = templates.find(coach, id);
        if (template.kind() != TemplateKind.BLOCK) {
            throw new NotFoundException();
        }
        LocalDate start = plan.block().start().isBefore(plan.today())
                ? plan.today().with(TemporalAdjusters.nextOrSame(DayOfWeek.MONDAY))
                : plan.block().start();
        Block block = templates.block(coach, id, start).named(template.name());
        return new Other(
                blocks.draft(plan.lifter(), coach.zone(), block, plan.standing(), plan.kit()), template.name());
    }

    private static Instead instead(LifterBlock plan, String with) {
        if (with.equals(WITHOUT_DELOADS)) {
            return new Instead.WithoutDeloads();
        }
        Matcher deload = DELOAD.matcher(with);
        if (deload.matches()) {
            return new Instead.WithDeload(Integer.parseInt(deload.group(1)) - 1, Deload.HALF_SETS);
        }
        Matcher contest = CONTEST.matcher(with);
        if (contest.matches() && Integer.parseInt(contest.group(1)) > 0) {
            return new Instead.ContestIn(Integer.parseInt(contest.group(1)));
        }
        Matcher school = SCHOOL.matcher(with);
        if (school.matches()) {
            return new Instead.BySchool(
                    contestLifts(standing(plan))
                            .filter(lift -> lift.key().equals(school.group(1)))
                            .findFirst()
                            .orElseThrow(NotFoundException::new),
                    School.of(school.group(2)).orElseThrow(NotFoundException::new));
        }
        throw new NotFoundException();
    }
}
