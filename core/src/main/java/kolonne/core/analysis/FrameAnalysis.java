package kolonne.core.analysis;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kolonne.core.analysis.sparse.Cholesky;
import kolonne.core.analysis.sparse.Symbolic;
import kolonne.core.finding.Finding;
import kolonne.core.finding.Severity;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Combination;
import kolonne.core.model.FromFoot;
import kolonne.core.model.Member;

/** Solves the frame for all load cases: one factorisation, every case a right-hand side. */
public final class FrameAnalysis {
    private static final int MOST_ITERATIONS = 40;
    /** Change of any member's axial force, relative to the largest, at which P-Delta has converged. */
    private static final double CONVERGED = 1e-6;

    /** Largest imbalance of a joint, relative to the largest load, that is not told. */
    private static final double LARGEST_RESIDUAL = 1e-6;
    /** Ratio of stiffnesses at a joint from which they are told where the analysis fails. */
    private static final double UNLIKE = 1e6;

    /** Largest imbalance with which forces still have the digits that a design needs. */
    private static final double LOST_RESIDUAL = 1e-4;

    private FrameAnalysis() {}

    /**
     * Analyses a building that {@link kolonne.core.model.ModelCheck} found sound, ells and tees drawn from their feet ({@link FromFoot}); takes the forces that come with the
     * file where there are any. Arrangements of live load are generated where the model asks for them.
     *
     * @throws AnalysisFailed with findings that name the joint and direction of a mechanism, or a panel that loses load
     */
    public static Analysis solve(BuildingIndex index) {
        return resolve(null, index, Progress.NONE);
    }

    /** Hears which step begins; may throw {@link java.util.concurrent.CancellationException} to stop. */
    public interface Progress {
        Progress NONE = step -> {};

        void at(String step);
    }

    /** The stiffness matrix of a building, for measuring and cross-checking factorisations. */
    public record Matrix(Symbolic symbolic, Cholesky.Coefficients coefficients) {}

    /** @throws AnalysisFailed as {@link #solve} */
    public static Matrix matrix(BuildingIndex index) {
        Frame f = Frame.of(index);
        return new Matrix(f.freedoms.symbolic(), f);
    }

    /**
     * Analyses an edited building; order of elimination, elements, loads and the part of the factor that the edit does not
     * reach come from the analysis before.
     *
     * @param before an analysis of the building before the edit, or null
     */
    public static Analysis resolve(Analysis before, BuildingIndex after) {
        return resolve(before, after, Progress.NONE);
    }

    /** As {@link #resolve(Analysis, BuildingIndex)}, telling its steps. */
    public static Analysis resolve(Analysis before, BuildingIndex after, Progress progress) {
        progress.at("reading loads and members");
        AnalysisSize.check(after.building(), after.building());
        BuildingIndex index = Leaning.expanded(PatternLive.expanded(FromFoot.expanded(after)));
        AnalysisSize.check(after.building(), index.building());
        if (index.building().hasImportedForces()) {
            return ImportedForces.of(after, index);
        }
        Frame old = before == null || before.solved() == null
                ? null
                : before.solved().frame();
        Frame frame = Frame.of(index, old);
        progress.at("factorising the stiffness");
        Cholesky factor =
                factorise(frame, old, old == null ? null : before.solved().factor());
        List<Finding> findings = new ArrayList<>(frame.findings);
        progress.at("solving load cases");
        Solved first = new Solved(
                frame,
                factor,
                new Solution(frame, factor, old == null ? null : before.solved().firstOrder()));
        Solved last = index.building().options().pDelta().isEmpty() ? first : secondOrder(first, findings, progress);
        progress.at("forces at stations");
        return recovered(after, index, first, last, findings);
    }

