package dev.yarbel.web.account;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;

@Entity
class Account {

    enum Role {
        /** A coach who also keeps the club. */
        HEAD_COACH,
        COACH,
        LIFTER
    }

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private String username;
    private String name;
    private String passwordHash;

    @Enumerated(EnumType.STRING)
    private Role role;

    private Long lifterId;

    protected Account() {}

    Account(long clubId, String username, String name, String passwordHash, Role role, Long lifterId) {
        this.clubId = clubId;
        this.username = username;
        this.name = name;
        this.passwordHash = passwordHash;
        this.role = role;
        this.lifterId = lifterId;
    }

    long id() {
        return id;
    }

    long clubId() {
        return clubId;
    }

    String name() {
        return name;
    }

    Member member(Club club) {
        return new Member(
                id,
                clubId,
                club.zone(),
                username,
                name,
                passwordHash,
                role != Role.LIFTER,
                role == Role.HEAD_COACH,
                lifterId);
    }

    String username() {
        return username;
    }

    boolean isHeadCoach() {
        return role == Role.HEAD_COACH;
    }

    void passwordHash(String hash) {
        passwordHash = hash;
    }

    void lifts(long lifter) {
        lifterId = lifter;
    }
}
