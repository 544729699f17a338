package kolonne.core.beam.choice;

import java.util.Optional;
import kolonne.core.basis.Basis;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.check.CheckKind;
import kolonne.core.check.CheckResult;
import kolonne.core.code.Bar;
import kolonne.core.explain.Trace;

/** Hooks in the end supports of a line: which bars they develop, and where they develop none. */
public final class EndHooks {
    private EndHooks() {}

    /** Whether a hook develops a bar in an end support; at a free end none is needed. */
    static boolean develop(BeamLine line, Basis basis, Bar bar, boolean left) {
        boolean free = line.supports().get(left ? 0 : line.spans().size()).kind() == BeamLine.SupportKind.FREE;
        return free || length(line, basis, bar, left) <= line.endRoom(basis, left);
    }

    private static double length(BeamLine line, Basis basis, Bar bar, boolean left) {
        double fc =
                line.spans().get(left ? 0 : line.spans().size() - 1).material().fc();
        return basis.designCode().detailing().hookLength(bar, fc, basis.fy(), Trace.OFF);
    }

    private static boolean column(BeamLine line, boolean left) {
        return line.supports().get(left ? 0 : line.spans().size()).kind() == BeamLine.SupportKind.COLUMN;
    }

    /**
     * An end support in which no bar develops, though some must.
     *
     * @param support number of the support
     * @param bar     the smallest that is allowed
     * @param needs   length of its hook, and what the support leaves for it [mm]
     */
    public record None(int support, Bar bar, double needs, double room) {}

    /**
     * The end support where a design fails for want of bottom bars that develop in it, though a hook of the smallest bar that is allowed does not either: how many bars lie there and how
     * deep the section is changes nothing. Empty where it is not so.
     */
    public static Optional<None> none(BeamDesign d) {
        BeamLine line = d.line();
        Basis basis = d.basis();
        if (!basis.designCode().detailing().bottomYieldsAtColumns()) {
            return Optional.empty();
        }
        Bar least = basis.beamBarList().get(0);
        for (CheckResult c : d.checks()) {
            int last = line.spans().size() - 1;
            boolean left = c.part() == 0 && Math.abs(c.x() - line.spans().get(0).faceFrom()) < 1;
            boolean right =
                    c.part() == last && Math.abs(c.x() - line.spans().get(last).faceTo()) < 1;
            boolean fails = c.kind() == CheckKind.BOTTOM_INTO_SUPPORT && !c.satisfied() && (left || right);
            if (fails && column(line, left) && !develop(line, basis, least, left)) {
                return Optional.of(new None(
                        left ? 0 : last + 1, least, length(line, basis, least, left), line.endRoom(basis, left)));
            }
        }
        return Optional.empty();
    }
}
