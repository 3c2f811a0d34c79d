package dev.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.results.Rule;
import com.deque.html.axecore.selenium.AxeBuilder;
import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentLinkedDeque;
import java.util.function.BooleanSupplier;
import java.util.function.Function;
import java.util.logging.Level;
import java.util.stream.Stream;
import org.openqa.selenium.Alert;
import org.openqa.selenium.By;
import org.openqa.selenium.Cookie;
import org.openqa.selenium.ElementNotInteractableException;
import org.openqa.selenium.Keys;
import org.openqa.selenium.NoAlertPresentException;
import org.openqa.selenium.OutputType;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.WebDriverException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.WindowType;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.logging.LogType;
import org.openqa.selenium.logging.LoggingPreferences;
import org.openqa.selenium.support.ui.WebDriverWait;

/** Headless Chromium with what our pages are tried for: journeys, accessibility, the content policy. */
public final class Browser implements AutoCloseable {

    /** Long, for a machine with other work: what comes soon is not waited for. */
    private static final Duration PATIENCE = Duration.ofSeconds(60);

    /** What a click shows of itself, it shows by then. */
    private static final Duration SHOWS = Duration.ofSeconds(8);

    private static final Duration LOOKS_AGAIN = Duration.ofMillis(50);

    /** Browsers that nobody uses, as good as new: a start takes long. */
    private static final Deque<Chromium> IDLE = new ConcurrentLinkedDeque<>();

    static {
        Runtime.getRuntime().addShutdownHook(new Thread(() -> IDLE.forEach(Chromium::quit)));
    }

    private final Chromium chromium;
    private final ChromeDriver driver;
    private final String base;
    private boolean slowed;

    public Browser(String base) {
        this.base = base;
        this.chromium = Optional.ofNullable(IDLE.poll()).orElseGet(Chromium::start);
        this.driver = chromium.driver();
        keepFocus();
    }

    /** A window without a screen is without focus now and then, and keys that are pressed are lost. */
    private void keepFocus() {
        driver.executeCdpCommand("Emulation.setFocusEmulationEnabled", Map.of("enabled", true));
    }

    /** A browser with a folder of its own. */
    private record Chromium(ChromeDriver driver, Path home) {

