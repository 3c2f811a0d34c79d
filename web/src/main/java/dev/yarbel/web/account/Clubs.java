package dev.yarbel.web.account;

import java.time.ZoneId;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What belongs to a club as a whole. */
@Service
@Transactional(readOnly = true)
public class Clubs {

    private final ClubRepository clubs;

    Clubs(ClubRepository clubs) {
        this.clubs = clubs;
    }

    /** The time zone that says what day it is in a club. */
    public ZoneId zone(long clubId) {
        return ZoneId.of(clubs.findById(clubId).orElseThrow().zone());
    }

    /** What a club is called. */
    public String name(long clubId) {
        return clubs.findById(clubId).orElseThrow().name();
    }

    /** Who has to have a second factor. */
    Club.SecondFactor secondFactor(long clubId) {
        return clubs.findById(clubId).orElseThrow().secondFactor();
    }

    /** Says who has to have a second factor, from their next sign-in on. */
    @Transactional
    void require(long clubId, Club.SecondFactor of) {
        clubs.findById(clubId).orElseThrow().require(of);
    }

    /** For how many days clips of sets are kept; empty where as long as nobody deletes them. */
    Optional<Integer> clipDays(long clubId) {
        return clubs.findById(clubId).orElseThrow().clipDays();
    }

    @Transactional
    void keepClips(long clubId, Optional<Integer> days) {
        clubs.findById(clubId).orElseThrow().keepClips(days);
    }
}
