package kolonne.core.beam.check;

import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.check.At;
import kolonne.core.check.CheckKind;
import kolonne.core.check.Governing;
import kolonne.core.code.DesignCode;

/** Bars in pairs: their size, and that the two of a pair do not end at one place within a span. */
public final class PairCheck {
    private final BeamLine line;
    private final BeamCage cage;
    private final BeamContext context;
    private final Governing governing;
    private final DesignCode code;

    PairCheck(BeamLine line, BeamCage cage, BeamContext context, Governing governing) {
        this.line = line;
        this.cage = cage;
        this.context = context;
        this.governing = governing;
        this.code = context.basis().designCode();
    }

    /** Whether a place lies between the faces of a span. */
    public static boolean inSpan(BeamLine line, double x) {
        return line.spans().stream().anyMatch(s -> x > s.faceFrom() + 1 && x < s.faceTo() - 1);
    }

    /** Whether bars of two groups lie in pairs with each other. */
    public static boolean partners(BeamCage.Group a, BeamCage.Group b) {
        return a != b
                && a.pairs()
                && b.pairs()
                && a.face() == b.face()
                && a.layer() == b.layer()
                && a.from() < b.to()
                && b.from() < a.to();
    }

    void run() {
        for (BeamCage.Group g : cage.groups()) {
            if (g.pairs()) {
                governing.offer(
                        CheckKind.PAIR_SIZE,
                        g.bar().diameter(),
                        code.detailing().largestInPair(),
                        At.place(g.from(), line.spanAt(g.from()).number()),
                        code.detailing().pairClause());
                end(g, g.from(), true);
                end(g, g.to(), false);
            }
        }
    }

    /** The end of a group against that of the bars it is paired with. */
    private void end(BeamCage.Group g, double x, boolean left) {
        double needed = code.detailing().pairStagger(g.bar());
        if (needed <= 0 || !inSpan(line, x)) {
            return;
        }
        double apart = cage.groups().stream()
                .filter(o -> partners(g, o))
                .mapToDouble(o -> Math.abs((left ? o.from() : o.to()) - x))
                .max()
                .orElse(0);
        governing.offer(
                CheckKind.PAIR_ENDS,
                needed,
                apart,
                At.place(x, line.spanAt(x).number()),
                code.detailing().pairClause());
    }
}
