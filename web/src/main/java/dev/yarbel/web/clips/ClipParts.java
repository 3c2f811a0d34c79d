package dev.yarbel.web.clips;

import dev.yarbel.web.book.NamedSets;
import dev.yarbel.web.book.NamedSets.NamedSet;
import dev.yarbel.web.kept.Kept;
import dev.yarbel.web.kept.LifterFiles;
import dev.yarbel.web.kept.LifterParts;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.core.io.Resource;
import org.springframework.stereotype.Component;

/** Clips are files, and go along as files; deleted, their files are swept up. */
@Component
class ClipParts implements LifterParts, LifterFiles {

    private final ClipRepository clips;
    private final ClipStore store;
    private final NamedSets sets;

    ClipParts(ClipRepository clips, ClipStore store, NamedSets sets) {
        this.clips = clips;
        this.store = store;
        this.sets = sets;
    }

    @Override
    public List<Kept> parts() {
        return List.of();
    }

    @Override
    public List<String> erase() {
        return List.of("delete from clip where club_id = ? and lifter_id = any (?)");
    }

    @Override
    public List<KeptFile> files(long clubId, long lifterId) {
        List<ClipEntity> all = clips.findByClubIdAndLifterIdOrderById(clubId, lifterId);
        Map<UUID, NamedSet> of =
                sets
                        .named(
                                clubId,
                                lifterId,
                                all.stream().map(ClipEntity::setToken).collect(Collectors.toSet()))
                        .stream()
                        .collect(Collectors.toMap(NamedSet::token, Function.identity()));
        return all.stream()
                .filter(clip -> of.containsKey(clip.setToken()))
                .map(clip -> file(clip, of.get(clip.setToken())))
                .filter(file -> ((Resource) file.content()).exists())
                .toList();
    }

    private KeptFile file(ClipEntity clip, NamedSet set) {
        return new KeptFile(
                "clips",
                set.on() + "-" + set.done().set().lift().key() + "-"
                        + set.done().task() + "-" + clip.id() + "."
                        + clip.type().ending(),
                store.open(clip.file()));
    }
}
