package kolonne.exchange.paper;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.HashSet;
import java.util.Locale;
import java.util.Set;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.code.BarCatalogue;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.design.Quantities;
import kolonne.core.model.BuildingIndex;
import kolonne.core.project.ProjectData;
import kolonne.core.schedule.Scheduled;
import kolonne.core.schedule.StoreyQuantities;
import kolonne.core.work.Progress;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

/** The chart at the end of the schedules: sums of storeys as printed, and patterns that ink alone tells apart. */
class SteelChartTest {
    private static String text(BuildingDesign d) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        SchedulePdf.write(Scheduled.of(d), ProjectData.EMPTY, Progress.NONE, out);
        try (PDDocument pdf = Loader.loadPDF(out.toByteArray())) {
            String all = new PDFTextStripper().getText(pdf);
            return all.substring(all.indexOf("Steel by storey and size"));
        }
    }

    @Test
    void everyStoreyHasItsSum() throws IOException {
        BuildingDesign d = BuildingDesigner.design(
                FrameAnalysis.solve(new BuildingIndex(DemoBuilding.generate(new DemoOptions(3, 2, 2, 1, false)))),
                Basis.standard(false),
                BuildingDesigner.Progress.NONE);
        String chart = text(d);
        double all = 0;
        for (String storey : StoreyQuantities.steel(d).keySet()) {
            double kg = StoreyQuantities.of(d).stream()
                    .filter(r -> r.storey().equals(storey))
                    .map(StoreyQuantities.Row::quantities)
                    .mapToDouble(Quantities::steel)
                    .sum();
            assertTrue(chart.contains(String.format(Locale.ROOT, "%.0f kg", kg)), storey + " in " + chart);
            assertTrue(chart.contains(storey), storey);
            all += kg;
        }
        assertEquals(d.quantities().steel(), all, 1e-6 * all);
        assertTrue(chart.contains("T10") && chart.contains("T20"), chart);
    }

    /** Names are cut between their characters, not within them. */
    @Test
    void longNamesAreCut() {
        assertEquals("Étage de l…", SteelChart.shown("Étage de la bibliothèque"));
        assertEquals("Mezzanine 2", SteelChart.shown("Mezzanine 2"));
        String wide = "𝄞".repeat(12);
        assertEquals("𝄞".repeat(10) + "…", SteelChart.shown(wide));
        assertEquals("none", SteelChart.shown(""));
    }

    @Test
    void patternsAreEnoughAndUnlike() {
        int sizes = Math.max(
                BarCatalogue.METRIC.bars().size(), BarCatalogue.US.bars().size());
        Set<String> unlike = new HashSet<>();
        SteelChart.PATTERNS.forEach(
                p -> unlike.add(p.ground() + " " + p.apart() + " " + java.util.Arrays.toString(p.angles())));
        assertEquals(SteelChart.PATTERNS.size(), unlike.size());
        assertTrue(unlike.size() >= sizes, unlike.size() + " of " + sizes);
        for (int i = 1; i < SteelChart.PATTERNS.size(); i++) {
            SteelChart.Pattern p = SteelChart.PATTERNS.get(i);
            SteelChart.Pattern before = SteelChart.PATTERNS.get(i - 1);
            assertTrue(
                    p.ground() != before.ground() || !java.util.Arrays.equals(p.angles(), before.angles()), "at " + i);
        }
    }
}
