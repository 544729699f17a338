package kolonne.core.beam.line;

import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.code.Bar;
import kolonne.core.code.Torsion;
import kolonne.core.code.TorsionSection;
import kolonne.core.explain.Trace;
import kolonne.core.section.TorsionTube;

/**
 * Torsion of one span: the tube that resists it, where it counts, and what it asks for. Torsion counts at a station where a
 * combination passes the threshold, and as far beyond as the code asks.
 */
public final class BeamTorsion {
    /** Parts of the perimeter that carry longitudinal steel besides top and bottom: side levels. */
    private final int sideLevels;

    private final BeamLine.Span span;
    private final double[] torques;
    private final Torsion rules;
    private final TorsionSection section;
    private final double threshold;
    private final double from;
    private final double to;

    /** @param torques of the stations of the line, see {@link #torques}. @param bar the largest of the main bars; @param sideLevels levels of side bars */
    public BeamTorsion(
            BeamLine line, BeamLine.Span span, Basis basis, double[] torques, Bar stirrup, Bar bar, int sideLevels) {
        this.span = span;
        this.torques = torques;
        this.sideLevels = sideLevels;
        rules = basis.designCode().torsion();
        section = section(span, basis, stirrup, bar);
        threshold = rules.threshold(section, Trace.OFF);
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < torques.length; i++) {
            BeamLine.Station s = line.stations().get(i);
            if (s.span() == span.number() && torques[i] > threshold) {
                low = Math.min(low, s.x());
                high = Math.max(high, s.x());
            }
        }
        double d = span.shape().depth() - basis.beamCover();
        double further = rules.extension(section.bw(), d);
        from = low - further;
        to = high + further;
    }

    /** The largest bar that a line may have, while it has none: it makes the wall the thickest. */
    public static Bar largest(Basis basis) {
        return basis.beamBarList().get(basis.beamBarList().size() - 1);
    }

    /** The tube of a span with stirrups of a size round bars of a size. */
    public static TorsionSection section(BeamLine.Span span, Basis basis, Bar stirrup, Bar bar) {
        return TorsionTube.of(
                span.shape(),
                span.material().fc(),
                basis.fy(),
                basis.fyt(),
                new TorsionTube.Wall(basis.beamCover(), stirrup.diameter(), bar.diameter()),
                basis.designCode());
    }

    /** The largest torque by size of every station of a line [Nmm]. */
    public static double[] torques(BeamLine line, LineDemands demands) {
        double[] out = new double[line.stations().size()];
        for (int i = 0; i < out.length; i++) {
            for (int c = 0; c < demands.count(); c++) {
                out[i] = Math.max(out[i], Math.abs(demands.at(line.stations().get(i), c, Analysis.T)));
            }
        }
        return out;
    }

    public TorsionSection section() {
        return section;
    }

    public double threshold() {
        return threshold;
    }

    /** Whether torsion counts anywhere in the span. */
    public boolean counts() {
        return to > from;
    }

    /** Whether torsion counts at {@code x}. */
    public boolean countsAt(double x) {
        return x >= from - 1e-6 && x <= to + 1e-6;
    }

    /** At/s that a torque needs where torsion counts [mm2/mm]. */
    public double legSteel(double torque) {
        return rules.legSteel(torque, section, Trace.OFF);
    }

    /**
     * Longitudinal steel of one level of the perimeter for a torque at a station of the line where torsion counts: that of the
     * torque, and where the station's largest torque passes the threshold the minimum that goes with it [mm2].
     */
    public double levelSteel(double torque, int station) {
        double least =
                torques[station] > threshold ? rules.longitudinalMinimum(torques[station], section, Trace.OFF) : 0;
        return Math.max(rules.longitudinalSteel(torque, section, Trace.OFF), least) / levels();
    }

    /** Top, bottom, and the side levels. */
    public int levels() {
        return 2 + sideLevels;
    }

    /** Side levels that keep bars round the perimeter close enough; 0 in a shallow beam. */
    public static int sideLevels(BeamLine.Span span, Basis basis) {
        double between = span.shape().depth()
                - 2
                        * (basis.beamCover()
                                + basis.smallestStirrup().diameter()
                                + basis.beamBarList().get(0).diameter() / 2);
        return Math.max(
                0, (int) Math.ceil(between / basis.designCode().torsion().barSpacing() - 1e-9) - 1);
    }

    /** The largest level steel over the stations of the span [mm2]. */
    public double mostLevelSteel(List<BeamLine.Station> stations) {
        double most = 0;
        for (int i = 0; i < torques.length; i++) {
            BeamLine.Station s = stations.get(i);
            if (s.span() == span.number() && countsAt(s.x())) {
                most = Math.max(most, levelSteel(torques[i], i));
            }
        }
        return most;
    }
}
