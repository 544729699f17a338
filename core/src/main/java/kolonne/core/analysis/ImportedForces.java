package kolonne.core.analysis;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import kolonne.core.finding.Finding;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.StationForces;

/** Station forces solved elsewhere, in the same shape as a solved frame; displacements and reactions are not known. */
final class ImportedForces {
    private ImportedForces() {}

    /** @throws AnalysisFailed naming every member without forces */
    static Analysis of(BuildingIndex given, BuildingIndex index) {
        Building b = index.building();
        int cases = b.loadCases().size();
        Map<String, List<StationForces>> byMember = new HashMap<>();
        b.stationForces()
                .forEach(s -> byMember.computeIfAbsent(s.member(), k -> new ArrayList<>())
                        .add(s));
        List<Finding> findings = new ArrayList<>();
        double[][] stations = new double[b.members().size()][];
        double[][] forces = new double[b.members().size()][];
        for (int m = 0; m < stations.length; m++) {
            List<StationForces> rows = byMember.get(b.members().get(m).id());
            TreeSet<Double> at = new TreeSet<>();
            if (rows != null) {
                rows.forEach(r -> at.add(r.x()));
            }
            if (at.size() < 2) {
                findings.add(Finding.fails(
                        "forces.missing",
                        "member " + b.members().get(m).id(),
                        "The member has forces at " + at.size() + " stations.",
                        "Give them at both ends at least."));
                continue;
            }
            stations[m] = at.stream().mapToDouble(Double::doubleValue).toArray();
            forces[m] = new double[cases * stations[m].length * Analysis.COMPONENTS];
            for (int c = 0; c < cases; c++) {
                fill(index, rows, c, stations[m], forces[m]);
            }
        }
        if (!findings.isEmpty()) {
            throw new AnalysisFailed(findings);
        }
        findings.add(Finding.note(
                "forces.imported",
                "model",
                "The forces come with the file; displacements, reactions " + "and the sway of storeys are not known.",
                "Check that the frame may be taken as braced."));
        return new Analysis(
                given,
                index,
                new double[cases][6 * b.joints().size()],
                new double[cases][6 * b.joints().size()],
                stations,
                forces,
                new double[cases],
                findings,
                null,
                null);
    }

    /** Forces of a case at all stations: as given, straight lines between. A case without rows has no forces. */
    private static void fill(
            BuildingIndex index, List<StationForces> rows, int loadCase, double[] stations, double[] out) {
        List<StationForces> of = rows.stream()
                .filter(r -> index.caseNumber(r.loadCase()) == loadCase)
                .sorted(java.util.Comparator.comparingDouble(StationForces::x))
                .toList();
        for (int s = 0; s < stations.length && !of.isEmpty(); s++) {
            int hi = 0;
            while (hi < of.size() - 1 && of.get(hi).x() < stations[s]) {
                hi++;
            }
            StationForces b = of.get(hi);
            StationForces a = hi == 0 ? b : of.get(hi - 1);
            double t = b.x() > a.x() ? Math.max(0, Math.min(1, (stations[s] - a.x()) / (b.x() - a.x()))) : 1;
            double[] va = values(a);
            double[] vb = values(b);
            for (int i = 0; i < Analysis.COMPONENTS; i++) {
                out[(loadCase * stations.length + s) * Analysis.COMPONENTS + i] = va[i] + t * (vb[i] - va[i]);
            }
        }
    }

    private static double[] values(StationForces s) {
        return new double[] {s.n(), s.vy(), s.vz(), s.t(), s.my(), s.mz()};
    }
}
