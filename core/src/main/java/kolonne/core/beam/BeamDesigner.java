package kolonne.core.beam;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.code.Bar;
import kolonne.core.code.DesignCode;

/**
 * Proposes the cage of a beam line. Each face has bars through the whole line and additional bars over supports (top) or
 * in spans (bottom); stirrups come first with an estimated depth, then again with the depth of the bars chosen.
 */
public final class BeamDesigner {
    private final BeamLine line;
    private final BeamContext context;
    private final Basis basis;
    private final DesignCode code;
    private final List<BeamShearCheck.Demand> shears;

    private BeamDesigner(BeamLine line, BeamContext context) {
        this.line = line;
        this.context = context;
        this.basis = context.basis();
        this.code = basis.designCode();
        this.shears = BeamShearCheck.demands(line, context);
    }

    /** The designed line: a cage and its checks. */
    public static BeamDesign design(BeamLine line, BeamContext context) {
        return BeamCheck.run(line, new BeamDesigner(line, context).cage(), context);
    }

    private BeamCage cage() {
        Bar stirrup = basis.stirrupList().get(0);
        double allowance = basis.beamCover() + stirrup.diameter() + basis.beamBarList().get(0).diameter();
        List<BeamCage.Zone> zones = zones(allowance);
        BeamCage cage = null;
        for (int pass = 0; pass < 3; pass++) {
            stirrup = zones.stream().map(BeamCage.Zone::bar).max(Comparator.comparingDouble(Bar::diameter)).orElse(stirrup);
            List<BeamCage.Group> groups = new FlexureChoice(line, context, stirrup).choose();
            zones = zones(groups);
            cage = new BeamCage(groups, zones, sideBars());
            double used = zones.stream().mapToDouble(z -> z.bar().diameter()).max().orElse(0);
            if (used <= stirrup.diameter()) {
                break;
            }
        }
        return cage;
    }

    private List<BeamCage.Zone> zones(double allowance) {
        List<BeamCage.Zone> out = new ArrayList<>();
        for (BeamLine.Span s : line.spans()) {
            out.addAll(new StirrupChoice(s, context, s.section().shape().depth() - allowance, shears).choose());
        }
        return out;
    }

    /** Zones with the smallest effective depth that the bars leave anywhere in the span. */
    private List<BeamCage.Zone> zones(List<BeamCage.Group> groups) {
        BarsAt bars = new BarsAt(line, new BeamCage(groups, List.of(), List.of()), basis);
        List<BeamCage.Zone> out = new ArrayList<>();
        for (BeamLine.Span s : line.spans()) {
            double d = Double.POSITIVE_INFINITY;
            for (BeamLine.Station st : line.stations()) {
                if (st.span() == s.number()) {
                    d = Math.min(d, Math.min(bars.effectiveDepth(st.x(), s, BeamCage.Face.TOP),
                        bars.effectiveDepth(st.x(), s, BeamCage.Face.BOTTOM)));
                }
            }
            out.addAll(new StirrupChoice(s, context, d, shears).choose());
        }
        return out;
    }

    private List<BeamCage.SideBars> sideBars() {
        List<BeamCage.SideBars> out = new ArrayList<>();
        for (BeamLine.Span s : line.spans()) {
            double h = s.section().shape().depth();
            if (h > code.skinSteelDepth()) {
                double limit = code.crackSpacing(basis.fy(), basis.beamCover());
                int perFace = (int) Math.ceil((h - 2 * basis.beamCover()) / limit - 1e-9) - 1;
                out.add(new BeamCage.SideBars(s.number(), basis.beamBarList().get(0), Math.max(1, perFace),
                    s.faceFrom() - 150, s.faceTo() + 150));
            }
        }
        return out;
    }
}
