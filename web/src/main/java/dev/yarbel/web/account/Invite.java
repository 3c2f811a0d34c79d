package dev.yarbel.web.account;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;

@Entity
class Invite {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private String tokenHash;

    @Enumerated(EnumType.STRING)
    private Account.Role role;

    private String name;
    private Long lifterId;
    private Long accountId;
    private long invitedBy;
    private Instant expiresAt;
    private Instant usedAt;

    protected Invite() {}

    Invite(
            long clubId,
            String tokenHash,
            Account.Role role,
            String name,
            Long lifterId,
            Long accountId,
            long invitedBy,
            Instant expiresAt) {
        this.clubId = clubId;
        this.tokenHash = tokenHash;
        this.role = role;
        this.name = name;
        this.lifterId = lifterId;
        this.accountId = accountId;
        this.invitedBy = invitedBy;
        this.expiresAt = expiresAt;
    }

    long clubId() {
        return clubId;
    }

    Account.Role role() {
        return role;
    }

    String name() {
        return name;
    }

    Long lifterId() {
        return lifterId;
    }

    Long accountId() {
        return accountId;
    }

    boolean worksAt(Instant now) {
        return usedAt == null && now.isBefore(expiresAt);
    }

    void use(Instant now) {
        usedAt = now;
    }
}
