package kolonne.core.column.check;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.check.CheckResult;
import kolonne.core.check.Governing;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.HandLift;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.finding.Finding;
import kolonne.core.finding.Severity;

/** A designed or checked column stack. @param basis that it answers to */
public record ColumnDesign(ColumnStack stack, ColumnCage cage, Basis basis, List<LiftDesign> lifts) {
    public ColumnDesign {
        lifts = List.copyOf(lifts);
    }

    /**
     * A lift with its checks.
     *
     * @param hand      what a person has set
     * @param governing demand of the axial-bending check; null if the lift is out of scope
     */
    public record LiftDesign(
            ColumnStack.Lift lift,
            ColumnCage.LiftCage cage,
            HandLift hand,
            List<CheckResult> checks,
            LiftDemands.Demand governing,
            LiftDemands.Sway sway,
            List<Finding> findings) {
        public LiftDesign {
            checks = List.copyOf(checks);
            findings = List.copyOf(findings);
        }

        /** The check that decides: the worst unmet one, otherwise the strength used most. */
        public CheckResult governingCheck() {
            return Governing.of(checks);
        }
    }

    /** Whether a person has set a part of it. */
    public boolean byHand() {
        return lifts.stream().anyMatch(l -> !l.hand().isEmpty());
    }

    /** The check that decides in the stack. */
    public CheckResult governing() {
        return Governing.of(lifts.stream().flatMap(l -> l.checks().stream()).toList());
    }

    public List<Finding> findings() {
        return lifts.stream().flatMap(l -> l.findings().stream()).toList();
    }

    public boolean satisfied() {
        return findings().stream().noneMatch(f -> f.severity() == Severity.FAILS);
    }

    public boolean overstressed() {
        return lifts.stream()
                .flatMap(l -> l.checks().stream())
                .anyMatch(c -> !c.satisfied() && c.cause().isStrength());
    }
}
