package dev.yarbel.web.contest;

import dev.yarbel.core.contest.ContestRules;
import dev.yarbel.core.contest.DayStrength;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.rehearsal.Manner;
import dev.yarbel.core.rehearsal.MaxOutlook;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.SessionFinished;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.modulith.events.ApplicationModuleListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps a club's contests and who lifts in them. What is removed can be brought back, and all of it is in the ledger. */
@Service
@Transactional
class Contests {

    private final ContestRepository contests;
    private final EntryRepository entries;
    private final Roster roster;
    private final Blocks blocks;
    private final ContestLedger ledger;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    Contests(
            ContestRepository contests,
            EntryRepository entries,
            Roster roster,
            Blocks blocks,
            ContestLedger ledger,
            ApplicationEventPublisher events,
            Clock clock) {
        this.contests = contests;
        this.entries = entries;
        this.roster = roster;
        this.blocks = blocks;
        this.ledger = ledger;
        this.events = events;
        this.clock = clock;
    }

    // ---- contests

    /** Each contest of a club with how many lift in it, by day. */
    @Transactional(readOnly = true)
    public Map<ContestEntity, Long> all(long clubId) {
        Map<Long, Long> counts =
                entries.counts(clubId).stream().collect(Collectors.toMap(row -> (Long) row[0], row -> (Long) row[1]));
        Map<ContestEntity, Long> all = new LinkedHashMap<>();
        contests.all(clubId).forEach(contest -> all.put(contest, counts.getOrDefault(contest.id(), 0L)));
        return all;
    }

    /** @throws NotFoundException when the club has none of this number */
    @Transactional(readOnly = true)
    public ContestEntity contest(Person coach, long id) {
        return contests.findByClubIdAndId(coach.clubId(), id)
                .filter(contest -> !contest.isRemoved())
                .orElseThrow(NotFoundException::new);
    }

    /** A contest of lifts, as the pages of the day and of the warm-up room show it. */
    @Transactional(readOnly = true)
    public ContestEntity ofLifts(Person coach, long id) {
        return Optional.of(contest(coach, id))
                .filter(contest -> !contest.rules().isOfEvents())
                .orElseThrow(NotFoundException::new);
    }

    /** @return its number */
    public long add(Person coach, ContestEntity.Set to) {
        ContestEntity contest = new ContestEntity(coach.clubId());
        contest.set(to);
        contests.save(contest);
        ledger.write(coach, Optional.empty(), to.name(), "begun", "", said(to));
        return contest.id();
    }

    /** What is set of it changes. Where that is the day, whoever's plan may lead there hears of it. */
    public void change(Person coach, long id, ContestEntity.Set to) {
        ContestEntity contest = contest(coach, id);
        ContestEntity.Set before = contest.set();
        if (before.equals(to)) {
            return;
        }
        contest.set(to);
        if (!held(before).equals(held(to))) {
            tell(contest, held(before), lifters(contest));
        }
        ledger.write(
                coach,
                Optional.empty(),
                to.name(),
                to.cancelled() && !before.cancelled() ? "cancelled" : "changed",
                said(before),
                said(to));
    }

    /** The day a plan can lead to. */
    private static Optional<LocalDate> held(ContestEntity.Set set) {
        return set.on().filter(on -> !set.cancelled());
    }

    /** Those whose plans may lead there. */
    private List<Long> lifters(ContestEntity contest) {
        return entries(contest).stream()
                .filter(entry -> !entry.isTrainedThrough())
                .flatMap(entry -> entry.lifterId().stream())
                .toList();
    }

    private void tell(ContestEntity contest, Optional<LocalDate> was, List<Long> lifters) {
        if (!lifters.isEmpty()) {
            events.publishEvent(new ContestMoved(contest.clubId(), contest.id(), was, lifters));
        }
    }

    private static String said(ContestEntity.Set set) {
        return set.on().map(LocalDate::toString).orElse("");
    }

