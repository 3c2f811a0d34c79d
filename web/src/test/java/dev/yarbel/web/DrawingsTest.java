package dev.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.web.Clubs4Tests.TestClub;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.HashSet;
import java.util.Set;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.w3c.dom.Document;

/** Drawings are saved from the page: an SVG that stands alone, and a picture of it. */
@YarbelTest
class DrawingsTest {

    @LocalServerPort
    private int port;

    @Autowired
    private Clubs4Tests clubs;

    private Browser browser;

    @BeforeEach
    void openBrowser() {
        browser = new Browser("http://127.0.0.1:" + port);
    }

    @AfterEach
    void closeBrowser() {
        browser.close();
    }

    /** Where a press on a button leads, which is kept from being saved. */
    private String saved(String as) {
        browser.script("window.saved = null; HTMLAnchorElement.prototype.click = function () {"
                + " window.saved = this.download + ' ' + this.href; }");
        browser.click(".drawingout button[data-as=" + as + "]");
        return browser.waitFor(page -> page.executeScript("return window.saved"))
                .toString();
    }

    @Test
    void aDrawingIsSavedAsItIsSeen() throws Exception {
        TestClub club = clubs.club();
        browser.desk().signIn(club.coachName(), club.password());
        browser.open(club.url("/plan/wake"));
        String svg = saved("svg");
        assertThat(svg).startsWith("recovery.svg data:image/svg+xml");
        String text =
                URLDecoder.decode(svg.substring(svg.indexOf(',') + 1).replace("+", "%2B"), StandardCharsets.UTF_8);
        DocumentBuilderFactory parser = DocumentBuilderFactory.newInstance();
        parser.setNamespaceAware(true);
        Document drawing =
                parser.newDocumentBuilder().parse(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)));
        assertThat(drawing.getDocumentElement().getNamespaceURI()).isEqualTo("http://www.w3.org/2000/svg");
        assertThat(drawing.getDocumentElement().getTextContent()).contains("Squat");
        // nothing of it lies elsewhere, and nothing hangs on the page's styles
        assertThat(text.replace("http://www.w3.org/2000/svg", ""))
                .doesNotContain("http")
                .doesNotContain("class=");
        assertThat(text).contains("font/woff2;base64").contains("fill=\"rgb(");
        String png = saved("png");
        assertThat(png).startsWith("recovery.png data:image/png;base64,");
        BufferedImage picture =
                ImageIO.read(new ByteArrayInputStream(Base64.getDecoder().decode(png.substring(png.indexOf(',') + 1))));
        assertThat(picture.getWidth()).isGreaterThan(1000);
        Set<Integer> colours = new HashSet<>();
        for (int x = 0; x < picture.getWidth(); x += 3) {
            for (int y = 0; y < picture.getHeight(); y += 3) {
                colours.add(picture.getRGB(x, y));
            }
        }
        assertThat(colours).as("something is drawn").hasSizeGreaterThan(10);
    }
}
