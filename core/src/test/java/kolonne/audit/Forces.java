package kolonne.audit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.StoreyResults;
import kolonne.core.model.Building;
import kolonne.core.model.CaseKind;
import kolonne.core.model.Combination;
import kolonne.core.model.Joint;
import kolonne.core.model.Member;
import kolonne.core.model.Purpose;
import kolonne.core.model.Role;
import kolonne.core.model.Storey;

/** Combinations of the analysis, with second-order factors of the storeys by a reading of our own (6.6.4.4.1, 6.6.4.6.2, 6.6.4.6.3; 5.8.7.3). */
final class Forces {
    private final Analysis a;
    private final Building b;
    final List<Combination> strength;
    private final List<Combination> lasting;
    private final boolean[] sways;
    /** By storey, {base, top, Qx, Qy}; NaN where no case shears it. */
    private final List<double[]> storeys = new ArrayList<>();

    private final double nonsway;

    Forces(Analysis a, Sheet.Basis basis) {
        this.a = a;
        this.b = a.index().building();
        this.strength = b.combinations().stream()
                .filter(c -> c.purpose() == Purpose.STRENGTH)
                .toList();
        this.lasting = b.combinations().stream()
                .filter(c -> c.purpose() == Purpose.SERVICE_QUASI_PERMANENT)
                .toList();
        this.nonsway = basis.en() ? 1 / 11.0 : 0.05;
        this.sways = new boolean[b.loadCases().size()];
        List<Storey> floors = b.storeys().stream()
                .sorted(Comparator.comparingDouble(Storey::elevation))
                .toList();
        List<List<StoreyResults.Row>> rows = new ArrayList<>();
        for (int c = 0; c < sways.length; c++) {
            List<StoreyResults.Row> r = StoreyResults.of(a, c);
            rows.add(r);
            double all = weight(c);
            sways[c] = b.loadCases().get(c).kind().isLateral()
                    || r.stream().anyMatch(q -> Math.hypot(q.shear()[0], q.shear()[1]) > 1e-3 * all);
        }
        lean(rows);
        for (int i = 0; i + 1 < floors.size(); i++) {
            double base = floors.get(i).elevation();
            double top = floors.get(i + 1).elevation();
            storeys.add(new double[] {
                base, top, index(rows, base, top, 0, basis.swayX()), index(rows, base, top, 1, basis.swayY())
            });
        }
    }

    private double weight(int c) {
        return Math.sqrt(sq(a.applied(c, 0)) + sq(a.applied(c, 1)) + sq(a.applied(c, 2)));
    }

    /** Adds cases whose loads, pushing nothing, lean the frame by more than lc / 1500 for all of their kind in a combination (R6.6.4.6.1). */
    private void lean(List<List<StoreyResults.Row>> rows) {
        boolean[] pushes = sways.clone();
        for (Combination k : strength) {
            Map<Integer, Double> factors = new HashMap<>();
            k.terms().forEach(t -> factors.merge(a.index().caseNumber(t.loadCase()), t.factor(), Double::sum));
            factors.keySet().removeIf(c -> pushes[c]);
            double loads = factors.keySet().stream()
                    .mapToDouble(c -> Math.abs(factors.get(c)) * weight(c))
                    .sum();
            for (int s = 0; s < rows.get(0).size(); s++) {
                double[] all = new double[2];
                for (int c : factors.keySet()) {
                    all[0] += factors.get(c) * rows.get(c).get(s).drift()[0];
                    all[1] += factors.get(c) * rows.get(c).get(s).drift()[1];
                }
                double slope = Math.hypot(all[0], all[1]) / rows.get(0).get(s).height();
                for (int c : factors.keySet()) {
                    double[] one = rows.get(c).get(s).drift();
                    double part = factors.get(c) * (one[0] * all[0] + one[1] * all[1]) / Math.hypot(all[0], all[1]);
                    double perLoad = part / (Math.abs(factors.get(c)) * weight(c));
                    double allowed = rows.get(0).get(s).height() / 1500 / loads;
                    sways[c] |= slope > 1 / 1500.0 && perLoad > allowed;
                }
            }
        }
    }

    /** Half the widest web of the other beams at an end of a member, square to it [mm]. */
    double halfAcross(int member, boolean atStart) {
        Member m = b.members().get(member);
        String joint = atStart ? m.start() : m.end();
        return b.members().stream()
                .filter(o -> o != m
                        && o.role() == Role.BEAM
                        && (o.start().equals(joint) || o.end().equals(joint)))
                .mapToDouble(o -> a.index().sectionOf(o).shape().webWidth() / 2)
                .max()
                .orElse(0);
    }

    private static double sq(double v) {
        return v * v;
    }

