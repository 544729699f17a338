package kolonne.server.files;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Practice;
import kolonne.core.basis.part.RoundTies;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Member;
import kolonne.core.model.Role;
import kolonne.core.model.Section;
import kolonne.core.project.ProjectData;
import kolonne.core.schedule.Scheduled;
import kolonne.core.schedule.Schedules;
import kolonne.core.shape.Shape;
import kolonne.core.work.Progress;
import kolonne.exchange.ifc.AnalysisIfc;
import kolonne.exchange.ifc.DesignIfc;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Buildings in IFC read by another program (web-ifc), which makes the solids itself: their volumes against sums from the model and the bar list. */
class IfcReadBackTest {
    private static final JsonMapper JSON = new JsonMapper();

    @TempDir
    private Path dir;

    private JsonNode facts(BuildingDesign d, boolean bars) throws IOException, InterruptedException {
        Path file = dir.resolve("building.ifc");
        try (Writer w = Files.newBufferedWriter(file, StandardCharsets.US_ASCII)) {
            DesignIfc.write(d, ProjectData.EMPTY, bars, Progress.NONE, w);
        }
        return facts(file);
    }

    private static JsonNode facts(Path file) throws IOException, InterruptedException {
        Process p = new ProcessBuilder("node", "tools/ifc-facts.mjs", file.toString())
                .directory(Path.of("../web").toFile())
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        String said = new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertEquals(0, p.waitFor(), said + " (./test installs the web's packages)");
        JsonNode facts = JSON.readTree(said.substring(said.indexOf('{')));
        assertEquals("IFC4", facts.get("schema").textValue());
        assertEquals("[]", facts.get("problems").toString());
        return facts;
    }

    private static BuildingDesign design(DemoOptions o, Basis basis) {
        return BuildingDesigner.design(
                FrameAnalysis.solve(new BuildingIndex(DemoBuilding.generate(o))),
                basis,
                BuildingDesigner.Progress.NONE);
    }

    private static Basis withoutStarters() {
        Basis b = Basis.standard(false);
        Practice p = b.practice();
        return b.with(p.with(p.columnBarsEvery(), 1, p.splices(), false));
    }

    private static void volumes(BuildingDesign d, JsonNode facts) {
        double beams = d.beams().stream()
                .flatMap(b -> b.line().spans().stream())
                .mapToDouble((BeamLine.Span s) -> s.section().shape().A() * s.clear())
                .sum();
        double columns = d.columns().stream()
                .flatMap(c -> c.stack().lifts().stream())
                .mapToDouble((ColumnStack.Lift l) ->
                        l.section().shape().A() * (l.top() - l.base() + (l.highest() ? l.inHead() : 0)))
                .sum();
        JsonNode solids = facts.get("solids");
        assertEquals(beams * 1e-9, solids.at("/IFCBEAM/volume").doubleValue(), 1e-4 * beams * 1e-9);
        // round columns become polygons
        assertEquals(columns * 1e-9, solids.at("/IFCCOLUMN/volume").doubleValue(), 5e-3 * columns * 1e-9);
        assertEquals(
                d.analysis().index().building().members().size(),
                solids.at("/IFCBEAM/number").intValue()
                        + solids.at("/IFCCOLUMN/number").intValue());
    }

    /** Every shape of section that there is. */
    @Test
    void theDemosConcrete() throws IOException, InterruptedException {
        BuildingDesign d = design(DemoOptions.VELDHAVEN, Basis.standard(false));
        JsonNode facts = facts(d, false);
        volumes(d, facts);
        for (String profile : new String[] {"RECTANGLE", "CIRCLE", "TSHAPE", "ARBITRARYCLOSED"}) {
            assertTrue(facts.at("/counts/IFC" + profile + "PROFILEDEF").intValue() > 0, profile);
        }
    }

    /** Columns round and inside spirals. */
    private static BuildingDesign wound() {
        Building b = DemoBuilding.generate(new DemoOptions(7, 1, 2, 1, false));
        List<Section> sections = new ArrayList<>(b.sections());
        sections.add(new Section("round", new Shape.Circle(600)));
        List<Member> members = b.members().stream()
                .map(m -> m.role() == Role.COLUMN ? m.withSection("round") : m)
                .toList();
        Basis basis = withoutStarters();
        return BuildingDesigner.design(
                FrameAnalysis.solve(new BuildingIndex(b.withSections(sections).withMembers(members))),
                basis.with(basis.practice().with(RoundTies.SPIRALS)),
                BuildingDesigner.Progress.NONE);
    }

    /** Round bars become polygons, which takes a twentieth of their volume; they stay inside the box about the concrete. */
    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void barsOfAFrame(boolean spirals) throws IOException, InterruptedException {
        // starter bars lie in foundations, which are not in the file
        BuildingDesign d = spirals ? wound() : design(new DemoOptions(7, 1, 2, 1, false), withoutStarters());
        JsonNode facts = facts(d, true);
        if (!spirals) {
            // concrete that is all round loses a twentieth as well
            volumes(d, facts);
        }
        double mass = 0;
        int number = 0;
        for (Schedules.BarRow r : Schedules.bars(Scheduled.of(d))) {
            mass += r.members() * r.item().mass();
            number += r.members() * r.item().number();
        }
        JsonNode bars = facts.at("/solids/IFCREINFORCINGBAR");
        assertEquals(number, bars.get("number").intValue());
        double share = bars.get("volume").doubleValue() / (mass / 7850);
        assertTrue(share > 0.93 && share < 1.0, share + " of the steel");
        for (int k = 0; k < 3; k++) {
            double least = Math.min(
                    facts.at("/solids/IFCBEAM/box/" + k).doubleValue(),
                    facts.at("/solids/IFCCOLUMN/box/" + k).doubleValue());
            double most = Math.max(
                    facts.at("/solids/IFCBEAM/box/" + (k + 3)).doubleValue(),
                    facts.at("/solids/IFCCOLUMN/box/" + (k + 3)).doubleValue());
            assertTrue(
                    bars.at("/box/" + k).doubleValue() > least - 1e-6
                            && bars.at("/box/" + (k + 3)).doubleValue() < most,
                    "axis " + k);
        }
    }

    /** The analysis view: instances as many as the model has, none that the schema does not know. */
    @Test
    void theDemosAnalysisModel() throws IOException, InterruptedException {
        Building b = DemoBuilding.generate(DemoOptions.VELDHAVEN);
        Path file = dir.resolve("analysis.ifc");
        try (Writer w = Files.newBufferedWriter(file, StandardCharsets.US_ASCII)) {
            AnalysisIfc.write(b, ProjectData.EMPTY, w);
        }
        JsonNode counts = facts(file).get("counts");
        assertEquals(b.members().size(), counts.get("IFCSTRUCTURALCURVEMEMBER").intValue());
        assertEquals(
                b.joints().size(), counts.get("IFCSTRUCTURALPOINTCONNECTION").intValue());
        assertEquals(
                2 * b.members().size(),
                counts.get("IFCRELCONNECTSSTRUCTURALMEMBER").intValue());
        assertEquals(b.loadCases().size(), counts.get("IFCSTRUCTURALLOADCASE").intValue());
        assertEquals(
                b.memberLoads().size(), counts.get("IFCSTRUCTURALCURVEACTION").intValue());
    }
}
