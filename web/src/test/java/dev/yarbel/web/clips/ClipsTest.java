package dev.yarbel.web.clips;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClip;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.book.NamedSets;
import dev.yarbel.web.page.UnreadableException;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.TreeSet;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.RequestPostProcessor;
import org.springframework.transaction.support.TransactionOperations;

/** Clips beside sets: kept, seen by those who see the lifter, rid of their place, deleted for good. */
@YarbelTest
class ClipsTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    @Autowired
    private ClipStore store;

    @Autowired
    private ClipRepository repository;

    @Autowired
    private ClipCheck check;

    @Autowired
    private ClipSweep sweep;

    @Autowired
    private NamedSets sets;

    @Autowired
    private TransactionOperations transactions;

    @Autowired
    private Clock clock;

    @TempDir
    private Path folder;

    private TestClub club;
    private TestClip clip;

    @BeforeEach
    void gather() {
        club = clubs.club();
        clip = clubs.clip(club);
    }

    private static byte[] film() throws IOException {
        return new ClassPathResource("demo/clips/squat.mp4").getContentAsByteArray();
    }

    private MockHttpServletResponse add(RequestPostProcessor who, String name, byte[] file) throws Exception {
        return mvc.perform(multipart(club.url("/clips"))
                        .file(new MockMultipartFile("file", name, "video/mp4", file))
                        .param("set", clip.set().toString())
                        .param("session", String.valueOf(clip.session()))
                        .param("task", "A.1")
                        .with(who)
                        .with(csrf()))
                .andReturn()
                .getResponse();
    }

    private Document page(RequestPostProcessor who) throws Exception {
        MockHttpServletResponse answer = mvc.perform(get(club.url("/clips/of?task=A.1&session=" + clip.session()))
                        .with(who))
                .andReturn()
                .getResponse();
        assertThat(answer.getStatus()).isEqualTo(200);
        return Jsoup.parse(answer.getContentAsString(StandardCharsets.UTF_8));
    }

    private MockHttpServletResponse seen(RequestPostProcessor who, String address, String range) throws Exception {
        return mvc.perform(get(address).header("Range", range).with(who))
                .andReturn()
                .getResponse();
    }

    private List<UUID> files() {
        return jdbc.sql("select file from clip where club_id = ? order by id")
                .param(club.lifter.clubId())
                .query(UUID.class)
                .list();
    }

    @Test
    void aLifterAddsAClipAndTheirCoachSeesItInParts() throws Exception {
        MockHttpServletResponse answer = add(club.asLifter(), "IMG_0042.MP4", film());

        assertThat(answer.getRedirectedUrl()).isEqualTo(club.url("/clips/of?session=" + clip.session() + "&task=A.1"));
        Document page = page(club.asCoach());
        assertThat(page.select("video")).hasSize(2);
        String film = page.select("video").last().attr("src");
        MockHttpServletResponse part = seen(club.asCoach(), film, "bytes=4-7");
        assertThat(part.getStatus()).isEqualTo(206);
        assertThat(part.getContentAsString(StandardCharsets.ISO_8859_1)).isEqualTo("ftyp");
        assertThat(part.getContentType()).isEqualTo("video/mp4");
        MockHttpServletResponse small = mvc.perform(
                        get(film.replace("/film", "/preview")).with(club.asCoach()))
                .andReturn()
                .getResponse();
        assertThat(small.getContentType()).isEqualTo("image/jpeg");
        assertThat(ImageIO.read(new ByteArrayInputStream(small.getContentAsByteArray()))
                        .getWidth())
                .isEqualTo(240);
        assertThat(part.getHeader("Cache-Control")).contains("private");
        assertThat(part.getHeader("X-Content-Type-Options")).isEqualTo("nosniff");
        assertThat(jdbc.sql("select millis from clip where club_id = ? order by id desc limit 1")
                        .param(club.lifter.clubId())
                        .query(Integer.class)
                        .single())
                .isBetween(2000, 20_000);
    }

    @Test
    void nobodyElseSeesItByAnyAddress() throws Exception {
        TestClub other = clubs.club();
        for (String address : List.of(
                club.url("/clips/" + clip.clip() + "/film"),
                "/lifters/" + other.lifter.id() + "/clips/" + clip.clip() + "/film",
                "/lifters/" + other.lifter.id() + "/clips/of?task=A.1&session=" + clip.session())) {
            assertThat(seen(other.asCoach(), address, "bytes=0-1").getStatus())
                    .as(address)
                    .isIn(403, 404);
            assertThat(seen(other.asLifter(), address, "bytes=0-1").getStatus())
                    .as(address)
                    .isIn(403, 404);
        }
        assertThat(seen(club.asColleague(), club.url("/clips/" + clip.clip() + "/film"), "bytes=0-1")
                        .getStatus())
                .isEqualTo(404);
        mvc.perform(post("/lifters/" + other.lifter.id() + "/clips/" + clip.clip() + "/remove")
                .with(other.asCoach())
                .with(csrf()));
        assertThat(store.open(clip.file()).exists()).as("nor deletes it").isTrue();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "just words",
                "<html><script>alert(1)</script>",
                "PK\u0003\u0004",
                "GIF89a",
                "#EXTM3U\nfile:///etc/passwd"
            })
    void whatIsNoClipIsRefusedWhateverItIsCalled(String content) throws Exception {
        MockHttpServletResponse answer =
                add(club.asLifter(), "squat.mp4", content.getBytes(StandardCharsets.ISO_8859_1));

        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(Jsoup.parse(answer.getContentAsString(StandardCharsets.UTF_8))
                        .select("#clip-file-says")
                        .text())
                .contains("That is no film");
        assertThat(files()).hasSize(1);
    }

    @Test
    void aFilmThatWasCutOffIsBroken() throws Exception {
        byte[] half = java.util.Arrays.copyOf(film(), 900);

        assertThat(add(club.asLifter(), "squat.mp4", half).getStatus()).isEqualTo(422);
        assertThat(files()).hasSize(1);
    }

    /** What is said at once on the phone is what the server would say. */
    @Test
    void thePageKnowsHowMuchIsTooMuch() throws Exception {
        assertThat(page(club.asLifter()).select("[data-clips-here]").attr("data-most"))
                .isEqualTo(String.valueOf(ClipCheck.MOST));
    }

    @Test
    void nothingChosenIsSaidBesideTheField() throws Exception {
        MockHttpServletResponse answer = add(club.asLifter(), "", new byte[0]);

        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentAsString()).contains("Choose a clip.");
    }

    @ParameterizedTest
    @ValueSource(strings = {"../../../../tmp/escaped.mp4", "..\\..\\escaped.mp4", "/etc/passwd", ".", "a\u0000b.mp4"})
    void aNameLeadsNowhere(String name) throws Exception {
        assertThat(add(club.asLifter(), name, film()).getStatus()).isEqualTo(302);

        assertThat(Files.exists(Path.of("/tmp/escaped.mp4"))).isFalse();
        assertThat(files())
                .hasSize(2)
                .allSatisfy(file -> assertThat(store.open(file).exists()).isTrue());
        assertThat(page(club.asCoach()).text()).doesNotContain("escaped", "passwd");
    }

    /** A place as phones write it, put into a film: a box of Apple's beside the picture's, and one of everybody's. */
    @Test
    void whereItWasFilmedIsNotKept() throws Exception {
        byte[] place = "+48.1374+011.5755/GPSLatitude".getBytes(StandardCharsets.ISO_8859_1);
        byte[] film = film();
        byte[] with = ByteBuffer.allocate(film.length + 2 * (place.length + 8))
                .put(film)
                .putInt(place.length + 8)
                .put("uuid".getBytes(StandardCharsets.ISO_8859_1))
                .put(place)
                .putInt(place.length + 8)
                .put("udta".getBytes(StandardCharsets.ISO_8859_1))
                .put(place)
                .array();
        assertThat(add(club.asLifter(), "squat.mp4", with).getStatus()).isEqualTo(302);

        List<UUID> files = files();
        byte[] kept = store.open(files.get(files.size() - 1)).getContentAsByteArray();
        assertThat(new String(kept, StandardCharsets.ISO_8859_1)).doesNotContain("48.1374", "GPSLatitude");
        // and where the program is not there
        Path own = Files.write(folder.resolve("own.mp4"), with);
        CheckedClip clean = new ClipCheck(new Ffmpeg("")).check(own);
        assertThat(Files.readString(clean.file(), StandardCharsets.ISO_8859_1))
                .doesNotContain("48.1374", "GPSLatitude");
        assertThat(clean.length()).hasValueSatisfying(length -> assertThat(length)
                .isBetween(Duration.ofSeconds(2), Duration.ofSeconds(20)));
    }

    @Test
    void aSetHasSoManyAndNoMore() throws Exception {
        for (int at = 1; at < Clips.MOST_OF_A_SET; at++) {
            assertThat(add(club.asLifter(), "a.mp4", film()).getStatus()).isEqualTo(302);
        }
        MockHttpServletResponse answer = add(club.asLifter(), "a.mp4", film());

        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentAsString()).contains("at most 4 clips");
    }

    @Test
    void whatIsDeletedIsGoneFromTheStoreAndTwiceIsOnce() throws Exception {
        String remove = club.url("/clips/" + clip.clip() + "/remove");
        UUID preview = jdbc.sql("select preview from clip where id = ?")
                .param(clip.clip())
                .query(UUID.class)
                .single();
        assertThat(store.open(preview).exists()).isTrue();
        for (int press = 0; press < 2; press++) {
            assertThat(mvc.perform(post(remove).with(club.asLifter()).with(csrf()))
                            .andReturn()
                            .getResponse()
                            .getStatus())
                    .isEqualTo(302);
        }
        assertThat(store.open(clip.file()).exists()).isFalse();
        assertThat(store.open(preview).exists()).isFalse();
        assertThat(seen(club.asCoach(), club.url("/clips/" + clip.clip() + "/film"), "bytes=0-1")
                        .getStatus())
                .isEqualTo(404);
    }

    @Test
    void clipsAreKeptAsLongAsTheirClubSays() {
        jdbc.sql("update club set clip_days = 30 where id = ?")
                .param(club.lifter.clubId())
                .update();
        TestClip younger = clubs.clip(club);
        added(clip, 31);
        added(younger, 29);
        sweep.sweep();
        assertThat(files()).containsExactly(younger.file());

        jdbc.sql("update club set clip_days = null where id = ?")
                .param(club.lifter.clubId())
                .update();
        added(younger, 3000);
        sweep.sweep();
        assertThat(files()).as("a club may keep them").hasSize(1);
    }

    @Test
    void theHeadCoachSaysHowLongTheyAreKept() throws Exception {
        added(clip, 100);
        sweep.sweep();
        assertThat(files()).as("a year unless somebody says otherwise").hasSize(1);
        for (String days : List.of("-5", "7", "x", "")) {
            assertThat(mvc.perform(post("/club/clips")
                                    .param("days", days)
                                    .with(club.asHeadCoach())
                                    .with(csrf()))
                            .andReturn()
                            .getResponse()
                            .getStatus())
                    .as(days)
                    .isEqualTo(404);
        }
        mvc.perform(
                post("/club/clips").param("days", "90").with(club.asHeadCoach()).with(csrf()));

        assertThat(Jsoup.parse(mvc.perform(get("/club").with(club.asHeadCoach()))
                                .andReturn()
                                .getResponse()
                                .getContentAsString())
                        .select("select[name=days] option[selected]")
                        .text())
                .isEqualTo("90 days");
        sweep.sweep();
        assertThat(files()).isEmpty();
    }

    private void added(TestClip of, int daysAgo) {
        jdbc.sql("update clip set added_at = ? where id = ?")
                .params(Timestamp.from(TestSettings.NOW.minus(Duration.ofDays(daysAgo))), of.clip())
                .update();
    }

    /** A server that was killed between a file and its row leaves a file; a set that goes takes its clips along. */
    @Test
    void filesThatAreNobodysAreSweptUpButNotThoseJustArriving() throws Exception {
        jdbc.sql("delete from clip where id = ?").param(clip.clip()).update();
        sweep.sweep();
        assertThat(store.open(clip.file()).exists()).as("it may be on its way").isTrue();

        Files.setLastModifiedTime(
                store.open(clip.file()).getFile().toPath(),
                FileTime.from(Instant.now().minus(Duration.ofHours(2))));
        TestClip kept = clubs.clip(club);
        Files.setLastModifiedTime(
                store.open(kept.file()).getFile().toPath(),
                FileTime.from(Instant.now().minus(Duration.ofHours(2))));
        sweep.sweep();
        assertThat(store.open(clip.file()).exists()).isFalse();
        assertThat(store.open(kept.file()).exists()).isTrue();
    }

    /** A disk without room for it. */
    private static final class Full implements ClipStore {

        @Override
        public Path receive(InputStream content) throws IOException {
            throw new FileSystemException("clip", null, "No space left on device");
        }

        @Override
        public void put(UUID name, Path file) {
            throw new IllegalStateException("nothing came");
        }

        @Override
        public Resource open(UUID name) {
            throw new IllegalStateException("nothing was kept");
        }

        @Override
        public void delete(UUID name) {}

        @Override
        public List<UUID> before(Instant moment) {
            return List.of();
        }
    }

    @Test
    void aFullDiskIsSaidAndTheSetIsKept() throws Exception {
        Clips full = new Clips(repository, new Full(), check, sets, transactions, clock);

        assertThatThrownBy(() ->
                        full.add(club.coach, club.lifter, clip.set(), new ClassPathResource("demo/clips/squat.mp4")))
                .isInstanceOf(UnreadableException.class)
                .extracting("code")
                .isEqualTo("clips.error.store");
        assertThat(files()).hasSize(1);
        assertThat(page(club.asLifter()).select("video")).hasSize(1);
    }

    @Test
    void aLiftersClipsGoAlongWithAllThatIsTheirs() throws Exception {
        byte[] zip = mvc.perform(get("/exchange/lifter.zip").with(club.asLifter()))
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
        TreeSet<String> names = new TreeSet<>();
        try (ZipInputStream entries = new ZipInputStream(new ByteArrayInputStream(zip), StandardCharsets.UTF_8)) {
            for (ZipEntry entry = entries.getNextEntry(); entry != null; entry = entries.getNextEntry()) {
                names.add(entry.getName());
                if (entry.getName().startsWith("clips/")) {
                    assertThat(entries.readAllBytes()).containsExactly(1, 2, 3, 4, 5, 6, 7, 8);
                }
            }
        }
        assertThat(names).contains("lifter.json", "clips/2026-03-08-squat-A.1-" + clip.clip() + ".mp4");
    }

    @Test
    void theEarlierSetItIsHeldAgainstIsOffered() throws Exception {
        TestClip later = clubs.clip(club);
        jdbc.sql("update training_session set held_on = '2026-03-09' where id = ?")
                .param(later.session())
                .update();
        TestClip first = clip;
        clip = later;
        String pair = club.url("/clips/pair?one=" + later.clip() + "&other=" + first.clip());
        assertThat(page(club.asCoach()).select("#main section a").attr("href")).isEqualTo(pair);
        assertThat(Jsoup.parse(seen(club.asCoach(), pair, "").getContentAsString(StandardCharsets.UTF_8))
                        .select("video"))
                .hasSize(2);
    }
}
