package dev.yarbel.web.clips;

import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Where phones send clips part by part. */
@RestController
@RequestMapping("/lifters/{id}/clips/parts")
class ClipUploadsController {

    private static final Logger LOG = LoggerFactory.getLogger(ClipUploadsController.class);

    private final ClipUploads uploads;
    private final Words words;

    ClipUploadsController(ClipUploads uploads, Words words) {
        this.uploads = uploads;
        this.words = words;
    }

    /** Begins an upload of a size. */
    @PostMapping
    void begin(
            @AuthenticationPrincipal Person person,
            LifterCard lifter,
            HttpServletRequest request,
            HttpServletResponse response)
            throws IOException {
        take(person, lifter, request, response);
    }

    /** Goes on with an upload, says how far it is, or gives it up. */
    @RequestMapping(
            path = "/{upload}",
            method = {RequestMethod.HEAD, RequestMethod.PATCH, RequestMethod.DELETE})
    void part(
            @AuthenticationPrincipal Person person,
            LifterCard lifter,
            HttpServletRequest request,
            HttpServletResponse response)
            throws IOException {
        take(person, lifter, request, response);
    }

    private void take(Person person, LifterCard lifter, HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        try {
            uploads.take(person, lifter, request, response);
        } catch (IOException full) {
            LOG.error("A part of a clip could not be kept.", full);
            response.sendError(HttpStatus.INSUFFICIENT_STORAGE.value());
        }
    }

    /** @param says why it was not kept, for whoever filmed it */
    record Kept(String says) {}

    @PostMapping("/{upload}/keep")
    ResponseEntity<Kept> keep(
            @AuthenticationPrincipal Person person,
            LifterCard lifter,
            @PathVariable UUID upload,
            @RequestParam UUID set)
            throws IOException {
        try {
            uploads.keep(person, lifter, upload, set);
            return ResponseEntity.ok(new Kept(""));
        } catch (UnreadableException trouble) {
            HttpStatus status = trouble.code().equals("clips.error.store")
                    ? HttpStatus.INSUFFICIENT_STORAGE
                    : HttpStatus.UNPROCESSABLE_CONTENT;
            return ResponseEntity.status(status)
                    .body(new Kept(
                            FormState.of("clip", Map.of(), trouble, words).error("clip", trouble.field())));
        }
    }
}
