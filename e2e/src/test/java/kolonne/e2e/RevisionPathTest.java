package kolonne.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.model.Building;
import kolonne.core.model.ModelEdit;
import kolonne.core.model.Section;
import kolonne.core.shape.Shape;
import kolonne.exchange.model.ModelWriter;
import org.junit.jupiter.api.Test;

/** A newer model of a small building: looked at, adopted in one step, undone in one; the whole project goes out as a file and comes in again. */
class RevisionPathTest extends BrowserTest {
    private static Path file(String name, Building b) throws IOException {
        Path out = Files.createTempDirectory("model").resolve(name);
        Files.write(out, ModelWriter.json(b));
        return out;
    }

    @Test
    void aNewerModelIsComparedAdoptedAndTakenBack() throws IOException {
        Building first = DemoBuilding.generate(DemoOptions.ofSize(60));
        String beam = first.members().get(first.members().size() - 1).id();
        Building second = ModelEdit.apply(
                first,
                List.of(
                        new ModelEdit.PutSection(new Section("deep", new Shape.Rectangle(400, 777))),
                        new ModelEdit.SetSection(List.of(beam), "deep")));
        openHome();
        page.locator("input[type=file]").setInputFiles(file("zaal.json", first));
        assertThat(page).hasURL(Pattern.compile("/model"));
        page.getByText("Newer model", new Page.GetByTextOptions().setExact(true))
                .click();
        page.locator("input[type=file]").setInputFiles(file("zaal-b.json", second));
        assertThat(page.getByText("zaal-b.json against the model in force")).isVisible();
        assertThat(page.getByText("400 × 777")).isVisible();
        page.getByLabel(Pattern.compile("^1 parts: Section")).click();
        assertThat(page.getByText(beam, new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Adopt the newer model"))
                .click();
        assertThat(page).hasURL(Pattern.compile("show=change&from=1&to=2"));
        assertThat(page.getByRole(AriaRole.STATUS)).hasAttribute("data-current", "true");
        page.locator(".rail").getByText("Model").click();
        assertThat(page.getByText("From zaal-b.json")).isVisible();
        undo().click();
        assertThat(page.getByText("From zaal.json")).isVisible();
        redo().click();
        assertThat(page.getByText("From zaal-b.json")).isVisible();
        // the project as one file, taken in again: with both models and what can be undone
        String address = page.url();
        page.navigate(address.replaceAll("/p/.*", "/"));
        Locator row = page.locator(".projects tbody tr").first();
        Path whole =
                page.waitForDownload(() -> row.getByText("Download").click()).path();
        Path again = Files.createTempDirectory("project").resolve("kolonne-project.zip");
        Files.copy(whole, again);
        page.locator("input[type=file]").setInputFiles(again);
        assertThat(page).hasURL(Pattern.compile("/model"));
        assertThat(page).not().hasURL(address);
        assertThat(page.getByText("From zaal-b.json")).isVisible();
        undo().click();
        assertThat(page.getByText("From zaal.json")).isVisible();
    }
}
