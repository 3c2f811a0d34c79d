package dev.yarbel.web.account;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Optional;

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
    private Instant closedAt;
    private byte[] otpSecret;
    private long otpLastStep;

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
                isCoach(),
                role == Role.HEAD_COACH,
                lifterId,
                club.secondFactor().concerns(isCoach()) && otpSecret == null);
    }

    boolean isCoach() {
        return role != Role.LIFTER;
    }

    String passwordHash() {
        return passwordHash;
    }

    boolean isClosed() {
        return closedAt != null;
    }

    /** Ends this account's access, or gives it back with nothing. */
    void close(Instant at) {
        closedAt = at;
    }

    Optional<byte[]> otpSecret() {
        return Optional.ofNullable(otpSecret).map(byte[]::clone);
    }

    /** Sets up one-time codes, or does away with them with nothing. */
    void otpSecret(byte[] secret) {
        otpSecret = secret == null ? null : secret.clone();
        otpLastStep = 0;
    }

    long otpLastStep() {
        return otpLastStep;
    }

    void otpUsed(long step) {
        otpLastStep = step;
    }

    Optional<Long> lifterId() {
        return Optional.ofNullable(lifterId);
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

    void lifts(Long lifter) {
        lifterId = lifter;
    }
}
