package kolonne.core.beam.check;

import java.util.List;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.check.At;
import kolonne.core.check.CheckKind;
import kolonne.core.check.Governing;
import kolonne.core.code.DesignCode;

/** Bars against the moment shifted along the beam, for the force that shear puts into them. */
public final class ShiftedMoments {
    private final BeamLine line;
    private final BeamContext context;
    private final BarsAt bars;
    private final BeamStrengths strengths;
    private final DesignCode code;

    ShiftedMoments(BeamLine line, BeamContext context, BarsAt bars, BeamStrengths strengths) {
        this.line = line;
        this.context = context;
        this.bars = bars;
        this.strengths = strengths;
        this.code = context.basis().designCode();
    }

    /** The largest moment of a face within the shift of a station [Nmm]; 0 where nothing is shifted. */
    private record Shifted(double demand, int combination) {}

    private Shifted most(int i, List<BeamDesign.Point> all, boolean sagging) {
        BeamDesign.Point p = all.get(i);
        BeamLine.Span span = line.spans().get(p.span());
        double shift = code.detailing().tensionShift(bars.effectiveDepth(p.x(), span, BeamCage.Face.tension(sagging)));
        Shifted most = new Shifted(0, 0);
        if (shift <= 0 || nearFreeEnd(line, line.stations().get(i), shift)) {
            return most;
        }
        for (BeamDesign.Point q : all) {
            double m = sagging ? q.mPos() : -q.mNeg();
            if (q.span() == p.span() && Math.abs(q.x() - p.x()) <= shift && m > most.demand()) {
                most = new Shifted(m, sagging ? q.comboPos() : q.comboNeg());
            }
        }
        return most;
    }

    /** Bars against the moment shifted along the beam, for the force that shear puts into them. */
    void check(int i, List<BeamDesign.Point> all, Governing governing) {
        BeamLine.Span span = line.spans().get(all.get(i).span());
        for (boolean sagging : new boolean[] {true, false}) {
            Shifted s = most(i, all, sagging);
            if (s.demand() > span.negligibleMoment()) {
                double has = strengths.at(all.get(i).x(), span, sagging).phiMn();
                governing.offer(
                        CheckKind.TENSION_SHIFT.of(sagging),
                        s.demand(),
                        has,
                        At.station(all.get(i).x(), span.number(), i).under(context.combinationName(s.combination())),
                        code.detailing().tensionShiftClause());
            }
        }
    }

    /** Whether a station is nearer to a free end of the line than {@code reach}: there the shift has no concrete to act in. */
    public static boolean nearFreeEnd(BeamLine line, BeamLine.Station s, double reach) {
        List<BeamLine.Support> all = line.supports();
        return all.get(0).kind() == BeamLine.SupportKind.FREE
                        && s.x() - all.get(0).x() < reach
                || all.get(all.size() - 1).kind() == BeamLine.SupportKind.FREE
                        && all.get(all.size() - 1).x() - s.x() < reach;
    }

    /** Use of the bars at the stations; 0 for codes that shift nothing. */
    double[] uses(List<BeamDesign.Point> all, boolean sagging) {
        double[] out = new double[all.size()];
        for (int i = 0; i < out.length; i++) {
            BeamLine.Span span = line.spans().get(all.get(i).span());
            Shifted s = most(i, all, sagging);
            double has = strengths.at(all.get(i).x(), span, sagging).phiMn();
            out[i] = s.demand() <= span.negligibleMoment() ? 0 : has > 0 ? s.demand() / has : 10;
        }
        return out;
    }
}
