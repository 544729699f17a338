package kolonne.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.assertions.PageAssertions;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ReducedMotion;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.io.IOException;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Proxy;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.exchange.model.ModelWriter;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;

/**
 * The packaged application and Chromium, started once for all tests; every class has a project of its own, every test a page of its own. Its building has the
 * features of the demo and a third of its members or less, so that redesigns do not take the time.
 */
abstract class BrowserTest {
    private static final Map<Class<?>, String> PROJECTS = new HashMap<>();
    /** What is waited for before an assertion, by its name. */
    private static final Map<String, WaitForSelectorState> AWAITED = Map.of(
            "isVisible", WaitForSelectorState.VISIBLE,
            "containsText", WaitForSelectorState.ATTACHED,
            "hasText", WaitForSelectorState.ATTACHED,
            "hasAttribute", WaitForSelectorState.ATTACHED,
            "hasValue", WaitForSelectorState.ATTACHED,
            "isEnabled", WaitForSelectorState.ATTACHED,
            "isDisabled", WaitForSelectorState.ATTACHED);

    private static Application application;
    private static Playwright playwright;
    private static Browser browser;
    private final List<String> refused = new ArrayList<>();
    protected Page page;

    @BeforeAll
    static void start() throws Exception {
        if (application != null) {
            return;
        }
        application = new Application("browser", "--demo");
        Runtime.getRuntime().addShutdownHook(new Thread(BrowserTest::stop));
        PlaywrightAssertions.setDefaultAssertionTimeout(60_000);
        playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        browser = playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium-headless-shell"))
                        .setArgs(List.of(
                                "--no-sandbox",
                                "--use-angle=swiftshader",
                                "--enable-unsafe-swiftshader",
                                // pages are put together without the graphics process, which a starved machine may
                                // stall; the 3-D view still has it
                                "--disable-gpu-compositing",
                                "--disable-background-networking",
                                "--disable-component-update",
                                "--disable-sync")));
    }

    private static void stop() {
        if (playwright != null) {
            playwright.close();
        }
        application.close();
    }

    @BeforeEach
    void openWindow() {
        page = window();
        slowDown();
        refused.clear();
    }

    /** Opens the list of projects. */
    protected void openHome() {
        page.navigate(address());
    }

    /**
     * Assertions that wait for what they are about before they look at it: at every look at what is not there yet they would read the whole page out, which takes
     * the browser longer than the page itself.
     */
    protected static LocatorAssertions assertThat(Locator of) {
        LocatorAssertions all = PlaywrightAssertions.assertThat(of);
        return (LocatorAssertions) Proxy.newProxyInstance(
                BrowserTest.class.getClassLoader(),
                new Class<?>[] {LocatorAssertions.class},
                (self, one, arguments) -> {
                    WaitForSelectorState state = AWAITED.get(one.getName());
                    if (state != null) {
                        of.waitFor(new Locator.WaitForOptions().setState(state));
                    }
                    try {
                        return one.invoke(all, arguments);
                    } catch (InvocationTargetException e) {
                        throw e.getCause();
                    }
                });
    }

    protected static PageAssertions assertThat(Page of) {
        return PlaywrightAssertions.assertThat(of);
    }

    /** Where the application is. */
    protected String address() {
        return application.address();
    }

    /** A window of a browser that knows nothing of the others. */
    protected Page window() {
        Page window = browser.newContext(new Browser.NewContextOptions()
                        .setViewportSize(1280, 800)
                        // drawers and menus are there at once
                        .setReducedMotion(ReducedMotion.REDUCE)
                        .setAcceptDownloads(true))
                .newPage();
        window.setDefaultTimeout(60_000);
        window.onConsoleMessage(m -> {
            if (m.text().contains("Content Security Policy")) {
                refused.add(m.text());
            }
        });
        return window;
    }

    /** {@code -Dkolonne.slow=6} makes the pages that many times slower, to find what leans on a quick machine. */
    private void slowDown() {
        int times = Integer.getInteger("kolonne.slow", 1);
        if (times > 1) {
            com.google.gson.JsonObject rate = new com.google.gson.JsonObject();
            rate.addProperty("rate", times);
            page.context().newCDPSession(page).send("Emulation.setCPUThrottlingRate", rate);
        }
    }

    /** What the pages need is within what the server lets them do. */
    @AfterEach
    void close() {
        page.context().close();
        assertEquals(List.of(), refused);
    }

    /** The class's own building. */
    protected DemoOptions building() {
        return new DemoOptions(7, 4, 4, 3, true);
    }

    /** Opens the class's own project. */
    protected void openProject() throws IOException, InterruptedException {
        String id = PROJECTS.get(getClass());
        if (id == null) {
            byte[] model = ModelWriter.json(DemoBuilding.generate(building()));
            id = application.imported("Leeszaal", model);
            PROJECTS.put(getClass(), id);
        }
        page.navigate(application.address() + "p/" + id + "/results");
        designed();
    }

    /** Waits until the results page of a project is there and all is current. */
    protected void designed() {
        assertThat(page.getByRole(AriaRole.STATUS)).hasAttribute("data-current", "true");
        assertThat(page.getByRole(AriaRole.LISTBOX).locator("[role=option]").first())
                .isVisible();
    }

    /** Narrows the worklist and waits until it is narrowed. */
    protected void query(String words) {
        String before = page.locator(".list-tools").textContent();
        page.getByLabel("Query", new Page.GetByLabelOptions().setExact(true)).fill(words);
        assertThat(page.locator(".list-tools")).not().hasText(before);
    }

    protected Locator undo() {
        return page.getByLabel("Undo", new Page.GetByLabelOptions().setExact(true));
    }

    protected Locator redo() {
        return page.getByLabel("Redo", new Page.GetByLabelOptions().setExact(true));
    }

    protected Locator rows() {
        return page.locator("section[aria-label=Worklist] [role=option]");
    }
}
