package kolonne.core.relief;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.AnalysisFailed;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.beam.cage.HandCage;
import kolonne.core.demand.Demands;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Member;
import kolonne.core.model.Purpose;
import kolonne.core.model.StiffnessFactors;

/**
 * Finds by re-analysis whether the torsion of a line is needed for equilibrium or comes from compatibility, and relieves the
 * latter: torsion from compatibility may be reduced to the cracking torque if the moments redistributed by it are designed for
 * (ACI 318-19 22.7.3.2, 22.7.3.3), which the re-analysis does.
 */
public final class TorsionRelief {
    /** Torsional stiffness that is as good as none. */
    static final double ALMOST_NONE = 1e-3;
    /** Torsion that stays above this part without stiffness is needed for equilibrium. */
    private static final double STAYS = 0.1;
    /** Deflections that grow by more than this factor show that the frame needs the stiffness. */
    private static final double GROWS = 2;

    private static final int MOST_STEPS = 12;
    /** How near the torque must come to the wanted one. */
    private static final double NEAR = 0.01;

    private final Analysis before;
    private final Set<String> members;
    private final double cracking;
    private final HandCage.TorsionKind given;

    private TorsionRelief(Analysis before, List<String> members, double cracking, HandCage.TorsionKind given) {
        this.given = given;
        this.before = before;
        this.members = new HashSet<>(members);
        this.cracking = cracking;
    }

    /** Why the torsion is there. */
    public enum Kind {
        EQUILIBRIUM,
        COMPATIBILITY
    }

    /**
     * What was found.
     *
     * @param evidence in words
     * @param factor   torsional stiffness factor that relieves the line to the wanted torque; 1 where nothing is to be relieved
     * @param torque   before, and relieved after [Nmm]
     * @param after    the analysis with the factor; null for equilibrium torsion
     */
    public record Found(Kind kind, String evidence, double factor, double torque, double relieved, Analysis after) {}

    /** What is found of one line. */
    public static Found find(Analysis a, Line line) {
        return of(a, line).found();
    }

    /** A line that twists. @param cracking torque to relieve to, the least of its spans [Nmm]. @param given what a person says of its torsion */
    public record Line(String id, List<String> members, double cracking, HandCage.TorsionKind given) {}

    private static TorsionRelief of(Analysis a, Line l) {
        return new TorsionRelief(a, l.members(), l.cracking(), l.given());
    }

    /** What became of one of many lines. @param factor 1 where nothing was relieved */
    public record Relieved(Line line, Kind kind, String evidence, double factor, double torque, double relieved) {}

    /** @param after the analysis with all factors; that of before where nothing was relieved */
    public record All(List<Relieved> lines, Analysis after) {}

    /**
     * Relieves every line whose torque passes its cracking torque and comes from compatibility, all in one frame, since what one line sheds another may
     * take: factors are moved together until each line is at its cracking torque, as it would be if it were relieved alone.
     */
    public static All all(Analysis a, List<Line> lines) {
        List<Line> over = new ArrayList<>();
        List<Found> found = new ArrayList<>();
        for (Line l : lines) {
            TorsionRelief r = of(a, l);
            if (r.torque(a) > l.cracking()) {
                over.add(l);
                found.add(r.kind());
            }
        }
        double[] start = new double[over.size()];
        for (int i = 0; i < start.length; i++) {
            start[i] = of(a, over.get(i)).present();
        }
        Together t = new Together(a, over, found, start);
        t.relieve();
        double[] factors = t.factors;
        Analysis now = t.now;
        List<Relieved> out = new ArrayList<>();
        for (int i = 0; i < factors.length; i++) {
            double relieved = of(a, over.get(i)).torque(now);
            boolean changed = factors[i] < start[i];
            out.add(new Relieved(
                    over.get(i),
                    found.get(i).kind(),
                    found.get(i).evidence(),
                    changed ? factors[i] : 1,
                    found.get(i).torque(),
                    relieved));
        }
        return new All(out, now);
    }

    /** Many lines relieved in one frame, each to its own cracking torque as closely as one alone would be. */
    private static final class Together {
        /** How the torque falls with the factor, to begin with: less than in proportion. */
        private static final double USUAL = 2 / 3.0;

