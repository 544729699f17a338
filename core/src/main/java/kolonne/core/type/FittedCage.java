package kolonne.core.type;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;

/**
 * The cage of one line in another of like geometry. Numbers, sizes and layers stay; ends keep their distance from the nearest face of a support, so that
 * extensions stay as long as they are, and bars through the line run from end to end of it.
 */
final class FittedCage {
    private static final double AT_END = 1e-6;
    /** A zone of stirrups or a bar is no shorter than this [mm]. */
    private static final double LEAST = 1;

    private final BeamLine from;
    private final BeamLine to;
    private final Basis basis;

    private FittedCage(BeamLine from, BeamLine to, Basis basis) {
        this.from = from;
        this.to = to;
        this.basis = basis;
    }

    /** @param cage of the line {@code from} */
    static BeamCage of(BeamCage cage, BeamLine from, BeamLine to, Basis basis) {
        if (from.equals(to)) {
            return cage;
        }
        FittedCage f = new FittedCage(from, to, basis);
        return new BeamCage(
                cage.groups().stream().map(f::group).toList(),
                f.zones(cage.zones()),
                cage.sideBars().stream().map(f::sides).toList());
    }

    private BeamCage.Group group(BeamCage.Group g) {
        double start = place(g.from());
        double end = Math.max(start + LEAST, place(g.to()));
        return new BeamCage.Group(
                g.face(),
                g.layer(),
                g.count(),
                g.bar(),
                g.offset(),
                start,
                end,
                g.hookFrom(),
                g.hookTo(),
                g.through(),
                g.pairs());
    }

    private BeamCage.SideBars sides(BeamCage.SideBars b) {
        return new BeamCage.SideBars(
                b.span(), b.bar(), b.perFace(), place(b.from()), place(b.to()), b.hookFrom(), b.hookTo());
    }

    /** Zones keep their order and fill the span. */
    private List<BeamCage.Zone> zones(List<BeamCage.Zone> zones) {
        List<BeamCage.Zone> out = new ArrayList<>();
        for (BeamLine.Span s : to.spans()) {
            double at = s.faceFrom();
            List<BeamCage.Zone> own =
                    zones.stream().filter(z -> z.span() == s.number()).toList();
            for (int i = 0; i < own.size(); i++) {
                BeamCage.Zone z = own.get(i);
                double end = i + 1 < own.size() ? Math.min(s.faceTo(), place(z.to())) : s.faceTo();
                if (end > at + LEAST) {
                    out.add(new BeamCage.Zone(s.number(), at, end, z.bar(), z.legs(), z.spacing()));
                    at = end;
                }
            }
        }
        return out;
    }

    private double place(double x) {
        if (x <= from.firstBar(basis) + AT_END) {
            return to.firstBar(basis);
        }
        if (x >= from.lastBar(basis) - AT_END) {
            return to.lastBar(basis);
        }
        return to.within(basis, inner(x));
    }

    /** At the distance that it has from the nearest face of a support, inside or outside it. */
    private double inner(double x) {
        double nearest = Double.POSITIVE_INFINITY;
        double moved = x;
        for (BeamLine.Span s : from.spans()) {
            BeamLine.Span t = to.spans().get(s.number());
            for (boolean left : new boolean[] {true, false}) {
                double face = left ? s.faceFrom() : s.faceTo();
                if (Math.abs(x - face) < nearest - AT_END) {
                    nearest = Math.abs(x - face);
                    moved = (left ? t.faceFrom() : t.faceTo()) + (x - face);
                }
            }
        }
        return moved;
    }
}
