package dev.yarbel.web.account;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** With it a program does what its owner may, as far as its scopes go and until it ends. */
@Entity
class AccessToken {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long accountId;
    private String name;
    private String secretHash;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<String> scopes;

    private Instant madeAt;
    private Instant endsAt;
    private Instant usedAt;

    protected AccessToken() {}

    AccessToken(
            long clubId,
            long accountId,
            String name,
            String secretHash,
            Set<Scope> scopes,
            Instant madeAt,
            Instant endsAt) {
        this.clubId = clubId;
        this.accountId = accountId;
        this.name = name;
        this.secretHash = secretHash;
        this.scopes = scopes.stream().sorted().map(Scope::name).toList();
        this.madeAt = madeAt;
        this.endsAt = endsAt;
    }

    public long id() {
        return id;
    }

    public String name() {
        return name;
    }

    public Set<Scope> scopes() {
        return scopes.stream().map(Scope::valueOf).collect(Collectors.toCollection(TreeSet::new));
    }

    public Instant madeAt() {
        return madeAt;
    }

    public Instant endsAt() {
        return endsAt;
    }

    /** When it was used last, to the hour; empty for one that never was. */
    public Optional<Instant> usedAt() {
        return Optional.ofNullable(usedAt);
    }

    boolean isUsedSince(Instant at) {
        return usedAt != null && usedAt.isAfter(at);
    }
}