        private final Analysis before;
        private final List<Line> lines;
        private final List<Found> found;
        private final double[] start;
        private final double[] factors;
        private final double[] torques;
        private final double[] powers;
        private Analysis now;

        Together(Analysis before, List<Line> lines, List<Found> found, double[] start) {
            this.before = before;
            this.lines = lines;
            this.found = found;
            this.start = start;
            factors = start.clone();
            torques = new double[start.length];
            powers = new double[start.length];
            java.util.Arrays.fill(powers, USUAL);
            now = before;
            look();
        }

        private void look() {
            for (int i = 0; i < torques.length; i++) {
                torques[i] = of(now, lines.get(i)).torque(now);
            }
        }

        void relieve() {
            for (int step = 0; step < 2 * MOST_STEPS && move(false); step++) {
                solve();
            }
            // what others shed in the last step may have lifted one over its cracking torque again
            for (int step = 0; step < MOST_STEPS && move(true); step++) {
                solve();
            }
        }

        private void solve() {
            double[] was = torques.clone();
            double[] factorsThen = then;
            now = with(before, lines, found, factors);
            look();
            for (int i = 0; i < factors.length; i++) {
                double moved = Math.log(factors[i] / factorsThen[i]);
                if (Math.abs(moved) > 0.02) {
                    powers[i] = Math.max(0.2, Math.min(1.5, Math.log(torques[i] / was[i]) / moved));
                }
            }
        }

        private double[] then;

        /** Moves the factor of every line that is not at its cracking torque yet; whether there was one. */
        private boolean move(boolean downOnly) {
            then = factors.clone();
            boolean any = false;
            for (int i = 0; i < factors.length; i++) {
                double wanted = lines.get(i).cracking() * (1 - NEAR / 2);
                boolean over = torques[i] > lines.get(i).cracking();
                boolean under = torques[i] < lines.get(i).cracking() * (1 - NEAR) && factors[i] < start[i] && !downOnly;
                boolean room = over ? factors[i] > ALMOST_NONE : factors[i] < start[i];
                if (found.get(i).kind() == Kind.COMPATIBILITY && (over || under) && room) {
                    double f = factors[i] * Math.pow(wanted / torques[i], 1 / powers[i]);
                    factors[i] = Math.max(ALMOST_NONE, Math.min(start[i], f));
                    any |= factors[i] != then[i];
                }
            }
            return any;
        }
    }

    private static Analysis with(Analysis a, List<Line> lines, List<Found> found, double[] factors) {
        Map<String, Double> of = new HashMap<>();
        for (int i = 0; i < factors.length; i++) {
            double f = factors[i];
            if (found.get(i).kind() == Kind.COMPATIBILITY) {
                lines.get(i).members().forEach(id -> of.put(id, f));
            }
        }
        Building b = a.index().building();
        return FrameAnalysis.resolve(
                a,
                new BuildingIndex(b.withMembers(b.members().stream()
                        .map(m -> of.containsKey(m.id()) ? twisted(b, m, of.get(m.id())) : m)
                        .toList())));
    }

    private static Member twisted(Building b, Member m, double factor) {
        StiffnessFactors f = b.options().factorsOf(m);
        return m.withStiffness(new StiffnessFactors(f.area(), f.shearY(), f.shearZ(), f.iy(), f.iz(), factor));
    }

    private Found found() {
        Found f = kind();
        if (f.kind() == Kind.COMPATIBILITY && f.torque() <= cracking) {
            return new Found(f.kind(), f.evidence(), 1, f.torque(), f.torque(), before);
        }
        return f.kind() == Kind.EQUILIBRIUM ? f : relieved(f.evidence(), f.torque(), f.relieved(), f.after());
    }

