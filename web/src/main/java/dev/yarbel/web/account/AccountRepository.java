package dev.yarbel.web.account;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface AccountRepository extends Repository<Account, Long> {

    /** The one question asked before anybody's club is known: who signs in. */
    @Query("select a, c from Account a join Club c on c.id = a.clubId where a.username = :username")
    List<Object[]> findWithClub(String username);

    Optional<Account> findByClubIdAndId(long clubId, long id);

    /** An account, held until the end of the transaction. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select a from Account a where a.clubId = :clubId and a.id = :id")
    Optional<Account> lock(long clubId, long id);

    /**
     * Who signs in as a lifter and nothing else. A coach who lifts is never found through the lifter they are: whoever
     * looks after that lifter has no say in a coach's account.
     */
    @Query("""
            select a from Account a
            where a.clubId = :clubId and a.lifterId = :lifterId and a.role = dev.yarbel.web.account.Account.Role.LIFTER""")
    Optional<Account> findLifter(long clubId, long lifterId);

    /** Whoever is this lifter, to be named on a page; nothing of theirs is changed by way of it. */
    @Query("select a from Account a where a.clubId = :clubId and a.lifterId = :lifterId")
    Optional<Account> findWhoeverIs(long clubId, long lifterId);

    /** The coach who is this lifter. */
    @Query("""
            select a from Account a
            where a.clubId = :clubId and a.lifterId = :lifterId and a.role <> dev.yarbel.web.account.Account.Role.LIFTER""")
    Optional<Account> findCoachWhoIs(long clubId, long lifterId);

    List<Account> findByClubIdAndRoleNotOrderByName(long clubId, Account.Role role);

    @Modifying
    @NativeQuery("delete from invite where club_id = :clubId and account_id = :account")
    int deleteLinks(long clubId, long account);

    @Modifying
    @NativeQuery("delete from invite where club_id = :clubId and lifter_id = :lifter")
    int deleteInvites(long clubId, long lifter);

    void delete(Account account);

    Account save(Account account);
}
