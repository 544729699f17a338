package kolonne.core.beam;

import java.util.List;
import java.util.Optional;
import kolonne.core.basis.Basis;
import kolonne.core.check.CheckResult;
import kolonne.core.check.Governing;
import kolonne.core.code.FlangeShear;
import kolonne.core.explain.Quantity;
import kolonne.core.finding.Cause;
import kolonne.core.finding.Finding;
import kolonne.core.section.Shape;

/**
 * Shear between web and flange where the flange is in compression: the change of its force over half the length between the places of no
 * and of greatest sagging moment (EN 1992-1-1 6.2.4(3)).
 */
final class FlangeShearCheck {
    /** Lever of the section over its depth to the bars. */
    private static final double LEVER = 0.9;

    private FlangeShearCheck() {}

    /** The largest stress of a span [MPa] and its place [mm]. */
    private record Stress(double v, double x) {}

    static void run(BeamLine line, BeamContext context, Governing governing, List<BeamDesign.Point> profile, FlangeShear rules) {
        for (BeamLine.Span s : line.spans()) {
            Stress v = stress(line, s, profile, context.basis());
            double limit = rules.limit(s.material().fc());
            if (v.v() > 0 && governing.governs("flange-shear", v.v() / limit)) {
                governing.add(new CheckResult("flange-shear", "Shear between web and flange", Cause.SHEAR_LIMIT, v.v(), limit, Quantity.STRESS, v.v() / limit, "",
                    BeamCheck.place(line, v.x(), s.number(), context), v.x(), s.number(), -1, rules.clause()));
            }
        }
    }

    /** A note for the span whose slab needs most bars across the web. */
    static Optional<Finding> note(BeamLine line, BeamContext context, List<BeamDesign.Point> profile, FlangeShear rules) {
        double most = 0;
        BeamLine.Span at = null;
        for (BeamLine.Span s : line.spans()) {
            double v = stress(line, s, profile, context.basis()).v();
            double steel = v > rules.without(s.material().fc()) ? rules.steel(v, s.shape().flangeDepth(), s.material().fc(), context.basis().fy()) : 0;
            if (steel > most) {
                most = steel;
                at = s;
            }
        }
        double needed = most;
        return Optional.ofNullable(at).map(s -> Finding.note("flange.bars", line.mark() + ", span " + (s.number() + 1), "The slab needs bars across the web for the shear between "
            + "web and flange: " + Quantity.AREA_PER_LENGTH.text(needed, context.basis().usUnits()) + ", or half of that besides the bars of its own bending if that is more ("
            + rules.clause() + ").", "Place them in the slab across the web, towards the ends of the span."));
    }

    private static Stress stress(BeamLine line, BeamLine.Span s, List<BeamDesign.Point> profile, Basis basis) {
        if (!(s.shape() instanceof Shape.Flanged f) || f.flangeInTension(true) || f.bf() <= f.bw()) {
            return new Stress(0, 0);
        }
        List<BeamDesign.Point> all = profile.stream().filter(p -> p.span() == s.number()).toList();
        int peak = 0;
        for (int i = 0; i < all.size(); i++) {
            peak = all.get(i).mPos() > all.get(peak).mPos() ? i : peak;
        }
        double side = (f.bf() - f.bw()) / f.overhangs() / f.bf();
        double z = LEVER * (f.h() - basis.beamCover());
        Stress worst = new Stress(0, 0);
        for (boolean left : new boolean[] {true, false}) {
            double zero = zero(all, peak, left, s);
            double half = reach(all, zero, Math.abs(all.get(peak).x() - zero) / 2);
            double middle = left ? zero + half : zero - half;
            double first = Math.abs(moment(all, middle) - moment(all, zero));
            double second = Math.abs(all.get(peak).mPos() - moment(all, middle));
            double v = half > 1 ? Math.max(first, second) / z * side / (f.hf() * half) : 0;
            worst = v > worst.v() ? new Stress(v, middle) : worst;
        }
        return worst;
    }

    /** Distance to the last station within half the length: moments between stations would be low, and a shorter length is the safer one. */
    private static double reach(List<BeamDesign.Point> all, double zero, double half) {
        return all.stream().mapToDouble(p -> Math.abs(p.x() - zero)).filter(d -> d > 1 && d <= half + 1e-6).max().orElse(half);
    }

    /** Where the sagging moment begins on one side of its peak [mm]. */
    private static double zero(List<BeamDesign.Point> all, int peak, boolean left, BeamLine.Span s) {
        for (int i = peak; i >= 0 && i < all.size(); i += left ? -1 : 1) {
            if (all.get(i).mPos() <= BeamCheck.negligible(s)) {
                return all.get(i).x();
            }
        }
        return all.get(left ? 0 : all.size() - 1).x();
    }

    private static double moment(List<BeamDesign.Point> all, double x) {
        for (int i = 0; i + 1 < all.size(); i++) {
            BeamDesign.Point a = all.get(i);
            BeamDesign.Point b = all.get(i + 1);
            if (x >= a.x() && x <= b.x() && b.x() > a.x()) {
                return a.mPos() + (x - a.x()) / (b.x() - a.x()) * (b.mPos() - a.mPos());
            }
        }
        return all.get(all.size() - 1).mPos();
    }
}
