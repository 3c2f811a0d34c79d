package dev.yarbel.web;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/** Writes the address into a file once pages are served, so that the script that started us knows. */
@Component
@ConditionalOnProperty("yarbel.ready-file")
class ReadyFile {

    private final Path file;
    private final Environment environment;

    ReadyFile(@Value("${yarbel.ready-file}") Path file, Environment environment) {
        this.file = file;
        this.environment = environment;
    }

    @EventListener(ApplicationReadyEvent.class)
    void write() {
        try {
            Files.writeString(file, "http://127.0.0.1:" + environment.getProperty("local.server.port") + "\n");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
