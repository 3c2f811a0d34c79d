package dev.yarbel.web.account;

import java.time.Instant;
import java.util.List;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface AccessTokenRepository extends Repository<AccessToken, Long> {

    /** Asked before anybody's club is known: the token of a secret that has not ended, with whose it is. */
    @Query("""
            select t, a, c from AccessToken t join Account a on a.id = t.accountId and a.clubId = t.clubId
            join Club c on c.id = t.clubId
            where t.secretHash = :hash and t.endsAt > :now and a.closedAt is null""")
    List<Object[]> findOpen(String hash, Instant now);

    @Query("""
            select t from AccessToken t where t.clubId = :clubId and t.accountId = :account and t.endsAt > :now
            order by t.id""")
    List<AccessToken> open(long clubId, long account, Instant now);

    @Modifying
    @Query("delete from AccessToken t where t.clubId = :clubId and t.accountId = :account and t.id = :id")
    int end(long clubId, long account, long id);

    @Modifying
    @Query("delete from AccessToken t where t.clubId = :clubId and t.accountId = :account")
    int endAll(long clubId, long account);

    @Modifying
    @Query("update AccessToken t set t.usedAt = :now where t.clubId = :clubId and t.id = :id")
    int used(long clubId, long id, Instant now);

    AccessToken save(AccessToken token);
}
