package dev.yarbel.web.account;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.util.Optional;

@Entity
class Club {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private String name;
    private String zone;

    @Enumerated(EnumType.STRING)
    private SecondFactor secondFactor = SecondFactor.NOBODY;

    private Integer clipDays = 365;

    /** Who has to have a second factor. */
    enum SecondFactor {
        NOBODY,
        COACHES,
        EVERYBODY;

        boolean concerns(boolean coach) {
            return this == EVERYBODY || this == COACHES && coach;
        }
    }

    protected Club() {}

    Club(String name, String zone) {
        this.name = name;
        this.zone = zone;
    }

    long id() {
        return id;
    }

    String name() {
        return name;
    }

    SecondFactor secondFactor() {
        return secondFactor;
    }

    void require(SecondFactor of) {
        secondFactor = of;
    }

    Optional<Integer> clipDays() {
        return Optional.ofNullable(clipDays);
    }

    void keepClips(Optional<Integer> days) {
        clipDays = days.orElse(null);
    }

    String zone() {
        return zone;
    }
}
