package kolonne.exchange.bending;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringWriter;
import java.util.List;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.model.BuildingIndex;
import kolonne.core.schedule.Scheduled;
import kolonne.core.schedule.Schedules;
import org.junit.jupiter.api.Test;

/** Files of bending data against the bar list, and lengths worked out from what stands in them. */
class BendingDataTest {
    private static final BuildingDesign DESIGN = BuildingDesigner.design(
            FrameAnalysis.solve(new BuildingIndex(DemoBuilding.generate(new DemoOptions(7, 1, 2, 1, false)))),
            Basis.standard(false),
            BuildingDesigner.Progress.NONE);

    @Test
    void jsonHoldsTheBarList() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        BendingData.json(DESIGN, out);
        JsonNode bars = new JsonMapper().readTree(out.toByteArray()).get("bars");
        List<Schedules.BarRow> rows = Schedules.bars(Scheduled.of(DESIGN));
        assertEquals(rows.size(), bars.size());
        double mass = 0;
        for (JsonNode b : bars) {
            double length = 0;
            for (JsonNode s : b.get("steps")) {
                double middle = s.path("insideRadiusMm").asDouble()
                        + b.get("diameterMm").doubleValue() / 2;
                length += s.get("straightMm").doubleValue()
                        + Math.toRadians(s.path("bendDegrees").asDouble()) * middle;
            }
            assertEquals(b.get("cutLengthMm").doubleValue(), length, 8, b.toString());
            assertEquals(
                    b.get("number").intValue() * b.get("members").intValue(),
                    b.get("total").intValue());
            mass += b.get("massKg").doubleValue();
        }
        double listed = Schedules.totals(rows).stream()
                .mapToDouble(Schedules.SizeTotal::mass)
                .sum();
        assertEquals(listed, mass, 0.05 * rows.size(), "each rounded to a tenth");
    }

    @Test
    void csvHoldsTheSame() throws IOException {
        StringWriter w = new StringWriter();
        BendingData.csv(DESIGN, w);
        List<String> lines = w.toString().lines().toList();
        assertTrue(lines.get(0).startsWith("\uFEFFmember,mark,number"));
        assertEquals(Schedules.bars(Scheduled.of(DESIGN)).size(), lines.size() - 1);
        String stirrup =
                lines.stream().filter(l -> l.contains(",51,")).findFirst().orElseThrow();
        assertTrue(
                stirrup.matches(".*,s75 b135r20 s[\\d.]+ b90r20 s[\\d.]+ b90r20 s[\\d.]+ b90r20 s[\\d.]+ b135r20 s75,"),
                stirrup);
    }
}