    /** Why the torsion is there; for compatibility with what is left without stiffness, and the analysis of that, unless there is nothing to relieve. */
    private Found kind() {
        double torque = torque(before);
        Analysis none;
        try {
            none = with(ALMOST_NONE);
        } catch (AnalysisFailed e) {
            return new Found(
                    Kind.EQUILIBRIUM,
                    "Without torsional stiffness the frame moves: "
                            + e.findings().get(0).what(),
                    1,
                    torque,
                    torque,
                    null);
        }
        double rest = torque(none);
        double growth = largestMove(none) / largestMove(before);
        String words = String.format(
                Locale.ROOT,
                "With a thousandth of its torsional stiffness the torque falls from %.1f to %.1f kNm and the largest "
                        + "movement of its joints grows %.2f times.",
                torque / 1e6,
                rest / 1e6,
                growth);
        boolean needed = rest > STAYS * torque || growth > GROWS;
        if (given != HandCage.TorsionKind.AS_FOUND) {
            words = "Set by hand. " + words
                    + (needed == (given == HandCage.TorsionKind.EQUILIBRIUM)
                            ? ""
                            : needed
                                    ? " By that it would be needed for equilibrium."
                                    : " By that it would come from compatibility.");
            needed = given == HandCage.TorsionKind.EQUILIBRIUM;
        }
        if (needed) {
            return new Found(Kind.EQUILIBRIUM, words, 1, torque, torque, null);
        }
        if (torque <= cracking) {
            return new Found(Kind.COMPATIBILITY, words, 1, torque, torque, before);
        }
        return new Found(Kind.COMPATIBILITY, words, 1, torque, rest, none);
    }

    /** The factor between almost none and the present one at which the torque is the cracking torque, by bisection of its logarithm. */
    private Found relieved(String words, double torque, double rest, Analysis none) {
        if (rest > cracking) {
            return new Found(Kind.COMPATIBILITY, words, ALMOST_NONE, torque, rest, none);
        }
        double low = Math.log(ALMOST_NONE);
        double high = Math.log(present());
        Analysis best = none;
        double factor = ALMOST_NONE;
        for (int i = 0; i < MOST_STEPS; i++) {
            double middle = (low + high) / 2;
            Analysis a = with(Math.exp(middle));
            double t = torque(a);
            if (t > cracking) {
                high = middle;
            } else {
                low = middle;
                best = a;
                factor = Math.exp(middle);
                if (t > (1 - NEAR) * cracking) {
                    break;
                }
            }
        }
        return new Found(Kind.COMPATIBILITY, words, factor, torque, torque(best), best);
    }

    private double present() {
        Building b = before.index().building();
        return b.members().stream()
                .filter(m -> members.contains(m.id()))
                .mapToDouble(m -> b.options().factorsOf(m).torsion())
                .max()
                .orElse(1);
    }

    private Analysis with(double factor) {
        Building b = before.index().building();
        List<Member> changed = b.members().stream()
                .map(m -> members.contains(m.id()) ? twisted(b, m, factor) : m)
                .toList();
        return FrameAnalysis.resolve(before, new BuildingIndex(b.withMembers(changed)));
    }

    /** Largest torque of the line over the strength combinations [Nmm]. */
    private double torque(Analysis a) {
        Demands d = new Demands(a, Purpose.STRENGTH);
        double most = 0;
        for (String id : members) {
            int m = a.index().memberNumber(id);
            for (int s = 0; s < a.stationCount(m); s++) {
                for (int c = 0; c < d.count(); c++) {
                    most = Math.max(most, Math.abs(d.at(m, s, c, Analysis.T)));
                }
            }
        }
        return most;
    }

    /** Largest movement of the line's joints and of what frames into them, over the strength combinations [mm]. */
    private double largestMove(Analysis a) {
        Demands d = new Demands(a, Purpose.STRENGTH);
        Set<String> joints = new HashSet<>();
        for (Member m : a.index().building().members()) {
            if (members.contains(m.id())) {
                for (String j : List.of(m.start(), m.end())) {
                    a.index().membersAt(j).forEach(o -> joints.addAll(List.of(o.start(), o.end())));
                }
            }
        }
        double most = 1e-9;
        for (String j : joints) {
            int k = a.index().jointNumber(j);
            for (int c = 0; c < d.count(); c++) {
                double x = d.displacement(k, c, 0, false);
                double y = d.displacement(k, c, 1, false);
                double z = d.displacement(k, c, 2, false);
                most = Math.max(most, Math.sqrt(x * x + y * y + z * z));
            }
        }
        return most;
    }
}
