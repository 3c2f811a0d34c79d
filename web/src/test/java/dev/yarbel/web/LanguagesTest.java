package dev.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import jakarta.servlet.http.Cookie;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpHeaders;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.web.util.UriUtils;

/**
 * Every page in another language: no English is left on it, and its figures have that language's decimal sign. The
 * pages are found by following the links of the demo club.
 */
@YarbelTest
class LanguagesTest {

    /** Three words and more that stand in the English file as they are, and differ in the other. */
    private static final Map<String, String> ENGLISH = sentences();

    /** A figure with a point, as {@code 102.5}, in a dose too. */
    private static final Pattern POINT = Pattern.compile("(?<![\\d.])\\d+\\.\\d+(?![\\d.])");

    /** What nobody reads, and the grammar of doses, which is one for all. */
    private static final String NOT_READ = "script, style, template, pre";

    @Autowired
    private MockMvc mvc;

    private static Map<String, String> sentences() {
        Map<String, String> english = LanguageFilesTest.words(LanguageFilesTest.ENGLISH);
        Map<String, String> german = LanguageFilesTest.words("messages_de.properties");
        Map<String, String> sentences = new LinkedHashMap<>();
        english.forEach((key, text) -> {
            // what a gym first has is named as it is set down, and then a name like any other
            if (!key.startsWith("kit.first-bar.")
                    && !text.contains("{")
                    && text.split(" ").length >= 3
                    && !text.equals(german.get(key))) {
                sentences.put(text, key);
            }
        });
        return sentences;
    }

    private Cookie signedIn(String name, String password) throws Exception {
        return mvc.perform(post("/sign-in")
                        .param("username", name)
                        .param("password", password)
                        .with(csrf()))
                .andReturn()
                .getResponse()
                .getCookie("yarbel");
    }

    private MockHttpServletResponse page(String address, Cookie who, String language) throws Exception {
        MockHttpServletResponse shown = mvc.perform(
                        get(URI.create(address)).cookie(who).header(HttpHeaders.ACCEPT_LANGUAGE, language))
                .andReturn()
                .getResponse();
        while (shown.getStatus() == 302) {
            shown = mvc.perform(get(URI.create(shown.getHeader("Location")))
                            .cookie(who)
                            .header(HttpHeaders.ACCEPT_LANGUAGE, language))
                    .andReturn()
                    .getResponse();
        }
        return shown;
    }

    @ParameterizedTest
    @CsvSource({"bryn, harbour-light, /lifters, 40", "wren, slack-water-low, /, 12"})
    void noEnglishAndNoDecimalPointIsLeftOnAPageReadInGerman(String name, String password, String first, int least)
            throws Exception {
        Cookie who = signedIn(name, password);
        Deque<String> open = new ArrayDeque<>(List.of(first, "/how", "/me"));
        Set<String> kinds = new HashSet<>();
        Map<String, List<String>> found = new TreeMap<>();
        while (!open.isEmpty()) {
            String address = open.pop();
            if (!kinds.add(kind(address))) {
                continue;
            }
            MockHttpServletResponse shown = page(address, who, "de-AT,de;q=0.9,en;q=0.5");
            if (!String.valueOf(shown.getContentType()).startsWith("text/html")) {
                continue;
            }
            Document page = Jsoup.parse(shown.getContentAsString());
            List<String> left = left(page);
            if (!left.isEmpty()) {
                found.put(address, left);
            }
            Stream.of(
                            page.select("a[href^=/]").eachAttr("href").stream(),
                            page.select("[hx-get^=/]").eachAttr("hx-get").stream(),
                            page.select("form[method=get][action^=/]").stream().map(LanguagesTest::asked))
                    .flatMap(links -> links)
                    .map(link -> link.replaceFirst("#.*", ""))
                    .filter(link -> !link.contains(" "))
                    .forEach(open::add);
        }
        assertThat(found).isEmpty();
        assertThat(kinds.size()).isGreaterThanOrEqualTo(least);
    }

    /** What a form asks for with what stands in it, decimals where nothing does, and the first of its choices. */
    private static String asked(Element form) {
        String fields = form.select("input[name]:not([type=checkbox]), select[name]").stream()
                .map(field -> field.attr("name") + "=" + UriUtils.encode(answer(field), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
        return form.attr("action") + "?" + fields;
    }

    private static String answer(Element field) {
        if (field.normalName().equals("select")) {
            Element first = field.selectFirst("option:not([value=''])");
            return first == null ? "" : first.attr("value");
        }
        return field.attr("inputmode").equals("decimal") && field.val().isEmpty() ? "101,25" : field.val();
    }

    /** Pages that differ in whose they are, which week they open or what is searched for are one kind. */
    private static String kind(String address) {
        return address.replaceAll("=[^&]*", "=").replaceAll("\\d+", "1").replaceAll("lifts/[a-z-]+", "lifts/x");
    }

    private static List<String> left(Document page) {
        List<String> left = new ArrayList<>();
        // a part of a page says its language nowhere
        if (page.selectFirst("main") != null
                && !page.select("html").attr("lang").equals("de")) {
            left.add("lang");
        }
        page.select(NOT_READ).remove();
        List<String> read = new ArrayList<>();
        for (Element element : page.body().getAllElements()) {
            read.add(element.ownText());
            for (String spoken : List.of("title", "aria-label", "placeholder", "alt")) {
                read.add(element.attr(spoken));
            }
        }
        page.select("input[inputmode=decimal]").eachAttr("value").forEach(read::add);
        for (String text : read) {
            if (ENGLISH.containsKey(text)) {
                left.add(ENGLISH.get(text));
            }
            if (POINT.matcher(text).find()) {
                left.add(text);
            }
        }
        return left;
    }
}
