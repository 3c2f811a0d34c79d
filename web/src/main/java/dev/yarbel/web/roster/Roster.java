package dev.yarbel.web.roster;

import dev.yarbel.web.page.LifterChooser;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who is coached by whom. A coach reaches the lifters assigned to them, a lifter only themselves. */
@Service
@Transactional(readOnly = true)
public class Roster implements LifterChooser {

    private final LifterRepository lifters;

    Roster(LifterRepository lifters) {
        this.lifters = lifters;
    }

    /** The lifters a person may see, by name. */
    public List<LifterCard> lifters(Person person) {
        if (person.isCoach()) {
            return lifters.findByClubIdAndCoachIdOrderByName(person.clubId(), person.accountId()).stream()
                    .map(Lifter::card)
                    .toList();
        }
        return person.lifterId().flatMap(id -> find(person, id)).stream().toList();
    }

    /**
     * One lifter.
     *
     * @throws NotFoundException when there is none of this number, or not for this person
     */
    public LifterCard lifter(Person person, long id) {
        return find(person, id).orElseThrow(NotFoundException::new);
    }

    /** A lifter of a club, for work that nobody in particular asked for. */
    public LifterCard lifterOfClub(long clubId, long id) {
        return lifters.findByClubIdAndId(clubId, id).map(Lifter::card).orElseThrow(NotFoundException::new);
    }

    private Optional<LifterCard> find(Person person, long id) {
        boolean self = person.lifterId().filter(own -> own == id).isPresent();
        Optional<Lifter> lifter = self
                ? lifters.findByClubIdAndId(person.clubId(), id)
                : person.isCoach()
                        ? lifters.findByClubIdAndCoachIdAndId(person.clubId(), person.accountId(), id)
                        : Optional.empty();
        return lifter.map(Lifter::card);
    }

    @Override
    public List<Choice> choices(Person person) {
        return lifters(person).stream()
                .map(card -> new Choice(card.id(), card.name()))
                .toList();
    }

    /** Takes a lifter on. */
    @Transactional
    public LifterCard add(NewLifter lifter) {
        return lifters.save(new Lifter(lifter)).card();
    }
}
