package kolonne.core.beam.line;

import java.util.List;

/** Lines of the same geometry and concrete, so that the cage of one fits the other. */
public final class IdenticalLines {
    /** Lengths within this are the same [mm]. */
    private static final double SAME = 1;

    private IdenticalLines() {}

    /** The lines of {@code all} that are like {@code line}, without it. */
    public static List<BeamLine> of(BeamLine line, List<BeamLine> all) {
        return all.stream()
                .filter(o -> !o.id().equals(line.id()) && alike(line, o))
                .toList();
    }

    private static boolean alike(BeamLine a, BeamLine b) {
        if (a.spans().size() != b.spans().size()) {
            return false;
        }
        for (int i = 0; i < a.spans().size(); i++) {
            BeamLine.Span p = a.spans().get(i);
            BeamLine.Span q = b.spans().get(i);
            boolean same = p.shape().equals(q.shape())
                    && p.material().fc() == q.material().fc()
                    && near(p.faceFrom(), q.faceFrom())
                    && near(p.faceTo(), q.faceTo())
                    && near(p.to(), q.to());
            if (!same) {
                return false;
            }
        }
        for (int i = 0; i < a.supports().size(); i++) {
            BeamLine.Support p = a.supports().get(i);
            BeamLine.Support q = b.supports().get(i);
            if (p.kind() != q.kind() || !near(p.depth(), q.depth()) || !near(p.x(), q.x())) {
                return false;
            }
        }
        return true;
    }

    private static boolean near(double a, double b) {
        return Math.abs(a - b) <= SAME;
    }
}
