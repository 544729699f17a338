package kolonne.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Every page against the rules of axe-core: names, landmarks, focus; and in both themes its contrast, the only rule that a theme can break. Its scripts stay small. */
class AccessTest extends BrowserTest {
    /** What a page without 3-D may take, as it is sent [bytes]. */
    private static final int SCRIPTS = 250_000;

    private Accessible accessible;

    private void look(String page) throws IOException {
        accessible.look(page);
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
        accessible = new Accessible(page);
        openHome();
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
        assertEquals(List.of(), accessible.found());
    }
}
