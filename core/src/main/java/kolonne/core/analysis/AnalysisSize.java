package kolonne.core.analysis;

import java.util.List;
import java.util.Locale;
import kolonne.core.finding.Finding;
import kolonne.core.model.Building;

/** Bounds of an analysis: what its forces take of memory grows with members times load cases, however small the file is that lists them. */
final class AnalysisSize {
    /** Of a member in a load case: end forces, equivalent loads, forces at some thirty stations [bytes]. */
    private static final double A_MEMBER_AND_CASE = 2000;
    /** Of a point load of it, which has a station at either side: their forces in a load case [bytes]. */
    private static final double A_POINT_LOAD_AND_CASE = 2 * 6 * 8;
    /** Part of the memory that one analysis may take: an edit holds two. */
    private static final double PART = 0.25;
    /** Most combinations, with those of arrangements and inclination. */
    static final int MOST_COMBINATIONS = 4000;

    private AnalysisSize() {}

    /**
     * Refuses what cannot be held.
     *
     * @param given    the model as it is; {@code expanded} with generated cases and combinations
     * @throws AnalysisFailed with a finding that gives the sizes
     */
    static void check(Building given, Building expanded) {
        check(given, expanded, Runtime.getRuntime().maxMemory());
    }

    static void check(Building given, Building expanded, double memory) {
        double points =
                expanded.memberLoads().stream().filter(l -> !l.kind().spread()).count();
        double bytes = expanded.loadCases().size()
                * (A_MEMBER_AND_CASE * expanded.members().size() + A_POINT_LOAD_AND_CASE * points);
        if (bytes > PART * memory) {
            throw new AnalysisFailed(List.of(Finding.fails(
                    "analysis.size",
                    "load cases",
                    String.format(
                            Locale.ROOT,
                            "The forces of %,d members in %,d load cases%s take some %.1f GB of memory; one analysis may take %.1f GB here.",
                            expanded.members().size(),
                            expanded.loadCases().size(),
                            generated(
                                    given.loadCases().size(),
                                    expanded.loadCases().size()),
                            bytes / 1e9,
                            PART * memory / 1e9),
                    "Bring fewer load cases, or a part of the building; or give the server more memory.")));
        }
        if (expanded.combinations().size() > MOST_COMBINATIONS) {
            throw new AnalysisFailed(List.of(Finding.fails(
                    "analysis.combinations",
                    "combinations",
                    String.format(
                            Locale.ROOT,
                            "There are %,d combinations%s; at most %,d.",
                            expanded.combinations().size(),
                            generated(
                                    given.combinations().size(),
                                    expanded.combinations().size()),
                            MOST_COMBINATIONS),
                    "Leave out those that cannot govern.")));
        }
    }

    private static String generated(int given, int all) {
        return all > given ? String.format(Locale.ROOT, " (%,d of them generated)", all - given) : "";
    }
}
