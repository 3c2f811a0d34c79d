package dev.yarbel.web.exchange;

import dev.yarbel.web.kept.AllKept;
import dev.yarbel.web.kept.Kept;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.Roster;
import java.io.ByteArrayOutputStream;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.util.Locale;
import java.util.Optional;
import java.util.zip.GZIPOutputStream;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Files of lifters and clubs that somebody brings: looked at, taken in, taken back; each goes on while nobody waits. */
@Service
class BroughtWhole {

    private static final Duration STUCK = Duration.ofMinutes(10);
    private static final int PIECE = 1 << 16;

    private final FileStore files;
    private final WholeFiles whole;
    private final AllKept kept;

    private final Roster roster;
    private final Jobs jobs;
    private final TransactionTemplate transaction;
    private final JdbcTemplate jdbc;
    private final JsonMapper json;
    private final Clock clock;

    BroughtWhole(
            FileStore files,
            WholeFiles whole,
            AllKept kept,
            Roster roster,
            Jobs jobs,
            TransactionTemplate transaction,
            JdbcTemplate jdbc,
            JsonMapper json,
            Clock clock) {
        this.files = files;
        this.whole = whole;
        this.kept = kept;

        this.roster = roster;
        this.jobs = jobs;
        this.transaction = transaction;
        this.jdbc = jdbc;
        this.json = json;
        this.clock = clock;
    }

    /** Keeps a file to be looked at. */
    long bring(Person coach, String name, InputStream file) throws IOException {
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        long size;
        try (InputStream text = WholeText.of(file);
                OutputStream out = new GZIPOutputStream(packed)) {
            size = text.transferTo(out);
        }
        return transaction.execute(status -> files.keep(coach, name, size, packed.toByteArray()));
    }

    /** What a file would do, or how far looking is. */
    Jobs.Job<WholeFiles.Look> look(Person coach, FileStore.Stored file) {
        Locale language = LocaleContextHolder.getLocale();
        String name = "look at whole " + file.id() + " " + language;
        Jobs.Job<WholeFiles.Look> job =
                jobs.of(name, pieces(file), progress -> whole.look(coach, language, counted(coach, file, progress)));
        if (job.isDone()) {
            // the club may be another one when it is looked at again
            jobs.forget(name);
        }
        return job;
    }

    private static int pieces(FileStore.Stored file) {
        return 1 + (int) (file.size() / PIECE);
    }

    private InputStream counted(Person coach, FileStore.Stored file, Jobs.Progress progress) {
        return new Counted(files.content(coach, file.id()), progress);
    }

    private static String taking(long id) {
        return "take whole " + id;
    }

    /** Takes in what was shown, once. */
    void take(Person coach, FileStore.Stored file) {
        if (!files.move(coach, file.id(), FileStore.Status.OPEN, FileStore.Status.TAKING)) {
            return;
        }
        Locale language = LocaleContextHolder.getLocale();
        jobs.forget(taking(file.id()));
        jobs.of(taking(file.id()), 2 * pieces(file), progress -> {
            try {
                transaction.executeWithoutResult(status -> {
                    WholeFiles.Came came = whole.take(coach, language, () -> counted(coach, file, progress));
                    files.took(coach, file.id(), came.lifters(), json.writeValueAsString(came.struck()));
                    files.move(coach, file.id(), FileStore.Status.TAKING, FileStore.Status.TAKEN);
                });
            } catch (RuntimeException failed) {
                files.move(coach, file.id(), FileStore.Status.TAKING, FileStore.Status.OPEN);
                throw failed;
            }
            return file.id();
        });
    }

    /** How far taking in is, 0 to 99; empty where another copy of the application does it. */
    Optional<Integer> progress(long id) {
        return Optional.ofNullable(jobs.under(taking(id)))
                .map(job -> job.progress().percent());
    }

    /** Why taking it in failed just now. */
    Optional<UnreadableException> failure(long id) {
        Jobs.Job<?> job = jobs.under(taking(id));
        if (job == null || !job.isDone()) {
            return Optional.empty();
        }
        try {
            job.outcome();
            return Optional.empty();
        } catch (UnreadableException why) {
            return Optional.of(why);
        } catch (RuntimeException fault) {
            return Optional.of(new UnreadableException("exchange.whole.error.failed"));
        }
    }

    /** Whether one is being taken in for so long that whoever did it is gone: then nothing of it is here. */
    boolean isStuck(FileStore.Stored file) {
        return file.status() == FileStore.Status.TAKING
                && progress(file.id()).isEmpty()
                && file.since().isBefore(clock.instant().minus(STUCK));
    }

    void again(Person coach, FileStore.Stored file) {
        if (isStuck(file)) {
            files.move(coach, file.id(), FileStore.Status.TAKING, FileStore.Status.OPEN);
        }
    }

    /** Archives who came with a file and strikes what else did, once; nothing is lost, and what others train in stays. */
    void takeBack(Person coach, FileStore.Stored file) {
        transaction.executeWithoutResult(status -> {
            if (!files.move(coach, file.id(), FileStore.Status.TAKEN, FileStore.Status.TAKEN_BACK)) {
                return;
            }

            files.tookBack(
                    coach,
                    file.id(),
                    file.lifters().stream()
                            .filter(id -> roster.putAway(coach, id))
                            .toList());

            JsonNode came = json.readTree(file.came());
            for (Kept part : kept.ofClub()) {
                if (part.isStruck() && came.has(part.table())) {
                    Long[] ids = came.get(part.table())
                            .valueStream()
                            .map(JsonNode::asLong)
                            .toArray(Long[]::new);
                    jdbc.update(part.strike(), Timestamp.from(clock.instant()), coach.clubId(), ids);
                }
            }
        });
    }

    /** A stream that tells how far it is read. */
    private static final class Counted extends FilterInputStream {

        private final Jobs.Progress progress;
        private long read;

        private Counted(InputStream in, Jobs.Progress progress) {
            super(in);
            this.progress = progress;
        }

        @Override
        public int read() throws IOException {
            int one = in.read();
            count(one < 0 ? 0 : 1);
            return one;
        }

        @Override
        public int read(byte[] bytes, int from, int length) throws IOException {
            int some = in.read(bytes, from, length);
            count(Math.max(0, some));
            return some;
        }

        private void count(int some) {
            long before = read / PIECE;
            read += some;
            progress.step((int) (read / PIECE - before));
        }
    }
}
