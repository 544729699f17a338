package kolonne.core.beam;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.code.Bar;
import kolonne.core.code.DesignCode;
import kolonne.core.code.ShearInput;
import kolonne.core.code.ShearStrength;
import kolonne.core.code.SpacingLimits;
import kolonne.core.explain.Trace;

/**
 * Chooses stirrups of a span: bar, legs and at most three zones of spacing. The smallest bar is tried first, then more
 * legs, then the next bar; the first whose closest spacing is practical is taken, with the zone ends that need the fewest
 * stirrups. Where none is practical the strongest is taken, and the check says so.
 */
final class StirrupChoice {
    private static final double SAME_PLACE = 1;

    private final BeamLine.Span span;
    private final List<BeamShearCheck.Demand> demands;
    private final Basis basis;
    private final DesignCode code;
    private final double d;
    private final double bw;
    private final double fc;

    StirrupChoice(BeamLine.Span span, BeamContext context, double d, List<BeamShearCheck.Demand> ofTheLine) {
        this.span = span;
        this.basis = context.basis();
        this.code = basis.designCode();
        this.d = d;
        bw = span.section().shape().webWidth();
        fc = span.material().fc();
        demands = ofTheLine.stream().filter(q -> q.span() == span.number()).toList();
    }

    List<BeamCage.Zone> choose() {
        List<BeamCage.Zone> strongest = null;
        for (Bar bar : basis.stirrupList()) {
            for (int legs = leastLegs(bar); legs <= Math.max(leastLegs(bar), basis.legsMost()); legs++) {
                double[] spacing = spacings(bar, legs);
                double closest = java.util.Arrays.stream(spacing).min().orElse(basis.spacingMost());
                if (closest >= basis.spacingLeast()) {
                    return zones(bar, legs, spacing);
                }
                for (int i = 0; i < spacing.length; i++) {
                    spacing[i] = Math.max(spacing[i], basis.spacingLeast());
                }
                strongest = zones(bar, legs, spacing);
            }
        }
        return strongest;
    }

    /** Legs that the transverse spacing asks for where the shear is highest. */
    private int leastLegs(Bar bar) {
        double worst = demands.stream().mapToDouble(BeamShearCheck.Demand::v).max().orElse(0);
        ShearStrength s = strength(1);
        SpacingLimits limits = code.beamStirrupSpacing(d, worst - s.concrete() > 0.5 * (s.limit() - s.concrete()));
        double width = bw - 2 * basis.beamCover() - bar.diameter();
        return Math.max(2, (int) Math.ceil(width / limits.across() - 1e-9) + 1);
    }

    private ShearStrength strength(double avs) {
        return code.shear(new ShearInput(fc, basis.fyt(), bw, d, bw * d, 0.01, avs, 0), Trace.OFF);
    }

    /** Spacing that each demand allows, in the basis's step [mm]; below the practical minimum where none serves. */
    private double[] spacings(Bar bar, int legs) {
        double area = legs * bar.area();
        ShearStrength unit = strength(1);
        double minimum = area / unit.minimumAvs();
        ShearStrength strong = strength(10 * unit.minimumAvs());
        double perAvs = unitStirrupStrength();
        double[] out = new double[demands.size()];
        for (int i = 0; i < out.length; i++) {
            double needed = demands.get(i).v() - strong.concrete();
            SpacingLimits limits = code.beamStirrupSpacing(d, needed > 0.5 * (strong.limit() - strong.concrete()));
            double s = Math.min(Math.min(minimum, limits.along()), basis.spacingMost());
            if (needed > 0) {
                s = Math.min(s, area * perAvs / needed);
            }
            out[i] = Math.floor(s / basis.spacingStep() + 1e-9) * basis.spacingStep();
        }
        return out;
    }

    /** Design strength of stirrups per Av/s [N per mm2/mm], from the code's own function. */
    private double unitStirrupStrength() {
        double minimum = strength(1).minimumAvs();
        ShearStrength a = strength(minimum);
        ShearStrength b = strength(1.5 * minimum);
        return (b.total() - a.total()) / (0.5 * minimum);
    }

    private List<BeamCage.Zone> zones(Bar bar, int legs, double[] spacing) {
        int n = spacing.length;
        double from = span.faceFrom();
        double to = span.faceTo();
        double all = java.util.Arrays.stream(spacing).min().orElse(basis.spacingMost());
        List<BeamCage.Zone> best = List.of(new BeamCage.Zone(span.number(), from, to, bar, legs, all));
        int fewest = best.get(0).count();
        if (basis.zonesMost() < 3 || n < 4) {
            return basis.zonesMost() == 2 && n >= 3 ? two(bar, legs, spacing, best) : best;
        }
        for (int i = 1; i < n - 1; i++) {
            for (int j = i; j < n - 1; j++) {
                if (demands.get(i).x() - from < 300 || to - demands.get(j).x() < 300
                    || demands.get(j).x() - demands.get(i).x() < 300) {
                    continue;
                }
                List<BeamCage.Zone> z = merged(bar, legs, new double[] {from, demands.get(i).x(), demands.get(j).x(), to},
                    new double[] {least(spacing, 0, i), least(spacing, i, j), least(spacing, j, n - 1)});
                int count = z.stream().mapToInt(BeamCage.Zone::count).sum();
                if (count < fewest) {
                    fewest = count;
                    best = z;
                }
            }
        }
        return best;
    }

    private List<BeamCage.Zone> two(Bar bar, int legs, double[] spacing, List<BeamCage.Zone> single) {
        List<BeamCage.Zone> best = single;
        int fewest = single.get(0).count();
        for (int i = 1; i < spacing.length - 1; i++) {
            List<BeamCage.Zone> z = merged(bar, legs, new double[] {span.faceFrom(), demands.get(i).x(), span.faceTo()},
                new double[] {least(spacing, 0, i), least(spacing, i, spacing.length - 1)});
            int count = z.stream().mapToInt(BeamCage.Zone::count).sum();
            if (count < fewest) {
                fewest = count;
                best = z;
            }
        }
        return best;
    }

    /** Least spacing from one demand to another, and of demands at the very same places (either side of a joint). */
    private double least(double[] s, int from, int to) {
        double out = Double.POSITIVE_INFINITY;
        for (int i = 0; i < s.length; i++) {
            double x = demands.get(i).x();
            if (x >= demands.get(from).x() - SAME_PLACE && x <= demands.get(to).x() + SAME_PLACE) {
                out = Math.min(out, s[i]);
            }
        }
        return out;
    }

    private List<BeamCage.Zone> merged(Bar bar, int legs, double[] ends, double[] spacing) {
        List<BeamCage.Zone> out = new ArrayList<>();
        double from = ends[0];
        for (int k = 0; k < spacing.length; k++) {
            if (k + 1 < spacing.length && spacing[k + 1] == spacing[k]) {
                continue;
            }
            out.add(new BeamCage.Zone(span.number(), from, ends[k + 1], bar, legs, spacing[k]));
            from = ends[k + 1];
        }
        return out;
    }
}
