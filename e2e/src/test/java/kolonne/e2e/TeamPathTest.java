package kolonne.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.regex.Pattern;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.exchange.model.ModelWriter;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** An office begins: the first administrator, a colleague, a project that is shared with them as a reader. */
class TeamPathTest extends BrowserTest {
    private static final String PASSWORD = "violet umbrella 29 kettle";
    private static Application office;

    @BeforeAll
    static void startOffice() throws IOException, SQLException {
        office = new Application("office", "--team");
    }

    @AfterAll
    static void stopOffice() {
        office.close();
    }

    @Override
    protected String address() {
        return office.address();
    }

    private static Locator button(Page in, String name) {
        return in.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Locator field(Page in, String label) {
        return in.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    private static void signIn(Page in, String name, String password) {
        field(in, "Name").fill(name);
        field(in, "Password").fill(password);
        in.keyboard().press("Enter");
    }

    private static void choosePassword(Page in, String given) {
        field(in, "Password now").fill(given);
        in.getByLabel(Pattern.compile("^New password ?Twelve")).fill(PASSWORD);
        field(in, "New password again").fill(PASSWORD);
        button(in, "Change password").click();
    }

    @Test
    void anOfficeBegins() throws IOException, InterruptedException {
        Accessible accessible = new Accessible(page);
        String first = office.said(Pattern.compile("with the password ([a-z0-9-]+)"));
        openHome();
        assertThat(page.getByRole(AriaRole.HEADING)).hasText("Sign in");
        accessible.look("sign in");
        signIn(page, "administrator", "not this one");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Name or password is wrong.");
        signIn(page, "administrator", first);
        assertThat(page.getByRole(AriaRole.HEADING)).hasText("Choose your own password");
        accessible.look("first password");
        choosePassword(page, first);
        assertThat(page.getByText("No project yet.")).isVisible();

        Path model = Files.createTempFile("hall", ".json");
        Files.write(model, ModelWriter.json(DemoBuilding.generate(DemoOptions.ofSize(60))));
        page.locator("input[type=file]").setInputFiles(model);
        assertThat(page.getByRole(AriaRole.STATUS)).hasAttribute("data-current", "true");
        String project = page.url().replaceAll("/model.*", "");

        button(page, "Signed in as administrator").click();
        page.getByText("People of the office").click();
        field(page, "Name of a new account").fill("Ines Ravn");
        button(page, "Add").click();
        String given =
                page.getByRole(AriaRole.STATUS).locator("code").textContent().strip();
        accessible.look("office");
        page.navigate(office.address() + "account");
        assertThat(page.getByText("This browser")).isVisible();
        accessible.look("account");
        share(project);
        accessible.look("people of a project");
        assertEquals(java.util.List.of(), accessible.found());

        Page ines = window();
        try {
            reads(ines, project, given);
        } finally {
            ines.context().close();
        }
        page.navigate(office.address());
        button(page, "Signed in as administrator").click();
        page.getByText("Sign out").click();
        assertThat(page.getByRole(AriaRole.HEADING)).hasText("Sign in");
        page.navigate(project + "/results");
        assertThat(page.getByRole(AriaRole.HEADING)).hasText("Sign in");
    }

    private void share(String project) {
        page.navigate(project + "/results");
        designed();
        button(page, "People").click();
        field(page, "Share with").click();
        page.getByTitle("Ines Ravn").click();
        field(page, "As what").click();
        page.locator(".ant-select-item-option").getByText("reader").first().click();
        button(page, "Share").click();
        assertThat(field(page, "Role of Ines Ravn")).isVisible();
        assertThat(page.getByText("Ines Ravn as reader")).isVisible();
    }

    /** A link is opened after signing in; what a reader may not do is not offered. */
    private static void reads(Page ines, String project, String given) {
        ines.navigate(project + "/basis");
        signIn(ines, "Ines Ravn", given);
        choosePassword(ines, given);
        assertThat(button(ines, "reader")).isVisible();
        assertEquals(project + "/basis", ines.url());
        assertThat(ines.getByText("Engineers of the project change its basis; you see it as it is."))
                .isVisible();
        assertThat(field(ines, "Cover of beams")).isDisabled();
        assertThat(field(ines, "Undo")).hasCount(0);
        ines.navigate(project.replaceAll("/p/.*", "/"));
        assertThat(ines.locator(".projects tbody tr")).hasCount(1);
        assertThat(button(ines, "Delete")).hasCount(0);
    }
}