    private double index(List<List<StoreyResults.Row>> rows, double base, double top, int axis, boolean asked) {
        double shear = 0;
        double flexibility = Double.NaN;
        for (int c = 0; c < rows.size(); c++) {
            double all = weight(c);
            for (StoreyResults.Row r : rows.get(c)) {
                double v = Math.abs(r.shear()[axis]);
                boolean pushes =
                        Math.hypot(r.shear()[0], r.shear()[1]) > 1e-3 * all && v > Math.abs(r.shear()[1 - axis]);
                if (sways[c] && r.top() == top && pushes && v > shear && r.drift()[axis] != 0) {
                    shear = v;
                    flexibility = Math.abs(r.drift()[axis]) / v;
                }
            }
        }
        double most = 0;
        double middle = (base + top) / 2;
        // what of their compression the analysis has brought to equilibrium where it has moved
        double had = 0;
        for (Combination.Term t : b.options().pDelta()) {
            for (Member m : b.members()) {
                double z1 = a.index().joint(m.start()).z();
                double z2 = a.index().joint(m.end()).z();
                if (m.role() == Role.COLUMN && Math.min(z1, z2) < middle && Math.max(z1, z2) > middle) {
                    had += t.factor()
                            * a.force(
                                    a.index().memberNumber(m.id()), a.index().caseNumber(t.loadCase()), 0, Analysis.N);
                }
            }
        }
        for (int k = 0; k < strength.size(); k++) {
            double p = Math.min(0, had);
            for (Member m : b.members()) {
                double z1 = a.index().joint(m.start()).z();
                double z2 = a.index().joint(m.end()).z();
                if (m.role() == Role.COLUMN && Math.min(z1, z2) < middle && Math.max(z1, z2) > middle) {
                    p -= plain(a.index().memberNumber(m.id()), 0, k, Analysis.N);
                }
            }
            most = Math.max(most, p);
        }
        return asked ? most * flexibility / (top - base) : 0;
    }

    /** δs of the storeys between two levels in a plan direction; the larger where it is skew. Infinite where unstable. */
    double magnifier(double base, double top, double ux, double uy) {
        double out = 1;
        for (double[] s : storeys) {
            for (int axis = 0; axis < 2; axis++) {
                double across = Math.abs(axis == 0 ? uy : ux);
                double q = s[2 + axis];
                boolean counts = s[0] < top - 1
                        && s[1] > base + 1
                        && !(Math.abs(axis == 0 ? ux : uy) < 0.045 && across > 0.5)
                        && q > nonsway;
                out = counts ? Math.max(out, q >= 1 ? Double.POSITIVE_INFINITY : 1 / (1 - q)) : out;
            }
        }
        return out;
    }

    /** Whether a storey's sway is known along X or Y where a column bends. */
    boolean known(double base, double top, double ux, double uy) {
        boolean out = true;
        for (double[] s : storeys) {
            if (s[0] < top - 1 && s[1] > base + 1) {
                out &= Math.abs(ux) < 0.045 || !Double.isNaN(s[2]);
                out &= Math.abs(uy) < 0.045 || !Double.isNaN(s[3]);
            }
        }
        return out && !storeys.isEmpty();
    }

    double beamMagnifier(int member) {
        Member m = b.members().get(member);
        Joint i = a.index().joint(m.start());
        Joint j = a.index().joint(m.end());
        double l = Math.hypot(j.x() - i.x(), j.y() - i.y());
        return magnifier(
                Math.min(i.z(), j.z()) - 2, Math.max(i.z(), j.z()) + 2, (j.x() - i.x()) / l, (j.y() - i.y()) / l);
    }

    private double plain(int member, int station, int k, int component) {
        return at(member, station, strength.get(k), component, 1);
    }

    /** A component of a strength combination, what sways the frame times a factor. */
    double at(int member, int station, int k, int component, double magnifier) {
        return at(member, station, strength.get(k), component, magnifier);
    }

    private double at(int member, int station, Combination c, int component, double magnifier) {
        double sum = 0;
        for (Combination.Term t : c.terms()) {
            int n = a.index().caseNumber(t.loadCase());
            sum += t.factor() * (sways[n] ? magnifier : 1) * a.force(member, n, station, component);
        }
        return sum;
    }

    /** Whether a strength combination has an earthquake. */
    boolean shakes(int k) {
        return strength.get(k).terms().stream().anyMatch(t -> seismic(a.index().caseNumber(t.loadCase())));
    }

    private boolean seismic(int loadCase) {
        return b.loadCases().get(loadCase).kind() == CaseKind.SEISMIC;
    }

    /** A component with the earthquake so many times as strong. */
    double shaken(int member, int station, int k, int component, double magnifier, double times) {
        double more = 0;
        for (Combination.Term t : strength.get(k).terms()) {
            int n = a.index().caseNumber(t.loadCase());
            more += seismic(n) ? (times - 1) * t.factor() * magnifier * a.force(member, n, station, component) : 0;
        }
        return at(member, station, k, component, magnifier) + more;
    }

    /** Of the dead, superimposed and soil cases of a strength combination. */
    double dead(int member, int station, int k, int component) {
        double sum = 0;
        for (Combination.Term t : strength.get(k).terms()) {
            int n = a.index().caseNumber(t.loadCase());
            boolean stays = switch (b.loadCases().get(n).kind()) {
                case DEAD, SUPERIMPOSED, SOIL -> true;
                default -> false;
            };
            sum += stays ? t.factor() * a.force(member, n, station, component) : 0;
        }
        return sum;
    }

    /** Quasi-permanent combinations: |M| + N e at a station, the largest; NaN without any. */
    double lasting(int member, int station, int component, double eccentricity) {
        return lasting.stream()
                .mapToDouble(c -> Math.abs(at(member, station, c, component, 1))
                        + Math.max(0, -at(member, station, c, Analysis.N, 1)) * eccentricity)
                .max()
                .orElse(Double.NaN);
    }

    Analysis analysis() {
        return a;
    }
}
