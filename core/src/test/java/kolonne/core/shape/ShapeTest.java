package kolonne.core.shape;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

/** Gross properties against formulas written out by hand, and known torsion constants. */
class ShapeTest {
    @Test
    void aTeeIsItsWebAndFlange() {
        Shape s = new Shape.Tee(300, 600, 1200, 150);
        assertEquals(300 * 450 + 1200 * 150, s.A(), 1e-6);
        double zc = (300 * 450 * 225.0 + 1200 * 150 * 525.0) / s.A();
        assertEquals(zc, s.centroid(), 1e-9);
        double iy = 300 * Math.pow(450, 3) / 12
                + 300 * 450 * Math.pow(225 - zc, 2)
                + 1200 * Math.pow(150, 3) / 12
                + 1200 * 150 * Math.pow(525 - zc, 2);
        assertEquals(iy, s.Iy(), 1e-6 * iy);
    }

    @Test
    void anEllBendsAboutItsOwnVerticalAxis() {
        Shape s = new Shape.Ell(300, 600, 800, 150);
        double yc = (300 * 450 * 150.0 + 800 * 150 * 400.0) / s.A();
        double iz = 450 * Math.pow(300, 3) / 12
                + 300 * 450 * Math.pow(150 - yc, 2)
                + 150 * Math.pow(800, 3) / 12
                + 800 * 150 * Math.pow(400 - yc, 2);
        assertEquals(iz, s.Iz(), 1e-6 * iz);
    }

    /** S. Timoshenko, J. Goodier, Theory of Elasticity, table 1: 0.141 a^4 for a square, 0.229 a b^3 for 2 to 1 (3 digits). */
    @Test
    void torsionConstantsMatchTheTable() {
        assertEquals(0.141, Shape.rectangleJ(1, 1), 0.001);
        assertEquals(0.229 * 2, Shape.rectangleJ(2, 1), 0.002);
        assertEquals(0.281 * 4, Shape.rectangleJ(1, 4), 0.004);
    }

    @Test
    void aCircleCutIntoStripsKeepsItsArea() {
        Shape s = new Shape.Circle(500);
        assertEquals(
                s.A(),
                s.strips().stream()
                        .mapToDouble(t -> t.width() * (t.to() - t.from()))
                        .sum(),
                1e-6 * s.A());
    }

    @Test
    void labelsInEitherUnitWithoutZerosAtTheEnd() {
        assertEquals("300 × 600", new Shape.Rectangle(300, 600).label(false));
        assertEquals(
                "300 × 600",
                new Shape.Rectangle(300 + 1e-9, 600).label(),
                "what a conversion leaves behind is no size");
        assertEquals("304.8 × 610", new Shape.Rectangle(304.8, 610).label());
        assertEquals("12 × 20.5 in", new Shape.Rectangle(304.8, 520.7).label(true));
        assertEquals("T 12 × 24 in", new Shape.Tee(304.8, 609.6, 1200, 150).label(true));
        assertEquals("L 300 × 600", new Shape.Ell(300, 600, 800, 150).label(false));
        assertEquals("Ø 100 in", new Shape.Circle(2540).label(true));
    }
}