    /**
     * What an analysis keeps for the next one and for displacements along members.
     *
     * @param frame  of first order
     * @param factor of first order
     * @param firstOrder solution of first order
     * @param solution   the solution that counts: with P-Delta that of second order
     */
    record Solved(Frame frame, Cholesky factor, Solution firstOrder, Solution solution) {
        Solved(Frame frame, Cholesky factor, Solution only) {
            this(frame, factor, only, only);
        }
    }

    private static Cholesky factorise(Frame frame, Frame old, Cholesky oldFactor) {
        int[] changed = old == null ? null : frame.changedSince(old);
        Cholesky.Outcome o = changed == null
                ? Cholesky.factorise(frame.freedoms.symbolic(), frame)
                : oldFactor.changed(frame, changed);
        if (o.factor() == null) {
            throw new AnalysisFailed(List.of(Finding.fails(
                    "analysis.mechanism",
                    frame.freedoms.name(o.freeEquation()),
                    "The structure can move freely there: the stiffness matrix is singular."
                            + unlike(frame, frame.freedoms.jointOf(o.freeEquation())),
                    "Add a support, or remove a release of a member that meets there.")));
        }
        return o.factor();
    }

    /** Solves again with the axial forces of the P-Delta combination in the stiffness until they no longer change. */
    private static Solved secondOrder(Solved first, List<Finding> findings, Progress progress) {
        Frame base = first.frame();
        double[] factors = new double[base.index.building().loadCases().size()];
        for (Combination.Term t : base.index.building().options().pDelta()) {
            factors[base.index.caseNumber(t.loadCase())] += t.factor();
        }
        double[] axial = axial(first.solution(), base.elements.length, factors);
        double change = 1;
        for (int i = 1; i <= MOST_ITERATIONS; i++) {
            progress.at("P-Delta, iteration " + i);
            Frame frame = base.withAxial(axial);
            Cholesky.Outcome o = Cholesky.factorise(frame.freedoms.symbolic(), frame);
            if (o.factor() == null) {
                throw new AnalysisFailed(List.of(Finding.fails(
                        "analysis.buckling",
                        frame.freedoms.name(o.freeEquation()),
                        "The frame buckles there under the loads of the P-Delta combination.",
                        "Stiffen the storey, or correct the P-Delta combination.")));
            }
            Solved s = new Solved(frame, o.factor(), new Solution(frame, o.factor(), null));
            double[] next = axial(s.solution(), axial.length, factors);
            change = change(axial, next);
            if (change < CONVERGED) {
                findings.add(Finding.info(
                        "analysis.p-delta",
                        "model",
                        String.format(
                                Locale.ROOT,
                                "P-Delta converged in %d iterations; the last changed axial forces by %.1e of the largest.",
                                i,
                                change)));
                return s;
            }
            axial = next;
        }
        throw new AnalysisFailed(List.of(Finding.fails(
                "analysis.p-delta-diverges",
                "model",
                String.format(
                        Locale.ROOT,
                        "P-Delta has not converged after %d iterations: axial forces still change by %.1e of the largest.",
                        MOST_ITERATIONS,
                        change),
                "Stiffen the frame: it is close to buckling.")));
    }

    private static double[] axial(Solution s, int members, double[] factors) {
        return IntStream.range(0, members).mapToDouble(m -> s.axial(m, factors)).toArray();
    }

    private static double change(double[] a, double[] b) {
        double most = 0;
        double largest = 1e-300;
        for (int m = 0; m < a.length; m++) {
            most = Math.max(most, Math.abs(a[m] - b[m]));
            largest = Math.max(largest, Math.abs(b[m]));
        }
        return most / largest;
    }

