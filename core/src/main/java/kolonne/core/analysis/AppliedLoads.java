package kolonne.core.analysis;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.model.AreaLoad;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.LoadCase;
import kolonne.core.model.LocalAxes;
import kolonne.core.model.Member;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.SlabPanel;

/** All loads of the building as loads on members in local components, each with its size in every load case. */
final class AppliedLoads {
    private final BuildingIndex index;
    private final Element[] elements;
    private final List<List<Loading>> loads;
    private final Map<Integer, Double> selfWeights;
    /** Cases that take the loads of each case: itself, and the arrangements made of it. */
    private final List<List<Integer>> takers = new ArrayList<>();

    AppliedLoads(BuildingIndex index, Element[] elements, Map<String, List<PanelLoads.Share>> shares) {
        this.index = index;
        this.elements = elements;
        Building b = index.building();
        loads = new ArrayList<>(elements.length);
        for (int m = 0; m < elements.length; m++) {
            loads.add(new ArrayList<>(6));
        }
        selfWeights = selfWeights(1);
        for (int c = 0; c < b.loadCases().size(); c++) {
            takers.add(new ArrayList<>(List.of(c)));
        }
        for (int c = 0; c < b.loadCases().size(); c++) {
            if (b.loadCases().get(c).pattern() != null) {
                takers.get(index.caseNumber(b.loadCases().get(c).pattern().of()))
                        .add(c);
            }
        }
        for (MemberLoad l : b.memberLoads()) {
            int m = index.memberNumber(l.member());
            add(m, local(l), Map.of(index.caseNumber(l.loadCase()), 1.0));
        }
        panels(shares);
        for (int m = 0; m < elements.length; m++) {
            loads.get(m).add(0, selfWeight(m));
        }
    }

    /** The loads of {@code before} on members that may have other sections; everything else must be as it was. */
    AppliedLoads(BuildingIndex index, Element[] elements, AppliedLoads before) {
        this.index = index;
        this.elements = elements;
        selfWeights = before.selfWeights;
        loads = new ArrayList<>(before.loads);
        for (int m = 0; m < elements.length; m++) {
            if (elements[m] != before.elements[m]) {
                loads.set(m, new ArrayList<>(loads.get(m)));
                loads.get(m).set(0, selfWeight(m));
            }
        }
    }

    /** Loads of a member. */
    List<Loading> of(int member) {
        return loads.get(member);
    }

    private void add(int member, SpanLoad shape, Map<Integer, Double> sizes) {
        List<LoadCase> all = index.building().loadCases();
        List<Integer> cases = new ArrayList<>();
        List<Double> factors = new ArrayList<>();
        sizes.forEach((base, size) -> {
            for (int c : takers.get(base)) {
                boolean takes = all.get(c).pattern() == null
                        || all.get(c).pattern().members().contains(elements[member].member.id());
                if (size != 0 && takes) {
                    cases.add(c);
                    factors.add(size);
                }
            }
        });
        if (!cases.isEmpty()) {
            loads.get(member)
                    .add(new Loading(
                            shape,
                            cases.stream().mapToInt(i -> i).toArray(),
                            factors.stream().mapToDouble(d -> d).toArray()));
        }
    }

    /** The weight of the member itself, always its first load. */
    private Loading selfWeight(int m) {
        Member member = elements[m].member;
        double w =
                index.sectionOf(member).shape().A() * index.materialOf(member).weight();
        return new Loading(
                downwards(m, 0, elements[m].length, w, w, 0, 0),
                selfWeights.keySet().stream().mapToInt(i -> i).toArray(),
                selfWeights.values().stream().mapToDouble(d -> d).toArray());
    }

    private Map<Integer, Double> selfWeights(double unit) {
        Map<Integer, Double> out = new LinkedHashMap<>();
        List<LoadCase> all = index.building().loadCases();
        for (int c = 0; c < all.size(); c++) {
            if (all.get(c).selfWeight() != 0 && !all.get(c).generated()) {
                out.put(c, all.get(c).selfWeight() * unit);
            }
        }
        return out;
    }

