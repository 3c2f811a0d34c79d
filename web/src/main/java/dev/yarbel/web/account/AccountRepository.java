package dev.yarbel.web.account;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface AccountRepository extends Repository<Account, Long> {

    /** The one question asked before anybody's club is known: who signs in. */
    @Query("select a, c from Account a join Club c on c.id = a.clubId where a.username = :username")
    List<Object[]> findWithClub(String username);

    Optional<Account> findByClubIdAndId(long clubId, long id);

    Optional<Account> findByClubIdAndLifterId(long clubId, long lifterId);

    List<Account> findByClubIdAndRoleNotOrderByName(long clubId, Account.Role role);

    Account save(Account account);
}
