package dev.yarbel.web.exchange;

import dev.yarbel.web.account.Clubs;
import dev.yarbel.web.kept.AllKept;
import dev.yarbel.web.kept.Kept;
import dev.yarbel.web.kept.KeptRows;
import dev.yarbel.web.roster.EveryLifter;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** All that is kept of a club and its lifters, as JSON by a schema. Written as it is read, as it stood at one moment. */
@Component
@Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
class ClubFile {

    static final String SCHEMA = "club-1.schema.json";

    private static final int VERSION = 1;

    private final List<Kept> ofClub;
    private final List<Kept> ofLifters;
    private final KeptRows rows;
    private final EveryLifter every;
    private final Clubs clubs;
    private final JsonMapper json;
    private final Clock clock;

    ClubFile(AllKept kept, KeptRows rows, EveryLifter every, Clubs clubs, JsonMapper json, Clock clock) {
        this.ofClub = kept.ofClub();
        this.ofLifters = kept.ofLifters().stream().filter(Kept::isReadBack).toList();
        this.rows = rows;
        this.every = every;
        this.clubs = clubs;
        this.json = json;
        this.clock = clock;
    }

    void json(long clubId, OutputStream out) {
        try (JsonLists file = new JsonLists(out)) {
            file.say("format", "\"yarbel-club\"");
            file.say("version", String.valueOf(VERSION));
            file.say("madeAt", "\"" + clock.instant() + "\"");
            file.say("name", json.writeValueAsString(clubs.name(clubId)));
            file.say("zone", json.writeValueAsString(clubs.zone(clubId).getId()));
            for (Kept part : ofClub) {
                file.list(part.name(), to -> rows.ofClub(part, clubId, to));
            }
            List<Long> lifters =
                    every.of(clubId).stream().map(EveryLifter.Named::id).toList();
            file.things(
                    "lifters",
                    next -> rows.ofLifters(ofLifters, clubId, lifters, lifter -> {
                        next.run();
                        file.say("number", String.valueOf(lifter.id()));
                        for (Kept part : ofLifters) {
                            file.list(part.name(), to -> lifter.each(part, to));
                        }
                    }));
        }
    }

    /** The JSON with its schemas. */
    void zip(long clubId, OutputStream out) throws IOException {
        ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8);
        zip.putNextEntry(new ZipEntry("club.json"));
        json(clubId, zip);
        for (String schema : List.of(SCHEMA, LifterFile.SCHEMA)) {
            zip.putNextEntry(new ZipEntry(schema));
            new ClassPathResource("format/" + schema).getInputStream().transferTo(zip);
        }
        zip.finish();
    }
}
