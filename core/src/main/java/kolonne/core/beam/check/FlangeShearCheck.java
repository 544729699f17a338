package kolonne.core.beam.check;

import java.util.List;
import java.util.Optional;
import kolonne.core.basis.Basis;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.check.At;
import kolonne.core.check.CheckKind;
import kolonne.core.check.Governing;
import kolonne.core.code.FlangeShear;
import kolonne.core.explain.Quantity;
import kolonne.core.finding.Finding;
import kolonne.core.shape.Shape;

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

    static void run(
            BeamLine line,
            BeamContext context,
            Governing governing,
            List<BeamDesign.Point> profile,
            FlangeShear rules) {
        for (BeamLine.Span s : line.spans()) {
            Stress v = stress(line, s, profile, context.basis());
            double limit = rules.limit(s.material().fc());
            if (v.v() > 0) {
                governing.offer(
                        CheckKind.FLANGE_SHEAR,
                        v.v(),
                        limit,
                        v.v() / limit,
                        At.place(v.x(), s.number()),
                        rules.clause());
            }
        }
    }

    /** A note for the span whose slab needs most bars across the web. */
    static Optional<Finding> note(
            BeamLine line, BeamContext context, List<BeamDesign.Point> profile, FlangeShear rules) {
        double most = 0;
        BeamLine.Span at = null;
        for (BeamLine.Span s : line.spans()) {
            double v = stress(line, s, profile, context.basis()).v();
            double steel = v > rules.without(s.material().fc())
                    ? rules.steel(
                            v,
                            s.shape().flangeDepth(),
                            s.material().fc(),
                            context.basis().fy())
                    : 0;
            if (steel > most) {
                most = steel;
                at = s;
            }
        }
        double needed = most;
        return Optional.ofNullable(at)
                .map(s -> Finding.note(
                        "flange.bars",
                        line.mark() + ", span " + (s.number() + 1),
                        "The slab needs bars across the web for the shear between "
                                + "web and flange: "
                                + Quantity.AREA_PER_LENGTH.text(
                                        needed, context.basis().usUnits())
                                + ", or half of that besides the bars of its own bending if that is more ("
                                + rules.clause() + ").",
                        "Place them in the slab across the web, towards the ends of the span."));
    }

    private static Stress stress(BeamLine line, BeamLine.Span s, List<BeamDesign.Point> profile, Basis basis) {
        if (!(s.shape() instanceof Shape.Flanged f) || f.flangeInTension(true) || f.bf() <= f.bw()) {
            return new Stress(0, 0);
        }
        List<BeamDesign.Point> all =
                profile.stream().filter(p -> p.span() == s.number()).toList();
        int peak = 0;
        for (int i = 0; i < all.size(); i++) {
            peak = all.get(i).mPos() > all.get(peak).mPos() ? i : peak;
        }
        double side = (f.bf() - f.bw()) / f.overhangs() / f.bf();
        double z = LEVER * (f.h() - basis.beamCover());
        Stress worst = new Stress(0, 0);
        for (boolean left : new boolean[] {true, false}) {
            int zero = zero(all, peak, left, s);
            int middle = middle(all, zero, peak);
            double length = Math.abs(all.get(middle).x() - all.get(zero).x());
            double change = Math.max(
                    Math.abs(all.get(middle).mPos() - all.get(zero).mPos()),
                    Math.abs(all.get(peak).mPos() - all.get(middle).mPos()));
            double v = length > 1 ? change / z * side / (f.hf() * length) : 0;
            worst = v > worst.v() ? new Stress(v, all.get(middle).x()) : worst;
        }
        return worst;
    }

    /** Where the sagging moment begins on one side of its peak; the end of the span where it does so nowhere. */
    private static int zero(List<BeamDesign.Point> all, int peak, boolean left, BeamLine.Span s) {
        int last = left ? 0 : all.size() - 1;
        int i = peak;
        while (i != last && all.get(i).mPos() > s.negligibleMoment()) {
            i += left ? -1 : 1;
        }
        return i;
    }

    /** The last station within half the way from no moment to the peak: a shorter length is the safer one. The peak where none lies there. */
    private static int middle(List<BeamDesign.Point> all, int zero, int peak) {
        double half = Math.abs(all.get(peak).x() - all.get(zero).x()) / 2;
        int out = peak;
        for (int i = 0; i < all.size(); i++) {
            double from = Math.abs(all.get(i).x() - all.get(zero).x());
            boolean between = i > Math.min(zero, peak) && i < Math.max(zero, peak) && from > 1 && from <= half + 1e-6;
            out = between
                            && (out == peak
                                    || from
                                            > Math.abs(all.get(out).x()
                                                    - all.get(zero).x()))
                    ? i
                    : out;
        }
        return out;
    }
}
