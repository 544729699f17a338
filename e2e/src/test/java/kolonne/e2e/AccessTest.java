package kolonne.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Every page against the rules of axe-core: names, landmarks, focus; and in both themes its contrast, the only rule that a theme can break. Its scripts stay small. */
class AccessTest extends BrowserTest {
    /** The rules' own script, from the packages of the web pages. */
    private static String rules() throws IOException {
        return Files.readString(Path.of("../web/node_modules/axe-core/axe.min.js"));
    }

    /** What a page without 3-D may take, as it is sent [bytes]. */
    private static final int SCRIPTS = 250_000;

    private final List<String> found = new ArrayList<>();

    private void look(String page) throws IOException {
        for (String theme : List.of("light", "dark")) {
            // by script: the drawer of a change covers the button
            this.page.evaluate(
                    "t => document.documentElement.dataset.mode === t || document.querySelector('[aria-label=\"Change theme\"]').click()",
                    theme);
            this.page.waitForFunction("t => document.documentElement.dataset.mode === t", theme);
            look(page, theme);
        }
        keys(page);
    }

    private void look(String page, String theme) throws IOException {
        // colours are compared when nothing fades in any more
        this.page.waitForFunction("() => document.getAnimations().every(a => a.playState !== 'running')");
        if (Boolean.TRUE.equals(this.page.evaluate("() => !window.axe"))) {
            if (Boolean.TRUE.equals(this.page.evaluate("() => !window.axe"))) {
                this.page.evaluate(rules());
            }
        }
        Object violations = this.page.evaluate("""
                async only => (await axe.run(document, { resultTypes: ['violations'], ...(only.length ? { runOnly: only } : {}) })).violations
                  .map(v => v.id + ': '
                  + v.nodes.slice(0, 3).map(n => n.target.join(' ') + ' ' + (n.any[0] ?? n.all[0] ?? n.none[0])?.message).join(' | '))""", theme.equals("dark") ? List.of("color-contrast") : List.of());
        for (Object v : (List<?>) violations) {
            found.add(page + ", " + theme + ": " + v);
        }
    }

    /**
     * What answers a click is a control, holds one, or lies in one that keys move about in; else it says again what a list beside it does by keys: members
     * of the worklist, lifts of the stack, combinations and sets of their tables, a handle of its slider, Escape of its drawer.
     */
    private void keys(String page) {
        Object stuck = this.page.evaluate("""
                () => {
                  const focusable = 'button, a[href], input, select, textarea, summary, label, [tabindex]:not([tabindex="-1"])'
                  const again = 'svg[aria-label^="Plan of"], svg[aria-label^="Elevation on"], .joint-mark, .dot, .ant-slider-track, .ant-drawer-mask'
                  const props = e => e[Object.keys(e).find(k => k.startsWith('__reactProps$'))] ?? {}
                  const clicked = e => ['onClick', 'onMouseDown', 'onPointerDown', 'onDoubleClick'].some(k => props(e)[k])
                  return [...document.querySelectorAll('body *')]
                    .filter(e => clicked(e) && e.getClientRects().length > 0)
                    .filter(e => !e.closest(focusable) && !e.closest(again) && !e.querySelector(focusable))
                    .map(e => e.outerHTML.slice(0, 160))
                }""");
        for (Object e : (List<?>) stuck) {
            found.add(page + ": no key reaches " + e);
        }
    }

    private String project() throws IOException, InterruptedException {
        openProject();
        return page.url().replaceAll("/results.*", "");
    }

    private void at(String address, String shows) throws IOException {
        page.navigate(address);
        assertThat(page.locator(shows).first()).isVisible();
        if (!address.contains("view=3d")) {
            int scripts = (Integer)
                    page.evaluate("() => performance.getEntriesByType('resource').filter(r => r.name.endsWith('.js'))"
                            + ".reduce((sum, r) => sum + r.encodedBodySize, 0)");
            assertTrue(scripts > 100_000 && scripts < SCRIPTS, address + " takes " + scripts + " bytes of script");
        }
        look(address.replaceAll("^http://[^/]*", ""));
    }

    @Test
    void noPageStandsInAnybodysWay() throws IOException, InterruptedException {
        assertThat(page.getByText("Draw up a continuous beam")).isVisible();
        look("projects");
        String p = project();
        at(p + "/model", ".two");
        page.getByText("Analysis", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(page.locator(".balance tbody tr").first()).isVisible();
        look("analysis");
        page.getByText("History and forces").click();
        assertThat(page.getByText("Import forces solved elsewhere")).isVisible();
        look("history");
        page.getByText("Newer model", new Page.GetByTextOptions().setExact(true))
                .click();
        assertThat(page.getByText("Drop the newer model here")).isVisible();
        look("newer model");
        at(p + "/basis", ".basis");
        page.getByText("Add local settings").click();
        assertThat(page.getByLabel("Cover of beams, own value")).isVisible();
        look("local settings");
        page.keyboard().press("Escape");
        page.getByText("Compare with another…").click();
        assertThat(page.getByText("From a file…")).isVisible();
        look("other bases");
        at(p + "/results?sel=L3-B24", "section[aria-label=Worklist] [role=option]");
        page.keyboard().press("e");
        assertThat(page.getByLabel("New section", new Page.GetByLabelOptions().setExact(true)))
                .isVisible();
        look("changing a line");
        at(p + "/results?view=elevation&line=D", "[aria-label='Elevation on grid line D']");
        at(p + "/results?view=3d", ".space canvas");
        at(p + "/results?show=forces", ".ribbon");
        at(p + "/sheet/L1-B01", "[aria-label='Elevation with bars']");
        at(p + "/sheet/C-D3", "[aria-label=Lifts]");
        page.locator(".interaction-tools").getByText("surface").click();
        assertThat(page.locator(".surface")).isVisible();
        look("surface of a column");
        at(p + "/types", ".type-curve");
        at(p + "/schedules", ".sheet-of-paper");
        at(p + "/schedules?kind=columns", ".drawing-sheet");
        at(p + "/schedules?kind=title", ".title-fields");
        at(p + "/schedules?kind=drawings&marks=L1-B01", ".drawing-sheet");
        at(p.replaceAll("/p/.*", "/sketch/beam"), "[aria-label='Length of span 1']");
        at(p.replaceAll("/p/.*", "/sketch/column"), "[aria-label=Height]");
        at(p.replaceAll("/p/.*", "/bench"), "[aria-label='Use of the sets']");
        assertEquals(List.of(), found);
    }
}
