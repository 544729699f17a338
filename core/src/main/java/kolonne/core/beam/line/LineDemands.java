package kolonne.core.beam.line;

import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.demand.Demands;

/**
 * Forces of every combination for strength at the stations of a line, in the sense of the line: shear and torsion change sign with
 * its direction. Where a person has typed demands, two more combinations stand for them.
 */
public final class LineDemands {
    private static final String[] TYPED = {"typed by hand, sagging", "typed by hand, hogging"};
    static final int COMPONENTS = 6;

    /** Null where they are of several lines. */
    private final BeamLine line;

    private final boolean typed;
    private final double spread;
    private final int combinations;
    /** By station, combination and component. */
    private final double[] values;
    /** Where earthquake is asked of; null for a line that stands for several. */
    private final Demands strength;
    /** By combination of such a line. */
    private final List<Borne> borne;

    /**
     * A combination of a line as another one bears it.
     *
     * @param forces     by station and component
     * @param earthquake whether it acts in the combination, and by station its part of the shear
     */
    record Borne(double[][] forces, boolean earthquake, double[] earthquakeShear) {}

    /** @param redistributed part of the hogging moments at supports that is moved into the spans */
    public LineDemands(BeamLine line, Demands strength, List<TypedDemand> typed, double redistributed) {
        this.line = line;
        this.typed = !typed.isEmpty();
        this.strength = strength;
        this.borne = List.of();
        this.spread = 0;
        this.combinations = strength.count() + (typed.isEmpty() ? 0 : TYPED.length);
        this.values = new double[line.stations().size() * combinations * COMPONENTS];
        for (BeamLine.Station s : line.stations()) {
            for (int c = 0; c < strength.count(); c++) {
                for (int k = 0; k < COMPONENTS; k++) {
                    values[place(s, c, k)] = turned(s, k, strength.at(s.memberNumber(), s.station(), c, k));
                }
                if (line.withinTip(s.x())) {
                    values[place(s, c, Analysis.MY)] = 0;
                }
            }
        }
        if (redistributed > 0) {
            line.spans().forEach(s -> redistribute(line, s, redistributed));
        }
        for (BeamLine.Station s : line.stations()) {
            if (!typed.isEmpty()) {
                replace(s, TypedDemand.at(typed, s.x()));
            }
        }
    }

    /** Combinations of several lines as if they were this line's. @param spread see there */
    LineDemands(List<Borne> values, double spread) {
        this.line = null;
        this.typed = false;
        this.strength = null;
        this.borne = List.copyOf(values);
        this.spread = spread;
        this.combinations = values.size();
        this.values =
                new double[combinations * (values.isEmpty() ? 0 : values.get(0).forces().length) * COMPONENTS];
        for (int c = 0; c < combinations; c++) {
            double[][] stations = values.get(c).forces();
            for (int i = 0; i < stations.length; i++) {
                System.arraycopy(stations[i], 0, this.values, (i * combinations + c) * COMPONENTS, COMPONENTS);
            }
        }
    }

    /**
     * Lowers the hogging moments at both faces of a span, combination by combination, and moves a straight line of moment with them, so that the
     * span stays in equilibrium with its loads. A cantilever and the support it hangs on keep theirs.
     */
    private void redistribute(BeamLine line, BeamLine.Span span, double part) {
        List<BeamLine.Station> all =
                line.stations().stream().filter(s -> s.span() == span.number()).toList();
        int n = span.number();
        boolean keepsLeft = n > 0 && line.cantilever(n - 1);
        boolean keepsRight = n < line.spans().size() - 1 && line.cantilever(n + 1);
        if (line.cantilever(n) || all.size() < 2) {
            return;
        }
        BeamLine.Station first = all.get(0);
        BeamLine.Station last = all.get(all.size() - 1);
        double length = last.x() - first.x();
        for (int c = 0; c < analysed(); c++) {
            double left = keepsLeft ? 0 : part * Math.max(0, -at(first, c, Analysis.MY));
            double right = keepsRight ? 0 : part * Math.max(0, -at(last, c, Analysis.MY));
            for (BeamLine.Station s : all) {
                double along = (s.x() - first.x()) / length;
                values[place(s, c, Analysis.MY)] += left * (1 - along) + right * along;
                values[place(s, c, Analysis.VZ)] += (right - left) / length;
            }
        }
    }

