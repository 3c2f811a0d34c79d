package dev.yarbel.web.clips;

import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.time.Duration;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import me.desair.tus.server.TusFileUploadService;
import me.desair.tus.server.exception.TusException;
import me.desair.tus.server.upload.UploadInfo;
import me.desair.tus.server.upload.disk.StoragePathNotAvailableException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Clips that come in part by part over a poor line, by the tus protocol (tus.io, 1.0.0): what arrived stays, and the rest is sent when there is a
 * line again. Nothing of it is a clip before all of it is here and its sender says whose it is.
 */
@Component
class ClipUploads {

    private static final Logger LOG = LoggerFactory.getLogger(ClipUploads.class);

    /** What was begun and not brought to an end is forgotten. */
    private static final Duration LONGEST = Duration.ofDays(7);

    private final TusFileUploadService service;
    private final Clips clips;

    ClipUploads(@Value("${yarbel.clips}") Path folder, Clips clips) {
        this.clips = clips;
        this.service = new TusFileUploadService()
                .withStoragePath(folder.toAbsolutePath().resolve("parts").toString())
                .withUploadUri("/lifters/[0-9]+/clips/parts")
                .withMaxUploadSize(ClipCheck.MOST)
                .withUploadExpirationPeriod(LONGEST.toMillis());
    }

    /** Whoever sends something to a lifter is the only one who goes on with it. */
    private static String owner(Person person, LifterCard lifter) {
        return lifter.clubId() + "-" + lifter.id() + "-" + person.accountId();
    }

    /** Takes a part, or says how far an upload is. */
    void take(Person person, LifterCard lifter, HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        try {
            service.process(request, response, owner(person, lifter));
        } catch (StoragePathNotAvailableException away) {
            throw new IOException(away);
        }
    }

    /**
     * Keeps an upload that is here as a whole as a clip of a set, once however often it is asked.
     *
     * @throws NotFoundException where there is no such set, or no such upload, or part of it is still missing
     */
    void keep(Person person, LifterCard lifter, UUID upload, UUID set) throws IOException {
        String address = "/lifters/" + lifter.id() + "/clips/parts/" + upload;
        String owner = owner(person, lifter);
        try {
            UploadInfo info = service.getUploadInfo(address, owner);
            if (info == null || info.isUploadInProgress()) {
                if (!clips.isKept(lifter, upload)) {
                    throw new NotFoundException();
                }
                return;
            }
            clips.add(person, lifter, set, upload, () -> bytes(address, owner));
            service.deleteUpload(address, owner);
        } catch (TusException gone) {
            throw new NotFoundException();
        }
    }

    private InputStream bytes(String address, String owner) throws IOException {
        try {
            return service.getUploadedBytes(address, owner);
        } catch (TusException gone) {
            throw new IOException(gone);
        }
    }

    @Scheduled(initialDelay = 10, fixedDelay = 60, timeUnit = TimeUnit.MINUTES)
    void forget() {
        try {
            service.cleanup();
        } catch (IOException away) {
            LOG.warn("What remains of uploads could not be cleaned up.", away);
        }
    }
}
