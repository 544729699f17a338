package kolonne.core.section;

import kolonne.core.code.DesignCode;
import kolonne.core.code.TorsionSection;
import kolonne.core.explain.Trace;
import kolonne.core.shape.Shape;

/** A beam section as it resists torsion and shear with closed stirrups in its web. */
public final class TorsionTube {
    private TorsionTube() {}

    /**
     * The bars along the wall.
     *
     * @param cover   to the stirrups [mm]
     * @param stirrup their diameter [mm]
     * @param bar     diameter of the longitudinal bars [mm]
     */
    public record Wall(double cover, double stirrup, double bar) {
        /** From the faces to the middle of the bars [mm]. */
        double inset() {
            return cover + stirrup + bar / 2;
        }
    }

    /** The outline with the flange where it raises the threshold and the code counts it, and the tube of the web's closed stirrup. */
    public static TorsionSection of(Shape s, double fc, double fy, double fyt, Wall wall, DesignCode code) {
        double bw = s.webWidth();
        double h = s.depth();
        double acp = bw * h;
        double pcp = 2 * (bw + h);
        if (s instanceof Shape.Flanged f && code.torsion().flangeCounts()) {
            int sides = f.overhangs();
            double hf = f.hf();
            double overhang = Math.min((s.width() - bw) / sides, Math.min(h - hf, 4 * hf));
            double with = acp + sides * overhang * hf;
            double around = pcp + 2 * sides * overhang;
            if (code.torsion().threshold(fc, with, around, true, Trace.OFF)
                    > code.torsion().threshold(fc, acp, pcp, true, Trace.OFF)) {
                acp = with;
                pcp = around;
            }
        }
        double x1 = Math.max(1, bw - 2 * wall.cover() - wall.stirrup());
        double y1 = Math.max(1, h - 2 * wall.cover() - wall.stirrup());
        return new TorsionSection(fc, fy, fyt, bw, h, acp, pcp, x1 * y1, 2 * (x1 + y1), wall.inset());
    }
}
