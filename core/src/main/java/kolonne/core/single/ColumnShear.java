package kolonne.core.single;

import java.util.List;
import java.util.function.ToDoubleFunction;
import kolonne.core.check.CheckResult;
import kolonne.core.code.DesignCode;
import kolonne.core.code.ShearInput;
import kolonne.core.code.ShearStrength;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;
import kolonne.core.shape.Shape;
import kolonne.core.single.SectionUses.Use;
import kolonne.core.single.SingleSection.Forces;
import kolonne.core.single.SingleSection.Spot;
import kolonne.core.single.SingleSection.Stirrup;

/**
 * Shear of a column along both axes with its axial force: of a rectangle or a circle by all of it, of an ell or a tee by the leg that lies along the shear. The
 * moment of the set says which bars are stretched.
 *
 * @param bars about the middle of the shape's width, above its soffit
 * @param fyt  of the stirrups [MPa]
 */
record ColumnShear(Shape shape, double fc, double fyt, List<Spot> bars, Stirrup stirrup, DesignCode code) {
    private static final double MIDDLE = 1;

    /** A part of the section that resists shear along it, from one end to the other. @param width across [mm] */
    private record Leg(double from, double to, double width, List<Spot> bars, ToDoubleFunction<Spot> along) {
        /** From the compressed end to the farthest bars; the lesser where no moment tells which end is. @param moment above 0 with its upper end compressed */
        double depth(double moment) {
            double up = to - bars.stream().mapToDouble(along).min().orElse(to);
            double down = bars.stream().mapToDouble(along).max().orElse(from) - from;
            return moment > 0 ? up : moment < 0 ? down : Math.min(up, down);
        }

        /** Bars of the half that is stretched; those in the middle count half [mm2]. */
        double steel(double moment) {
            double middle = (from + to) / 2;
            double upper = 0;
            double lower = 0;
            for (Spot b : bars) {
                double at = along.applyAsDouble(b) - middle;
                upper += at > MIDDLE ? b.area() : at < -MIDDLE ? 0 : b.area() / 2;
                lower += at < -MIDDLE ? b.area() : at > MIDDLE ? 0 : b.area() / 2;
            }
            return moment > 0 ? lower : moment < 0 ? upper : Math.min(upper, lower);
        }
    }

    /** @param vertical along the depth; else along the width */
    private Leg leg(boolean vertical) {
        double half = shape.width() / 2;
        if (!(shape instanceof Shape.Flanged f)) {
            return vertical
                    ? new Leg(0, shape.depth(), shape.width(), bars, Spot::z)
                    : new Leg(-half, half, shape.depth(), bars, Spot::x);
        }
        double left = f.overhangs() == 1 ? -half : -f.bw() / 2;
        double low = f instanceof Shape.InvertedTee ? 0 : f.h() - f.hf();
        List<Spot> inside = bars.stream()
                .filter(b -> vertical ? b.x() > left && b.x() < left + f.bw() : b.z() > low && b.z() < low + f.hf())
                .toList();
        return vertical ? new Leg(0, f.h(), f.bw(), inside, Spot::z) : new Leg(-half, half, f.hf(), inside, Spot::x);
    }

    /** @param compression with the shear [N]; {@code moment} with it, above 0 with the upper or right end compressed; vertical for Vz, else Vy */
    ShearStrength strength(double compression, double moment, boolean vertical, Trace t) {
        return code.shear(input(compression, moment, vertical), t);
    }

    /** The section as it resists that shear. */
    ShearInput input(double compression, double moment, boolean vertical) {
        Leg leg = leg(vertical);
        boolean round = shape instanceof Shape.Circle;
        double d = round ? 0.8 * shape.width() : leg.depth(moment);
        return new ShearInput(
                fc,
                fyt,
                leg.width,
                d,
                shape.A(),
                leg.steel(moment) / (leg.width * d),
                (round ? code.columns().roundTiePart() : 1) * stirrup.avs(vertical),
                compression);
    }

    /** Both directions, and both together where each uses more than half (22.5.1.10, 22.5.1.11). */
    void uses(List<Use> out, Forces f, Trace t) {
        double both = 0;
        boolean each = true;
        for (boolean vertical : new boolean[] {true, false}) {
            double demand = Math.abs(vertical ? f.vz() : f.vy());
            double moment = vertical ? f.my() : f.mz();
            if (!(shape instanceof Shape.Circle) && leg(vertical).depth(moment) <= 0) {
                // a leg without bars carries none
                SectionUses.use(
                        out, vertical ? "shear-z" : "shear-y", demand, 0, Quantity.FORCE, code.shearClause(), t);
                each &= demand > 0;
                continue;
            }
            ShearStrength v = strength(-f.n(), moment, vertical, t);
            SectionUses.use(
                    out, vertical ? "shear-z" : "shear-y", demand, v.total(), Quantity.FORCE, code.shearClause(), t);
            SectionUses.use(
                    out,
                    vertical ? "shear-limit-z" : "shear-limit-y",
                    demand,
                    v.limit(),
                    Quantity.FORCE,
                    code.shearLimitClause(),
                    t);
            double u = CheckResult.use(demand, v.total());
            both += u;
            each &= u > 0.5;
        }
        if (each) {
            SectionUses.use(
                    out,
                    "shear-both",
                    both,
                    code.columns().shearBothWays(),
                    Quantity.NUMBER,
                    code.columns().shearBothWaysClause(),
                    t);
        }
    }
}
