package kolonne.core.column.line;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.code.ColumnEnd;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Joint;
import kolonne.core.model.LocalAxes;
import kolonne.core.model.Member;
import kolonne.core.model.Release;
import kolonne.core.model.Role;
import kolonne.core.model.Spring;
import kolonne.core.model.StraightOn;
import kolonne.core.model.Support;

/**
 * What turns with the ends of columns (ACI 318-19 R6.2.5.1; EN 1992-1-1 5.8.3.2). Beams count from face to the next column or support that they run
 * on to in a straight line; one that ends on another beam, or in the air, holds nothing here.
 */
final class EndStiffness {
    /** Part of a rotation about an axis that has to be held for it to count. */
    private static final double ALONG = 0.045;
    /** Most members of a span of a beam. */
    private static final int PIECES = 200;

    private final BuildingIndex index;
    private final Map<String, Support> supports = new HashMap<>();
    private final Map<String, Spring> springs = new HashMap<>();

    EndStiffness(BuildingIndex index) {
        this.index = index;
        index.building().supports().forEach(s -> supports.put(s.joint(), s));
        index.building().springs().forEach(s -> springs.put(s.joint(), s));
    }

    /**
     * An end of an unbraced length.
     *
     * @param parts its members; {@code last} the one that ends at {@code at}
     * @param ux    plan direction in which it moves, a unit vector
     */
    ColumnEnd at(Joint at, Member last, List<Member> parts, double ux, double uy) {
        if (ux == 0 && uy == 0 || hinged(last, at, ux, uy)) {
            return ColumnEnd.HINGE;
        }
        double columns = own(parts, ux, uy);
        double beams = 0;
        for (Member m : index.membersAt(at.id())) {
            if (m.role() == Role.BEAM) {
                beams += beam(m, at, ux, uy);
            } else if (!parts.contains(m) && !hinged(m, at, ux, uy)) {
                columns += own(List.of(m), ux, uy);
            }
        }
        Support s = supports.get(at.id());
        Spring k = springs.get(at.id());
        boolean fixed = s != null && (s.rx() || Math.abs(uy) < ALONG) && (s.ry() || Math.abs(ux) < ALONG);
        return new ColumnEnd(columns, beams, k == null ? 0 : k.rx() * uy * uy + k.ry() * ux * ux, fixed, false);
    }

    /** Ec Ig / lc of a length, with the slightest of its sections [Nmm]. */
    private double own(List<Member> parts, double ux, double uy) {
        double least = Double.POSITIVE_INFINITY;
        double length = 0;
        for (Member m : parts) {
            double[][] axes = axes(m);
            double along = axes[2][0] * ux + axes[2][1] * uy;
            double across = axes[1][0] * ux + axes[1][1] * uy;
            least = Math.min(least, stiffness(m, along * along, across * across));
            length += index.length(m);
        }
        return least / length;
    }

    /** Ec Ig of a member, by parts of that about its local axes y and z [Nmm2]. */
    private double stiffness(Member m, double ofY, double ofZ) {
        var shape = index.sectionOf(m).shape();
        return index.materialOf(m).E() * (shape.Iy() * ofY + shape.Iz() * ofZ);
    }

    private double[][] axes(Member m) {
        return LocalAxes.of(index.joint(m.start()), index.joint(m.end()), m.angle());
    }

    /** Whether a column passes less than all of its moment in a plane at an end. */
    private boolean hinged(Member m, Joint at, double ux, double uy) {
        double[][] axes = axes(m);
        Release r = m.start().equals(at.id()) ? m.startRelease() : m.endRelease();
        return r.my() != Release.RIGID && Math.abs(axes[2][0] * ux + axes[2][1] * uy) > ALONG
                || r.mz() != Release.RIGID && Math.abs(axes[1][0] * ux + axes[1][1] * uy) > ALONG;
    }

    /** Ec Ig / l of the span of a beam that begins at a joint, in the plane of the column [Nmm]. */
    private double beam(Member first, Joint at, double ux, double uy) {
        Joint other = index.joint(index.otherEnd(first, at.id()));
        double dx = other.x() - at.x();
        double dy = other.y() - at.y();
        double plan = Math.hypot(dx, dy);
        if (plan == 0 || turns(first, at)) {
            return 0;
        }
        double cosine = (dx * ux + dy * uy) / plan;
        return cosine * cosine * span(first, at);
    }

    private double span(Member first, Joint at) {
        double least = Double.POSITIVE_INFINITY;
        double length = 0;
        Member m = first;
        Joint from = at;
        for (int i = 0; m != null && i < PIECES; i++) {
            double[][] axes = axes(m);
            least = Math.min(least, stiffness(m, axes[2][2] * axes[2][2], axes[1][2] * axes[1][2]));
            length += index.length(m);
            Joint to = index.joint(index.otherEnd(m, from.id()));
            if (carried(to)) {
                return least / length;
            }
            m = turns(m, to) ? null : StraightOn.beam(index, m, to.id(), o -> !turns(o, to));
            from = to;
        }
        return 0;
    }

    /** Whether a column or a support carries a joint. */
    private boolean carried(Joint j) {
        Support s = supports.get(j.id());
        return s != null && s.uz() || index.membersAt(j.id()).stream().anyMatch(m -> m.role() == Role.COLUMN);
    }

    /** Whether an end of a beam passes less than all of its moment in the vertical plane. */
    private boolean turns(Member m, Joint at) {
        double[][] axes = axes(m);
        Release r = m.start().equals(at.id()) ? m.startRelease() : m.endRelease();
        return r.my() != Release.RIGID && Math.abs(axes[2][2]) > ALONG
                || r.mz() != Release.RIGID && Math.abs(axes[1][2]) > ALONG;
    }
}
