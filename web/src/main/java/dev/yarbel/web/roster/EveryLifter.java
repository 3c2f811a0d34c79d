package dev.yarbel.web.roster;

import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** All of a club, whoever coaches them, those archived among them: for what is done with the club as a whole. */
@Service
public class EveryLifter {

    private final LifterRepository lifters;

    EveryLifter(LifterRepository lifters) {
        this.lifters = lifters;
    }

    /** Somebody by number and name. */
    public record Named(long id, String name) {}

    /** In the order of their numbers. */
    @Transactional(readOnly = true)
    public List<Named> of(long clubId) {
        return lifters.named(clubId);
    }
}
