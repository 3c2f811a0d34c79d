package dev.yarbel.web.kit;

import dev.yarbel.core.equipment.Kit;
import dev.yarbel.core.equipment.Loader;
import dev.yarbel.web.page.NotFoundException;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The kits of a club. What each can load is worked out once and kept for as long as the kit stays the same. */
@Service
@Transactional(readOnly = true)
public class KitShelf {

    private static final int KEPT = 100;

    private final KitRepository kits;
    private final Map<Kit, Loader> loaders = Collections.synchronizedMap(new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Kit, Loader> eldest) {
            return size() > KEPT;
        }
    });

    KitShelf(KitRepository kits) {
        this.kits = kits;
    }

    /** What can be loaded from a kit. */
    public Loader loader(long clubId, long kitId) {
        Kit kit = kits.find(clubId, kitId).map(KitEntity::kit).orElseThrow(NotFoundException::new);
        return loaders.computeIfAbsent(kit, Loader::of);
    }

    /** Puts a kit on the shelf and gives its number. */
    @Transactional
    public long add(long clubId, String name, Kit kit) {
        return kits.save(new KitEntity(clubId, name, kit)).id();
    }
}
