package kolonne.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.ss.usermodel.Workbook;
import org.apache.poi.ss.usermodel.WorkbookFactory;
import org.junit.jupiter.api.Test;

/** Drives the real interface in Chromium against the packaged application. */
class WholePathTest extends BrowserTest {
    private void openDemo() {
        openHome();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("Veldhaven")))
                .first()
                .click();
        designed();
    }

    @Test
    void narrowsToAStoreyAndOpensTheWorstBeam() {
        openDemo();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^L4")))
                .first()
                .click();
        assertThat(page).hasURL(Pattern.compile("storey%3AL4|storey:L4"));
        // the joints of the five columns of grid G at this floor
        assertThat(page.locator(".plan-joint title").filter(new Locator.FilterOptions().setHasText("C-G2")))
                .hasCount(1);
        assertThat(page.getByText("joint fails")).isVisible();
        query("storey:L4 beam");
        assertThat(page).hasURL(Pattern.compile("beam"));
        assertThat(rows().first()).containsText("L4-B");
        String mark = rows().first().locator("b").first().textContent();
        rows().first().click();
        assertThat(rows().first()).hasAttribute("aria-selected", "true");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("Open sheet")))
                .click();
        assertThat(page.getByRole(
                        AriaRole.HEADING,
                        new Page.GetByRoleOptions().setName(mark).setExact(true)))
                .isVisible();
        assertThat(page.getByLabel("Elevation with bars")).isVisible();
        assertThat(page.getByLabel("Moment, demand against capacity")).isVisible();
        assertThat(page.getByLabel("Calculation")).containsText("φMn");
    }

    @Test
    void readsTheCalculationOfAColumnAndPicksAnotherCombination() {
        openDemo();
        query("column fails");
        assertThat(rows().first().locator("b").first()).containsText("C-");
        rows().first().dblclick();
        assertThat(page.getByLabel("Interaction of axial force and moment")).isVisible();
        assertThat(page.getByLabel("Calculation")).containsText("εt");
        Locator second = page.locator(".demands tbody tr").nth(1);
        second.click();
        assertThat(second).hasAttribute("aria-selected", "true");
        assertThat(page.getByLabel("Calculation"))
                .containsText(second.locator("td").first().textContent());
        assertThat(page.getByRole(AriaRole.TABLE, new Page.GetByRoleOptions().setName("What the moments are made of"))
                        .getByRole(AriaRole.ROW, new Locator.GetByRoleOptions().setName(Pattern.compile("^together"))))
                .containsText(second.locator("td").nth(3).textContent());
    }

    @Test
    void goesFromABeamToTheColumnThatItsBarsDoNotPass() {
        openDemo();
        query("crowded beam");
        rows().first().dblclick();
        Locator column = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Crowded joints"))
                .getByRole(AriaRole.LINK)
                .first();
        String mark = column.textContent();
        column.click();
        assertThat(page.getByRole(
                        AriaRole.HEADING,
                        new Page.GetByRoleOptions().setName(mark).setExact(true)))
                .isVisible();
        assertThat(page.getByLabel("Interaction of axial force and moment")).isVisible();
    }

    @Test
    void aWrongQueryIsExplainedAndNothingIsLost() {
        openDemo();
        page.getByLabel("Query", new Page.GetByLabelOptions().setExact(true)).fill("storey:L99");
        assertThat(page.getByText("There is no storey")).isVisible();
    }

    @Test
    void changingTheBasisRedesignsTheBuildingAndUndoTakesItBack() {
        openDemo();
        String before = page.getByRole(AriaRole.STATUS).textContent();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Basis"))
                .click();
        Locator cap = page.getByLabel("Practical steel cap of columns");
        cap.fill("2");
        cap.press("Enter");
        assertThat(page.getByRole(AriaRole.STATUS)).not().hasText(before);
        assertThat(page.getByRole(AriaRole.STATUS)).hasAttribute("data-current", "true");
        String after = page.getByRole(AriaRole.STATUS).textContent();
        assertFalse(after.equals(before), "a cap of 2 % must make more columns fail: " + after);
        page.reload();
        assertThat(page.getByLabel("Practical steel cap of columns")).hasValue("2");
        Locator again = page.getByLabel("Practical steel cap of columns");
        again.fill("4");
        again.press("Enter");
        assertThat(page.getByRole(AriaRole.STATUS)).hasText(before);
    }

    @Test
    void theReportAndTheSchedulesHoldWhatTheyShould() throws IOException {
        openDemo();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Schedules"))
                .click();
        page.getByLabel("Marks for calculation sheets").fill("L1-B02, C-D3");
        Path pdf = download("Report, PDF");
        try (PDDocument doc = Loader.loadPDF(pdf.toFile())) {
            String text = new PDFTextStripper().getText(doc);
            assertTrue(text.contains("Veldhaven Archive and Reading Rooms"), "title");
            assertTrue(text.contains("961 members in 287"), "summary");
            assertTrue(text.contains("Calculation: beam line L1-B02"), "sheet of the beam");
            assertTrue(text.contains("Calculation: column stack C-D3"), "sheet of the column");
            assertTrue(text.contains("22.5.5.1"), "clauses");
            assertTrue(doc.getDocumentCatalog().getMarkInfo().isMarked(), "tagged");
        }
        page.locator(".schedules")
                .getByText("Drawings", new Locator.GetByTextOptions().setExact(true))
                .click();
        page.getByLabel("Marks to draw").fill("L1-B02");
        page.getByLabel("Marks to draw").press("Enter");
        assertThat(page.getByRole(
                        AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("^Sheet 1 of 1: L1-B02$"))))
                .isVisible();
        page.locator(".schedules")
                .getByText("Title block", new Locator.GetByTextOptions().setExact(true))
                .click();
        Locator client = page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("client"));
        client.fill("Stichting Leeszaal");
        client.press("Enter");
        assertThat(page.locator(".drawing-sheet").getByText("Stichting Leeszaal"))
                .isVisible();
        page.goBack();
        String drawn = Files.readString(download("Drawings, DXF"));
        assertTrue(drawn.contains("L1-B02") && drawn.contains("Stichting Leeszaal"), "what it is of, and for whom");
        page.locator(".schedules")
                .getByText("Beams", new Locator.GetByTextOptions().setExact(true))
                .click();
        // what is drawn is what is scheduled, until all is asked for again
        Locator marks = page.locator(".sheet-of-paper .of-rows");
        assertThat(marks).hasCount(1);
        assertThat(marks).containsText("L1-B02");
        page.getByLabel("Marks to schedule").fill("");
        page.getByLabel("Marks to schedule").press("Enter");
        assertThat(marks).not().hasCount(1);
        page.locator(".schedules")
                .getByText("Columns", new Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(page.getByRole(
                        AriaRole.IMG,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Columns against storeys: "))))
                .isVisible();
        String ifc = Files.readString(download("Concrete and bars, IFC"));
        assertTrue(
                ifc.endsWith("END-ISO-10303-21;\n") && ifc.contains("=IFCREINFORCINGBAR("), "a whole file with bars");
        Path xlsx = download("Schedules, XLSX");
        try (Workbook book = WorkbookFactory.create(xlsx.toFile())) {
            assertEquals(5, book.getNumberOfSheets());
            assertEquals("Quantities of beams and columns", book.getSheetName(4));
            Sheet bars = book.getSheet("Bar list");
            int column = bars.getRow(0).getLastCellNum() - 1;
            assertEquals("mass, kg", bars.getRow(0).getCell(column).getStringCellValue());
            double mass = 0;
            for (Row r : bars) {
                if (r.getRowNum() > 0) {
                    mass += r.getCell(column).getNumericCellValue();
                }
            }
            Sheet totals = book.getSheet("Steel by size");
            double total = totals.getRow(totals.getLastRowNum()).getCell(2).getNumericCellValue();
            assertEquals(total, mass, 1e-6 * total, "the bar list adds up to the total");
        }
    }

    private Path download(String button) {
        Download d = page.waitForDownload(() -> page.getByText(button, new Page.GetByTextOptions().setExact(true))
                .click());
        return d.path();
    }

    @Test
    void aBadFileIsRefusedWithFindingsAndTheServerGoesOn() throws IOException {
        Path bad = Files.createTempFile("bad", ".json");
        Files.writeString(bad, """
            {"format":"kolonne-model","version":1,"units":"SI","joints":[{"id":"A","x":0,"y":0}],
             "members":[{"id":"M","role":"beam","start":"A","end":"Z","section":"S","material":"C"}]}""");
        openHome();
        page.locator("input[type=file]").setInputFiles(bad);
        assertThat(page.getByText("The model cannot be taken in yet")).isVisible();
        assertThat(page.getByText("The field z is missing.")).isVisible();
        page.reload();
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("Veldhaven")))
                        .first())
                .isVisible();
    }

    @Test
    void theThreeDimensionalViewDrawsMembers() {
        openDemo();
        page.getByText("3-D", new Page.GetByTextOptions().setExact(true)).click();
        Locator canvas = page.locator(".space canvas");
        assertThat(canvas).isVisible();
        // drawn is when more than the ground is there
        page.waitForFunction("""
            () => { const c = document.querySelector('.space canvas'); const t = document.createElement('canvas');
              t.width = c.width; t.height = c.height; const x = t.getContext('2d'); x.drawImage(c, 0, 0);
              const d = x.getImageData(0, 0, t.width, t.height).data; const s = new Set();
              for (let i = 0; i < d.length; i += 4 * 97) s.add(d[i] + ',' + d[i+1] + ',' + d[i+2]); return s.size > 10 }""");
    }

    @Test
    void oneSectionOnTheBench() {
        openHome();
        page.getByText("Section bench").click();
        Locator uses = page.getByLabel("Use of the sets");
        assertThat(uses.locator("tbody tr")).hasCount(4);
        // a set under service load: bars that are pulled, stresses, and all of it on paper
        uses.locator("button").last().click();
        assertThat(page.locator(".bench-section .bar.pulled").first()).isVisible();
        assertThat(page.getByText("Cracked section: concrete")).isVisible();
        Download paper =
                page.waitForDownload(() -> page.getByText("Calculation, PDF").click());
        assertEquals("Corner-of-the-stair.pdf", paper.suggestedFilename());
        page.getByText("Paste a table…").click();
        page.getByLabel("Table of forces").fill("case\tMy\tN\nA\t90\t-1200\nB\t-4000\t-1200");
        page.getByText("Take these sets").click();
        assertThat(uses.locator("tbody tr")).hasCount(2);
        assertThat(uses.locator("tbody tr").nth(1).locator(".over-ink")).isVisible();
        page.getByLabel("Moments about both axes").waitFor();
        // a bar by pointing, taken away again by key
        Locator bars = page.locator(".bench-section .bar");
        assertThat(bars).hasCount(11);
        page.locator(".bench-section .concrete").click(new Locator.ClickOptions().setPosition(60, 60));
        assertThat(bars).hasCount(12);
        bars.last().focus();
        page.keyboard().press("Delete");
        assertThat(bars).hasCount(11);
        page.getByLabel("Shape", new Page.GetByLabelOptions().setExact(true)).click();
        page.getByTitle("rectangle").click();
        page.getByText("Lay round the edge").click();
        assertThat(bars).hasCount(10);
        assertThat(page.getByLabel("Checks of the set")).containsText("shear along the depth");
    }
}
