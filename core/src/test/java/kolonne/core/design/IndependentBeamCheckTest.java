package kolonne.core.design;

import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.LongStream;
import kolonne.core.Sweep;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.demand.Demands;
import kolonne.core.demo.DemoOptions;
import kolonne.core.model.Purpose;
import kolonne.core.shape.Shape;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Every satisfied beam line checked again by formulas written out here, from cage and combinations alone: ACI 318M-19 in its
 * plain textbook form, singly reinforced, without the code's classes. What the design counts beyond that (compression
 * bars, partly developed bars) is worth a few per cent, hence the slack.
 */
class IndependentBeamCheckTest {
    private static final double SLACK = 1.04;
    private static final double FY = 420;

    private Demands demands;

    /** Whole buildings: one in every run, more in the long one. */
    static LongStream seeds() {
        return LongStream.of(7, 11, 23).limit(Sweep.of(1, 3));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void everySatisfiedLineHolds(long seed) {
        DemoOptions middle = DesignedDemo.MIDDLE;
        DemoOptions options = new DemoOptions(
                seed, Sweep.of(middle.storeys(), 6), Sweep.of(middle.baysX(), 6), Sweep.of(middle.baysY(), 4), true);
        BuildingDesign d = DesignedDemo.by(options, Basis.standard(false));
        demands = new Demands(d.analysis(), Purpose.STRENGTH);
        List<String> wrong = new ArrayList<>();
        int checked = 0;
        for (BeamDesign b : d.beams()) {
            if (!b.satisfied()) {
                continue;
            }
            checked++;
            for (BeamLine.Station s : b.line().stations()) {
                shear(b, s, wrong);
                flexure(b, s, wrong);
            }
            stirrups(b, wrong);
        }
        assertTrue(checked > Sweep.of(50, 150), checked + " lines");
        assertTrue(
                wrong.isEmpty(),
                wrong.size() + " places: " + wrong.stream().limit(8).toList());
    }

    private double offset(BeamDesign b, double x, BeamCage.Face face) {
        double area = 0;
        double moment = 0;
        for (BeamCage.Group g : b.cage().groups()) {
            if (g.face() == face && x >= g.from() - 1e-6 && x <= g.to() + 1e-6) {
                area += g.count() * g.bar().area();
                moment += g.count() * g.bar().area() * g.offset();
            }
        }
        return moment / area;
    }

    private void shear(BeamDesign b, BeamLine.Station s, List<String> wrong) {
        BeamLine.Span span = b.line().spans().get(s.span());
        double h = span.shape().depth();
        double d = h - Math.max(offset(b, s.x(), BeamCage.Face.TOP), offset(b, s.x(), BeamCage.Face.BOTTOM));
        boolean inside = s.x() < span.faceFrom() - 6 || s.x() > span.faceTo() + 6;
        if (inside || near(b, s, span, d)) {
            return;
        }
        double strongest = 0;
        for (BeamCage.Zone z : b.cage().zones()) {
            if (z.span() == s.span() && s.x() >= z.from() - 1e-6 && s.x() <= z.to() + 1e-6) {
                strongest = Math.max(strongest, z.legs() * z.bar().area() / z.spacing());
            }
        }
        double bw = span.shape().webWidth();
        double root = Math.sqrt(span.material().fc());
        double vs = Math.min(strongest * FY * d, 0.66 * root * bw * d);
        double vn = 0.75 * (0.17 * root * bw * d + vs);
        for (int c = 0; c < demands.count(); c++) {
            double v = Math.abs(demands.at(s.memberNumber(), s.station(), c, Analysis.VZ));
            if (v > vn * SLACK) {
                wrong.add(b.line().mark() + " shear at " + s.x() + ": " + v + " > " + vn);
                return;
            }
        }
    }

    /** Within the depth of a column's face the shear at d counts (9.4.3.2). */
    private static boolean near(BeamDesign b, BeamLine.Station s, BeamLine.Span span, double d) {
        boolean left =
                b.line().supports().get(s.span()).kind() == BeamLine.SupportKind.COLUMN && s.x() < span.faceFrom() + d;
        boolean right = b.line().supports().get(s.span() + 1).kind() == BeamLine.SupportKind.COLUMN
                && s.x() > span.faceTo() - d;
        return left || right;
    }

    private void flexure(BeamDesign b, BeamLine.Station s, List<String> wrong) {
        BeamLine.Span span = b.line().spans().get(s.span());
        double high = 0;
        double low = 0;
        for (int c = 0; c < demands.count(); c++) {
            double m = demands.at(s.memberNumber(), s.station(), c, Analysis.MY);
            high = Math.max(high, m);
            low = Math.min(low, m);
        }
        one(b, s, span, high, BeamCage.Face.BOTTOM, wrong);
        one(b, s, span, -low, BeamCage.Face.TOP, wrong);
    }

    private void one(
            BeamDesign b, BeamLine.Station s, BeamLine.Span span, double mu, BeamCage.Face face, List<String> wrong) {
        Shape shape = span.shape();
        double least = 1e-4 * span.material().fc() * shape.webWidth() * shape.depth() * shape.depth();
        if (mu <= least || shape.depth() < 450) { // in shallow beams the bars of the other face work in tension too
            return;
        }
        double as = 0;
        for (BeamCage.Group g : b.cage().groups()) {
            if (g.face() == face && s.x() >= g.from() - 1e-6 && s.x() <= g.to() + 1e-6) {
                as += g.count() * g.bar().area();
            }
        }
        double other = 0;
        BeamCage.Face opposite = face == BeamCage.Face.TOP ? BeamCage.Face.BOTTOM : BeamCage.Face.TOP;
        for (BeamCage.Group g : b.cage().groups()) {
            if (g.face() == opposite && s.x() >= g.from() - 1e-6 && s.x() <= g.to() + 1e-6) {
                other += g.count() * g.bar().area();
            }
        }
        double d = shape.depth() - offset(b, s.x(), face);
        double width = face == BeamCage.Face.BOTTOM ? shape.width() : shape.webWidth();
        double a = as * FY / (0.85 * span.material().fc() * width);
        double single = 0.9 * as * FY * (d - a / 2);
        // bars of the other face shift the block towards their own depth at the most: an upper bound of their help
        double doubly = 0.9 * as * FY * (d - Math.min(a / 2, offset(b, s.x(), opposite)));
        // 0.27 times as many raise a strength by 6 % where the block is deep
        double mn = other > 0.25 * as ? Math.max(single, doubly) : single;
        // bars of the other face below a shallow block work in tension too, which this form leaves out
        if (mu > mn * (other > as || width > 1.5 * shape.webWidth() ? 1.10 : SLACK)) {
            wrong.add(b.line().mark() + " " + face + " at " + s.x() + ": " + mu / 1e6 + " > " + mn / 1e6);
        }
    }

    private static void stirrups(BeamDesign b, List<String> wrong) {
        for (BeamLine.Span span : b.line().spans()) {
            double end = span.faceFrom();
            int zones = 0;
            for (BeamCage.Zone z : b.cage().zones()) {
                if (z.span() != span.number()) {
                    continue;
                }
                zones++;
                boolean joined = Math.abs(z.from() - end) < 1e-6;
                boolean practical = z.spacing() >= 75 && z.spacing() <= 300 && z.spacing() % 25 == 0;
                double least = Math.max(0.062 * Math.sqrt(span.material().fc()), 0.35)
                        * span.shape().webWidth()
                        / FY;
                if (!joined
                        || !practical
                        || z.legs() * z.bar().area() / z.spacing() < least * (1 - 1e-9)
                        || z.spacing() > (span.shape().depth() - 40) / 2) {
                    wrong.add(b.line().mark() + " zone " + z);
                }
                end = z.to();
            }
            if (zones < 1 || zones > 3 || Math.abs(end - span.faceTo()) > 1e-6) {
                wrong.add(b.line().mark() + " zones of span " + span.number());
            }
        }
    }
}
