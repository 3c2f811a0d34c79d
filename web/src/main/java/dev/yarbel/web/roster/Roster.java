package dev.yarbel.web.roster;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.account.Accounts;
import dev.yarbel.web.account.CoachedLifters;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.ChangeLog;
import dev.yarbel.web.page.FloorNotifier;
import dev.yarbel.web.page.LifterChooser;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Who is coached by whom. A coach reaches the lifters assigned to them, a lifter only themselves. The head coach also
 * sees who else is in the club, to hand them over and to archive them, but opens only those assigned to them.
 */
@Service
@Transactional(readOnly = true)
public class Roster implements LifterChooser, CoachedLifters {

    /** So many days after it was cleared an ache is still thought of. */
    private static final int HEALED_LATELY = 14;

    /** Lifters on one page of the list. */
    static final int PAGE = 100;

    /** Words on the floor are over after so long. */
    public static final Duration WORDS_LAST = Duration.ofHours(18);

    private final LifterRepository lifters;
    private final AcheRepository aches;
    private final Accounts accounts;
    private final ChangeLog changes;
    private final FloorNotifier moved;
    private final Clock clock;

    Roster(
            LifterRepository lifters,
            AcheRepository aches,
            Accounts accounts,
            ChangeLog changes,
            FloorNotifier moved,
            Clock clock) {
        this.lifters = lifters;
        this.aches = aches;
        this.accounts = accounts;
        this.changes = changes;
        this.moved = moved;
        this.clock = clock;
    }

    /** The lifters a person may see, by name, without those archived. */
    public List<LifterCard> lifters(Person person) {
        if (person.isCoach()) {
            return lifters.ofCoach(person.clubId(), person.accountId()).stream()
                    .map(Lifter::card)
                    .toList();
        }
        return person.lifterId().flatMap(id -> find(person, id)).stream()
                .map(Opened::card)
                .toList();
    }

    /**
     * What is looked for in the list of lifters.
     *
     * @param part part of a name; empty for everybody
     * @param whole whether the head coach looks at the whole club rather than their own
     * @param afterName the last name on the page before, and its number; empty for the first page
     */
    record Search(String part, boolean whole, boolean archived, String afterName, long afterId) {}

    /** A lifter in the list, and who coaches them. */
    record Found(LifterCard card, long coachId) {}

    /** One page of the list, with one more at its end if there are more. */
    List<Found> search(Person coach, Search search) {
        String like = like(search.part());
        Long of = search.whole() && coach.isHeadCoach() ? null : Long.valueOf(coach.accountId());
        return lifters
                .search(
                        coach.clubId(),
                        of,
                        search.archived(),
                        like,
                        Reading.visible(search.afterName()),
                        search.afterId(),
                        Limit.of(PAGE + 1))
                .stream()
                .map(lifter -> new Found(lifter.card(), lifter.coachId()))
                .toList();
    }

    private static String like(String part) {
        return "%" + Reading.visible(part).strip().toLowerCase(Locale.ROOT).replaceAll("([!%_])", "!$1") + "%";
    }

    /** A coach's own lifters as they are looked for, so many at most. */
    List<LifterCard> mine(Search search, Person coach, int most) {
        return lifters
                .search(
                        coach.clubId(),
                        coach.accountId(),
                        search.archived(),
                        like(search.part()),
                        search.afterName(),
                        search.afterId(),
                        Limit.of(most))
                .stream()
                .map(Lifter::card)
                .toList();
    }

    /** A coach's own lifters by part of a name, all of them, without those archived. */
    List<LifterCard> mine(Person coach, String part) {
        return lifters.search(coach.clubId(), coach.accountId(), false, like(part), "", 0, Limit.unlimited()).stream()
                .map(Lifter::card)
                .toList();
    }

    /** The account of a lifter's coach. */
    public long coachOf(LifterCard lifter) {
        return lifters.findByClubIdAndId(lifter.clubId(), lifter.id())
                .map(Lifter::coachId)
                .orElseThrow(NotFoundException::new);
    }

    /** Which of these lifters have an ache that nobody has cleared. */
    Set<Long> aching(long clubId, Collection<Long> lifterIds) {
        return lifterIds.isEmpty() ? Set.of() : Set.copyOf(aches.open(clubId, lifterIds));
    }

    /**
     * One lifter.
     *
     * @throws NotFoundException when there is none of this number, or not for this person
     */
    public LifterCard lifter(Person person, long id) {
        return find(person, id).map(Opened::card).orElseThrow(NotFoundException::new);
    }

    /** Whether somebody may see a lifter, as things stand now. */
    public boolean maySee(Person person, long id) {
        return find(person, id).isPresent();
    }

    Lifter row(Person person, long id) {
        return find(person, id).map(Opened::row).orElseThrow(NotFoundException::new);
    }

    /** A lifter whose place in the club this person decides: their coach or the head coach. */
    private Lifter kept(Person person, long id) {
        return keptIfAny(person, id).orElseThrow(NotFoundException::new);
    }

    private Optional<Lifter> keptIfAny(Person person, long id) {
        return person.isHeadCoach()
                ? lifters.findByClubIdAndId(person.clubId(), id)
                : lifters.findByClubIdAndCoachIdAndId(person.clubId(), person.accountId(), id)
                        .filter(lifter -> person.isCoach());
    }

