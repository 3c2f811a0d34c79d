package dev.yarbel.web.calendar;

import java.util.Optional;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface CalendarAddressRepository extends Repository<CalendarAddress, Long> {

    Optional<CalendarAddress> findByClubIdAndAccountId(long clubId, long accountId);

    /** Asked by a calendar, which knows nothing but the secret. */
    Optional<CalendarAddress> findBySecretHash(String secretHash);

    @Modifying
    @Query("delete from CalendarAddress a where a.clubId = :clubId and a.accountId = :accountId")
    void end(long clubId, long accountId);

    CalendarAddress save(CalendarAddress address);
}
