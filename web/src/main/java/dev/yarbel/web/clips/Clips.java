package dev.yarbel.web.clips;

import dev.yarbel.core.clip.FilmedSet;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.book.NamedSets;
import dev.yarbel.web.book.NamedSets.NamedSet;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.LifterCard;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.io.InputStreamSource;
import org.springframework.core.io.Resource;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionOperations;

/** Clips beside logged sets: added, looked at, deleted. */
@Service
public class Clips {

    /** As many as one set may have. */
    static final int MOST_OF_A_SET = 4;

    private static final Logger LOG = LoggerFactory.getLogger(Clips.class);

    private final ClipRepository clips;
    private final ClipStore store;
    private final ClipCheck check;
    private final NamedSets sets;
    private final TransactionOperations transactions;
    private final Clock clock;

    Clips(
            ClipRepository clips,
            ClipStore store,
            ClipCheck check,
            NamedSets sets,
            TransactionOperations transactions,
            Clock clock) {
        this.clips = clips;
        this.store = store;
        this.check = check;
        this.sets = sets;
        this.transactions = transactions;
        this.clock = clock;
    }

    /** A set with the clips of it. */
    record SetClips(NamedSet set, List<ClipEntity> clips) {

        FilmedSet filmed() {
            return new FilmedSet(set.number(), set.on(), set.done().set());
        }
    }

    /** A set of a session with its clips. */
    SetClips of(LifterCard lifter, long session, TaskKey task) {
        return of(lifter, sets.find(lifter, session, task).orElseThrow(NotFoundException::new));
    }

    private SetClips of(LifterCard lifter, NamedSet set) {
        return new SetClips(
                set, clips.findByClubIdAndLifterIdAndSetTokenOrderById(lifter.clubId(), lifter.id(), set.token()));
    }

    /** All sets of a lifter of which there are clips, the latest first. */
    List<SetClips> all(LifterCard lifter) {
        Map<UUID, List<ClipEntity>> all = clips.findByClubIdAndLifterIdOrderById(lifter.clubId(), lifter.id()).stream()
                .collect(Collectors.groupingBy(ClipEntity::setToken));
        return sets.named(lifter, all.keySet()).stream()
                .map(set -> new SetClips(set, all.get(set.token())))
                .sorted((one, other) ->
                        Long.compare(other.set().number(), one.set().number()))
                .toList();
    }

    /** The earlier sets with clips that one is best held against, the latest first. */
    List<SetClips> like(SetClips one, List<SetClips> all) {
        Map<Long, SetClips> numbered = new HashMap<>();
        all.forEach(other -> numbered.put(other.set().number(), other));
        return one.filmed().like(all.stream().map(SetClips::filmed).toList()).stream()
                .map(filmed -> numbered.get(filmed.number()))
                .toList();
    }

    /**
     * Keeps what comes in as a clip of a set.
     *
     * @param token the name of the set
     * @throws UnreadableException when it is no clip, or the set has as many as it may
     */
    public NamedSet add(Person person, LifterCard lifter, UUID token, InputStreamSource content) {
        return add(person, lifter, token, UUID.randomUUID(), content);
    }

    /** Keeps it under a name: of one that is kept already nothing is kept again. */
    NamedSet add(Person person, LifterCard lifter, UUID token, UUID name, InputStreamSource content) {
        NamedSet set = sets.named(lifter, List.of(token)).stream().findFirst().orElseThrow(NotFoundException::new);
        if (isKept(lifter, name)) {
            return set;
        }
        try (InputStream bytes = content.getInputStream()) {
            Path file = store.receive(bytes);
            try {
                keep(person, lifter, token, name, check.check(file));
                return set;
            } finally {
                Files.deleteIfExists(file);
            }
        } catch (FileSystemException full) {
            LOG.error("A clip could not be kept.", full);
            throw new UnreadableException("clips.error.store").in("file");
        } catch (IOException broken) {
            LOG.warn("A clip could not be read.", broken);
            throw new UnreadableException("clips.error.store").in("file");
        }
    }