    /** A lifter of a club, for work that nobody in particular asked for. */
    public LifterCard lifterOfClub(long clubId, long id) {
        return opened(clubId, null, id).map(Opened::card).orElseThrow(NotFoundException::new);
    }

    /** A lifter, what aches, and what they last weighed. */
    private record Opened(Lifter row, List<AcheEntity> aches, Optional<Mass> bodyMass) {

        LifterCard card() {
            return row.card(
                    aches.stream()
                            .filter(ache -> ache.healed().isEmpty())
                            .map(AcheEntity::ache)
                            .toList(),
                    aches.stream().flatMap(ache -> ache.healed().stream()).toList(),
                    bodyMass);
        }
    }

    private Optional<Opened> find(Person person, long id) {
        boolean self = person.lifterId().filter(own -> own == id).isPresent();
        if (!self && !person.isCoach()) {
            return Optional.empty();
        }
        return opened(person.clubId(), self ? null : Long.valueOf(person.accountId()), id);
    }

    private Optional<Opened> opened(long clubId, Long coachId, long id) {
        List<Object[]> rows = lifters.findWithAches(
                clubId,
                coachId,
                id,
                LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC).minusDays(HEALED_LATELY));
        return rows.stream()
                .findFirst()
                .map(row -> new Opened(
                        (Lifter) row[0],
                        rows.stream()
                                .filter(each -> each[1] != null)
                                .map(each -> (AcheEntity) each[1])
                                .toList(),
                        Optional.ofNullable((BigDecimal) row[2]).map(kg -> Mass.of(kg, MassUnit.KG))));
    }

    @Override
    public long count(long clubId, long coachId) {
        return lifters.countByClubIdAndCoachIdAndArchivedAtIsNull(clubId, coachId);
    }

    @Override
    public List<Choice> choices(Person person) {
        return lifters(person).stream()
                .map(card -> new Choice(
                        card.id(), card.name(), card.asksSince(clock.instant().minus(WORDS_LAST))))
                .toList();
    }

    /** Notes that a coach wrote about a lifter's week, which began on that Monday. */
    public void wrote(LifterCard lifter, LocalDate monday) {
        lifters.wrote(lifter.clubId(), lifter.id(), monday);
    }

    /** Notes that words were said between a lifter and a coach, and whether the lifter waits for an answer. */
    public void spoke(LifterCard lifter, Instant at, boolean waits) {
        lifters.spoke(lifter.clubId(), lifter.id(), at, waits);
    }

    /** What lifters of a club are called, without those archived. */
    public Map<Long, String> names(long clubId, Collection<Long> ids) {
        return ids.isEmpty()
                ? Map.of()
                : lifters.findByClubIdAndIdInAndArchivedAtIsNull(clubId, ids).stream()
                        .collect(Collectors.toMap(Lifter::id, lifter -> lifter.name));
    }

    /** Takes a lifter on, for work that nobody in particular asked for. */
    @Transactional
    public LifterCard add(NewLifter lifter) {
        return lifters.save(new Lifter(lifter)).card();
    }

    /** Takes a lifter on. */
    @Transactional
    public LifterCard takeOn(Person coach, NewLifter lifter) {
        LifterCard card = add(lifter);
        write(coach, card.id(), "taken-on", "", card.name());
        return card;
    }

    /** Puts a lifter away: nothing of theirs is lost, and they are on no list. */
    @Transactional
    public LifterCard archive(Person person, long id) {
        Lifter lifter = kept(person, id);
        lifter.archive(clock.instant());
        accounts.lifterCloses(person.clubId(), id, true);
        write(person, id, "archived", "", lifter.name);
        return lifter.card();
    }

    /** The same where that is this person's to decide and nobody did; whether it was done. */
    @Transactional
    public boolean putAway(Person person, long id) {
        boolean open = keptIfAny(person, id)
                .filter(lifter -> !lifter.card().archived())
                .isPresent();
        if (open) {
            archive(person, id);
        }
        return open;
    }

    /** Brings an archived lifter back. */
    @Transactional
    public LifterCard bringBack(Person person, long id) {
        Lifter lifter = kept(person, id);
        lifter.archive(null);
        accounts.lifterCloses(person.clubId(), id, false);
        write(person, id, "brought-back", "", lifter.name);
        return lifter.card();
    }

    /**
     * Hands a lifter to another coach of the club.
     *
     * @return the coach they go to
     * @throws NotFoundException when the club has no such coach
     */
    @Transactional
    public String handOver(Person person, long id, long coachId) {
        Lifter lifter = kept(person, id);
        String from = name(accounts.everyCoach(person.clubId()), lifter.coachId());
        String to = name(accounts.coaches(person.clubId()), coachId);
        lifter.handTo(coachId);
        moved.tellAccess(person.clubId());
        write(person, id, "handed-over", from, to);
        return to;
    }

    private static String name(List<Accounts.Colleague> coaches, long id) {
        return coaches.stream()
                .filter(coach -> coach.id() == id)
                .findFirst()
                .map(Accounts.Colleague::name)
                .orElseThrow(NotFoundException::new);
    }

    private void write(Person who, long lifter, String what, String before, String after) {
        changes.write(who, Optional.of(lifter), ChangeKind.ROSTER, List.of(what), Optional.empty(), before, after);
    }
}
