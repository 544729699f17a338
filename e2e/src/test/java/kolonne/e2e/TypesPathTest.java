package kolonne.e2e;

import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.KeyboardModifier;
import java.io.IOException;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Members into types: the curve is dragged and a point of it made; types are split, merged, locked, renamed and named by a pattern, and taken back. */
class TypesPathTest extends BrowserTest {
    private Locator slider() {
        return page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Number of types"));
    }

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile(name)));
    }

    private Locator list() {
        return page.getByRole(
                AriaRole.LISTBOX, new Page.GetByRoleOptions().setName("Types").setExact(true));
    }

    private Locator row(String mark) {
        return list().locator("[role=option]")
                .filter(new Locator.FilterOptions()
                        .setHas(page.locator("b").getByText(mark, new Locator.GetByTextOptions().setExact(true))));
    }

    /** A change of types, stored and designed. */
    private void stored(Runnable change) {
        page.waitForResponse(
                r -> r.url().endsWith("/types") && r.request().method().equals("PUT"), change);
        assertThat(page.getByRole(AriaRole.STATUS)).hasAttribute("data-current", "true");
    }

    /** Types that there are at most: every line and stack by itself. */
    private String all;

    private void openTypes() throws IOException, InterruptedException {
        openProject();
        page.locator(".rail").getByText("Types").click();
        assertThat(slider()).isVisible();
        assertThat(page.getByText(Pattern.compile("^0 shared · \\d+ by themselves")))
                .isVisible();
        all = slider().getAttribute("aria-valuenow");
        assertThat(page.getByText("0 shared · " + all + " by themselves")).isVisible();
    }

    private int shared() {
        String words = page.locator(".types-right .view-tools .soft").first().textContent();
        return Integer.parseInt(words.split(" ")[0]);
    }

    @Test
    void aPointOfTheCurveIsDraggedAndMadeAndItsTypesAreChanged() throws IOException, InterruptedException {
        openTypes();
        BoundingBox b = slider().boundingBox();
        page.mouse().move(b.x + b.width - 20, b.y + b.height / 2);
        page.mouse().down();
        page.mouse()
                .move(
                        b.x + b.width * 0.4,
                        b.y + b.height / 2,
                        new com.microsoft.playwright.Mouse.MoveOptions().setSteps(8));
        page.mouse().up();
        assertThat(slider()).not().hasAttribute("aria-valuenow", all);
        assertThat(page.getByText(Pattern.compile("types? fewer:"))).isVisible();
        int dragged = Integer.parseInt(slider().getAttribute("aria-valuenow"));
        assertTrue(dragged < Integer.parseInt(all) * 0.6 && page.url().contains("at=" + dragged), page.url());
        slider().focus();
        page.keyboard().press("ArrowLeft");
        assertThat(slider()).not().hasAttribute("aria-valuenow", Integer.toString(dragged));
        button("Back to what is in force").click();
        assertThat(slider()).hasAttribute("aria-valuenow", all);
        String suggested = button("Look at the suggested").textContent().replaceAll("\\D", "");
        button("Look at the suggested").click();
        assertThat(slider()).hasAttribute("aria-valuenow", suggested);
        stored(() -> button("Make these " + suggested + " types").click());
        assertThat(slider()).hasAttribute("aria-valuenow", suggested);
        assertThat(button("These types are in force")).isDisabled();
        assertThat(list().locator("[role=option] b").first()).hasText(Pattern.compile("^TB"));
        assertTrue(shared() > 10, shared() + " types are shared");
        // the worklist and the schedules know them
        String mark = list().locator("[role=option] b").first().textContent();
        page.locator(".rail").getByText("Results").click();
        query("type:" + mark);
        assertThat(rows().first()).isVisible();
        assertThat(rows().first()).containsText(mark);
        page.locator(".rail").getByText("Schedules").click();
        page.locator(".schedules")
                .getByText("Types", new Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(page.locator(".sheet-of-paper")).containsText("Types and their members");
        assertThat(page.locator(".sheet-of-paper")).containsText("TB1");
        page.locator(".rail").getByText("Types").click();
        changed();
    }

    /** What is done to types in force by pointing and by keys. */
    private void changed() {
        assertThat(list().locator("[role=option] b").first()).hasText(Pattern.compile("^TB"));
        int before = shared();
        // a type of two members
        Locator pair = list().locator("[role=option]:has(span:nth-child(3):text-is('2'))")
                .first();
        String mark = pair.locator("b").textContent();
        pair.click();
        assertThat(page.locator(".type-detail")).containsText("governs:");
        list().focus();
        stored(() -> page.keyboard().press("l"));
        assertThat(row(mark)).containsText("locked");
        assertThat(button("^Split")).isDisabled();
        stored(() -> page.keyboard().press("l"));
        assertThat(row(mark)).not().containsText("locked");
        page.keyboard().press("F2");
        page.keyboard().type("Pair");
        stored(() -> page.keyboard().press("Enter"));
        assertThat(row("Pair")).isVisible();
        row("Pair").click();
        Locator group = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Members of the type"));
        assertThat(group.getByRole(AriaRole.BUTTON)).hasCount(2);
        List<String> members = group.getByRole(AriaRole.BUTTON).all().stream()
                .map(m -> m.getAttribute("aria-label"))
                .toList();
        list().focus();
        stored(() -> page.keyboard().press("s"));
        assertThat(page.getByText(Pattern.compile("^" + (before - 1) + " shared")))
                .isVisible();
        // a deep link leads to a row that is out of sight
        page.navigate(page.url().replaceAll("type=[^&]*", "type=" + members.get(0)));
        assertThat(row(members.get(0))).hasAttribute("aria-selected", "true");
        row(members.get(1)).click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.CONTROL)));
        list().focus();
        stored(() -> page.keyboard().press("m"));
        assertThat(page.getByText(Pattern.compile("^" + before + " shared"))).isVisible();
        button("Marks…").click();
        page.getByLabel("Pattern").fill("V{n}");
        assertThat(page.locator(".pattern-marks")).containsText("V1");
        stored(() -> button("^Name \\d+ types").click());
        // a dialog that closes gives the focus back to what opened it
        assertThat(page.locator(".ant-modal")).isHidden();
        // what was chosen is merged: the keys begin at the first row, wherever the list was scrolled to
        list().focus();
        page.keyboard().press("ArrowDown");
        Locator top = list().locator("#type-0 b");
        assertThat(top).hasText(Pattern.compile("^V\\d+$"));
        page.keyboard().press("Control+z");
        assertThat(top).hasText(Pattern.compile("^(TB\\d+|Pair)$"));
        stored(() -> button("Every member its own").click());
        assertThat(page.getByText("0 shared · " + all + " by themselves")).isVisible();
    }
}
