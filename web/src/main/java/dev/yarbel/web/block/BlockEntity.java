package dev.yarbel.web.block;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockWeek;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.hibernate.annotations.Formula;
import org.hibernate.annotations.SQLRestriction;

/** A block that was taken away is found by nobody who does not ask for such. */
@Entity
@Table(name = "block")
@SQLRestriction("removed_at is null")
class BlockEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long lifterId;
    private String name;
    private LocalDate startOn;
    private int weeks;
    private String shape;
    private LocalDate contestOn;
    private String origin;
    private Long givenFrom;
    private Instant removedAt;

    @Formula("(select count(*) from block given where given.given_from = id and given.removed_at is null)")
    private int copies;

    protected BlockEntity() {}

    BlockEntity(long clubId, long lifterId, Block block, String origin) {
        this.clubId = clubId;
        this.lifterId = lifterId;
        this.origin = origin;
        set(block);
    }

    /** What a coach may change of it. */
    void set(Block block) {
        name = block.name();
        startOn = block.start();
        weeks = block.weeks();
        shape = WeekCodes.of(block.shape());
        contestOn = block.contest().orElse(null);
    }

    long id() {
        return id;
    }

    long lifterId() {
        return lifterId;
    }

    /** Whether its last day has passed. */
    boolean isOver(LocalDate today) {
        return !startOn.plusWeeks(weeks).isAfter(today);
    }

    String name() {
        return name;
    }

    LocalDate startOn() {
        return startOn;
    }

    int weeks() {
        return weeks;
    }

    List<BlockWeek> shape() {
        return WeekCodes.parse(shape, weeks);
    }

    Optional<LocalDate> contestOn() {
        return Optional.ofNullable(contestOn);
    }

    /** Where it came from: a school, a template or another block; the same for every run of the same. */
    String origin() {
        return origin;
    }

    Optional<Long> givenFrom() {
        return Optional.ofNullable(givenFrom);
    }

    /** How many blocks were given from it. */
    int copies() {
        return copies;
    }

    void givenFrom(long block) {
        givenFrom = block;
    }

    /** Takes it away; nothing of it is lost. */
    void remove(Instant at) {
        removedAt = at;
    }
}
