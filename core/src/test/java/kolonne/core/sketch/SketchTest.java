package kolonne.core.sketch;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.code.registry.Codes;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.finding.Severity;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.CaseKind;
import kolonne.core.model.LoadCase;
import kolonne.core.model.Material;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.ModelCheck;
import kolonne.core.shape.Shape;
import kolonne.core.sketch.ContinuousBeam.Kind;
import kolonne.core.sketch.ContinuousBeam.Load;
import kolonne.core.sketch.ContinuousBeam.Span;
import kolonne.core.sketch.ContinuousBeam.Stand;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Small models against tables for continuous beams and the cantilever, and through the whole design. */
class SketchTest {
    private static final Material CONCRETE = new Material("concrete", 30, 25_743, 0.2, 25e-6);
    private static final Shape RECTANGLE = new Shape.Rectangle(300, 600);
    private static final LoadCase LIVE = new LoadCase("L", "live", CaseKind.LIVE, 0);

    private static Stand stand(Kind kind) {
        return new Stand(kind, 0, 0, null, false);
    }

    private static ContinuousBeam equalSpans(int n, double length, double w, boolean pattern) {
        List<Span> spans = new ArrayList<>();
        List<Stand> stands = new ArrayList<>(List.of(stand(Kind.PINNED)));
        List<Load> loads = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            spans.add(new Span(length, RECTANGLE));
            stands.add(stand(Kind.PINNED));
            loads.add(new Load(i, "L", MemberLoad.Kind.DISTRIBUTED, 0, length, w, w));
        }
        return new ContinuousBeam(
                "beam",
                "SI",
                CONCRETE,
                spans,
                stands,
                List.of(LIVE),
                loads,
                pattern,
                Codes.usual(false).combinations());
    }

    /** Moment over the first inner support as a part of wL2: W. C. Young, Roark's Formulas; any table of equal spans. */
    @ParameterizedTest
    @CsvSource({"2, 0.125", "3, 0.1", "4, 0.107143", "5, 0.105263"})
    void equalSpansMatchTheTable(int spans, double coefficient) {
        Analysis a = FrameAnalysis.solve(
                new BuildingIndex(equalSpans(spans, 6000, 10, false).building()));
        double m = a.force(0, 0, a.stationCount(0) - 1, Analysis.MY);
        assertEquals(-coefficient * 10 * 6000 * 6000, m, 1e-4 * 10 * 6000 * 6000);
    }

    @Test
    void patternLiveGivesTheLargestSpanMoment() {
        // two equal spans, one loaded: 0.0957 wL2 in the span, instead of 0.0703 with both
        Building b = equalSpans(2, 6000, 10, true).building();
        Analysis a = FrameAnalysis.solve(new BuildingIndex(b));
        double most = 0;
        for (int k = 0; k < a.index().building().loadCases().size(); k++) {
            for (int s = 0; s < a.stationCount(0); s++) {
                most = Math.max(most, a.force(0, k, s, Analysis.MY));
            }
        }
        assertEquals(
                49.0 / 512, most / (10 * 6000.0 * 6000), 2e-4, "wL2 (7/16)2 / 2 = 0.0957 wL2 with one span loaded");
    }

    @Test
    void columnsTakeTheirShareOfTheEndMoment() {
        // symmetrical portal of one span on columns fixed at their feet: M = wL2/12 (2 / (2 + k)), k = (Ib/L)/(Ic/h)
        Shape column = new Shape.Rectangle(300, 600);
        ContinuousBeam c = new ContinuousBeam(
                "portal",
                "SI",
                CONCRETE,
                List.of(new Span(8000, RECTANGLE)),
                List.of(
                        new Stand(Kind.COLUMNS, 4000, 0, column, false),
                        new Stand(Kind.COLUMNS, 4000, 0, column, false)),
                List.of(LIVE),
                List.of(new Load(0, "L", MemberLoad.Kind.DISTRIBUTED, 0, 8000, 10, 10)),
                false,
                Codes.usual(false).combinations());
        Building b = c.building();
        Analysis a = FrameAnalysis.solve(new BuildingIndex(b));
        // the columns' width lies along the beam: I = h b3 / 12 = 600 x 300^3 / 12
        double ib = 300 * Math.pow(600, 3) / 12;
        double ic = 600 * Math.pow(300, 3) / 12;
        double k = ib / 8000 / (ic / 4000);
        double expected = 10 * 8000.0 * 8000 / 12 * 2 / (2 + k);
        int beam = a.index().memberNumber("B1");
        assertEquals(
                -expected,
                a.force(beam, 0, 0, Analysis.MY),
                0.012 * expected,
                "axial shortening of columns and beam is in ours only");
        assertEquals(List.of(), ModelCheck.run(b));
    }

    @Test
    void aColumnCarriesWhatItIsGiven() {
        SingleColumn c = new SingleColumn(
                "column",
                "SI",
                CONCRETE,
                4000,
                new Shape.Rectangle(400, 500),
                SingleColumn.End.FIXED,
                SingleColumn.End.FREE,
                List.of(LIVE),
                List.of(new SingleColumn.Load("L", 1e6, 2e4, 1e4, 0, 0, 0, 0, 5, 0)),
                Codes.usual(false).combinations());
        Analysis a = FrameAnalysis.solve(new BuildingIndex(c.building()));
        assertEquals(-1e6, a.force(0, 0, 0, Analysis.N), 1);
        // local y of the column is global X: bending along X is about local z
        double along = 2e4 * 4000 + 5 * 4000.0 * 4000 / 2;
        assertEquals(along, Math.abs(a.force(0, 0, 0, Analysis.MZ)), 1e-6 * along);
        assertEquals(1e4 * 4000, Math.abs(a.force(0, 0, 0, Analysis.MY)), 1);
    }

    @Test
    void sketchesGoThroughTheWholeDesign() {
        Shape tee = new Shape.Tee(300, 600, 1200, 150);
        LoadCase dead = new LoadCase("D", "dead", CaseKind.DEAD, 1);
        ContinuousBeam beam = new ContinuousBeam(
                "beam",
                "SI",
                CONCRETE,
                List.of(new Span(7000, tee), new Span(7000, tee), new Span(2000, tee)),
                List.of(
                        stand(Kind.PINNED),
                        new Stand(Kind.COLUMNS, 3500, 3500, new Shape.Circle(450), false),
                        stand(Kind.PINNED),
                        stand(Kind.FREE)),
                List.of(dead, LIVE),
                List.of(
                        new Load(0, "L", MemberLoad.Kind.DISTRIBUTED, 1000, 5000, 10, 30),
                        new Load(1, "L", MemberLoad.Kind.POINT, 3000, 3000, 80_000, 0),
                        new Load(2, "D", MemberLoad.Kind.MOMENT, 1000, 1000, 2e7, 0)),
                true,
                Codes.of("en-1992-1-1").combinations());
        SingleColumn column = new SingleColumn(
                "column",
                "SI",
                CONCRETE,
                4000,
                new Shape.Circle(450),
                SingleColumn.End.PINNED,
                SingleColumn.End.PINNED,
                List.of(dead, LIVE),
                List.of(new SingleColumn.Load("L", 9e5, 0, 0, 2e7, 3e7, 0, 0, 0, 0)),
                Codes.of("en-1992-1-1").combinations());
        for (Building b : List.of(beam.building(), column.building())) {
            assertTrue(
                    ModelCheck.run(b).stream().noneMatch(f -> f.severity() == Severity.FAILS),
                    ModelCheck.run(b).toString());
            BuildingDesign d = BuildingDesigner.design(
                    FrameAnalysis.solve(new BuildingIndex(b)), Basis.standard(false), (done, total) -> {});
            assertEquals(
                    b.members().stream().filter(m -> m.id().startsWith("B")).count() > 0 ? 1 : 0,
                    d.beams().size());
            assertTrue(d.beams().size() + d.columns().size() > 0);
            d.beams().forEach(q -> assertTrue(q.governing().utilisation() > 0));
            d.columns().forEach(q -> assertTrue(q.governing().utilisation() > 0));
        }
    }
}
