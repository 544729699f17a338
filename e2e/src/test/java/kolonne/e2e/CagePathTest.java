package kolonne.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Changing bars on the sheets of beams and columns: a check fails and recovers, what is set by hand stays, is undone, released and copied. */
class CagePathTest extends BrowserTest {
    private void open(String mark) throws IOException, InterruptedException {
        openProject();
        query("mark:" + mark);
        assertThat(rows()).hasCount(1);
        rows().first().dblclick();
        assertThat(page.getByLabel("Elevation with bars")).isVisible();
    }

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    private Locator verdict() {
        return page.locator(".verdict");
    }

    /** A change by hand, stored and shown. */
    private void stored(Runnable change) {
        page.waitForResponse(r -> r.url().endsWith("/hand"), change);
        assertThat(page.locator(".edit-strip, .lift-strip")
                        .getByText("…", new Locator.GetByTextOptions().setExact(true)))
                .hasCount(0);
    }

    @Test
    void barsAreTakenAwayUntilACheckFailsAndGivenBack() throws IOException, InterruptedException {
        open("L1-B01");
        assertThat(verdict()).hasText("all satisfied");
        page.keyboard().press("b");
        assertThat(page.locator(".bar.picked")).hasCount(1);
        for (int i = 0; i < 12 && !verdict().textContent().matches(".*\\d\\.\\d\\d.*"); i++) {
            stored(() -> page.keyboard().press("Shift+ArrowDown"));
            stored(() -> page.keyboard().press("ArrowDown"));
        }
        assertThat(verdict()).hasText(Pattern.compile("\\d\\.\\d\\d"));
        assertThat(page.getByText("✎ by hand")).isVisible();
        page.keyboard().press("Escape");
        button("Release top bars").click();
        assertThat(verdict()).hasText("all satisfied");
        assertThat(undo()).isEnabled();
        page.keyboard().press("Control+z");
        assertThat(verdict()).hasText(Pattern.compile("\\d\\.\\d\\d"));
        assertThat(redo()).isEnabled();
        page.keyboard().press("Control+Shift+z");
        assertThat(verdict()).hasText("all satisfied");
    }

    @Test
    void aCutOffIsDraggedAndStaysThroughARedesign() throws IOException, InterruptedException {
        open("L1-B01");
        Locator added = page.locator("g.bar[aria-label$='layer 1']").first();
        added.locator(".hit").first().click(new Locator.ClickOptions().setForce(true));
        assertThat(page.getByLabel("End of the bars")).isVisible();
        page.getByLabel("End of the bars").hover();
        page.mouse().down();
        page.mouse().move(600, 180, new com.microsoft.playwright.Mouse.MoveOptions().setSteps(6));
        stored(() -> page.mouse().up());
        assertThat(page.getByText("✎ by hand")).isVisible();
        String which = page.locator(".bar.picked").getAttribute("aria-label");
        String to = page.getByLabel("Bars or zone to").inputValue();
        page.locator(".rail").getByText("Basis").click();
        page.getByLabel("Prefer", new Page.GetByLabelOptions().setExact(true)).click();
        page.locator(".ant-select-dropdown:visible .ant-select-item-option")
                .getByText("fewest bars")
                .click();
        assertThat(page.getByRole(AriaRole.STATUS)).hasAttribute("data-current", "true");
        page.goBack();
        assertThat(page.locator(".bar.by-hand").first()).isVisible();
        page.locator("g.bar.by-hand[aria-label='" + which + "']")
                .first()
                .locator(".hit")
                .first()
                .click(new Locator.ClickOptions().setForce(true));
        assertThat(page.getByLabel("Bars or zone to")).hasValue(to);
    }

    @Test
    void aCageIsCopiedToAnIdenticalLine() throws IOException, InterruptedException {
        open("L2-B03");
        button("Find lines that could share this cage").click();
        assertThat(page.getByLabel("Identical lines", new Page.GetByLabelOptions().setExact(true))
                        .locator("tbody tr")
                        .first())
                .isVisible();
        button("Copy the cage to").click();
        assertThat(page.getByText("Copied; it is set by hand there.")).isVisible();
        page.getByLabel("Identical lines", new Page.GetByLabelOptions().setExact(true))
                .locator("tbody a")
                .first()
                .click();
        assertThat(button("Release all")).isVisible();
    }

    @Test
    void readingsOfEveryCombinationOpenUnderTheCursor() throws IOException, InterruptedException {
        open("L1-B01");
        page.getByText(Pattern.compile("Every combination at")).click();
        assertThat(page.locator(".readings tbody tr").first()).isVisible();
    }