    /** Strikes a contest, or brings it back. */
    public void removed(Person coach, long id, boolean removed) {
        ContestEntity contest = contests.findByClubIdAndId(coach.clubId(), id).orElseThrow(NotFoundException::new);
        if (contest.isRemoved() != removed) {
            contest.removed(removed ? clock.instant() : null);
            tell(contest, removed ? held(contest.set()) : Optional.empty(), lifters(contest));
            ledger.write(coach, Optional.empty(), contest.name(), removed ? "removed" : "brought-back", "", "");
        }
    }

    // ---- who lifts

    @Transactional(readOnly = true)
    public List<EntryEntity> entries(ContestEntity contest) {
        return entries.of(contest.clubId(), contest.id());
    }

    /**
     * An entry that a coach may look at: one of their own lifters, or somebody who is nobody's.
     *
     * @throws NotFoundException when there is none such
     */
    @Transactional(readOnly = true)
    public EntryEntity entry(Person coach, ContestEntity contest, long id) {
        EntryEntity entry = anyEntry(contest, id);
        if (entry.isRemoved()) {
            throw new NotFoundException();
        }
        entry.lifterId().ifPresent(lifter -> roster.lifter(coach, lifter));
        return entry;
    }

    /** An entry, the lifter (empty for somebody who is not of the club), and all entries of the contest. */
    record Opened(EntryEntity entry, Optional<LifterCard> lifter, List<EntryEntity> all) {}

    /** An entry that a coach may look at, as {@link #entry} finds it, among the others. */
    @Transactional(readOnly = true)
    public Opened opened(Person coach, ContestEntity contest, long id) {
        List<EntryEntity> all = entries(contest);
        EntryEntity entry =
                all.stream().filter(one -> one.id() == id).findFirst().orElseThrow(NotFoundException::new);
        return new Opened(entry, entry.lifterId().map(lifter -> roster.lifter(coach, lifter)), all);
    }

    private EntryEntity anyEntry(ContestEntity contest, long id) {
        return entries.findByClubIdAndContestIdAndId(contest.clubId(), contest.id(), id)
                .orElseThrow(NotFoundException::new);
    }

    /**
     * Enters a lifter of the coach's.
     *
     * @return the entry's number; the same for one who is entered already
     */
    public long enter(Person coach, ContestEntity contest, LifterCard lifter) {
        Optional<EntryEntity> there = entries.ofLifter(contest.clubId(), contest.id(), lifter.id());
        if (there.isPresent()) {
            return there.get().id();
        }
        EntryEntity entry = new EntryEntity(contest, Optional.of(lifter.id()), lifter.name());
        entry.set(EntryEntity.Set.begun(lifter.sex(), lifter.bodyMass()));
        believe(entry, contest, lifter, coach.zone());
        entries.save(entry);
        ledger.write(coach, Optional.of(lifter.id()), contest.name(), "entered", "", said(contest.set()));
        return entry.id();
    }

    /** Enters somebody who is not of the club. */
    public long enterGuest(Person coach, ContestEntity contest, String name, EntryEntity.Set to) {
        EntryEntity entry = new EntryEntity(contest, Optional.empty(), name);
        entry.set(to);
        entries.save(entry);
        ledger.write(coach, Optional.empty(), contest.name(), "entered-guest", "", name);
        return entry.id();
    }

    /** @throws UnreadableException when a total is to be reached and none is said */
    public void change(Person coach, ContestEntity contest, long id, EntryEntity.Set to) {
        if (to.way() == Way.TOTAL && to.asked().isEmpty()) {
            throw new UnreadableException("contest.error.asked").in("asked");
        }
        EntryEntity entry = entry(coach, contest, id);
        EntryEntity.Set before = entry.set();
        entry.set(to);
        entries.save(entry);
        ledger.write(coach, contest, entry, before);
    }

