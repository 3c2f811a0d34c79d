package dev.yarbel.web.book;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.estimate.NoviceStart;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;

/** A set of five of a novice's guided test. */
@Entity
@Table(name = "test_set")
class TestSetEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long lifterId;
    private Lift lift;
    private LocalDate onDate;
    private int number;
    private Mass load;
    private String effort;

    protected TestSetEntity() {}

    TestSetEntity(long clubId, long lifterId, Lift lift, LocalDate onDate, int number, NoviceStart.TestSet set) {
        this.clubId = clubId;
        this.lifterId = lifterId;
        this.lift = lift;
        this.onDate = onDate;
        this.number = number;
        this.load = set.load();
        this.effort = set.effort().code();
    }

    public int number() {
        return number;
    }

    public NoviceStart.TestSet set() {
        return new NoviceStart.TestSet(load, Effort.parse(effort));
    }
}
