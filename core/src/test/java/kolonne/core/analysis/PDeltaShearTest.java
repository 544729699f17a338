package kolonne.core.analysis;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import kolonne.core.model.AnalysisOptions;
import kolonne.core.model.CaseKind;
import kolonne.core.model.Combination;
import kolonne.core.model.Diaphragm;
import kolonne.core.model.JointLoad;
import kolonne.core.model.LoadCase;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.StiffnessFactors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Second order with shear deformation: one member against the same column in 32 pieces. */
class PDeltaShearTest {
    private static ModelBuilder column(int pieces, double height, double p) {
        ModelBuilder b =
                new ModelBuilder().section("S", 800, 800).joint("J0", 0, 0, 0).fixed("J0");
        for (int i = 1; i <= pieces; i++) {
            b.joint("J" + i, 0, 0, height * i / pieces).column("c" + i, "J" + (i - 1), "J" + i);
        }
        b.options = new AnalysisOptions(
                true, StiffnessFactors.GROSS, StiffnessFactors.GROSS, 0, List.of(new Combination.Term("P", 1)), false);
        return b.push("J" + pieces, 200e3, 0, -p);
    }

    /**
     * A stocky column of 3 m at 7, 21 and 43 % of its critical load: the moment at mid-height. What is left is the error of the end moments, of
     * the cubic in the geometric stiffness.
     */
    @ParameterizedTest(name = "P {0} kN")
    @CsvSource({"20000, 1e-5", "60000, 2e-4", "120000, 2e-3"})
    void momentsBetweenTheEndsHaveTheDeflectionOfShear(double kilonewtons, double tolerance) {
        Analysis one = column(1, 3000, kilonewtons * 1e3).solve();
        Analysis many = column(32, 3000, kilonewtons * 1e3).solve();
        int middle = middle(one);
        double exact = many.force(15, 0, many.stationCount(15) - 1, Analysis.MZ);
        assertEquals(exact, one.force(0, 0, middle, Analysis.MZ), tolerance * Math.abs(exact));
    }

    /**
     * Pinned strut under a spread load, closed form with shear: M = s w / k² (1 / cos(kL/2) − 1), s = 1 / (1 − P/GAs), k² = s P / EI
     * (Timoshenko and Gere 1.3); a pull takes cosh.
     */
    @ParameterizedTest(name = "P {0} kN")
    @CsvSource({"3000, false", "3000, true", "-3000, true", "9000, true"})
    void loadsBetweenTheEndsAreMagnified(double kilonewtons, boolean shear) {
        ModelBuilder b = new ModelBuilder()
                .section("S", 400, 400)
                .joint("A", 0, 0, 0)
                .joint("B", 6000, 0, 0)
                .beam("m", "A", "B")
                .spread("m", 0, 6000, 20, 20);
        b.supports.add(new kolonne.core.model.Support("A", true, true, true, true, false, true));
        b.supports.add(new kolonne.core.model.Support("B", false, true, true, false, false, false));
        double p = kilonewtons * 1e3;
        b.push("B", -p, 0, 0);
        b.options = new AnalysisOptions(
                shear, StiffnessFactors.GROSS, StiffnessFactors.GROSS, 0, List.of(new Combination.Term("P", 1)), false);
        Analysis a = b.solve();
        double ei = ModelBuilder.E * Math.pow(400, 4) / 12;
        double s = shear ? 1 / (1 - p / (ModelBuilder.E / 2.4 * 160_000 * 5 / 6)) : 1;
        double k = Math.sqrt(s * Math.abs(p) / ei);
        double exact = s * 20 / (k * k) * (p > 0 ? 1 / Math.cos(k * 3000) - 1 : 1 - 1 / Math.cosh(k * 3000));
        double most = 0;
        for (int i = 0; i < a.stationCount(0); i++) {
            most = Math.max(most, a.force(0, 0, i, Analysis.MY));
        }
        assertEquals(exact, most, 1e-4 * exact);
    }

    private static int middle(Analysis a) {
        for (int s = 0; s < a.stationCount(0); s++) {
            if (Math.abs(a.stationX(0, s) - 1500) < 1) {
                return s;
            }
        }
        throw new AssertionError("no station in the middle");
    }

    /** A load on a joint without members moves the rigid floor that it belongs to: the centre of mass. */
    @Test
    void theCentreOfMassPushesItsFloor() {
        ModelBuilder at = frame();
        at.jointLoads.add(new JointLoad("P", "B", 12e3, 0, 0, 0, 0, 12e3 * 1500));
        ModelBuilder mass = frame().joint("mass", 3000, -1500, 4000);
        mass.diaphragms.set(0, new Diaphragm("D", List.of("B", "D", "mass")));
        mass.jointLoads.add(new JointLoad("P", "mass", 12e3, 0, 0, 0, 0, 0));
        Analysis a = at.solve();
        Analysis b = mass.solve();
        for (int m = 0; m < 3; m++) {
            for (int k = 0; k < 6; k++) {
                assertEquals(a.force(m, 0, 0, k), b.force(m, 0, 0, k), 1e-3 * 12e3);
            }
        }
        assertEquals(-12e3, b.reaction(0, 0, 0) + b.reaction(0, 2, 0), 1e-3);
    }

    private static ModelBuilder frame() {
        ModelBuilder b = new ModelBuilder()
                .section("S", 400, 400)
                .joint("A", 0, 0, 0)
                .joint("B", 0, 0, 4000)
                .joint("C", 6000, 0, 0)
                .joint("D", 6000, 0, 4000)
                .column("c1", "A", "B")
                .column("c2", "C", "D")
                .beam("b", "B", "D")
                .fixed("A")
                .fixed("C");
        b.diaphragms.add(new Diaphragm("D", List.of("B", "D")));
        b.cases.set(0, new LoadCase("P", "wind", CaseKind.WIND, 0));
        return b;
    }
}
