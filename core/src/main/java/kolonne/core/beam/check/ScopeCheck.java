package kolonne.core.beam.check;

import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.IgnoredForces;
import kolonne.core.check.At;
import kolonne.core.check.CheckKind;
import kolonne.core.check.Governing;
import kolonne.core.code.Bound;
import kolonne.core.code.DesignCode;
import kolonne.core.explain.Clause;
import kolonne.core.shape.Shape;

/** What the checks of beams do not cover: concrete and shapes that the code has no rules for, deep beams, forces that are left out. */
final class ScopeCheck {
    private final BeamLine line;
    private final BeamContext context;
    private final Governing governing;
    private final Basis basis;
    private final DesignCode code;

    ScopeCheck(BeamLine line, BeamContext context, Governing governing) {
        this.line = line;
        this.context = context;
        this.governing = governing;
        this.basis = context.basis();
        this.code = basis.designCode();
    }

    void code(BeamLine.Span span) {
        if (!code.covers(span.material().fc())) {
            governing.offer(
                    CheckKind.CONCRETE_SCOPE,
                    span.material().fc(),
                    0,
                    Double.POSITIVE_INFINITY,
                    At.place(span.middle(), span.number()),
                    code.coversClause());
        }
        if (span.shape() instanceof Shape.Circle) {
            governing.offer(
                    CheckKind.SHAPE,
                    1,
                    0,
                    Double.POSITIVE_INFINITY,
                    At.place(span.middle(), span.number()),
                    code.flexureClause());
        }
    }

    void deep(BeamLine.Span span) {
        double h = span.shape().depth();
        double mid = span.middle();
        boolean cantilever = line.cantilever(span.number());
        double ratio = span.clear() / h;
        double deep = cantilever ? code.deepBeamRatio() / 2 : code.deepBeamRatio();
        if (!Bound.within(deep, ratio)) {
            governing.offer(
                    CheckKind.DEEP_BEAM,
                    deep,
                    ratio,
                    deep / ratio,
                    At.place(mid, span.number()),
                    code.deepBeamClause());
        }
    }

    void ignoredForces(BeamLine.Span span) {
        Shape s = span.shape();
        double fc = span.material().fc();
        double compression = IgnoredForces.axial(code, s, fc, false);
        double tension = IgnoredForces.axial(code, s, fc, true);
        double minor = IgnoredForces.minorMoment(s, fc);
        double across = IgnoredForces.minorShear(s, fc);
        for (BeamLine.Station st : line.stations()) {
            if (st.span() != span.number()) {
                continue;
            }
            for (int c = 0; c < context.combinations(); c++) {
                double n = context.at(st, c, Analysis.N);
                double allowed = n > 0 ? tension : compression;
                ignored(CheckKind.AXIAL_FORCE, Math.abs(n), allowed, st, c, code.beamAxialClause());
                ignored(
                        CheckKind.MINOR_MOMENT,
                        Math.abs(context.at(st, c, Analysis.MZ)),
                        minor,
                        st,
                        c,
                        code.flexureClause());
                ignored(
                        CheckKind.MINOR_SHEAR,
                        Math.abs(context.at(st, c, Analysis.VY)),
                        across,
                        st,
                        c,
                        code.shearClause());
            }
        }
    }

    private void ignored(
            CheckKind kind, double value, double threshold, BeamLine.Station st, int combo, Clause clause) {
        if (value / threshold > 0.05) {
            governing.offer(
                    kind,
                    value,
                    threshold,
                    value / threshold,
                    At.place(st.x(), st.span()).under(context.combinationName(combo)),
                    clause);
        }
    }
}
