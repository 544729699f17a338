package kolonne.core.design;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.DuctileSpans;
import kolonne.core.code.DuctileFrame;
import kolonne.core.explain.Trace;
import kolonne.core.joint.BeamEnd;
import kolonne.core.joint.BeamsAtJoints;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Joint;
import kolonne.core.model.Member;
import kolonne.core.model.Release;
import kolonne.core.section.FlexuralStrength;

/** What designed beams bring to the joints of columns in a ductile frame. */
final class BeamEnds {
    private final BuildingIndex index;
    private final Basis basis;
    private final DuctileFrame rules;
    private final Map<String, List<BeamEnd>> out = new HashMap<>();

    private BeamEnds(BuildingIndex index, Basis basis, DuctileFrame rules) {
        this.index = index;
        this.basis = basis;
        this.rules = rules;
    }

    /** None where the basis asks for no ductile frame. */
    static BeamsAtJoints of(Collection<BeamDesign> beams, BuildingIndex index, Basis basis) {
        Optional<DuctileFrame> rules = basis.designCode().ductile(basis.ductility());
        if (rules.isEmpty()) {
            return BeamsAtJoints.NONE;
        }
        BeamEnds e = new BeamEnds(index, basis, rules.get());
        beams.forEach(e::line);
        return new BeamsAtJoints(e.out);
    }

    private void line(BeamDesign d) {
        BeamLine line = d.line();
        BarsAt bars = new BarsAt(line, d.cage(), d.basis());
        for (BeamLine.Span s : line.spans()) {
            for (boolean left : new boolean[] {true, false}) {
                int support = left ? s.number() : s.number() + 1;
                if (DuctileSpans.column(line, support)) {
                    end(d, bars, s, support, left);
                }
            }
        }
    }

    private void end(BeamDesign d, BarsAt bars, BeamLine.Span s, int support, boolean left) {
        BeamLine line = d.line();
        Joint at = index.joint(line.supports().get(support).joint());
        Joint other = index.joint(
                line.supports().get(left ? support + 1 : support - 1).joint());
        double dx = other.x() - at.x();
        double dy = other.y() - at.y();
        double length = Math.hypot(dx, dy);
        if (length < 1) {
            return;
        }
        double x = line.within(d.basis(), left ? s.faceFrom() : s.faceTo());
        out.computeIfAbsent(at.id(), k -> new ArrayList<>())
                .add(new BeamEnd(
                        line.mark(),
                        dx / length,
                        dy / length,
                        s.shape().webWidth(),
                        s.shape().depth(),
                        s.material().fc(),
                        DuctileSpans.applies(line, s) && !hinged(s, left, at),
                        strength(d, s, x, bars, 1),
                        strength(d, s, x, bars, rules.columns().joints().steelFactor()),
                        strength(d, s, x, bars, Math.max(1, rules.columns().steelFactor())),
                        bars.areaAt(x, BeamCage.Face.TOP),
                        bars.areaAt(x, BeamCage.Face.BOTTOM),
                        runsThrough(d, bars, s, x)));
    }

    private BeamEnd.Strength strength(BeamDesign d, BeamLine.Span s, double x, BarsAt bars, double factor) {
        double stress = factor * d.basis().fy();
        return new BeamEnd.Strength(moment(s, x, false, bars, stress), moment(s, x, true, bars, stress));
    }

    private double moment(BeamLine.Span s, double x, boolean sagging, BarsAt bars, double stress) {
        return FlexuralStrength.of(
                        s.shape(),
                        sagging,
                        bars.layers(x, s, sagging, true),
                        s.material().fc(),
                        stress,
                        basis.designCode(),
                        Trace.OFF)
                .Mn();
    }

    /** Whether a hinge about its horizontal axis keeps the end from bringing moments. */
    private static boolean hinged(BeamLine.Span s, boolean left, Joint at) {
        Member m = s.members().get(left ? 0 : s.members().size() - 1);
        Release r = m.start().equals(at.id()) ? m.startRelease() : m.endRelease();
        return r.frees(Release.HORIZONTAL_AXIS);
    }

    /** Two bars at least and the code's least steel run through the whole line on both faces (15.2.8(c)). */
    private boolean runsThrough(BeamDesign d, BarsAt bars, BeamLine.Span s, double x) {
        for (BeamCage.Face face : BeamCage.Face.values()) {
            List<BeamCage.Group> groups = d.cage().groups().stream()
                    .filter(g -> g.face() == face && g.through())
                    .toList();
            double area = groups.stream().mapToDouble(BeamCage.Group::area).sum();
            double least = basis.designCode()
                    .beamMinimumSteel(
                            s.material().fc(),
                            d.basis().fy(),
                            s.shape().webWidth(),
                            bars.effectiveDepth(x, s, face),
                            Trace.OFF);
            if (groups.stream().mapToInt(BeamCage.Group::count).sum() < 2 || area < least - 1e-6) {
                return false;
            }
        }
        return true;
    }
}
