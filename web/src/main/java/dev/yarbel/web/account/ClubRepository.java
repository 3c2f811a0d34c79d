package dev.yarbel.web.account;

import java.util.Optional;
import org.springframework.data.repository.Repository;

interface ClubRepository extends Repository<Club, Long> {

    Club save(Club club);

    Optional<Club> findById(long id);

    long count();
}
