package kolonne.core.demo;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import kolonne.core.finding.Severity;
import kolonne.core.model.Building;
import kolonne.core.model.Joint;
import kolonne.core.model.Material;
import kolonne.core.model.ModelCheck;
import kolonne.core.model.Section;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;

/** The demo building in US customary units is set out in feet and inches, and is a whole building. */
class CustomaryDemoTest {
    private static final Building US = DemoBuilding.customary(DemoOptions.VELDHAVEN);

    private static void whole(double value, double unit, String what) {
        assertEquals(Math.rint(value / unit), value / unit, 1e-9, what);
    }

    @Test
    void everyJointLiesOnWholeFeetAndEverySectionOnWholeInches() {
        for (Joint j : US.joints()) {
            for (double c : List.of(j.x(), j.y(), j.z())) {
                whole(c, 304.8, j.id());
            }
        }
        for (Section s : US.sections()) {
            Shape shape = s.shape();
            whole(shape.depth(), 25.4, s.id());
            whole(shape.webWidth(), 25.4, s.id());
            assertTrue(s.id().matches("[RTLD]\\d+(x\\d+)?"), s.id());
        }
    }

    @Test
    void concretesAreThoseOfTheTradeWithTheirOwnModulus() {
        Material c = US.materials().get(0);
        assertEquals("C5000", c.id());
        assertEquals(34.47, c.fc(), 0.01);
        // 57 000 sqrt(5000) psi = 4030 ksi
        assertEquals(4030.5, c.E() / 6.894757, 0.1);
    }

    @Test
    void nothingIsWrongWithIt() {
        assertEquals("US", US.unitSystem());
        assertEquals(961, US.members().size());
        assertEquals(
                List.of(),
                ModelCheck.run(US).stream()
                        .filter(f -> f.severity() == Severity.FAILS)
                        .toList());
    }
}
