package kolonne.core.beam.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Map;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.check.CheckResult;
import kolonne.core.code.FlangeShear;
import kolonne.core.code.en1992.En1992;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Section;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;

/** Shear between web and flange, EN 1992-1-1 6.2.4, against the same worked by hand. */
class FlangeShearTest {
    private static BeamDesign design(double w, String code) {
        ModelBuilder b = ModelBuilder.span(8000).spread("m", 0, 8000, w, w);
        b.sections.add(new Section("S", new Shape.Tee(300, 650, 1500, 120)));
        Analysis a = b.solve();
        return BeamDesigner.design(BeamLines.find(a).get(0), BeamContext.of(a, Basis.standard(code)));
    }

    /** M = w x (L − x) / 2 at the last station within 2 m; z = 0.9 (650 − 35); a flange of 600 of 1500 mm; hf 120. */
    @Test
    void theStressIsTheChangeOfTheFlangeForceOverHalfTheShearSpan() {
        BeamDesign d = design(60, "en-1992-1-1");
        CheckResult c = d.checks().stream()
                .filter(q -> q.kind().id().equals("flange-shear"))
                .findFirst()
                .orElseThrow();
        double x = d.profile().stream()
                .mapToDouble(BeamDesign.Point::x)
                .filter(q -> q <= 2000 + 1e-6)
                .max()
                .orElseThrow();
        double force = 60 * x * (8000 - x) / 2 / (0.9 * 615) * 600 / 1500;
        assertEquals(force / (120 * x), c.demand(), 1e-6 * c.demand());
        assertEquals(0.5 * 0.6 * (1 - 30 / 250.0) * 20, c.capacity(), 1e-9); // ν fcd / 2
    }

    @Test
    void barsInTheSlabAreAskedForOnlyAboveFourTenthsOfTheTensileStrength() {
        assertTrue(design(60, "en-1992-1-1").findings().stream()
                .anyMatch(f -> f.code().equals("flange.bars")));
        assertTrue(design(8, "en-1992-1-1").findings().stream()
                .noneMatch(f -> f.code().equals("flange.bars")));
        assertTrue(design(60, "aci-318m-19").checks().stream()
                .noneMatch(q -> q.kind().id().equals("flange-shear")));
    }

    /** vEd = 2 MPa, hf = 150, C30: sin 2θ = 4 / (0.528 · 20) gives cot θ = 4.98, at most 2: 2 · 150 / (434.8 · 2) = 0.345 mm²/mm; near the limit cot θ → 1. */
    @Test
    void steelAcrossTheWeb() {
        FlangeShear r = En1992.of(Map.of()).flangeShear().orElseThrow();
        assertEquals(0.345, r.steel(2, 150, 30, 500), 1e-3);
        assertEquals(r.limit(30) * 150 / (500 / 1.15), r.steel(r.limit(30), 150, 30, 500), 1e-3);
        assertEquals(0.4 * 2.0 / 1.5, r.without(30), 0.02);
    }
}
