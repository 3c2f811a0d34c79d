package dev.yarbel.web.account;

import jakarta.persistence.LockModeType;
import java.util.Optional;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface InviteRepository extends Repository<Invite, Long> {

    /** Asked by somebody who has no account yet; nobody else uses the link at the same moment. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select i from Invite i where i.tokenHash = :tokenHash")
    Optional<Invite> findByToken(String tokenHash);

    /** Takes back what was sent to the same person before. */
    @Modifying
    @Query("""
            delete from Invite i where i.clubId = :clubId and i.usedAt is null
            and (i.lifterId = :lifterId or i.accountId = :accountId)""")
    void withdraw(long clubId, Long lifterId, Long accountId);

    Invite save(Invite invite);
}
