package dev.yarbel.web.resilience;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The script's own commands, run as a person runs them, with a state folder of their own. */
class ScriptTest {

    private static final Path SCRIPT = Path.of("..", "yarbel").toAbsolutePath().normalize();

    @TempDir
    private Path folder;

    private record Result(int code, String out) {}

    private Result run(Map<String, String> environment, String... arguments) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of(SCRIPT.toString()));
        command.addAll(List.of(arguments));
        ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
        builder.environment().keySet().removeIf(name -> name.startsWith("YARBEL_"));
        builder.environment().put("YARBEL_STATE", folder.resolve("state").toString());
        builder.environment().putAll(environment);
        Process process = builder.start();
        String out = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        return new Result(process.waitFor(), out);
    }

    private static Map<String, String> on(OwnDatabase database) {
        return new HashMap<>(Map.of(
                "YARBEL_DB_URL", database.url(),
                "YARBEL_DB_USER", OwnDatabase.USER,
                "YARBEL_DB_PASSWORD", OwnDatabase.PASSWORD));
    }

    /** A store as the application makes it, with a club in it. */
    private static void fill(OwnDatabase database) throws Exception {
        migrate(database);
        database.execute("insert into club (name, zone) values ('Sluice Gate Strength', 'Europe/London')");
        database.execute("insert into account (club_id, username, name, password_hash, role)"
                + " values (1, 'maud', 'Maud Tideway', 'x', 'HEAD_COACH')");
    }

    private static void migrate(OwnDatabase database) {
        Flyway.configure()
                .dataSource(database.url(), OwnDatabase.USER, OwnDatabase.PASSWORD)
                .schemas("yarbel")
                .load()
                .migrate();
    }

    @Test
    void helpNamesEveryCommandAndSetting() throws Exception {
        Result help = run(Map.of(), "help");
        assertThat(help.code()).isZero();
        assertThat(help.out())
                .contains(
                        "demo",
                        "--fresh",
                        "start",
                        "status",
                        "stop",
                        "backup FILE",
                        "restore FILE",
                        "test",
                        "mutants",
                        "prove",
                        "pictures")
                .contains("YARBEL_PORT", "YARBEL_ADDRESS", "YARBEL_STATE", "YARBEL_DB_URL", "JAVA_OPTS");
    }

    @Test
    void statusOfNothingSaysSoAndStopDoesNoHarm() throws Exception {
        assertThat(run(Map.of(), "status"))
                .satisfies(status -> assertThat(status.code()).isEqualTo(3))
                .satisfies(status -> assertThat(status.out()).contains("start: not running", "demo: not running"));
        assertThat(run(Map.of(), "stop")).isEqualTo(new Result(0, "nothing is running\n"));
    }

    @Test
    void aFaultIsOneClearLine() throws Exception {
        Path file = Files.writeString(folder.resolve("a-file"), "");
        Map<String, String> fileAsState =
                Map.of("YARBEL_STATE", file.resolve("state").toString());
        assertThat(run(fileAsState, "demo").out())
                .isEqualTo("yarbel: cannot write to " + file + "/state: run as another user, or set YARBEL_STATE\n");
        assertThat(run(Map.of(), "demo", "--stale").out())
                .isEqualTo("yarbel: demo takes --fresh or nothing, not '--stale'\n");
        assertThat(run(Map.of(), "backup").out()).contains("backup takes the file to write");
        assertThat(run(Map.of(), "backup", folder.resolve("b").toString()).out())
                .isEqualTo("yarbel: there is nothing to back up: no club was ever started here\n");
        assertThat(run(Map.of(), "restore", "/nowhere").out()).isEqualTo("yarbel: cannot read /nowhere\n");
        assertThat(run(Map.of(), "restore", file.toString()).out())
                .contains("is no backup of Yarbel's, or it is broken");
        assertThat(run(Map.of("YARBEL_DB_URL", "postgres://x", "YARBEL_DB_USER", "x"), "backup", "/tmp/never")
                        .out())
                .isEqualTo("yarbel: YARBEL_DB_URL is not of the form jdbc:postgresql://host:port/name\n");
        assertThat(run(Map.of(), "nonsense").code()).isEqualTo(1);
    }

    @Test
    void aPidFileOfADeadServerIsNotTakenForOneThatRuns() throws Exception {
        Path own = Files.createDirectories(folder.resolve("state").resolve("own"));
        Files.writeString(own.resolve("demo.pid"), "1\n");
        Files.writeString(own.resolve("demo.ready"), "http://127.0.0.1:8080\n");
        assertThat(run(Map.of(), "status").out()).contains("demo: not running");
    }

    @Test
    void whatIsSecretIsReadableByItsOwnerAlone() throws Exception {
        String file = folder.resolve("club.backup").toString();
        try (OwnDatabase database = new OwnDatabase("yarbel_backup")) {
            fill(database);
            run(on(database), "backup", file);
            run(on(database), "restore", file);
        }
        assertThat(Files.getPosixFilePermissions(Path.of(file)))
                .isEqualTo(PosixFilePermissions.fromString("rw-------"));
        Path own = folder.resolve("state").resolve("own");
        assertThat(Files.getPosixFilePermissions(own)).isEqualTo(PosixFilePermissions.fromString("rwx------"));
        try (Stream<Path> files = Files.walk(own)) {
            assertThat(files.filter(Files::isRegularFile)).isNotEmpty().allSatisfy(written -> assertThat(
                            Files.getPosixFilePermissions(written))
                    .isEqualTo(PosixFilePermissions.fromString("rw-------")));
        }
        try (Stream<Path> state = Files.list(folder.resolve("state"))) {
            assertThat(state.filter(Files::isRegularFile))
                    .allSatisfy(written -> assertThat(Files.getPosixFilePermissions(written))
                            .isEqualTo(PosixFilePermissions.fromString("rw-------")));
        }
    }

    @Test
    void aBackupIsReadBackIntoAnEmptyStoreAndVerified() throws Exception {
        String file = folder.resolve("club.backup").toString();
        try (OwnDatabase database = new OwnDatabase("yarbel_backup")) {
            fill(database);
            assertThat(run(on(database), "backup", file).out()).startsWith("written: " + file);
            assertThat(run(on(database), "backup", file).out()).contains("is there already");
        }
        try (OwnDatabase empty = new OwnDatabase("yarbel_restore")) {
            Result restored = run(on(empty), "restore", file);
            assertThat(restored.out()).isEqualTo("restored and verified, line by line: clubs 1, logged sets 0\n");
            assertThat(empty.count("select count(*) from account where name = 'Maud Tideway'"))
                    .isOne();
            // new rows go on where the old ones ended
            empty.execute("insert into club (name, zone) values ('Second', 'UTC')");
            assertThat(empty.count("select max(id) from club")).isEqualTo(2);
            assertThat(run(on(empty), "restore", file).out()).contains("restore never writes over one");
            assertThat(empty.count("select count(*) from club")).isEqualTo(2);
        }
    }

    @Test
    void aStoreThatWasStartedAndNeverSetUpCountsAsEmpty() throws Exception {
        String file = folder.resolve("club.backup").toString();
        try (OwnDatabase database = new OwnDatabase("yarbel_backup")) {
            fill(database);
            run(on(database), "backup", file);
        }
        try (OwnDatabase started = new OwnDatabase("yarbel_restore")) {
            migrate(started);
            started.addForeignTable();
            assertThat(run(on(started), "restore", file).out()).startsWith("restored and verified");
            assertThat(started.hasForeignTable()).isTrue();
        }
    }

    @Test
    void whatIsNotOursIsNeitherBackedUpNorTouched() throws Exception {
        String file = folder.resolve("club.backup").toString();
        try (OwnDatabase database = new OwnDatabase("yarbel_backup")) {
            fill(database);
            database.addForeignTable();
            assertThat(run(on(database), "backup", file).code()).isZero();
        }
        try (OwnDatabase others = new OwnDatabase("yarbel_restore")) {
            others.addForeignTable();
            // a club of somebody else's, which was once taken for an empty store of ours
            others.execute("create table public.club (id int)");
            assertThat(run(on(others), "restore", file).out()).startsWith("restored and verified");
            assertThat(others.hasForeignTable()).isTrue();
            assertThat(others.count("select count(*) from pg_tables where schemaname = 'public'"))
                    .isEqualTo(2);
        }
        try (OwnDatabase mixed = new OwnDatabase("yarbel_restore")) {
            migrate(mixed);
            mixed.execute("create table yarbel.somebodys (id int); insert into yarbel.somebodys values (1)");
            assertThat(run(on(mixed), "restore", file).out()).contains("has rows that are not Yarbel's");
            assertThat(mixed.count("select count(*) from yarbel.somebodys")).isOne();
        }
        try (OwnDatabase seen = new OwnDatabase("yarbel_restore")) {
            migrate(seen);
            seen.execute("create view public.how_many as select count(*) from yarbel.club");
            assertThat(run(on(seen), "restore", file).code()).isEqualTo(1);
            assertThat(seen.count("select count(*) from public.how_many")).isOne();
        }
    }

    @Test
    void aBackupOfBeforeTheSchemaIsReadBackAndMovesOverAtTheNextStart() throws Exception {
        String file = folder.resolve("old.backup").toString();
        try (OwnDatabase database = new OwnDatabase("yarbel_backup")) {
            Flyway.configure()
                    .dataSource(database.url(), OwnDatabase.USER, OwnDatabase.PASSWORD)
                    .target("13")
                    .load()
                    .migrate();
            database.execute("insert into club (name, zone) values ('Sluice Gate Strength', 'Europe/London')");
            ProcessBuilder dump = new ProcessBuilder(
                            "sh",
                            "-c",
                            "$(ls -d /usr/lib/postgresql/*/bin | sort -V | tail -n 1)/pg_dump -Fc -O -f \"$1\" -d \"$2\"",
                            "sh",
                            file,
                            database.url().substring("jdbc:".length()))
                    .inheritIO();
            dump.environment().put("PGUSER", OwnDatabase.USER);
            dump.environment().put("PGPASSWORD", OwnDatabase.PASSWORD);
            assertThat(dump.start().waitFor()).isZero();
        }
        try (OwnDatabase others = new OwnDatabase("yarbel_restore")) {
            others.addForeignTable();
            assertThat(run(on(others), "restore", file).out()).contains("give it a database of its own");
            assertThat(others.hasForeignTable()).isTrue();
        }
        try (OwnDatabase empty = new OwnDatabase("yarbel_restore")) {
            assertThat(run(on(empty), "restore", file).out())
                    .startsWith("restored and verified, line by line: clubs 1");
            assertThat(empty.count("select count(*) from public.club")).isOne();
        }
    }

    @Test
    void aStoreThatDiffersFromTheFileAfterwardsIsNotCalledVerified() throws Exception {
        String file = folder.resolve("club.backup").toString();
        try (OwnDatabase database = new OwnDatabase("yarbel_backup")) {
            fill(database);
            run(on(database), "backup", file);
        }
        try (OwnDatabase target = new OwnDatabase("yarbel_restore")) {
            // something of the database's own reaches into what is restored
            target.execute("create schema elsewhere");
            target.execute("""
                    create function elsewhere.meddle() returns event_trigger language plpgsql as $$ begin
                      if exists (select from pg_event_trigger_ddl_commands() where object_identity = 'yarbel.club') then
                        alter table yarbel.club alter column zone set default 'UTC';
                      end if;
                    end $$""");
            target.execute("create event trigger meddle on ddl_command_end when tag in ('CREATE TABLE')"
                    + " execute function elsewhere.meddle()");
            Result result = run(on(target), "restore", file);
            assertThat(result.code()).isEqualTo(1);
            assertThat(result.out()).contains("differs from the backup").doesNotContain("verified");
        }
    }

    @Test
    void aBrokenBackupWritesNothing() throws Exception {
        Path file = folder.resolve("club.backup");
        try (OwnDatabase database = new OwnDatabase("yarbel_backup")) {
            fill(database);
            run(on(database), "backup", file.toString());
        }
        byte[] whole = Files.readAllBytes(file);
        Files.write(file, java.util.Arrays.copyOf(whole, whole.length - whole.length / 4));
        try (OwnDatabase empty = new OwnDatabase("yarbel_restore")) {
            Result result = run(on(empty), "restore", file.toString());
            assertThat(result.code()).isEqualTo(1);
            assertThat(empty.count("select count(*) from pg_tables where schemaname = 'public'"))
                    .isZero();
        }
    }
}
