package kolonne.core.compare;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.StationForces;

/**
 * Forces solved elsewhere beside the own analysis of the same model, component by component, so that a wrong unit or sign is seen before they are taken. A
 * model that is stiffened otherwise differs somewhat; a unit differs by its size, a sign by all of it.
 */
public final class ForceTotals {
    /** Factors within this of one another are the same. */
    private static final double NEAR = 0.12;
    /** A model that is stiffened otherwise carries its forces in other parts, but no others: 1.36 is already kip·ft for kNm. */
    private static final double LEAST = 0.75;

    private static final double MOST = 1.3;
    /** How alike two sets of forces must lie along the members to be of the same model. */
    private static final double ALIKE = 0.7;
    /** Components that are below this part of the largest of their kind in both carry nothing that could be compared. */
    private static final double NOTHING = 1e-3;

    /** Ratios of units that are mistaken for one another. */
    private static final double[] UNITS = {
        9.80665, 1000, 1e6, 4.4482216, 1.3558179, 0.3048, 12, 100, 10, 2.2046226, 0.0254 * 4.4482216, 0.0254
    };

    /** What a component looks like. */
    public enum Verdict {
        AGREES,
        OPPOSITE_SIGN,
        OTHER_UNIT,
        DIFFERS,
        NOTHING
    }

    /**
     * One component, summed over all rows that were read.
     *
     * @param component {@link Analysis#N} and so on
     * @param own       root of the sum of squares of the own forces at the same places [N, Nmm]
     * @param read      of the forces of the table
     * @param factor    by which the own forces fit the table best, signed
     * @param alike     1 where both lie along the members alike, 0 where they have nothing in common
     */
    public record Total(int component, double own, double read, double factor, double alike, Verdict verdict) {}

    private ForceTotals() {}

    /** Compares rows with an analysis of the model without them. */
    public static List<Total> of(List<StationForces> rows, Analysis own) {
        double[] oo = new double[Analysis.COMPONENTS];
        double[] tt = new double[Analysis.COMPONENTS];
        double[] ot = new double[Analysis.COMPONENTS];
        BuildingIndex index = own.index();
        for (StationForces r : rows) {
            int member = index.memberNumber(r.member());
            int loadCase = index.caseNumber(r.loadCase());
            double[] t = {r.n(), r.vy(), r.vz(), r.t(), r.my(), r.mz()};
            for (int i = 0; i < t.length; i++) {
                double o = at(own, member, loadCase, r.x(), i);
                oo[i] += o * o;
                tt[i] += t[i] * t[i];
                ot[i] += o * t[i];
            }
        }
        List<Total> out = new ArrayList<>();
        for (int i = 0; i < Analysis.COMPONENTS; i++) {
            boolean moment = i >= Analysis.T;
            double largest = largest(oo, moment);
            double factor = oo[i] > 0 ? ot[i] / oo[i] : 0;
            double alike = oo[i] > 0 && tt[i] > 0 ? Math.abs(ot[i]) / Math.sqrt(oo[i] * tt[i]) : 0;
            // where only one of the two carries something, a column stands for the wrong force
            boolean nothing = Math.sqrt(Math.max(oo[i], tt[i])) <= NOTHING * Math.sqrt(largest);
            out.add(new Total(
                    i,
                    Math.sqrt(oo[i]),
                    Math.sqrt(tt[i]),
                    factor,
                    alike,
                    nothing ? Verdict.NOTHING : verdict(factor, alike)));
        }
        return out;
    }

    private static double largest(double[] squares, boolean moments) {
        double most = 0;
        for (int i = moments ? Analysis.T : 0; i < (moments ? Analysis.COMPONENTS : Analysis.T); i++) {
            most = Math.max(most, squares[i]);
        }
        return most;
    }

    private static Verdict verdict(double factor, double alike) {
        if (alike < ALIKE) {
            return Verdict.DIFFERS;
        }
        double size = Math.abs(factor);
        if (size > LEAST && size < MOST) {
            return factor < 0 ? Verdict.OPPOSITE_SIGN : Verdict.AGREES;
        }
        for (double u : UNITS) {
            if (near(size, u) || near(size, 1 / u)) {
                return Verdict.OTHER_UNIT;
            }
        }
        return Verdict.DIFFERS;
    }

    private static boolean near(double a, double b) {
        return Math.abs(a / b - 1) < NEAR;
    }

    /** A component of the analysis at a place, on a straight line between stations. */
    private static double at(Analysis a, int member, int loadCase, double x, int component) {
        int n = a.stationCount(member);
        int hi = 1;
        while (hi < n - 1 && a.drawnX(member, hi) < x) {
            hi++;
        }
        double x0 = a.drawnX(member, hi - 1);
        double x1 = a.drawnX(member, hi);
        double part = x1 > x0 ? Math.max(0, Math.min(1, (x - x0) / (x1 - x0))) : 0;
        return a.drawnForce(member, loadCase, hi - 1, component) * (1 - part)
                + a.drawnForce(member, loadCase, hi, component) * part;
    }
}
