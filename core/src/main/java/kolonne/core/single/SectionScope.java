package kolonne.core.single;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import kolonne.core.code.DesignCode;
import kolonne.core.explain.Clause;
import kolonne.core.finding.Cause;
import kolonne.core.finding.Finding;
import kolonne.core.finding.Severity;
import kolonne.core.single.SingleSection.Spot;

/** What a code does not cover of a section, and bars that cannot be where they are. */
final class SectionScope {
    /** Bars may be given this much nearer than touching [mm]. */
    private static final double TOUCH = 0.5;

    private SectionScope() {}

    /** @param fy of the bars; @param fyt of stirrups [MPa] */
    static List<Finding> of(String id, DesignCode code, double fc, double fy, double fyt) {
        List<Finding> out = new ArrayList<>();
        if (!code.covers(fc)) {
            out.add(outside(
                    id,
                    "The concrete is outside the code's classes.",
                    "Use a class that the code covers.",
                    code.coversClause()));
        }
        if (!code.coversSteel(fy) || !code.coversSteel(fyt)) {
            out.add(outside(
                    id,
                    "The bars or stirrups are outside the code's grades.",
                    "Use a grade that the code covers.",
                    code.coversSteelClause()));
        }
        return out;
    }

    private static Finding outside(String id, String what, String mend, Clause clause) {
        return Finding.design(Severity.FAILS, Cause.OUT_OF_SCOPE, id, what, mend, clause.text(), "");
    }

    /** The first two bars of the catalogue that overlap; areas without a size stand for several bars and may lie anywhere. */
    static Optional<Finding> collision(String id, List<Spot> bars) {
        for (int i = 0; i < bars.size(); i++) {
            for (int k = 0; k < i; k++) {
                Spot a = bars.get(i);
                Spot b = bars.get(k);
                if (a.whole()
                        && b.whole()
                        && Math.hypot(a.x() - b.x(), a.z() - b.z()) < (a.diameter() + b.diameter()) / 2 - TOUCH) {
                    return Optional.of(unfit(
                            id,
                            String.format(
                                    Locale.ROOT,
                                    "Two bars lie in each other, at x = %.0f, z = %.0f and x = %.0f, z = %.0f mm.",
                                    b.x(),
                                    b.z(),
                                    a.x(),
                                    a.z()),
                            "Place them apart, or use fewer or smaller bars."));
                }
            }
        }
        return Optional.empty();
    }

    static Finding outOfConcrete(String id, Spot b) {
        return unfit(
                id,
                String.format(Locale.ROOT, "The bar at x = %.0f, z = %.0f mm comes out of the concrete.", b.x(), b.z()),
                "Move it in, or use a smaller bar.");
    }

    private static Finding unfit(String id, String what, String mend) {
        return Finding.design(Severity.FAILS, Cause.BARS_DO_NOT_FIT, id, what, mend, "", "");
    }
}
