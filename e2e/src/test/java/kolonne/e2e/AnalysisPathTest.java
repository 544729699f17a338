package kolonne.e2e;

import static org.junit.jupiter.api.Assertions.assertNotEquals;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import kolonne.core.demo.DemoOptions;
import org.junit.jupiter.api.Test;

/** Looking at the analysis, changing the model and seeing what moved, small models, and forces solved elsewhere. */
class AnalysisPathTest extends BrowserTest {
    private void choose(String label, String option) {
        page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)).click();
        page.locator(".ant-select-dropdown:visible .ant-select-item-option")
                .getByText(option, new Locator.GetByTextOptions().setExact(true))
                .first()
                .click();
        // a list that is closing still holds the same words
        assertThat(page.locator(".ant-select-dropdown:not(.ant-select-dropdown-hidden)"))
                .hasCount(0);
    }

    private void press(String name) {
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name))
                .click();
    }

    @Test
    void momentsAreDrawnAndReadUnderTheCursor() throws IOException, InterruptedException {
        openProject();
        choose("What the view shows", "Forces");
        assertThat(page.locator(".ribbon").first()).isVisible();
        page.locator(".plan-member").first().hover();
        assertThat(page.locator(".hover-card")).containsText("kNm at");
        choose("Which force", "Shear");
        assertThat(page).hasURL(Pattern.compile("comp=vz"));
        page.locator(".plan-member").nth(3).hover();
        assertThat(page.locator(".hover-card")).containsText("kN at");
    }

    @Test
    void theModelBalancesAndItsShapeIsShown() throws IOException, InterruptedException {
        openProject();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Model"))
                .click();
        page.getByText("Analysis", new Page.GetByTextOptions().setExact(true)).click();
        // what the case puts on the building comes out at its supports
        assertThat(page.locator(".balance tbody tr").first()).containsText(Pattern.compile("−(\\d\\d\\s\\d{3})··\\1"));
        page.getByText("shape", new Page.GetByTextOptions().setExact(true))
                .last()
                .click();
        assertThat(page.locator(".space canvas")).isVisible();
        assertThat(page.locator(".layer-bar")).containsText("most");
        press("Play");
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Stop")))
                .isVisible();
    }

    @Test
    void anEditShowsWhereItsMomentWentAndIsUndone() throws IOException, InterruptedException {
        openProject();
        query("storey:L2 beam");
        assertThat(rows().first()).containsText("L2-B");
        rows().first().click();
        assertThat(rows().first()).hasAttribute("aria-selected", "true");
        page.keyboard().press("e");
        page.getByLabel("New section", new Page.GetByLabelOptions().setExact(true))
                .fill("450x900");
        page.keyboard().press("Enter");
        press("Apply and analyse");
        page.getByText("See what moved").click();
        Locator changed = page.locator("section[aria-label='What changed'] [role=option]");
        assertThat(changed.first()).isVisible();
        assertNotEquals("0", changed.first().locator(".num").last().textContent());
        assertThat(page.getByRole(AriaRole.STATUS)).hasAttribute("data-current", "true");
        page.keyboard().press("Control+z");
        assertThat(redo()).isEnabled();
        assertThat(undo()).isDisabled();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Model"))
                .click();
        page.getByText("History and forces", new Page.GetByTextOptions().setExact(true))
                .click();
        assertThat(page.getByText("(undone)").first()).isVisible();
    }

    @Test
    void aContinuousBeamIsDrawnUpAndDesigned() {
        openHome();
        page.getByText("Draw up a continuous beam").click();
        assertThat(page.getByLabel("Moment, strength envelope, on the tension side"))
                .isVisible();
        Locator length = page.getByLabel("Length of span 1", new Page.GetByLabelOptions().setExact(true));
        length.fill("0");
        length.press("Tab");
        length.fill("8");
        length.press("Tab");
        press("Make it a project and design it");
        assertThat(page.getByRole(AriaRole.STATUS)).hasAttribute("data-current", "true");
        assertThat(rows().first()).isVisible();
        rows().getByText("Beam-B01").dblclick();
        assertThat(page.getByLabel("Elevation with bars")).isVisible();
    }

    @Test
    void aColumnIsDrawnUpAndForcesSolvedElsewhereReplaceItsOwn() throws IOException {
        openHome();
        page.getByText("Draw up a column").click();
        assertThat(page.getByLabel("The column with its forces")).isVisible();
        press("Make it a project and design it");
        assertThat(page.getByRole(AriaRole.STATUS)).hasAttribute("data-current", "true");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Model"))
                .click();
        page.getByText("History and forces", new Page.GetByTextOptions().setExact(true))
                .click();
        Path table = Files.createTempFile("forces", ".csv");
        Files.writeString(
                table,
                "Stab;LC;x [m];N;V2;V3;M\n;;;[tonf];[kN];[kN];[kNm]\n"
                        + "C1;D;0;153;1;2;60\nC1;D;4.2;151;1;2;-60\nC1;L;0;1;1;2;6\nC9;D;0;1;1;2;1\n");
        press("Import forces solved elsewhere");
        page.locator(".ant-modal input[type=file]").setInputFiles(table);
        // the member's column is known by what it holds, numbered axes are asked
        assertThat(page.getByText("3 of 4 rows can be used.")).isVisible();
        Locator take = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Take the forces"));
        assertThat(take).isDisabled();
        choose("Column of Vz", "V3, [kN]");
        choose("Column of Vy", "V2, [kN]");
        assertThat(page.getByText("C9")).isVisible();
        assertThat(page.getByText("One member has no forces in W: C1")).isVisible();
        page.getByText("Zero is meant there").click();
        page.getByPlaceholder("not remembered").fill("frame tables");
        press("Take the forces");
        assertThat(page.getByText("The forces were solved elsewhere.")).isVisible();
        assertThat(page.getByRole(AriaRole.STATUS)).hasAttribute("data-current", "true");
    }

    /** Torsion is too much on the fifth only. */
    @Override
    protected DemoOptions building() {
        return new DemoOptions(7, 5, 4, 3, true);
    }

    @Test
    void torsionFromCompatibilityIsRelievedAndTakenBack() throws IOException, InterruptedException {
        openProject();
        query("cause:shear-torsion-limit");
        assertThat(rows()).hasCount(2);
        rows().first().dblclick();
        assertThat(page.getByLabel("Torsion, demand against capacity")).isVisible();
        assertThat(page.getByLabel("Deflection", new Page.GetByLabelOptions().setExact(true)))
                .isVisible();
        press("Is it needed?");
        assertThat(page.getByText("From compatibility: it may be relieved.")).isVisible();
        press("Relieve it and design again");
        assertThat(page).hasURL(Pattern.compile("show=change"));
        assertThat(page.locator("section[aria-label='What changed'] [role=option]")
                        .first())
                .isVisible();
        assertThat(page.getByRole(AriaRole.STATUS)).hasAttribute("data-current", "true");
        undo().click();
        assertThat(redo()).isEnabled();
        assertThat(page.getByRole(AriaRole.STATUS)).hasAttribute("data-current", "true");
    }

    @Test
    void whatAnotherPreferenceCostsIsOnTheBeamSheet() throws IOException, InterruptedException {
        openProject();
        query("mark:L1-B01");
        assertThat(rows()).hasCount(1);
        rows().first().dblclick();
        Locator table = page.getByLabel("Preferences", new Page.GetByLabelOptions().setExact(true));
        assertThat(table.locator("tbody tr")).hasCount(6);
        assertThat(table.locator("tr[aria-selected=true]")).containsText("what a site would build");
    }
}
