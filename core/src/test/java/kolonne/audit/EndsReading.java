package kolonne.audit;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Joint;
import kolonne.core.model.LocalAxes;
import kolonne.core.model.Member;
import kolonne.core.model.Release;
import kolonne.core.model.Role;

/**
 * Effective lengths of lifts that are held at both ends, by what meets there. Spans of beams are found by the joints that lie on their line, and by ACI
 * the factor by the functions of a bar that bends under compression, with springs at its ends (not by the chart's equation).
 */
final class EndsReading {
    private final BuildingIndex index;
    private final Sheet.Basis b;

    EndsReading(BuildingIndex index, Sheet.Basis b) {
        this.index = index;
        this.b = b;
    }

    /** Of a column that moves along a plan direction. */
    double factor(Member column, double ux, double uy) {
        double foot = ratio(column, column.start(), ux, uy);
        double head = ratio(column, column.end(), ux, uy);
        if (b.en()) {
            double k1 = Math.max(0.1, foot);
            double k2 = Math.max(0.1, head);
            return 0.5 * Math.sqrt((0.45 + 2 * k1) / (0.45 + k1) * (0.45 + 2 * k2) / (0.45 + k2));
        }
        for (double u = Math.PI; u < 2 * Math.PI - 1e-6; u += 1e-5) {
            double under = 2 - 2 * Math.cos(u) - u * Math.sin(u);
            double near = u * (Math.sin(u) - u * Math.cos(u)) / under;
            double far = u * (u - Math.sin(u)) / under;
            if ((near + 2 / foot) * (near + 2 / head) <= far * far) {
                return Math.PI / u;
            }
        }
        return 0.5;
    }

    /** Columns over beams: 0.7 and 0.35 of gross by ACI; by EN beams restrain with 2 EI/l of half their gross stiffness. */
    private double ratio(Member column, String end, double ux, double uy) {
        if (index.building().supports().stream().anyMatch(s -> s.joint().equals(end) && s.rx() && s.ry())) {
            return b.en() ? 0.1 : 1;
        }
        double columns = 0;
        double beams = 0;
        for (Member m : index.membersAt(end)) {
            double[][] axes = LocalAxes.of(index.joint(m.start()), index.joint(m.end()), m.angle());
            double ei = index.materialOf(m).E();
            if (m.role() == Role.COLUMN) {
                double z = axes[2][0] * ux + axes[2][1] * uy;
                double ofY = index.sectionOf(m).shape().Iy();
                double ofZ = index.sectionOf(m).shape().Iz();
                columns += ei * (ofY * z * z + ofZ * (1 - z * z)) / index.length(m);
            } else {
                Joint at = index.joint(end);
                Joint far = index.joint(index.otherEnd(m, end));
                double plan = Math.hypot(far.x() - at.x(), far.y() - at.y());
                double cosine = plan == 0 ? 0 : ((far.x() - at.x()) * ux + (far.y() - at.y()) * uy) / plan;
                beams += cosine * cosine * span(at, far);
            }
        }
        double r = columns / Math.max(beams, 1e-9);
        return Math.min(b.en() ? r : 2 * r, 1000);
    }

    /** E I / l of a span that begins at a joint towards another: to the nearest joint on its line that a column or a support carries. */
    private double span(Joint at, Joint towards) {
        double length = at.distanceTo(towards);
        double[] u = {(towards.x() - at.x()) / length, (towards.y() - at.y()) / length, (towards.z() - at.z()) / length
        };
        double nearest = Double.POSITIVE_INFINITY;
        for (Joint j : index.building().joints()) {
            double t = along(at, j, u);
            boolean carries = index.membersAt(j.id()).stream().anyMatch(m -> m.role() == Role.COLUMN)
                    || index.building().supports().stream()
                            .anyMatch(s -> s.joint().equals(j.id()) && s.uz());
            nearest = t > 1 && carries ? Math.min(nearest, t) : nearest;
        }
        List<Member> pieces = new ArrayList<>();
        double sum = 0;
        for (Member m : index.building().members()) {
            double s = along(at, index.joint(m.start()), u);
            double e = along(at, index.joint(m.end()), u);
            if (m.role() == Role.BEAM && Math.min(s, e) > -1 && Math.max(s, e) < nearest + 1) {
                pieces.add(m);
                sum += Math.abs(s - e);
            }
        }
        double least = Double.POSITIVE_INFINITY;
        for (Member m : pieces) {
            // a hinge anywhere but at the far end
            Release s = m.startRelease();
            Release e = m.endRelease();
            boolean hinge = s.my() == 0 && along(at, index.joint(m.start()), u) < nearest - 1
                    || e.my() == 0 && along(at, index.joint(m.end()), u) < nearest - 1;
            least = hinge
                    ? 0
                    : Math.min(
                            least,
                            index.materialOf(m).E() * index.sectionOf(m).shape().Iy());
        }
        return Double.isInfinite(nearest) || Math.abs(sum - nearest) > 1 ? 0 : least / nearest;
    }

    /** How far along a line from a joint another one lies [mm]; far behind it where it lies beside the line. */
    private static double along(Joint at, Joint j, double[] u) {
        double t = (j.x() - at.x()) * u[0] + (j.y() - at.y()) * u[1] + (j.z() - at.z()) * u[2];
        double d = at.distanceTo(j);
        return d * d - t * t > 1 ? -1e9 : t;
    }
}
