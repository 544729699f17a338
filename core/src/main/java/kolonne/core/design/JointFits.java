package kolonne.core.design;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.FaceLayout;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Joint;
import kolonne.core.section.PlacedBar;

/**
 * Whether the bars of beams pass between those of the column that they run into: as many side by side as there is room for between the column's bars, within the
 * beam's stirrups, and no nearer each other than bars of a layer are. Bars that cross may touch.
 */
public final class JointFits {
    /** Bars of a column nearer in line than this are one line [mm]. */
    private static final double ONE_LINE = 1;

    private final BuildingDesign design;
    private final Basis basis;
    private final BuildingIndex index;
    private final Map<String, At> byJoint = new HashMap<>();

    /** A lift whose head is in a joint. */
    private record At(ColumnDesign column, int lift) {}

    /**
     * A layer of a beam's bars at a column that has more bars than pass.
     *
     * @param beam, column marks
     * @param top    whether they lie above
     * @param bars   side by side; {@code room} for how many
     */
    public record Misfit(String beam, String column, String storey, boolean top, int bars, int room) {}

    private JointFits(BuildingDesign design) {
        this.design = design;
        this.basis = design.basis();
        this.index = design.analysis().index();
        for (ColumnDesign c : design.columns()) {
            for (int i = 0; i < c.lifts().size(); i++) {
                String member = c.stack().lifts().get(i).member();
                byJoint.put(index.upper(index.member(member)).id(), new At(c, i));
            }
        }
    }

    /** In the order of the beams. */
    static List<Misfit> of(BuildingDesign design) {
        JointFits f = new JointFits(design);
        List<Misfit> out = new ArrayList<>();
        for (BeamDesign b : design.beams()) {
            for (BeamLine.Span s : b.line().spans()) {
                f.end(b, s, true, out);
                f.end(b, s, false, out);
            }
        }
        return out;
    }

    private void end(BeamDesign b, BeamLine.Span s, boolean left, List<Misfit> out) {
        BeamLine.Support at = b.line().supports().get(s.number() + (left ? 0 : 1));
        BeamLine.Support other = b.line().supports().get(s.number() + (left ? 1 : 0));
        At column = byJoint.get(at.joint());
        if (at.kind() != BeamLine.SupportKind.COLUMN || column == null) {
            return;
        }
        double x = left ? s.faceFrom() : s.faceTo();
        BeamCage.Zone zone = b.cage().zoneAt(s.number(), x);
        double stirrup = zone == null ? 0 : zone.bar().diameter();
        double half = s.shape().webWidth() / 2 - basis.beamCover() - stirrup;
        List<double[]> gaps = gaps(column, across(at.joint(), other.joint()), half);
        for (BeamCage.Face face : BeamCage.Face.values()) {
            List<FaceLayout.Unit> units =
                    FaceLayout.of(b.cage(), s, face, x, basis).units();
            for (int layer :
                    units.stream().mapToInt(FaceLayout.Unit::layer).distinct().toArray()) {
                layer(b, units.stream().filter(u -> u.layer() == layer).toList(), face, gaps, column, out);
            }
        }
    }

    private void layer(
            BeamDesign b,
            List<FaceLayout.Unit> bars,
            BeamCage.Face face,
            List<double[]> gaps,
            At column,
            List<Misfit> out) {
        double d = bars.stream().mapToDouble(FaceLayout.Unit::diameter).max().orElse(0);
        int room = room(gaps, d);
        if (bars.size() > room) {
            ColumnStack.Lift lift = column.column.stack().lifts().get(column.lift);
            out.add(new Misfit(
                    b.line().mark(),
                    column.column.stack().mark(),
                    lift.storey(),
                    face == BeamCage.Face.TOP,
                    bars.size(),
                    room));
        }
    }

    /** Bars of a diameter side by side between those of the column, laid one by one as far to one side as they go. */
    private int room(List<double[]> gaps, double d) {
        double clear = basis.designCode().detailing().beamClearSpacing(d, basis.aggregate());
        double next = Double.NEGATIVE_INFINITY;
        int out = 0;
        for (double[] g : gaps) {
            double at = Math.max(g[0], next);
            while (at + d <= g[1] + 1e-6) {
                out++;
                next = at + d + clear;
                at = next;
            }
        }
        return out;
    }

    /** A unit vector in plan square to a beam that runs from a joint to another. */
    private double[] across(String from, String to) {
        Joint a = index.joint(from);
        Joint o = index.joint(to);
        double run = Math.hypot(o.x() - a.x(), o.y() - a.y());
        return new double[] {-(o.y() - a.y()) / run, (o.x() - a.x()) / run};
    }

    /** Free stretches across a beam between a column's bars, within so much from the middle. */
    private List<double[]> gaps(At at, double[] across, double half) {
        ColumnStack.Lift lift = at.column.stack().lifts().get(at.lift);
        ColumnCage.LiftCage cage = at.column.cage().lifts().get(at.lift);
        double x = across[0] * lift.aboutY().ux() + across[1] * lift.aboutY().uy();
        double y = across[0] * lift.aboutX().ux() + across[1] * lift.aboutX().uy();
        List<double[]> bars = new ArrayList<>();
        for (PlacedBar p : cage.bars(lift.section().shape(), basis.columnCover())) {
            double t = x * p.x() + y * p.y();
            double r = cage.layout().at(p).diameter() / 2;
            bars.add(new double[] {t - r, t + r});
        }
        bars.sort((p, q) -> Double.compare(p[0], q[0]));
        List<double[]> out = new ArrayList<>();
        double from = -half;
        for (double[] bar : bars) {
            if (bar[0] > half) {
                break;
            }
            if (bar[0] - from > ONE_LINE) {
                out.add(new double[] {from, bar[0]});
            }
            from = Math.max(from, bar[1]);
        }
        if (half - from > ONE_LINE) {
            out.add(new double[] {from, half});
        }
        return out;
    }
}
