package dev.yarbel.web;

import dev.yarbel.web.account.FirstRun;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/**
 * Writes the address into a file once pages are served, so that the script that started us knows; and, where there is no
 * club yet, the code that sets it up, which the script prints.
 */
@Component
@ConditionalOnProperty("yarbel.ready-file")
class ReadyFile {

    private static final Set<PosixFilePermission> OWNER_ONLY = PosixFilePermissions.fromString("rw-------");

    private final Path file;
    private final Environment environment;
    private final FirstRun firstRun;

    ReadyFile(@Value("${yarbel.ready-file}") Path file, Environment environment, FirstRun firstRun) {
        this.file = file;
        this.environment = environment;
        this.firstRun = firstRun;
    }

    @EventListener(ApplicationReadyEvent.class)
    void write() {
        String host = environment.getProperty("server.address", "127.0.0.1");
        String address = "http://" + host + ":" + environment.getProperty("local.server.port");
        String code = firstRun.newCode().map(c -> "first-run code " + c + "\n").orElse("");
        try {
            // all of it at once: whoever waits for the file never reads half of it
            Path whole = file.resolveSibling(file.getFileName() + ".new");
            Files.deleteIfExists(whole);
            // the code is for whoever started us, and nobody else reads it
            Files.createFile(whole, PosixFilePermissions.asFileAttribute(OWNER_ONLY));
            Files.writeString(whole, address + "\n" + code);
            Files.move(whole, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
