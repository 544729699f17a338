package kolonne.core.demand;

import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.model.Building;
import kolonne.core.model.CaseKind;
import kolonne.core.model.Combination;
import kolonne.core.model.Purpose;

/** Combinations of one purpose over an analysis. Immutable; read by many threads. */
public final class Demands {
    private final Analysis analysis;
    private final List<Combination> combinations;
    private final int[][] cases;
    private final double[][] factors;
    private final boolean[] lateral;
    /** By member, what the forces of cases that sway the frame are multiplied by; null for 1 everywhere. */
    private final double[] magnifiers;

    private final boolean[] sustained;
    private final boolean[] earthquake;

    public Demands(Analysis analysis, Purpose purpose) {
        this.analysis = analysis;
        Building b = analysis.index().building();
        combinations =
                b.combinations().stream().filter(c -> c.purpose() == purpose).toList();
        cases = new int[combinations.size()][];
        factors = new double[combinations.size()][];
        for (int c = 0; c < combinations.size(); c++) {
            List<Combination.Term> terms = combinations.get(c).terms();
            cases[c] = terms.stream()
                    .mapToInt(t -> analysis.index().caseNumber(t.loadCase()))
                    .toArray();
            factors[c] = terms.stream().mapToDouble(Combination.Term::factor).toArray();
        }
        lateral = new boolean[b.loadCases().size()];
        sustained = new boolean[b.loadCases().size()];
        earthquake = new boolean[b.loadCases().size()];
        magnifiers = null;
        for (int i = 0; i < lateral.length; i++) {
            earthquake[i] = b.loadCases().get(i).kind() == CaseKind.SEISMIC;
            lateral[i] = b.loadCases().get(i).kind().isLateral();
            sustained[i] = switch (b.loadCases().get(i).kind()) {
                case DEAD, SUPERIMPOSED, SOIL -> true;
                default -> false;
            };
        }
    }

    private Demands(Demands d, boolean[] sidesway, double[] magnifiers) {
        this.analysis = d.analysis;
        this.combinations = d.combinations;
        this.cases = d.cases;
        this.factors = d.factors;
        this.sustained = d.sustained;
        this.earthquake = d.earthquake;
        this.lateral = sidesway;
        this.magnifiers = magnifiers;
    }

    /**
     * The same with the effects of sidesway magnified.
     *
     * @param sidesway   by load case: whether it sways the frame
     * @param magnifiers by member: what the forces of those cases are multiplied by
     */
    Demands magnified(boolean[] sidesway, double[] magnifiers) {
        return new Demands(this, sidesway.clone(), magnifiers.clone());
    }

    /** What the forces of a member from cases that sway the frame are multiplied by in {@link #at}. */
    public double magnifier(int member) {
        return magnifiers == null ? 1 : magnifiers[member];
    }

    public Analysis analysis() {
        return analysis;
    }

    public int count() {
        return combinations.size();
    }

    public Combination combination(int c) {
        return combinations.get(c);
    }

    /** One component of a combination at a station, what sways the frame magnified. */
    public double at(int member, int station, int combination, int component) {
        double sum = 0;
        int[] k = cases[combination];
        double[] f = factors[combination];
        double magnifier = magnifier(member);
        for (int i = 0; i < k.length; i++) {
            sum += (lateral[k[i]] ? magnifier : 1) * f[i] * analysis.force(member, k[i], station, component);
        }
        return sum;
    }

    /** The part of a component that comes from cases that sway the frame, not magnified. */
    public double lateralPart(int member, int station, int combination, int component) {
        return part(lateral, member, station, combination, component);
    }

    /** Whether earthquake acts in a combination. */
    public boolean hasEarthquake(int combination) {
        return java.util.Arrays.stream(cases[combination]).anyMatch(k -> earthquake[k]);
    }

    /** The part of a component that comes from earthquake, magnified as in {@link #at}. */
    public double earthquakePart(int member, int station, int combination, int component) {
        return magnifier(member) * part(earthquake, member, station, combination, component);
    }

    /** The part of a component that comes from sustained load cases. */
    public double sustainedPart(int member, int station, int combination, int component) {
        return part(sustained, member, station, combination, component);
    }

    /** Displacement or rotation of a joint in a combination, or in what of it is sustained; 0 where the forces were solved elsewhere. */
    public double displacement(int joint, int combination, int direction, boolean sustainedPart) {
        double sum = 0;
        int[] k = cases[combination];
        for (int i = 0; i < k.length && !analysis.imported(); i++) {
            if (!sustainedPart || sustained[k[i]]) {
                sum += factors[combination][i] * analysis.displacement(k[i], joint, direction);
            }
        }
        return sum;
    }

    private double part(boolean[] mask, int member, int station, int combination, int component) {
        double sum = 0;
        int[] k = cases[combination];
        for (int i = 0; i < k.length; i++) {
            if (mask[k[i]]) {
                sum += factors[combination][i] * analysis.force(member, k[i], station, component);
            }
        }
        return sum;
    }
}
