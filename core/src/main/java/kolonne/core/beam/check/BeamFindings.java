package kolonne.core.beam.check;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.beam.cage.HandOverlay;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.DuctileSpans;
import kolonne.core.check.CheckResult;
import kolonne.core.check.Mend;
import kolonne.core.code.DesignCode;
import kolonne.core.explain.Quantity;
import kolonne.core.finding.Finding;
import kolonne.core.finding.Severity;
import kolonne.core.shape.Shape;

/** Turns unmet checks into findings in the engineer's words, and says what stays out of scope. */
final class BeamFindings {
    private BeamFindings() {}

    static List<Finding> of(BeamLine line, List<CheckResult> checks, BeamContext context) {
        List<Finding> out = new ArrayList<>();
        boolean us = context.basis().usUnits();
        for (CheckResult c : checks) {
            if (!c.satisfied()) {
                out.add(Finding.design(
                        Severity.FAILS,
                        c.cause(),
                        line.mark() + ", " + c.place(),
                        c.words(us),
                        Mend.of(c.kind(), c.cause()),
                        c.clause().text(),
                        c.combination()));
            }
        }
        if (HandOverlay.outside(line, context.basis(), context.own())) {
            out.add(Finding.note(
                    "hand-set.outside",
                    line.mark(),
                    "The line has become shorter since its bars were set by hand: what reached past its "
                            + "ends or its spans is left out.",
                    "Look at the hand-set bars and set them again, or release them."));
        }
        if (!context.own().demands().isEmpty()) {
            out.add(Finding.note(
                    "hand-set.demand",
                    line.mark(),
                    "Part of the demand is typed by hand and stands in place of the analysis; "
                            + "deflections are still those of the analysis.",
                    "Release the typed demand when it has served."));
        }
        if (line.spans().stream().anyMatch(s -> s.shape() instanceof Shape.InvertedTee)) {
            out.add(Finding.note(
                    "ledge",
                    line.mark(),
                    "The ledges of the section are taken to carry nothing but what the web hands them: their bending, punching and "
                            + "hangers are not designed.",
                    "Design the ledges by hand (" + context.basis().designCode().ledgeClause() + ")."));
        }
        for (BeamLine.Span s : line.spans()) {
            double over = flangeTooWide(line, s, context.basis().designCode());
            if (over > 0) {
                out.add(Finding.note(
                        "flange.wide",
                        line.mark() + ", span " + (s.number() + 1),
                        "The flange of the model juts out further than the " + Quantity.LENGTH.text(over, us)
                                + " beside the web that may count; it was counted as it is ("
                                + context.basis().designCode().flangeClause() + ").",
                        "Make the flange of the section narrower, or let the basis take flanges from the slabs."));
            }
        }
        out.addAll(HungLoads.of(line, context));
        NearLoads.of(line, context).ifPresent(out::add);
        if (DuctileSpans.rules(line, context.basis()).isPresent() && !earthquake(context)) {
            out.add(Finding.note(
                    "ductile.no-earthquake",
                    line.mark(),
                    "No combination for strength has earthquake in it: the shear from the strength of the ends "
                            + "goes with the loads of every combination.",
                    "Add earthquake load cases and their combinations."));
        }
        if (line.supports().stream().allMatch(s -> s.kind() == BeamLine.SupportKind.FREE)) {
            out.add(Finding.note(
                    "line.unsupported",
                    line.mark(),
                    "No support of this line was recognised.",
                    "Look at the members that meet at its ends."));
        }
        boolean heldEnd = line.supports().get(0).kind() == BeamLine.SupportKind.HELD
                || line.supports().get(line.supports().size() - 1).kind() == BeamLine.SupportKind.HELD;
        if (heldEnd) {
            out.add(Finding.note(
                    "line.end-support",
                    line.mark(),
                    "The model has no column at the supported end of the line: "
                            + "whether its bars find room to be anchored there is not checked.",
                    "Check the anchorage by hand."));
        }
        return out;
    }

    /** Overhang that may count where the flange of the model juts out further; else 0 [mm]. */
    private static double flangeTooWide(BeamLine line, BeamLine.Span s, DesignCode code) {
        if (!(s.shape() instanceof Shape.Flanged f) || f instanceof Shape.InvertedTee) {
            return 0;
        }
        double overhang = (f.bf() - f.bw()) / f.overhangs();
        double zero = code.zeroMomentLength(
                s.clear(), line.cantilever(s.number()), line.spans().size(), s.number());
        double counts = code.flangeOverhang(overhang, f.hf(), f.overhangs() == 1, s.clear(), zero);
        boolean modelled = s.shape().equals(s.section().shape());
        return modelled && overhang > counts + 1 ? counts : 0;
    }

    private static boolean earthquake(BeamContext context) {
        return java.util.stream.IntStream.range(0, context.strength().count())
                .anyMatch(context.strength()::hasEarthquake);
    }
}