    public void removed(Person coach, ContestEntity contest, long id, boolean removed) {
        EntryEntity entry = anyEntry(contest, id);
        entry.lifterId().ifPresent(lifter -> roster.lifter(coach, lifter));
        boolean twice = !removed
                && entry.lifterId()
                        .flatMap(lifter -> entries.ofLifter(contest.clubId(), contest.id(), lifter))
                        .isPresent();
        if (entry.isRemoved() != removed && !twice) {
            entry.removed(removed ? clock.instant() : null);
            entries.save(entry);
            tell(
                    contest,
                    removed ? held(contest.set()) : Optional.empty(),
                    entry.lifterId().stream().toList());
            ledger.write(coach, entry.lifterId(), contest.name(), removed ? "withdrawn" : "entered", "", "");
        }
    }

    /** The contests that a lifter is entered in, by day; those without one last. */
    @Transactional(readOnly = true)
    public List<SeasonView.Entered> entered(LifterCard lifter) {
        return entries.all(lifter.clubId(), lifter.id()).stream()
                .map(row -> new SeasonView.Entered(
                        (ContestEntity) row[1], ((EntryEntity) row[0]).id(), ((EntryEntity) row[0]).isTrainedThrough()))
                .toList();
    }

    // ---- what is believed of the day

    /** What is known of a lifter's day, and of the block that leads to it. */
    record Known(LifterBlock plan, Optional<DayStrength> day, boolean rehearsed) {}

    /** What today's numbers say of the day. It is kept with the entry, for where there is no time to find it, and no line. */
    public Known known(Person coach, ContestEntity contest, EntryEntity entry, LifterCard lifter) {
        Known known = believe(entry, contest, lifter, coach.zone());
        entries.save(entry);
        return known;
    }

    private Known believe(EntryEntity entry, ContestEntity contest, LifterCard lifter, ZoneId zone) {
        LifterBlock plan = blocks.currentOrNone(lifter, zone);
        LocalDate today = plan.today();
        Map<Lift, MaxOutlook> rehearsed = contest.on()
                .filter(on -> on.isAfter(today) && plan.block().contest().equals(contest.on()))
                .flatMap(on -> plan.rehearsed(Manner.USUAL))
                .map(rehearsal ->
                        rehearsal.maxes().stream().collect(Collectors.toMap(MaxOutlook::lift, Function.identity())))
                .orElse(Map.of());
        ContestRules rules = contest.rules();
        Optional<DayStrength> day = Optional.empty();
        if (entry.loggedAt().isPresent()) {
            // the log knows the day's attempts by now, which would count twice
            day = entry.day(rules);
        } else if (!rules.isOfEvents()) {
            day = DayStrength.of(
                    plan.standing().strength(),
                    rules.lifts(),
                    today,
                    contest.on().orElse(today),
                    rehearsed);
            day.ifPresent(strength -> entry.believe(strength, today));
        }
        return new Known(plan, day, !rules.isOfEvents() && rehearsed.keySet().containsAll(rules.lifts()));
    }

    /** On another day something else may be there. */
    @ApplicationModuleListener
    void on(ContestMoved event) {
        contests.findByClubIdAndId(event.clubId(), event.contestId())
                .ifPresent(contest -> event.lifterIds().forEach(id -> entries.ofLifter(event.clubId(), contest.id(), id)
                        .ifPresent(entry -> {
                            believe(entry, contest, roster.lifterOfClub(event.clubId(), id), clock.getZone());
                            entries.save(entry);
                        })));
    }

    /** What a session told counts for the contests to come, also where nobody looks at them before the day. */
    @ApplicationModuleListener
    void on(SessionFinished event) {
        LocalDate today = LocalDate.now(clock);
        List<Object[]> toCome = entries.toCome(event.clubId(), event.lifterId(), today.minusDays(1));
        if (!toCome.isEmpty()) {
            LifterCard lifter = roster.lifterOfClub(event.clubId(), event.lifterId());
            toCome.forEach(row -> {
                EntryEntity entry = (EntryEntity) row[0];
                believe(entry, (ContestEntity) row[1], lifter, clock.getZone());
                entries.save(entry);
            });
        }
    }
}
