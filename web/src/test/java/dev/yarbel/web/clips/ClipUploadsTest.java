package dev.yarbel.web.clips;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;

import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClip;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.page.Words;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Collections;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.HttpMethod;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.RequestPostProcessor;

/** Clips that come part by part, by tus 1.0.0 (tus.io/protocols/resumable-upload): cut, gone on with, kept once, and nobody else's. */
@YarbelTest
class ClipUploadsTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    @Autowired
    private Clips clips;

    @Autowired
    private Words words;

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

    /** A request whose type stays as it was sent, as on a real line. */
    private static final class AsSent extends MockHttpServletRequest {

        AsSent(MockHttpServletRequest made) {
            super(made.getServletContext(), made.getMethod(), made.getRequestURI());
            setPathInfo(made.getPathInfo());
            Collections.list(made.getHeaderNames()).forEach(name -> addHeader(name, made.getHeader(name)));
            setContent(made.getContentAsByteArray());
        }

        @Override
        public void setCharacterEncoding(String encoding) {
            // a body of bytes has none
        }
    }

    private MockHttpServletResponse ask(
            RequestPostProcessor who, HttpMethod method, String address, Map<String, String> heads, byte[] body)
            throws Exception {
        MockHttpServletRequestBuilder asked = request(method, address)
                .header("Tus-Resumable", "1.0.0")
                .with(AsSent::new)
                .with(who)
                .with(csrf());
        heads.forEach(asked::header);
        if (body.length > 0) {
            asked.contentType("application/offset+octet-stream").content(body).header("Content-Length", body.length);
        }
        return mvc.perform(asked).andReturn().getResponse();
    }

    private String begin(RequestPostProcessor who, long length) throws Exception {
        MockHttpServletResponse answer = ask(
                who,
                HttpMethod.POST,
                club.url("/clips/parts"),
                Map.of("Upload-Length", String.valueOf(length), "Content-Length", "0"),
                new byte[0]);
        assertThat(answer.getStatus()).isEqualTo(201);
        return answer.getHeader("Location");
    }

    private MockHttpServletResponse part(RequestPostProcessor who, String upload, long from, byte[] part)
            throws Exception {
        return ask(who, HttpMethod.PATCH, upload, Map.of("Upload-Offset", String.valueOf(from)), part);
    }

    private MockHttpServletResponse keep(RequestPostProcessor who, String upload, UUID set) throws Exception {
        return mvc.perform(request(HttpMethod.POST, upload + "/keep")
                        .param("set", set.toString())
                        .with(who)
                        .with(csrf()))
                .andReturn()
                .getResponse();
    }

    private int kept() {
        return jdbc.sql("select count(*) from clip where club_id = ?")
                .param(club.lifter.clubId())
                .query(Integer.class)
                .single();
    }

    private String whole(RequestPostProcessor who, byte[] film) throws Exception {
        String upload = begin(who, film.length);
        assertThat(part(who, upload, 0, film).getStatus()).isEqualTo(204);
        return upload;
    }

    @Test
    void whatArrivedBeforeTheLineBrokeStaysAndTheRestIsSentLater() throws Exception {
        byte[] film = film();
        int cut = film.length / 3;
        String upload = begin(club.asLifter(), film.length);
        assertThat(part(club.asLifter(), upload, 0, Arrays.copyOf(film, cut)).getStatus())
                .isEqualTo(204);
        assertThat(keep(club.asLifter(), upload, clip.set()).getStatus())
                .as("part of it is missing")
                .isEqualTo(404);

        MockHttpServletResponse far = ask(club.asLifter(), HttpMethod.HEAD, upload, Map.of(), new byte[0]);
        assertThat(far.getHeader("Upload-Offset")).isEqualTo(String.valueOf(cut));
        assertThat(part(club.asLifter(), upload, 0, film).getStatus())
                .as("from where it was, and nowhere else")
                .isEqualTo(409);
        assertThat(part(club.asLifter(), upload, cut, Arrays.copyOfRange(film, cut, film.length))
                        .getStatus())
                .isEqualTo(204);
        assertThat(keep(club.asLifter(), upload, clip.set()).getStatus()).isEqualTo(200);
        assertThat(kept()).isEqualTo(2);
    }

    /** A phone that never heard that it was kept asks again; so does one that was sent an answer twice. */
    @Test
    void askedTwiceItIsKeptOnce() throws Exception {
        String upload = whole(club.asLifter(), film());
        for (int asked = 0; asked < 3; asked++) {
            assertThat(keep(club.asLifter(), upload, clip.set()).getStatus()).isEqualTo(200);
        }
        assertThat(kept()).isEqualTo(2);
    }

    /** The server was killed after the file was kept and before what came in was forgotten. */
    @Test
    void aServerKilledInBetweenKeepsItOnce() throws Exception {
        String upload = whole(club.asLifter(), film());
        UUID name = UUID.fromString(upload.substring(upload.lastIndexOf('/') + 1));
        jdbc.sql("update clip set file = ? where id = ?")
                .params(name, clip.clip())
                .update();

        assertThat(keep(club.asLifter(), upload, clip.set()).getStatus()).isEqualTo(200);
        assertThat(kept()).isEqualTo(1);
    }

    @Test
    void aSetThatHasNotArrivedYetIsWaitedFor() throws Exception {
        String upload = whole(club.asLifter(), film());

        assertThat(keep(club.asLifter(), upload, UUID.randomUUID()).getStatus()).isEqualTo(404);
        assertThat(keep(club.asLifter(), upload, clip.set()).getStatus())
                .as("nothing was lost meanwhile")
                .isEqualTo(200);
    }

    @Test
    void whatIsNoClipIsRefusedInWords() throws Exception {
        String upload = whole(club.asLifter(), "just words".getBytes(StandardCharsets.UTF_8));

        MockHttpServletResponse answer = keep(club.asLifter(), upload, clip.set());
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentAsString(StandardCharsets.UTF_8)).contains("That is no film");
        assertThat(kept()).isEqualTo(1);
    }

    /** A store that cannot be written to, as a full disk's cannot. */
    @Test
    void aFullDiskIsSaidAndTheSetIsKept() throws Exception {
        Path noFolder = Files.writeString(folder.resolve("full"), "");
        MockHttpServletRequest asked = new MockHttpServletRequest("POST", club.url("/clips/parts"));
        asked.addHeader("Tus-Resumable", "1.0.0");
        asked.addHeader("Upload-Length", "1000");
        MockHttpServletResponse answer = new MockHttpServletResponse();

        new ClipUploadsController(new ClipUploads(noFolder, clips), words)
                .begin(club.coach, club.lifter, asked, answer);

        assertThat(answer.getStatus()).isEqualTo(507);
        assertThat(kept()).isEqualTo(1);
    }

    @Test
    void twoGigabytesAreNotBegun() throws Exception {
        assertThat(ask(
                                club.asLifter(),
                                HttpMethod.POST,
                                club.url("/clips/parts"),
                                Map.of("Upload-Length", String.valueOf(2L << 30), "Content-Length", "0"),
                                new byte[0])
                        .getStatus())
                .isEqualTo(413);
    }

    @Test
    void anUploadIsNobodyElsesByAnyAddress() throws Exception {
        byte[] film = film();
        String upload = begin(club.asLifter(), film.length);
        part(club.asLifter(), upload, 0, Arrays.copyOf(film, 1000));
        TestClub other = clubs.club();
        String elsewhere = upload.replace("/lifters/" + club.lifter.id(), "/lifters/" + other.lifter.id());
        for (var who : Map.of(
                        "the coach, who did not begin it", club.asCoach(),
                        "a colleague", club.asColleague(),
                        "another club's coach", other.asCoach(),
                        "another club's lifter", other.asLifter())
                .entrySet()) {
            for (String address : new String[] {upload, elsewhere}) {
                for (HttpMethod method : new HttpMethod[] {HttpMethod.HEAD, HttpMethod.DELETE}) {
                    assertThat(ask(who.getValue(), method, address, Map.of(), new byte[0])
                                    .getStatus())
                            .as(who.getKey() + " " + method + " " + address)
                            .isIn(403, 404);
                }
                assertThat(part(who.getValue(), address, 1000, new byte[] {1}).getStatus())
                        .as(who.getKey())
                        .isIn(403, 404);
                assertThat(keep(who.getValue(), address, clip.set()).getStatus())
                        .as(who.getKey())
                        .isIn(403, 404);
            }
        }
        assertThat(ask(club.asLifter(), HttpMethod.HEAD, upload, Map.of(), new byte[0])
                        .getHeader("Upload-Offset"))
                .as("and nothing of it changed")
                .isEqualTo("1000");
        assertThat(ask(
                                other.asLifter(),
                                HttpMethod.POST,
                                club.url("/clips/parts"),
                                Map.of("Upload-Length", "5"),
                                new byte[0])
                        .getStatus())
                .isIn(403, 404);
    }
}
