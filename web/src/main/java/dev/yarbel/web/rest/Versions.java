package dev.yarbel.web.rest;

import java.net.URI;
import java.util.Arrays;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import org.springframework.web.ErrorResponseException;
import tools.jackson.databind.json.JsonMapper;

/**
 * What something looked like when it was told: its entity tag (RFC 9110 §8.8.3), made of what is told. Whoever changes it says what they saw, by
 * {@code If-Match}, and overwrites nothing that they have not seen.
 */
@Component
public class Versions {

    private final JsonMapper json;

    Versions(JsonMapper json) {
        this.json = json;
    }

    /** Told with its tag. */
    public <T> ResponseEntity<T> tagged(T told) {
        return ResponseEntity.ok().eTag(tag(told)).body(told);
    }

    /** Made, and told with its address and tag. */
    public <T> ResponseEntity<T> created(String path, T told) {
        return ResponseEntity.created(URI.create(path)).eTag(tag(told)).body(told);
    }

    /**
     * Lets a change pass that was made of what is there now.
     *
     * @param seen the header {@code If-Match}; null where none was sent
     * @throws ErrorResponseException 428 where nobody said what they saw (RFC 6585), 412 where it is something else now
     */
    public void check(String seen, Object now) {
        if (seen == null || seen.isBlank()) {
            throw new ErrorResponseException(HttpStatus.PRECONDITION_REQUIRED);
        }
        String tag = tag(now);
        boolean same = Arrays.stream(seen.split(","))
                // a server in between may have marked it as compressed
                .map(one -> one.strip().replaceFirst("--?gzip\"$", "\""))
                .anyMatch(one -> one.equals("*") || one.equals(tag));
        if (!same) {
            throw new ErrorResponseException(HttpStatus.PRECONDITION_FAILED);
        }
    }

    private String tag(Object told) {
        return "\"" + DigestUtils.sha256Hex(json.writeValueAsBytes(told)).substring(0, 32) + "\"";
    }
}
