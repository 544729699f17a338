package kolonne.core.design;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
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
 * beam's stirrups, and no nearer each other than bars of a layer are. Bars that cross may touch. Immutable once made.
 */
public final class JointFits {
    /** Bars of a column nearer in line than this are one line [mm]. */
    private static final double ONE_LINE = 1;

    private final BuildingIndex index;
    private final Map<String, At> byJoint = new HashMap<>();
    /** By id of the line, in the order of the beams. */
    private final Map<String, Of> byBeam = new LinkedHashMap<>();

    /** What is found at a beam. @param columns that were asked, in their order */
    private record Of(BeamDesign beam, List<ColumnDesign> columns, List<Misfit> misfits) {}

    /** A lift whose head is in a joint. */
    private record At(ColumnDesign column, int lift) {}

    /**
     * A layer of a beam's bars at a column that has more bars than pass.
     *
     * @param lift   whose head is in the joint
     * @param x      of the face along the beam [mm]
     * @param top    whether they lie above
     * @param bars   side by side; {@code room} for how many
     */
    public record Misfit(
            BeamLine line, ColumnStack stack, ColumnStack.Lift lift, double x, boolean top, int bars, int room) {
        public String beam() {
            return line.mark();
        }

        public String column() {
            return stack.mark();
        }

        public String storey() {
            return lift.storey();
        }
    }

    private JointFits(BuildingIndex index, List<ColumnDesign> columns) {
        this.index = index;
        for (ColumnDesign c : columns) {
            for (int i = 0; i < c.lifts().size(); i++) {
                String member = c.stack().lifts().get(i).member();
                byJoint.put(index.upper(index.member(member)).id(), new At(c, i));
            }
        }
    }

    /** Of all beams of a design. */
    public static JointFits of(BuildingDesign design) {
        return of(design, null);
    }

    /** The same; beams that are the same as in another design of the building, between the same columns, are not looked at again. @param before or null */
    public static JointFits of(BuildingDesign design, JointFits before) {
        JointFits out = new JointFits(design.analysis().index(), design.columns());
        boolean same = before != null && before.index == out.index;
        List<Of> found = design.beams().parallelStream()
                .map(b -> out.found(b, same ? before.byBeam.get(b.line().id()) : null))
                .toList();
        found.forEach(o -> out.byBeam.put(o.beam.line().id(), o));
        return out;
    }

    /** @param was what was found before, or null */
    private Of found(BeamDesign b, Of was) {
        List<ColumnDesign> columns = columns(b);
        boolean kept = was != null
                && was.beam == b
                && was.columns.size() == columns.size()
                && IntStream.range(0, columns.size()).allMatch(i -> columns.get(i) == was.columns.get(i));
        return kept ? was : new Of(b, columns, misfits(b));
    }

    private List<ColumnDesign> columns(BeamDesign b) {
        return b.line().supports().stream()
                .map(s -> byJoint.get(s.joint()))
                .filter(Objects::nonNull)
                .map(At::column)
                .toList();
    }

    private List<Misfit> misfits(BeamDesign b) {
        List<Misfit> out = new ArrayList<>();
        for (BeamLine.Span s : b.line().spans()) {
            end(b, s, true, out);
            end(b, s, false, out);
        }
        return List.copyOf(out);
    }

    /** In the order of the beams. */
    public List<Misfit> all() {
        return byBeam.values().stream().flatMap(o -> o.misfits.stream()).toList();
    }

    /** Of a beam, from its start. */
    public List<Misfit> at(BeamDesign b) {
        Of of = byBeam.get(b.line().id());
        return of == null ? List.of() : of.misfits;
    }

    /** Of a column, by number of the lift below the joint. */
    public Map<Integer, List<Misfit>> at(ColumnDesign c) {
        return byBeam.values().stream()
                .flatMap(o -> o.misfits.stream())
                .filter(m -> m.stack == c.stack())
                .collect(Collectors.groupingBy(m -> m.lift.number()));
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
        double half = s.shape().webWidth() / 2 - b.basis().beamCover() - stirrup;
        List<double[]> gaps = gaps(column, across(at.joint(), other.joint()), half);
        for (BeamCage.Face face : BeamCage.Face.values()) {
            List<FaceLayout.Unit> units =
                    FaceLayout.of(b.cage(), s, face, x, b.basis()).units();
            for (int layer :
                    units.stream().mapToInt(FaceLayout.Unit::layer).distinct().toArray()) {
                layer(b, x, units.stream().filter(u -> u.layer() == layer).toList(), face, gaps, column, out);
            }
        }
    }

    private void layer(
            BeamDesign b,
            double x,
            List<FaceLayout.Unit> bars,
            BeamCage.Face face,
            List<double[]> gaps,
            At column,
            List<Misfit> out) {
        double d = bars.stream().mapToDouble(FaceLayout.Unit::diameter).max().orElse(0);
        int room = room(gaps, d, b.basis());
        if (bars.size() > room) {
            ColumnStack stack = column.column.stack();
            out.add(new Misfit(
                    b.line(), stack, stack.lifts().get(column.lift), x, face == BeamCage.Face.TOP, bars.size(), room));
        }
    }

    /** Bars of a diameter side by side between those of the column, laid one by one as far to one side as they go. */
    private static int room(List<double[]> gaps, double d, Basis basis) {
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
    private static List<double[]> gaps(At at, double[] across, double half) {
        ColumnStack.Lift lift = at.column.stack().lifts().get(at.lift);
        ColumnCage.LiftCage cage = at.column.cage().lifts().get(at.lift);
        double x = across[0] * lift.aboutY().ux() + across[1] * lift.aboutY().uy();
        double y = across[0] * lift.aboutX().ux() + across[1] * lift.aboutX().uy();
        List<double[]> bars = new ArrayList<>();
        for (PlacedBar p : cage.bars(lift.section().shape(), at.column.basis().columnCover())) {
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