    @Test
    void rulesForEarthquakesShowOnTheSheetAndAreTakenBack() throws IOException, InterruptedException {
        openProject();
        query("mark:L1-B01");
        rows().first().dblclick();
        assertThat(page.getByText("strength of the ends dash-dotted")).hasCount(0);
        page.locator(".rail").getByText("Basis").click();
        page.getByLabel("Seismic detailing", new Page.GetByLabelOptions().setExact(true))
                .click();
        page.locator(".ant-select-dropdown:visible .ant-select-item-option")
                .getByText("special frames (18.6 to 18.8)")
                .click();
        assertThat(page.getByRole(AriaRole.STATUS)).hasAttribute("data-current", "true");
        page.goBack();
        assertThat(page.getByText("strength of the ends dash-dotted")).isVisible();
        assertThat(page.getByText("Spacing of hoops").first()).isVisible();
        // columns and joints follow
        page.navigate(page.url().replaceAll("/sheet/.*", "/sheet/C-B2"));
        assertThat(page.locator(".joint-mark").first()).isVisible();
        assertThat(page.locator(".checks").getByText("Shear of the joint, along x"))
                .isVisible();
        assertThat(page.getByText("Hoops that confine the core").first()).isVisible();
        page.navigate(page.url().replaceAll("/sheet/.*", "/sheet/L1-B01"));
        page.locator(".rail").getByText("Basis").click();
        page.getByLabel("Seismic detailing", new Page.GetByLabelOptions().setExact(true))
                .click();
        page.locator(".ant-select-dropdown:visible .ant-select-item-option")
                .getByText("none", new Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(page.getByRole(AriaRole.STATUS)).hasAttribute("data-current", "true");
        page.goBack();
        assertThat(page.getByText("strength of the ends dash-dotted")).hasCount(0);
    }

    @Test
    void barsAreLaidInPairsAndTheirEndsStraightenedByHand() throws IOException, InterruptedException {
        open("L1-B01");
        page.keyboard().press("b");
        assertThat(page.locator(".bar.picked")).hasCount(1);
        page.waitForResponse(
                r -> r.url().endsWith("/hand"), () -> button("Pairs").click());
        assertThat(page.locator(".bar.picked")).hasAttribute("aria-label", Pattern.compile("bundled"));
        page.waitForResponse(
                r -> r.url().endsWith("/hand"),
                () -> button("Bent at the left end").click());
        assertThat(button("Bent at the left end")).hasAttribute("aria-pressed", "false");
        page.keyboard().press("Escape");
        button("Release top bars").click();
        assertThat(verdict()).hasText("all satisfied");
    }

    @Test
    void barsLegsAndTiesOfAColumnAreSetUndoneReleasedAndStayOverAReload() throws IOException, InterruptedException {
        openProject();
        query("column util<0.8");
        rows().first().dblclick();
        Locator between = page.getByLabel("Spacing of ties between");
        assertThat(between).isVisible();
        assertThat(verdict()).hasText("all satisfied");
        for (int i = 0; i < 9 && verdict().textContent().equals("all satisfied"); i++) {
            int round = i;
            stored(() -> page.keyboard().press(smaller(round)));
        }
        assertThat(verdict()).hasText(Pattern.compile("\\d\\.\\d\\d"));
        stored(() -> button("Release the bars").click());
        assertThat(verdict()).hasText("all satisfied");
        assertThat(undo()).isEnabled();
        page.keyboard().press("Control+z");
        assertThat(verdict()).hasText(Pattern.compile("\\d\\.\\d\\d"));
        assertThat(redo()).isEnabled();
        page.keyboard().press("Control+Shift+z");
        assertThat(verdict()).hasText("all satisfied");
        between.fill("700");
        stored(() -> between.press("Enter"));
        assertThat(verdict()).containsText("spacing of ties");
        page.reload();
        assertThat(between).hasValue("700");
        assertThat(button("Release the ties")).isVisible();
        assertThat(button("Release the bars")).hasCount(0);
        // by way of the bench, where the lift is a section on its own, and back as set by hand
        button("To the bench").click();
        assertThat(page.locator(".bench-section .bar").first()).isVisible();
        // kept by the server, for the sheets of all columns that it fits
        page.waitForResponse(
                r -> r.url().endsWith("/api/sections") && r.request().method().equals("PUT") && r.ok(),
                () -> button("Keep").click());
        assertThat(button("Keep in its place")).isVisible();
        Locator give =
                page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Give to C-")));
        page.waitForResponse(r -> r.url().endsWith("/hand"), give::click);
        assertThat(button("Release the bars")).isVisible();
        assertThat(between).hasValue("700");
        button("Bars from the bench…").click();
        assertThat(page.getByLabel("Bars from the bench")).isVisible();
    }

    /** Smaller corners, then smaller faces. */
    private static String smaller(int round) {
        return round % 2 == 0 ? "[" : "{";
    }
}
