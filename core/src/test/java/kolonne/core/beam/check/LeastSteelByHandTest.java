package kolonne.core.beam.check;

import static kolonne.core.beam.cage.BeamCage.Face.BOTTOM;
import static kolonne.core.beam.cage.BeamCage.Face.TOP;
import static kolonne.core.beam.check.LaidByHand.T10;
import static kolonne.core.beam.check.LaidByHand.T20;
import static org.junit.jupiter.api.Assertions.assertEquals;

import kolonne.core.basis.Basis;
import kolonne.core.check.CheckResult;
import kolonne.core.model.ModelBuilder;
import kolonne.core.model.Section;
import kolonne.core.shape.Shape;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Least steel of flanged beams (ACI 318-19 9.6.1.2): 1.4 / 420 bw d, where bw of a statically determinate beam with its flange in tension is the lesser of the flange and twice the web.
 * Webs of 300 with six T20 of each face at 540; flanges of 900 or 500.
 */
class LeastSteelByHandTest {
    @ParameterizedTest
    @CsvSource({
        "tee, 900, cantilever, minimum-top, 600",
        "tee, 500, cantilever, minimum-top, 500",
        "tee, 900, two, minimum-top, 300",
        "tee, 900, one, minimum-bottom, 300",
        "inverted, 900, one, minimum-bottom, 600",
        "inverted, 500, one, minimum-bottom, 500",
        "inverted, 900, two, minimum-bottom, 300",
        "inverted, 900, cantilever, minimum-top, 300",
    })
    void flangesInTension(String shape, double flange, String line, String kind, double width) {
        double w = line.equals("cantilever") ? 12 : 50;
        ModelBuilder m = line.equals("two")
                ? ModelBuilder.twoSpans(6000, 6000).spread("m1", 0, 6000, w, w).spread("m2", 0, 6000, w, w)
                : ModelBuilder.span(6000).spread("m", 0, 6000, w, w);
        if (line.equals("cantilever")) {
            m.supports.clear();
            m.fixed("A");
        }
        m.sections.clear();
        m.sections.add(new Section(
                "S",
                shape.equals("tee")
                        ? new Shape.Tee(300, 600, flange, 150)
                        : new Shape.InvertedTee(300, 600, flange, 150)));
        LaidByHand l = new LaidByHand(m, Basis.standard("aci-318m-19"))
                .through(TOP, 6, T20, 60)
                .through(BOTTOM, 6, T20, 60);
        l.line.spans().forEach(s -> l.zone(s.number(), s.faceFrom(), s.faceTo(), T10, 2, 150));
        CheckResult c = l.told().of(kind);
        double least = 1.4 / 420 * width * 540;
        assertEquals(least, c.demand(), 1e-6 * least);
        assertEquals(6 * T20.area(), c.capacity(), 1e-6);
        assertEquals(least / (6 * T20.area()), c.utilisation(), 1e-6);
    }
}
