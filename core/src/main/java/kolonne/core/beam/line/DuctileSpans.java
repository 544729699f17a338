package kolonne.core.beam.line;

import java.util.Optional;
import kolonne.core.basis.Basis;
import kolonne.core.code.DuctileFrame;

/** Which spans belong to a ductile frame: those that end at a column. Cantilevers and beams on beams do not. */
public final class DuctileSpans {
    private DuctileSpans() {}

    /** Rules of the basis for a line; empty where no span of it is part of a frame. */
    public static Optional<DuctileFrame> rules(BeamLine line, Basis basis) {
        return basis.designCode()
                .ductile(basis.ductility())
                .filter(r -> line.spans().stream().anyMatch(s -> applies(line, s)));
    }

    public static boolean applies(BeamLine line, BeamLine.Span s) {
        return !line.cantilever(s.number()) && (column(line, s.number()) || column(line, s.number() + 1));
    }

    /** Whether a support of the line is a column. */
    public static boolean column(BeamLine line, int support) {
        return line.supports().get(support).kind() == BeamLine.SupportKind.COLUMN;
    }

    /** Length of hoops from a face [mm]. */
    public static double hoops(BeamLine.Span s, DuctileFrame rules) {
        return Math.min(rules.hoopDepths() * s.shape().depth(), s.clear() / 2);
    }

    public static boolean inHoops(BeamLine.Span s, DuctileFrame rules, double x) {
        double reach = hoops(s, rules);
        return reach > 0 && (x <= s.faceFrom() + reach + 1e-6 || x >= s.faceTo() - reach - 1e-6);
    }
}