    private int place(BeamLine.Station s, int combination, int component) {
        return (s.number() * combinations + combination) * COMPONENTS + component;
    }

    public static double turned(BeamLine.Station s, int component, double v) {
        boolean turns = component == Analysis.VZ || component == Analysis.T || component == Analysis.VY;
        return turns && s.reversed() ? -v : v;
    }

    /** How far places of a line that stands for others may lie from the same places of those; 0 of a line by itself [mm]. */
    public double spread() {
        return spread;
    }

    /** Whether a person has typed demands: their shears belong to no moments. */
    boolean typed() {
        return typed;
    }

    /** Combinations that come from an analysis. */
    private int analysed() {
        return combinations - (typed ? TYPED.length : 0);
    }

    /** Whether they are those of a line by itself. */
    public boolean belongTo(BeamLine other) {
        return line == other;
    }

    /** How many combinations there are. */
    public int count() {
        return combinations;
    }

    /** A component of a combination at a station [N, Nmm]. */
    public double at(BeamLine.Station s, int combination, int component) {
        return values[place(s, combination, component)];
    }

    /** Whether earthquake acts in a combination; never in typed demands. */
    public boolean hasEarthquake(int combination) {
        return strength == null
                ? borne.get(combination).earthquake()
                : combination < strength.count() && strength.hasEarthquake(combination);
    }

    /** The part of the shear that comes from earthquake, in the sense of the line [N]. */
    public double earthquakeShear(BeamLine.Station s, int combination) {
        if (strength == null) {
            return borne.get(combination).earthquakeShear()[s.number()];
        }
        return combination < strength.count()
                ? turned(
                        s,
                        Analysis.VZ,
                        strength.earthquakePart(s.memberNumber(), s.station(), combination, Analysis.VZ))
                : 0;
    }

    /** Name of a combination, or of typed demands; empty if there are none. */
    public static String name(Demands strength, int c) {
        if (c < strength.count()) {
            return strength.combination(c).name();
        }
        return strength.count() > 0 && c - strength.count() < TYPED.length ? TYPED[c - strength.count()] : "";
    }

    /** Puts typed values in place of those of the analysis. What is not typed goes with its largest, which is safe: nobody knows what acts with it. */
    private void replace(BeamLine.Station s, TypedDemand typed) {
        if (typed == null) {
            return;
        }
        int n = analysed();
        double[] most = {
            largest(s, Analysis.MY, 1),
            largest(s, Analysis.MY, -1),
            Math.max(largest(s, Analysis.VZ, 1), largest(s, Analysis.VZ, -1)),
            Math.max(largest(s, Analysis.T, 1), largest(s, Analysis.T, -1))
        };
        double[] given = {typed.sagging(), typed.hogging(), typed.shear(), typed.torque()};
        for (int k = 0; k < given.length; k++) {
            most[k] = Double.isFinite(given[k]) ? given[k] : most[k];
        }
        for (int c = 0; c < n; c++) {
            double m = at(s, c, Analysis.MY);
            clear(s, c, Analysis.MY, m > 0 ? typed.sagging() : typed.hogging());
            clear(s, c, Analysis.VZ, typed.shear());
            clear(s, c, Analysis.T, typed.torque());
        }
        for (int side = 0; side < TYPED.length; side++) {
            double sign = side == 0 ? 1 : -1;
            values[place(s, n + side, Analysis.MY)] = sign * most[side];
            values[place(s, n + side, Analysis.VZ)] = sign * most[2];
            values[place(s, n + side, Analysis.T)] = sign * most[3];
        }
    }

    private void clear(BeamLine.Station s, int c, int component, double typed) {
        if (Double.isFinite(typed)) {
            values[place(s, c, component)] = 0;
        }
    }

    private double largest(BeamLine.Station s, int component, double sign) {
        double most = 0;
        for (int c = 0; c < analysed(); c++) {
            most = Math.max(most, sign * at(s, c, component));
        }
        return most;
    }
}
