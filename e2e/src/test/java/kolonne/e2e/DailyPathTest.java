package kolonne.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Response;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kolonne.core.demo.DemoOptions;
import org.junit.jupiter.api.Test;

/** A day's work: marks, many at once, two windows, a server that goes away and comes back, typing that is not finished. */
class DailyPathTest extends BrowserTest {
    /** Smaller than the others': nearly every test designs it again, some several times. */
    @Override
    protected DemoOptions building() {
        return new DemoOptions(7, 4, 3, 2, true);
    }

    private Locator field(String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    private void current() {
        assertThat(page.getByRole(AriaRole.STATUS)).hasAttribute("data-current", "true");
    }

    @Test
    void aMarkIsGivenAndItsOldAddressLeadsOn() throws IOException, InterruptedException {
        openProject();
        query("mark:L2-B07");
        assertThat(rows()).hasCount(1);
        rows().first().dblclick();
        field("Mark").fill("Lees 7");
        field("Mark").press("Enter");
        assertThat(page).hasURL(Pattern.compile("sheet/Lees%207"));
        page.navigate(page.url().replace("Lees%207", "L2-B07"));
        assertThat(page).hasURL(Pattern.compile("sheet/Lees%207"));
        assertThat(field("Mark")).hasValue("Lees 7");
        page.keyboard().press("Control+z");
        assertThat(page).hasURL(Pattern.compile("sheet/L2-B07"));
        assertThat(field("Mark")).hasValue("L2-B07");
    }

    @Test
    void theOtherWindowIsToldAndBothChangesOfTheBasisStay() throws IOException, InterruptedException {
        openProject();
        page.locator(".rail").getByText("Basis").click();
        assertThat(field("Cover of beams")).isVisible();
        try (BrowserContext other = page.context().browser().newContext()) {
            Page second = other.newPage();
            second.addInitScript("localStorage.setItem('kolonne.person', 'Zoë Quist')");
            second.navigate(page.url());
            assertThat(page.getByLabel("Also here: Zoë Quist")).hasText("ZQ");
            assertThat(second.getByLabel("Also here: Another window")).isVisible();
            Locator cover = second.getByLabel("Cover of columns", new Page.GetByLabelOptions().setExact(true));
            cover.fill("45");
            cover.press("Enter");
            assertThat(page.getByText("Zoë Quist changed the project")).isVisible();
            assertThat(page.getByText("Cover of columns 40 → 45 mm")).isVisible();
            assertThat(field("Cover of columns")).hasValue("45");
            field("Cover of beams").fill("4,5 cm");
            field("Cover of beams").press("Enter");
            assertThat(second.getByLabel("Cover of beams", new Page.GetByLabelOptions().setExact(true)))
                    .hasValue("45");
        }
        // a window that has closed is no longer here
        assertThat(page.locator(".also-here")).hasCount(0);
        undo().click();
        undo().click();
        assertThat(field("Cover of beams")).hasValue("40");
        assertThat(field("Cover of columns")).hasValue("40");
        current();
    }

    @Test
    void manyAreSelectedAndChangedInOneStep() throws IOException, InterruptedException {
        openProject();
        query("storey:L3 beam");
        assertThat(rows().first()).containsText("L3-B");
        assertThat(field("Plan of L3")).isVisible();
        rows().nth(1).click();
        rows().nth(3)
                .click(new Locator.ClickOptions()
                        .setModifiers(java.util.List.of(com.microsoft.playwright.options.KeyboardModifier.SHIFT)));
        assertThat(page.getByText("3 selected")).isVisible();
        page.keyboard().press("Shift+ArrowDown");
        assertThat(page.getByText("4 selected")).isVisible();
        // a rectangle over the whole plan
        com.microsoft.playwright.options.BoundingBox b = field("Plan of L3").boundingBox();
        page.mouse().move(b.x + 3, b.y + 3);
        page.mouse().down();
        page.mouse()
                .move(
                        b.x + b.width - 3,
                        b.y + b.height - 3,
                        new com.microsoft.playwright.Mouse.MoveOptions().setSteps(5));
        page.mouse().up();
        assertThat(page.locator("[aria-label=Selected]")).containsText(Pattern.compile("\\d\\d selected"));
        // the list in full, whatever the rectangle met: what deepening does to all of them is known
        page.getByRole(AriaRole.LISTBOX).first().focus();
        page.keyboard().press("Control+a");
        int all = Integer.parseInt(page.locator(".list-tools").textContent().replaceAll("(?s)\\D*(\\d+).*", "$1"));
        assertThat(page.locator("[aria-label=Selected]")).containsText(all + " selected");
        button("All at once…").click();
        page.getByText("One step deeper").click();
        assertThat(page.getByText(Pattern.compile("^(mended|broke) \\d+"))).isVisible();
        current();
        undo().click();
        current();
        assertThat(undo()).isDisabled();
        page.keyboard().press("Escape");
        page.keyboard().press("Escape");
        assertThat(page.locator("[aria-label=Selected]")).hasCount(0);
    }

    @Test
    void aSelectionHasItsOwnCoverAndTheBasisIsKept() throws IOException, InterruptedException {
        openProject();
        query("storey:L2 beam");
        rows().first().click();
        page.keyboard().press("Shift+ArrowDown");
        assertThat(page.getByText("2 selected")).isVisible();
        button("All at once…").click();
        page.getByText("Local settings: cover, steel, bars, sway…").click();
        field("Name").fill("car park");
        field("Cover of beams, own value").check();
        page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Cover of beams"))
                .last()
                .fill("60");
        button("Take and design again").click();
        Locator link = page.locator(".local a").first();
        assertThat(link).hasText("2");
        current();
        link.click();
        assertThat(rows()).hasCount(2);
        rows().first().dblclick();
        assertThat(page.locator(".sheet-head .pill").getByText("car park")).isVisible();
        page.locator(".rail").getByText("Basis").click();
        button("Keep for all projects…").click();
        field("Name to keep it by").fill("Office");
        field("Name to keep it by").press("Enter");
        assertThat(page.getByText("Kept as “Office” for all projects.")).isVisible();
        field("Cover of columns").fill("65");
        field("Cover of columns").press("Enter");
        button("Compare with another…").click();
        field("Other basis").click();
        page.getByTitle("Office").click();
        Locator lines = page.getByLabel("Bases line by line");
        assertThat(lines).containsText(Pattern.compile("Cover of columns\\s*65 mm\\s*40 mm"));
        button("Take the other and design again").click();
        assertThat(field("Cover of columns")).hasValue("40");
        assertThat(page.locator(".local")).containsText("car park");
        current();
    }

    @Test
    void anEffectiveLengthIsSetForOneColumnAndTakenBack() throws IOException, InterruptedException {
        openProject();
        query("mark:C-B2");
        rows().first().dblclick();
        Locator lengths = page.getByText(Pattern.compile("effective lengths 1\\.00, 1\\.00 of clear"));
        assertThat(lengths).isVisible();
        String sheet = page.url();
        page.getByText("Own settings").click();
        field("Name").fill("slender");
        field("Length factor k along X, own value").check();
        page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Length factor k along X"))
                .last()
                .fill("1.5");
        button("Take and design again").click();
        current();
        page.navigate(sheet);
        assertThat(page.locator(".sheet-head .pill").getByText("slender")).isVisible();
        assertThat(page.getByText(Pattern.compile("effective lengths (1\\.50, 1\\.00|1\\.00, 1\\.50) of clear")))
                .isVisible();
        page.keyboard().press("Control+z");
        assertThat(lengths).isVisible();
    }

    @Test
    void theElevationOfAGridLineShowsWhatIsOnIt() throws IOException, InterruptedException {
        openProject();
        page.getByText("Elevation", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(page.locator("[aria-label^='Elevation on grid line']")).isVisible();
        page.locator("[data-mark='C-A1']").first().click();
        assertThat(page.locator(".selection")).containsText("C-A1");
    }

    @Test
    void aQueryIsTypedSlowlyAndSurvivesAVisitToASheet() throws IOException, InterruptedException {
        openProject();
        field("Query").focus();
        String typed = "";
        for (String part : new String[] {"u", "til", ">", "0", ".9", "5"}) {
            typed += part;
            Pattern asked = Pattern.compile("/results\\?(.*&)?q=" + Pattern.quote(typed) + "(&.*)?$");
            Response answer = page.waitForResponse(
                    r -> asked.matcher(URLDecoder.decode(r.url(), StandardCharsets.UTF_8))
                            .find(),
                    () -> page.keyboard().type(part));
            Matcher matching = Pattern.compile("\"matching\":(\\d+)").matcher(answer.text());
            if (matching.find()) {
                assertThat(page.locator(".list-tools")).hasText(Pattern.compile("\\b" + matching.group(1) + " of "));
            }
            assertThat(rows().first()).isVisible();
        }
        String narrowed = page.locator(".list-tools").textContent();
        rows().first().dblclick();
        assertThat(field("Mark")).isVisible();
        assertTrue(page.title().contains("Leeszaal"), page.title());
        page.keyboard().press("Escape");
        assertThat(page.locator(".list-tools")).hasText(narrowed);
        assertThat(field("Query")).hasValue("util>0.95");
    }

    @Test
    void whileTheServerIsAwayChangesWaitAndThenAreSent() throws IOException, InterruptedException {
        openProject();
        page.locator(".rail").getByText("Basis").click();
        assertThat(field("Most legs")).hasValue("6");
        page.context().setOffline(true);
        page.waitForFunction("() => fetch('/api/health').then(() => false, () => true)");
        field("Most legs").fill("5");
        field("Most legs").press("Enter");
        page.evaluate("() => undefined");
        page.context().setOffline(false);
        assertThat(page.getByRole(AriaRole.STATUS)).hasAttribute("data-current", "true");
        assertThat(field("Most legs")).hasValue("5");
        page.reload();
        assertThat(field("Most legs")).hasValue("5");
        undo().click();
        assertThat(field("Most legs")).hasValue("6");
        current();
    }

    @Test
    void nonsenseInTheAddressIsTakenForNothing() throws IOException, InterruptedException {
        openProject();
        String p = page.url().replaceAll("/results.*", "");
        for (String a : new String[] {
            "/sheet/L1-B01?at=abc", "/sheet/C-D3?lift=-5", "/results?view=x&line=%00&q=%22", "/schedules?kind=x&page=-1"
        }) {
            page.navigate(p + a);
            assertThat(page.locator("h1").first()).isAttached();
            assertEquals(0, page.getByText("This page cannot be drawn.").count(), a);
        }
    }

    @Test
    void quickUndoesOfOnesOwnAreQueued() throws IOException, InterruptedException {
        openProject();
        page.locator(".rail").getByText("Basis").click();
        for (String legs : new String[] {"5", "4", "3"}) {
            field("Most legs").fill(legs);
            field("Most legs").press("Enter");
        }
        assertThat(undo()).isEnabled();
        page.keyboard().press("Control+z", new Keyboard.PressOptions());
        page.keyboard().press("Control+z");
        page.keyboard().press("Control+z");
        assertThat(field("Most legs")).hasValue("6");
        assertThat(undo()).isDisabled();
        current();
    }
}