        static Chromium start() {
            Path home;
            try {
                home = Files.createTempDirectory("yarbel-browser");
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
            ChromeOptions options = new ChromeOptions();
            options.setBinary("/usr/bin/chromium");
            options.addArguments(
                    "--headless=new",
                    "--no-sandbox",
                    "--disable-gpu",
                    "--disable-dev-shm-usage",
                    "--disable-background-networking",
                    "--disable-component-update",
                    "--disable-sync",
                    "--no-first-run",
                    "--force-prefers-reduced-motion",
                    "--user-data-dir=" + home.resolve("profile"));
            LoggingPreferences logs = new LoggingPreferences();
            logs.enable(LogType.BROWSER, Level.ALL);
            options.setCapability("goog:loggingPrefs", logs);
            ChromeDriverService service = new ChromeDriverService.Builder()
                    .usingDriverExecutable(new File("/usr/bin/chromedriver"))
                    .usingAnyFreePort()
                    .withEnvironment(Map.of("HOME", home.toString(), "PATH", System.getenv("PATH")))
                    .build();
            return new Chromium(new ChromeDriver(service, options), home);
        }

        /** Forgets whoever used it, and what for. */
        void asNew(String origin) {
            List<String> windows = List.copyOf(driver.getWindowHandles());
            windows.subList(1, windows.size())
                    .forEach(window -> driver.switchTo().window(window).close());
            driver.switchTo().window(windows.get(0));
            driver.get("about:blank");
            driver.executeCdpCommand("Network.clearBrowserCookies", Map.of());
            driver.executeCdpCommand("Network.clearBrowserCache", Map.of());
            driver.executeCdpCommand("Storage.clearDataForOrigin", Map.of("origin", origin, "storageTypes", "all"));
            driver.executeCdpCommand("Emulation.clearDeviceMetricsOverride", Map.of());
            reads("en-GB");
            driver.manage().logs().get(LogType.BROWSER).getAll();
        }

        /** @param language as a tag, {@code de}: what pages are asked for in */
        void reads(String language) {
            String agent = (String) driver.executeScript("return navigator.userAgent");
            driver.executeCdpCommand(
                    "Network.setUserAgentOverride", Map.of("userAgent", agent, "acceptLanguage", language));
        }

        void quit() {
            driver.quit();
            try (Stream<Path> files = Files.walk(home)) {
                files.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(File::delete);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    /** A desk's screen. */
    public Browser desk() {
        return size(1280, 800);
    }

    /** A phone's screen. */
    public Browser phone() {
        return size(390, 844);
    }

    /** The smallest phone in use. */
    public Browser smallPhone() {
        return size(320, 568);
    }

    /** A phone on its side. */
    public Browser onItsSide() {
        return size(844, 390);
    }

    private Browser size(int width, int height) {
        driver.executeCdpCommand(
                "Emulation.setDeviceMetricsOverride",
                Map.of("width", width, "height", height, "deviceScaleFactor", 1, "mobile", false));
        driver.executeCdpCommand("Emulation.setScrollbarsHidden", Map.of("hidden", true));
        return this;
    }

    /** Whoever uses it reads this language: {@code de}. */
    public Browser reads(String language) {
        chromium.reads(language);
        return this;
    }

    /** A slow phone on a poor line, as Chromium imitates them: a quarter of this machine, 1.6 Mbit/s, 150 ms there and back. */
    public Browser slow() {
        slowed = true;
        driver.executeCdpCommand("Emulation.setCPUThrottlingRate", Map.of("rate", 4));
        driver.executeCdpCommand("Network.enable", Map.of());
        driver.executeCdpCommand(
                "Network.emulateNetworkConditions",
                Map.of("offline", false, "latency", 150, "downloadThroughput", 200_000, "uploadThroughput", 94_000));
        return this;
    }

    /** Forgets everything it was sent, but not who is signed in. */
    public Browser forget() {
        driver.executeCdpCommand("Network.clearBrowserCache", Map.of());
        driver.executeCdpCommand(
                "Storage.clearDataForOrigin",
                Map.of("origin", base, "storageTypes", "service_workers,cache_storage,indexeddb"));
        return this;
    }

    public Browser open(String path) {
        driver.get(base + path);
        return this;
    }

    public Browser signIn(String username, String password) {
        driver.manage().deleteAllCookies();
        open("/sign-in");
        waitFor(d -> {
            typeSignIn(username, password);
            waitFor(page -> !page.getCurrentUrl().contains("/sign-in") || shows("form .bad", "once more"));
            return !d.getCurrentUrl().contains("/sign-in");
        });
        return this;
    }

    /** What a page that was left still asked for may take this one's token: then it says so, and it is typed again. */
    private void typeSignIn(String username, String password) {
        type("#username", username);
        type("#password", password);
        click("form button");
    }

    public WebElement find(String css) {
        return waitFor(d -> d.findElements(By.cssSelector(css)).stream()
                .filter(WebElement::isDisplayed)
                .findFirst()
                .orElse(null));
    }

    public List<WebElement> all(String css) {
        return driver.findElements(By.cssSelector(css));
    }

    /** The text of the first such element that is to be seen, even where the page takes a fragment in meanwhile. */
    public String text(String css) {
        return waitFor(d -> {
            for (WebElement element : d.findElements(By.cssSelector(css))) {
                if (element.isDisplayed()) {
                    return element.getText();
                }
            }
            return null;
        });
    }

    public void click(String css) {
        waitFor(d -> {
            WebElement element = find(css);
            // a page that has just taken a fragment in may still be scrolling: then it is tried again
            driver.executeScript("arguments[0].scrollIntoView({block: 'center'})", element);
            element.click();
            return true;
        });
    }

    /**
     * Opens what is folded away. A page that takes a fragment in between aim and press makes a click land beside its
     * mark, without a word from the driver: so it is looked whether it opened.
     *
     * @param summary the line that it is opened by
     */
    public void unfold(String summary) {
        waitFor(d -> {
            WebElement line = find(summary);
            if (isOpen(line)) {
                return true;
            }
            driver.executeScript("arguments[0].scrollIntoView({block: 'center'})", line);
            line.click();
            return isOpen(line);
        });
    }

    private boolean isOpen(WebElement summary) {
        return Boolean.TRUE.equals(driver.executeScript("return arguments[0].parentElement.open", summary));
    }

    /** Clicks until what follows is there: as {@link #unfold}, for what shows at once that it was pressed. */
    public void clickUntil(String css, String where, String part) {
        pressUntil(() -> click(css), () -> shows(where, part));
    }

    /** Presses until what follows is so, and never again once it is. */
    public void pressUntil(Runnable press, BooleanSupplier follows) {
        waitFor(d -> {
            if (follows.getAsBoolean()) {
                return true;
            }
            press.run();
            Instant seen = Instant.now().plus(SHOWS);
            while (Instant.now().isBefore(seen)) {
                if (follows.getAsBoolean()) {
                    return true;
                }
            }
            return null;
        });
    }

    /** Whether it is there now. What is just being swapped is not: looked at once more, it must not be clicked again. */
    public boolean shows(String where, String part) {
        try {
            return all(where).stream().anyMatch(e -> e.getText().contains(part));
        } catch (StaleElementReferenceException swapped) {
            return false;
        } catch (WebDriverException swapped) {
            if (isSwapped(swapped)) {
                return false;
            }
            throw swapped;
        }
    }

    /** The driver's other way to say that an element went stale between two of its steps. */
    private static boolean isSwapped(WebDriverException said) {
        return String.valueOf(said.getMessage()).contains("does not belong to the document");
    }

    /** A tap, as a finger makes it. */
    public void tap(WebElement element) {
        driver.executeScript("arguments[0].scrollIntoView({block: 'center'})", element);
        element.click();
    }

    /** Puts text in place of what a field holds, as a person does. */
    public void type(String css, String text) {
        waitFor(d -> {
            WebElement field = find(css);
            if (field.getAttribute("readonly") != null) {
                // a closed cell of the sheet is opened first
                field.sendKeys(Keys.ENTER);
            }
            field.sendKeys(Keys.chord(Keys.CONTROL, "a"), text);
            return true;
        });
    }

    public <T> T waitFor(Function<ChromeDriver, T> condition) {
        return new WebDriverWait(driver, PATIENCE, LOOKS_AGAIN)
                .ignoreAll(List.of(
                        StaleElementReferenceException.class,
                        // while the page takes a fragment in, what is open is shut for a moment
                        ElementNotInteractableException.class,
                        NoAlertPresentException.class))
                .until(d -> {
                    try {
                        return condition.apply((ChromeDriver) d);
                    } catch (WebDriverException swapped) {
                        if (isSwapped(swapped)) {
                            return null;
                        }
                        throw swapped;
                    }
                });
    }

    public void waitForText(String css, String part) {
        waitFor(d -> shows(css, part));
    }

    /** What a script gives; a promise is waited for. */
    public Object script(String body, Object... arguments) {
        return driver.executeAsyncScript(
                "const done = arguments[arguments.length - 1]; const given = arguments;" + "(async () => {" + body
                        + "})().then(done, (e) => done('failed: ' + e));",
                arguments);
    }

    /** The tab is killed, and another one opened. */
    public Browser newTab() {
        String old = driver.getWindowHandle();
        driver.switchTo().newWindow(WindowType.TAB);
        String fresh = driver.getWindowHandle();
        driver.switchTo().window(old).close();
        driver.switchTo().window(fresh);
        keepFocus();
        return this;
    }

    /** Answers what the page asks with no. */
    public String dismiss() {
        Alert alert = waitFor(d -> d.switchTo().alert());
        String asked = alert.getText();
        alert.dismiss();
        return asked;
    }

    /** The page that stands has no accessibility fault that axe knows, light or dark, and broke no content policy. */
    public void assertSound() {
        Object before = driver.executeScript("return document.documentElement.dataset.theme");
        assertSound("iron", axe());
        // another theme has other colours and nothing else
        assertSound("chalk", axe().withOnlyRules(List.of("color-contrast")));
        driver.executeScript("document.documentElement.dataset.theme = arguments[0]", before);
        assertThat(driver.manage().logs().get(LogType.BROWSER).getAll())
                .noneMatch(entry -> entry.getMessage().contains("Content Security Policy"));
    }

    /** Asked for what is wrong alone: all that is right would fill most of an answer. */
    private static AxeBuilder axe() {
        AxeRunOptions options = new AxeRunOptions();
        options.setResultTypes(List.of("violations"));
        return new AxeBuilder().withOptions(options);
    }

    private void assertSound(String theme, AxeBuilder axe) {
        driver.executeScript("document.documentElement.dataset.theme = arguments[0]", theme);
        // no page of ours holds frames, which is all that the other mode is for
        axe.setLegacyMode(true);
        List<Rule> violations = axe.analyze(driver).getViolations();
        assertThat(violations)
                .as(() -> driver.getCurrentUrl() + " in " + theme + ": " + violations)
                .isEmpty();
    }

    /** A picture of the window. */
    public void picture(Path file) {
        try {
            Files.write(file, driver.getScreenshotAs(OutputType.BYTES));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Chooses a theme and shows the page in it. */
    public Browser theme(String code) {
        driver.manage().addCookie(new Cookie("yarbel-theme", code));
        driver.navigate().refresh();
        return this;
    }

    /** What is pressed before a page was painted for the first time is lost, without a word from the driver. */
    private void painted() {
        script("await Promise.race([new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))),"
                + " new Promise((done) => setTimeout(done, 1000))]);");
    }

    /** Presses keys wherever the focus is. */
    public Browser press(CharSequence... keys) {
        painted();
        new Actions(driver).sendKeys(keys).perform();
        return this;
    }

    /** Drags what is found first onto what is found then, by the mouse. */
    public void drag(String css, String onto) {
        WebElement grip = find(css);
        new Actions(driver)
                .moveToElement(grip)
                .clickAndHold()
                .moveByOffset(6, 2)
                .moveToElement(find(onto))
                .release()
                .perform();
    }

    /** Drags what is found so many pixels to the right, by the mouse. */
    public void dragBy(String css, int pixels) {
        new Actions(driver)
                .moveToElement(find(css))
                .clickAndHold()
                .moveByOffset(pixels / 2, 0)
                .moveByOffset(pixels - pixels / 2, 0)
                .release()
                .perform();
    }

    /** Presses a key while another is held. */
    public Browser hold(Keys held, CharSequence key) {
        painted();
        new Actions(driver).keyDown(held).sendKeys(key).keyUp(held).perform();
        return this;
    }

    /** Goes from stop to stop with the Tab key until the focus is there; it must be seen at each stop. */
    public Browser tabTo(String css) {
        List<String> stops = new ArrayList<>();
        while (!focused(css)) {
            press(Keys.TAB);
            String stop = (String) driver.executeScript("""
                    const e = document.activeElement, s = getComputedStyle(e);
                    if (e === document.body) return 'body';
                    if (s.outlineStyle === 'none' && s.boxShadow === 'none') throw 'no focus to be seen: ' + e.outerHTML;
                    return e.tagName + ' ' + e.className + ' ' + e.textContent.trim().slice(0, 20);""");
            stops.add(stop);
            assertThat(stops).as("stops on the way to " + css).hasSizeLessThan(90);
        }
        return this;
    }

    public boolean focused(String css) {
        return (boolean) driver.executeScript("return document.activeElement.matches(arguments[0])", css);
    }

    public String address() {
        return driver.getCurrentUrl().substring(base.length());
    }

    /** Scrolls an element to the top of the window. */
    public void scrollTo(String css) {
        driver.executeScript("arguments[0].scrollIntoView()", find(css));
    }

    @Override
    public void close() {
        if (slowed) {
            chromium.quit();
            return;
        }
        try {
            chromium.asNew(base);
            IDLE.push(chromium);
        } catch (WebDriverException broken) {
            chromium.quit();
        }
    }
}