    private static Analysis recovered(
            BuildingIndex given, BuildingIndex index, Solved first, Solved last, List<Finding> findings) {
        Frame frame = last.frame();
        Building b = index.building();
        int n = b.members().size();
        int cases = b.loadCases().size();
        double[][] stations = new double[n][];
        double[][] forces = new double[n][];
        PeakStations peaks = new PeakStations(index);
        IntStream.range(0, n).parallel().forEach(m -> {
            StationForcesOf f = forcesOf(last, m);
            double[] at = f.stations(
                    frame.faceStart(m),
                    frame.faceEnd(m),
                    index.sectionOf(b.members().get(m)).shape());
            double[] known = f.fill(at);
            double[] all = peaks.added(f, at, known, cases);
            stations[m] = all;
            forces[m] = all == at ? known : f.fill(all);
        });
        for (int c = 0; c < cases; c++) {
            double r = last.solution().residuals()[c];
            if (!(r < LARGEST_RESIDUAL)) {
                findings.add(
                        unbalanced(last, "load case " + b.loadCases().get(c).id(), c, r));
            }
        }
        if (findings.stream().anyMatch(f -> f.severity() == Severity.FAILS)) {
            throw new AnalysisFailed(findings);
        }
        return new Analysis(
                given,
                index,
                last.solution().displacements(),
                last.solution().reactions(),
                stations,
                forces,
                last.solution().residuals(),
                findings,
                new Solved(first.frame(), first.factor(), first.solution(), last.solution()),
                frame);
    }

    /** Names the members at a joint where their stiffness differs so much that the softer ones are lost in rounding; else empty. */
    private static String unlike(Frame frame, String joint) {
        List<Member> all = stiffestFirst(frame, joint);
        double most = all.isEmpty() ? 1 : stiffness(frame, all.get(0));
        double least = all.isEmpty() ? 1 : stiffness(frame, all.get(all.size() - 1));
        return most < UNLIKE * least
                ? ""
                : String.format(
                        Locale.ROOT,
                        " Member %s is %.0e times as stiff as member %s there: what the softer one adds is lost in rounding.",
                        all.get(0).id(),
                        most / least,
                        all.get(all.size() - 1).id());
    }

    private static List<Member> stiffestFirst(Frame frame, String joint) {
        return frame.index.membersAt(joint).stream()
                .sorted(Comparator.comparingDouble((Member m) -> -stiffness(frame, m)))
                .toList();
    }

    /** Against moving across its axis [N/mm]. */
    private static double stiffness(Frame frame, Member m) {
        Element e = frame.elements[frame.index.memberNumber(m.id())];
        return Math.max(e.eiy, e.eiz) / (e.clear * e.clear * e.clear);
    }

    /** The joint that is out of balance most and the members that meet there, the stiffest and the softest first and last. */
    private static Finding unbalanced(Solved s, String where, int c, double residual) {
        String name = s.frame().freedoms.name(s.solution().worstEquation(c));
        String members = stiffestFirst(
                        s.frame(), s.frame().freedoms.jointOf(s.solution().worstEquation(c)))
                .stream()
                .map(Member::id)
                .collect(Collectors.joining(", "));
        String what = String.format(
                Locale.ROOT,
                "%s is out of balance by %.1e of the largest load. Members there, stiffest first: %s.",
                name,
                residual,
                members.isEmpty() ? "none" : members);
        String mend =
                "Look for members of extremely different stiffness that meet: short stubs, or stiffness factors far from 1.";
        // where the ground alone moves, forces may be no more than rounding
        boolean loaded = Arrays.stream(s.solution().applied(c)).anyMatch(v -> v != 0);
        return residual < LOST_RESIDUAL || !loaded
                ? Finding.note("analysis.residual", where, what, mend)
                : Finding.fails("analysis.residual", where, what, mend);
    }

    static StationForcesOf forcesOf(Solved s, int m) {
        Element e = s.frame().elements[m];
        double[][] end = s.solution().endForcesOf(m);
        double[][] ends = null;
        if (e.axial != 0) {
            ends = new double[end.length][];
            for (int c = 0; c < end.length; c++) {
                ends[c] = s.solution().beamEnds(m, c);
            }
        }
        return new StationForcesOf(e, s.frame().loads.of(m), end, ends);
    }
}
