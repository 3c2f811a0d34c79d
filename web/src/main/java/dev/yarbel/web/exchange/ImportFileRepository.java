package dev.yarbel.web.exchange;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface ImportFileRepository extends Repository<ImportFile, Long> {

    ImportFile save(ImportFile file);

    Optional<ImportFile> findByClubIdAndAccountIdAndId(long clubId, long accountId, long id);

    /** The same, held until the end of the transaction. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select f from ImportFile f where f.clubId = :clubId and f.accountId = :accountId and f.id = :id")
    Optional<ImportFile> lock(long clubId, long accountId, long id);

    List<ImportFile> findByClubIdAndAccountIdOrderByIdDesc(long clubId, long accountId, Limit limit);

    @Modifying
    @Query("delete from ImportFile f where f.clubId = :clubId and f.accountId = :accountId and f.id = :id")
    void delete(long clubId, long accountId, long id);
}