    /** Whether a clip of the lifter lies in the store under a name. */
    boolean isKept(LifterCard lifter, UUID name) {
        return clips.existsByClubIdAndLifterIdAndFile(lifter.clubId(), lifter.id(), name);
    }

    private void keep(Person person, LifterCard lifter, UUID token, UUID name, CheckedClip clip) throws IOException {
        Optional<UUID> preview = clip.preview().map(there -> UUID.randomUUID());
        try {
            store.put(name, clip.file());
            if (preview.isPresent()) {
                store.put(preview.get(), clip.preview().get());
            }
            transactions.executeWithoutResult(status -> keep(person, lifter, token, name, clip, preview));
        } catch (IOException | RuntimeException notKept) {
            if (preview.isPresent()) {
                store.delete(preview.get());
            }
            if (isKept(lifter, name)) {
                // somebody was sent it twice at once: the other one keeps it
                return;
            }
            store.delete(name);
            throw notKept;
        } finally {
            ClipCheck.forget(clip);
        }
    }

    private void keep(
            Person person, LifterCard lifter, UUID token, UUID name, CheckedClip clip, Optional<UUID> preview) {
        if (clips.countByClubIdAndLifterIdAndSetToken(lifter.clubId(), lifter.id(), token) >= MOST_OF_A_SET) {
            throw new UnreadableException("clips.error.many", MOST_OF_A_SET).in("file");
        }
        clips.save(new ClipEntity(
                lifter.clubId(), lifter.id(), token, name, clip, preview, person.accountId(), clock.instant()));
    }

    /** What is seen of a clip. */
    record Seen(ClipEntity clip, Resource file) {}

    Seen see(LifterCard lifter, long id) {
        ClipEntity clip = clip(lifter, id);
        return see(clip, clip.file());
    }

    /** A small picture of a clip. */
    Seen preview(LifterCard lifter, long id) {
        ClipEntity clip = clip(lifter, id);
        return see(clip, clip.preview().orElseThrow(NotFoundException::new));
    }

    private Seen see(ClipEntity clip, UUID name) {
        Resource file = store.open(name);
        if (!file.exists()) {
            throw new NotFoundException();
        }
        return new Seen(clip, file);
    }

    /** A clip with the set that it is of. */
    record Filmed(ClipEntity clip, NamedSet set) {}

    Filmed filmed(LifterCard lifter, long id) {
        ClipEntity clip = clip(lifter, id);
        return new Filmed(
                clip,
                sets.named(lifter, List.of(clip.setToken())).stream()
                        .findFirst()
                        .orElseThrow(NotFoundException::new));
    }

    /** Keeps when the bar starts to move in a clip. */
    void starts(LifterCard lifter, long id, Duration moment) {
        transactions.executeWithoutResult(status -> clip(lifter, id).startsAt(moment));
    }

    ClipEntity clip(LifterCard lifter, long id) {
        return clips.findByClubIdAndLifterIdAndId(lifter.clubId(), lifter.id(), id)
                .orElseThrow(NotFoundException::new);
    }

    /** Deletes a clip for good, once; the set it was of. */
    Optional<NamedSet> remove(LifterCard lifter, long id) {
        Optional<ClipEntity> clip = Optional.ofNullable(transactions.execute(status -> {
            Optional<ClipEntity> there = clips.findByClubIdAndLifterIdAndId(lifter.clubId(), lifter.id(), id);
            there.ifPresent(clips::delete);
            return there.orElse(null);
        }));
        clip.ifPresent(this::forget);
        return clip.flatMap(
                gone -> sets.named(lifter, List.of(gone.setToken())).stream().findFirst());
    }

    private void forget(ClipEntity clip) {
        try {
            store.delete(clip.file());
            if (clip.preview().isPresent()) {
                store.delete(clip.preview().get());
            }
        } catch (IOException stays) {
            LOG.warn("A clip that was deleted still lies in the store; it is done away with later.", stays);
        }
    }
}
