package dev.yarbel.web.clips;

import java.io.IOException;
import java.io.InputStream;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.stereotype.Component;

/** A folder of clips, shared by all copies of the application: each under a name of ours, whatever it was called. */
@Component
class ClipFolder implements ClipStore {

    private static final String KEPT = "kept";
    private static final String WAITING = "waiting";

    private final Path folder;

    ClipFolder(@Value("${yarbel.clips}") Path folder) {
        this.folder = folder.toAbsolutePath();
    }

    /** On the same disk, so that keeping a file is a change of its name. */
    @Override
    public Path receive(InputStream content) throws IOException {
        Path file = Files.createTempFile(made(WAITING), "clip", null);
        try {
            Files.copy(content, file, StandardCopyOption.REPLACE_EXISTING);
            return file;
        } catch (IOException full) {
            Files.deleteIfExists(file);
            throw full;
        }
    }

    private Path made(String name) throws IOException {
        Path made = folder.resolve(name);
        if (!Files.isDirectory(made)) {
            Files.createDirectories(made);
            if (made.getFileSystem().supportedFileAttributeViews().contains("posix")) {
                Files.setPosixFilePermissions(made, PosixFilePermissions.fromString("rwx------"));
            }
        }
        return made;
    }

    @Override
    public void put(UUID name, Path file) throws IOException {
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.WRITE)) {
            // what is said to be kept is on the disk
            channel.force(true);
        }
        Files.move(file, made(KEPT).resolve(name.toString()), StandardCopyOption.ATOMIC_MOVE);
    }

    @Override
    public Resource open(UUID name) {
        return new FileSystemResource(folder.resolve(KEPT).resolve(name.toString()));
    }

    @Override
    public void delete(UUID name) throws IOException {
        Files.deleteIfExists(folder.resolve(KEPT).resolve(name.toString()));
    }

    @Override
    public List<UUID> before(Instant moment) throws IOException {
        forgetWaiting(moment);
        List<UUID> before = new ArrayList<>();
        try (var files = Files.newDirectoryStream(made(KEPT))) {
            for (Path file : files) {
                if (Files.getLastModifiedTime(file).toInstant().isBefore(moment)) {
                    before.add(UUID.fromString(file.getFileName().toString()));
                }
            }
        }
        return before;
    }

    /** What a server left behind that was killed while it looked at a file. */
    private void forgetWaiting(Instant moment) throws IOException {
        try (var files = Files.newDirectoryStream(made(WAITING))) {
            for (Path file : files) {
                if (Files.getLastModifiedTime(file).toInstant().isBefore(moment)) {
                    Files.deleteIfExists(file);
                }
            }
        }
    }
}
