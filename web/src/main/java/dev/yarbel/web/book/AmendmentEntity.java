package dev.yarbel.web.book;

import dev.yarbel.core.session.Amendment;
import dev.yarbel.web.page.Person;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

@Entity
@Table(name = "amendment")
class AmendmentEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long sessionId;
    private UUID token;
    private String text;
    private String reason;
    private long madeBy;
    private String madeByName;
    private Instant madeAt;
    private Instant takenBackAt;

    protected AmendmentEntity() {}

    AmendmentEntity(long clubId, long sessionId, UUID token, Amendment amendment, Optional<String> reason) {
        this.clubId = clubId;
        this.sessionId = sessionId;
        this.token = token;
        this.text = amendment.text();
        this.reason = reason.orElse(null);
    }

    AmendmentEntity madeBy(Person person, Instant at) {
        madeBy = person.accountId();
        madeByName = person.personName();
        madeAt = at;
        return this;
    }

    void takeBack(Instant at) {
        takenBackAt = at;
    }

    Sessions.FloorChange change() {
        return new Sessions.FloorChange(
                token, Amendment.parse(text), Optional.ofNullable(reason), madeBy, madeByName, madeAt);
    }
}
