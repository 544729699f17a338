package kolonne.audit;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.analysis.Analysis;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.LocalAxes;
import kolonne.core.model.Member;

/** Shear of a joint of a frame that need not be ductile, from what columns and beams exchange, by the beams' bars as they lie (ACI 318-19 15.4.1.1 a, 15.4.2.3). */
final class PlainJointReading {
    private final Sheet.Basis b;
    private final Materials m;
    private final Forces f;
    private final BuildingIndex index;

    PlainJointReading(Sheet.Basis b, Forces f) {
        this.b = b;
        this.m = new Materials(b);
        this.f = f;
        this.index = f.analysis().index();
    }

    /** By axis. @param above the lift that stands on it, or null; {@code fixed} beams that are not hinged to it */
    Map<String, Double> read(Sheet.Lift l, Sheet.Lift above, List<JointBeams.End> fixed) {
        Member member = index.building().members().get(l.member());
        double[][] axes = LocalAxes.of(index.joint(member.start()), index.joint(member.end()), member.angle());
        Map<String, Double> out = new HashMap<>();
        for (int axis = 0; axis < 2; axis++) {
            double[] u = axes[axis + 1];
            List<JointBeams.End> beams = fixed.stream()
                    .filter(e -> Math.abs(e.ux() * u[0] + e.uy() * u[1]) > 0.7)
                    .toList();
            if (beams.isEmpty()) {
                continue;
            }
            double lever = 0.9
                    * beams.stream().mapToDouble(JointBeams.End::lever).min().orElseThrow();
            double v = 0;
            for (int k = 0; k < f.strength.size(); k++) {
                double moment = Math.abs(bends(l, k, u, true));
                double column = 0;
                if (above != null) {
                    double foot = bends(above, k, u, false);
                    double carried = bends(above, k, u, true) * Math.signum(foot);
                    moment += Math.abs(foot);
                    double height = index.length(index.building().members().get(above.member()));
                    column = Math.max(0, (Math.abs(foot) - carried) / height);
                }
                v = Math.max(v, moment / lever - column);
            }
            boolean right = beams.stream().anyMatch(e -> e.ux() * u[0] + e.uy() * u[1] > 0);
            boolean left = beams.stream().anyMatch(e -> e.ux() * u[0] + e.uy() * u[1] < 0);
            double[] si = {1.0, 1.2, 1.7};
            double[] us = {12, 15, 20};
            int runs = (above == null ? 0 : 1) + (right && left ? 1 : 0);
            double fc = Math.min(
                    l.fc(), beams.stream().mapToDouble(JointBeams.End::fc).min().orElseThrow());
            double width =
                    beams.stream().mapToDouble(JointBeams.End::width).min().orElseThrow();
            double h = l.round() ? 0.886227 * l.b() : axis == 0 ? l.b() : l.h();
            double across = l.round() ? h : axis == 1 ? l.b() : l.h();
            double bj = width >= across ? across : Math.min(across, width + h);
            out.put(
                    "joint-shear-" + (axis == 0 ? "x" : "y"),
                    v / (0.75 * m.root(si[runs], us[runs], fc, true) * h * bj));
        }
        return out;
    }

    /** Moment along a plan direction at the head or the foot of a lift, that of sidesway magnified. */
    private double bends(Sheet.Lift l, int k, double[] u, boolean head) {
        Member o = index.building().members().get(l.member());
        double[][] axes = LocalAxes.of(index.joint(o.start()), index.joint(o.end()), o.angle());
        int last = f.analysis().stationCount(l.member()) - 1;
        boolean upwards = index.joint(o.start()).z() < index.joint(o.end()).z();
        int at = head == upwards ? last : 0;
        ColumnReading reads = new ColumnReading(l, b, f, Drawn.depths(index));
        double x = u[0] * axes[1][0] + u[1] * axes[1][1];
        double y = u[0] * axes[2][0] + u[1] * axes[2][1];
        return f.at(l.member(), at, k, Analysis.MZ, reads.finite(1)) * x
                + f.at(l.member(), at, k, Analysis.MY, reads.finite(2)) * y;
    }
}
