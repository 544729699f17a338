package kolonne.core.analysis;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import kolonne.core.finding.Finding;
import kolonne.core.model.AreaLoad;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Direction;
import kolonne.core.model.LoadCase;
import kolonne.core.model.Member;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.SlabPanel;

/** All loads of the building as loads on members in local components, by member and case. */
final class AppliedLoads {
    private final BuildingIndex index;
    private final Element[] elements;
    private final List<SpanLoad>[][] loads;

    @SuppressWarnings("unchecked")
    AppliedLoads(BuildingIndex index, Element[] elements, Consumer<Finding> findings) {
        this.index = index;
        this.elements = elements;
        Building b = index.building();
        loads = new List[elements.length][b.loadCases().size()];
        for (MemberLoad l : b.memberLoads()) {
            add(index.memberNumber(l.member()), index.caseNumber(l.loadCase()), local(l));
        }
        Map<String, List<PanelLoads.Share>> shares = new PanelLoads(index, findings).all();
        for (AreaLoad l : b.areaLoads()) {
            panel(shares.get(l.panel()), index.caseNumber(l.loadCase()), l.pressure());
        }
        for (int c = 0; c < b.loadCases().size(); c++) {
            selfWeight(b.loadCases().get(c), c, shares);
        }
    }

    /** Loads of a member in a case. */
    List<SpanLoad> of(int member, int loadCase) {
        List<SpanLoad> l = loads[member][loadCase];
        return l == null ? List.of() : l;
    }

    private void add(int member, int loadCase, SpanLoad l) {
        if (loads[member][loadCase] == null) {
            loads[member][loadCase] = new ArrayList<>();
        }
        loads[member][loadCase].add(l);
    }

    private void selfWeight(LoadCase c, int number, Map<String, List<PanelLoads.Share>> shares) {
        if (c.selfWeight() == 0) {
            return;
        }
        for (int m = 0; m < elements.length; m++) {
            Member member = elements[m].member;
            double w = index.sectionOf(member).shape().A() * index.materialOf(member).weight() * c.selfWeight();
            add(m, number, downwards(m, 0, elements[m].length, w, w));
        }
        for (SlabPanel p : index.building().panels()) {
            panel(shares.get(p.id()), number, p.thickness() * p.weight() * c.selfWeight());
        }
    }

    private void panel(List<PanelLoads.Share> shares, int loadCase, double pressure) {
        for (PanelLoads.Share s : shares) {
            int m = index.memberNumber(s.member().id());
            add(m, loadCase, downwards(m, s.from(), s.to(), s.width1() * pressure, s.width2() * pressure));
        }
    }

    private SpanLoad downwards(int m, double from, double to, double w1, double w2) {
        double[][] axes = elements[m].axes;
        double[] q1 = {-w1 * axes[0][2], -w1 * axes[1][2], -w1 * axes[2][2]};
        double[] q2 = {-w2 * axes[0][2], -w2 * axes[1][2], -w2 * axes[2][2]};
        return new SpanLoad(from, to, q1, q2);
    }

    private SpanLoad local(MemberLoad l) {
        double[][] axes = elements[index.memberNumber(l.member())].axes;
        double[] unit = unit(l.direction(), axes);
        double factor = 1;
        if (l.direction().isProjected()) {
            double along = axes[0][l.direction().axis()];
            factor = Math.sqrt(Math.max(0, 1 - along * along));
        }
        return switch (l.kind()) {
            case DISTRIBUTED -> new SpanLoad(l.from(), l.to(), times(unit, l.w1() * factor), times(unit, l.w2() * factor));
            case POINT -> new SpanLoad(l.from(), l.from(), times(unit, l.w1()), new double[3]);
            case MOMENT -> new SpanLoad(l.from(), l.from(), new double[3], times(unit, l.w1()));
        };
    }

    /** The load's unit vector in local components. */
    private static double[] unit(Direction d, double[][] axes) {
        double[] out = new double[3];
        if (d.isLocal()) {
            out[d.axis()] = 1;
        } else {
            for (int c = 0; c < 3; c++) {
                out[c] = axes[c][d.axis()];
            }
        }
        return out;
    }

    private static double[] times(double[] v, double f) {
        return new double[] {v[0] * f, v[1] * f, v[2] * f};
    }
}
