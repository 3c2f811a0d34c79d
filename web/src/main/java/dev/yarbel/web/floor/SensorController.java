package dev.yarbel.web.floor;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import java.time.Duration;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The interface for bar-speed sensors; docs/sensor.md describes it. */
@RestController
@RequestMapping("/api/sensor")
class SensorController {

    private static final String BEARER = "Bearer ";

    private final SpeedSensors sensors;

    SensorController(SpeedSensors sensors) {
        this.sensors = sensors;
    }

    @JsonIgnoreProperties(ignoreUnknown = true)
    record Code(String code) {}

    /**
     * A reading.
     *
     * @param number the sensor's own, from 1, never the same twice
     * @param speed metres a second, as text
     * @param ago milliseconds since it was measured; nothing: just now
     */
    @JsonIgnoreProperties(ignoreUnknown = true)
    record Reading(Long number, String speed, Long ago) {}

    @PostMapping("/pair")
    ResponseEntity<Map<String, String>> pair(@RequestBody Code sent) {
        return Optional.ofNullable(sent.code())
                .flatMap(sensors::pair)
                .map(key -> ResponseEntity.ok(Map.of("key", key)))
                .orElse(refuse(HttpStatus.NOT_FOUND, "unknown-code"));
    }

    @PostMapping("/readings")
    ResponseEntity<Map<String, String>> read(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization, @RequestBody Reading sent) {
        Optional<SpeedSensor> sensor = authorization.startsWith(BEARER)
                ? sensors.sensor(authorization.substring(BEARER.length()))
                : Optional.empty();
        if (sensor.isEmpty()) {
            return refuse(HttpStatus.UNAUTHORIZED, "unknown-key");
        }
        if (sent.number() == null || sent.number() < 1 || sent.speed() == null) {
            return refuse(HttpStatus.UNPROCESSABLE_CONTENT, "incomplete");
        }
        Duration ago = Duration.ofMillis(sent.ago() == null ? 0 : sent.ago());
        return sensors.take(sensor.get(), sent.number(), sent.speed(), ago)
                .map(why -> refuse(
                        HttpStatus.UNPROCESSABLE_CONTENT,
                        why.name().toLowerCase(Locale.ROOT).replace('_', '-')))
                .orElse(ResponseEntity.noContent().build());
    }

    private static ResponseEntity<Map<String, String>> refuse(HttpStatus status, String why) {
        return ResponseEntity.status(status).body(Map.of("refused", why));
    }
}