    private void panels(Map<String, List<PanelLoads.Share>> shares) {
        Map<String, Map<Integer, Double>> pressures = new LinkedHashMap<>();
        for (SlabPanel p : index.building().panels()) {
            pressures.put(p.id(), selfWeights(p.thickness() * p.weight() * PanelLoads.slope(index, p)));
        }
        for (AreaLoad l : index.building().areaLoads()) {
            pressures.get(l.panel()).merge(index.caseNumber(l.loadCase()), l.pressure(), Double::sum);
        }
        pressures.forEach((panel, sizes) -> {
            for (PanelLoads.Share s : shares.get(panel)) {
                int m = index.memberNumber(s.member().id());
                add(m, downwards(m, s.from(), s.to(), s.width1(), s.width2(), s.torque1(), s.torque2()), sizes);
            }
        });
    }

    private SpanLoad downwards(int m, double from, double to, double w1, double w2, double t1, double t2) {
        double[][] axes = elements[m].axes;
        return new SpanLoad(from, to, down(axes, w1, t1), down(axes, w2, t2));
    }

    private static double[] down(double[][] axes, double w, double torque) {
        return new double[] {-w * axes[0][2], -w * axes[1][2], -w * axes[2][2], torque, 0, 0};
    }

    /** Sum of a load on a member in global components [N]; nought for moments. */
    static double[] total(BuildingIndex index, MemberLoad given) {
        Member m = index.building().members().get(index.memberNumber(given.member()));
        MemberLoad l = given.on(index.length(m));
        double[][] axes = LocalAxes.of(index.joint(m.start()), index.joint(m.end()), m.angle());
        double size = moment(l)
                ? 0
                : projected(l, axes) * (l.kind().spread() ? (l.w1() + l.w2()) / 2 * (l.to() - l.from()) : l.w1());
        double[] out = new double[3];
        for (int c = 0; c < 3; c++) {
            int axis = l.direction().axis();
            out[c] = size * (l.direction().isLocal() ? axes[axis][c] : c == axis ? 1 : 0);
        }
        return out;
    }

    private static boolean moment(MemberLoad l) {
        return l.kind() == MemberLoad.Kind.MOMENT || l.kind() == MemberLoad.Kind.DISTRIBUTED_MOMENT;
    }

    /** What of a load over a length in plan comes on a length of the member. */
    private static double projected(MemberLoad l, double[][] axes) {
        double along = axes[0][l.direction().axis()];
        return l.direction().isProjected() && l.kind().spread() ? Math.sqrt(Math.max(0, 1 - along * along)) : 1;
    }

    private SpanLoad local(MemberLoad given) {
        Element e = elements[index.memberNumber(given.member())];
        MemberLoad l = given.on(e.length);
        double[][] axes = e.axes;
        int axis = l.direction().axis();
        double[] unit = new double[3];
        for (int c = 0; c < 3; c++) {
            unit[c] = l.direction().isLocal() ? ofLocal(c, axis, e.turn) : axes[c][axis];
        }
        double factor = projected(l, axes);
        boolean moment = moment(l);
        double[] q1 = components(unit, l.w1() * factor, moment);
        return l.kind().spread()
                ? new SpanLoad(l.from(), l.to(), q1, components(unit, l.w2() * factor, moment))
                : SpanLoad.point(l.from(), q1);
    }

    /** Component of a local axis along an axis in which the member bends, turned from it about x. */
    private static double ofLocal(int own, int axis, double turn) {
        if (own == 0 || axis == 0) {
            return own == axis ? 1 : 0;
        }
        return own == axis ? Math.cos(turn) : own == 1 ? Math.sin(turn) : -Math.sin(turn);
    }

    private static double[] components(double[] unit, double size, boolean moment) {
        double[] out = new double[6];
        for (int c = 0; c < 3; c++) {
            out[moment ? c + 3 : c] = unit[c] * size;
        }
        return out;
    }
}
