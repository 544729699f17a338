package kolonne.core.code.aci318;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import kolonne.core.code.RoofLoad;
import kolonne.core.model.CaseKind;
import kolonne.core.model.Combination;
import kolonne.core.model.LoadCase;
import kolonne.core.model.Purpose;

/**
 * Combinations of ACI 318-19 table 5.3.1 from the kinds of load cases: all dead and superimposed cases together as D, all live
 * cases as L, roof live (all its cases together) and snow one at a time, wind and earthquake one case at a time with either sign (5.3.3 to 5.3.6). Soil
 * pressure acts with 1.6 (5.3.8 a). Service combinations: D + L and D + L + roof (characteristic), D + 0.3 L (quasi-permanent).
 */
public final class AciCombinations {
    private final List<Combination> out = new ArrayList<>();
    private final List<LoadCase> cases;

    private AciCombinations(List<LoadCase> cases) {
        this.cases = cases;
    }

    /** Combinations that have something in them; a case of kind other is in none. */
    public static List<Combination> of(List<LoadCase> cases) {
        AciCombinations c = new AciCombinations(cases);
        c.strength();
        c.service();
        return c.out;
    }

    private List<LoadCase> kind(CaseKind... kinds) {
        return cases.stream().filter(c -> List.of(kinds).contains(c.kind())).toList();
    }

    private void strength() {
        List<RoofLoad> roofs = RoofLoad.of(cases);
        boolean live = !kind(CaseKind.LIVE).isEmpty();
        add("1.4D", 1.4, 0, Map.of());
        if (live || roofs.isEmpty()) {
            add(live ? "1.2D + 1.6L" : "1.2D", 1.2, 1.6, Map.of());
        }
        for (RoofLoad r : roofs) {
            add("1.2D + " + (live ? "1.6L + " : "") + "0.5" + r.name(), 1.2, 1.6, r.times(0.5));
            add("1.2D + 1.6" + r.name() + (live ? " + L" : ""), 1.2, 1, r.times(1.6));
        }
        for (LoadCase w : kind(CaseKind.WIND, CaseKind.SEISMIC)) {
            for (int sign : new int[] {1, -1}) {
                String name = w.id() + (sign > 0 ? " +" : " −");
                add("1.2D + " + name + (live ? " + L" : ""), 1.2, 1, Map.of(w.id(), (double) sign));
                add("0.9D + " + name, 0.9, 0, Map.of(w.id(), (double) sign));
                for (RoofLoad r : w.kind() == CaseKind.WIND ? roofs : List.<RoofLoad>of()) {
                    add("1.2D + 1.6" + r.name() + " + 0.5 " + name, 1.2, 0, with(r.times(1.6), w.id(), 0.5 * sign));
                    add(
                            "1.2D + " + name + (live ? " + L" : "") + " + 0.5" + r.name(),
                            1.2,
                            1,
                            with(r.times(0.5), w.id(), sign));
                }
            }
        }
    }

    private static Map<String, Double> with(Map<String, Double> roof, String lateral, double factor) {
        roof.put(lateral, factor);
        return roof;
    }

    private void service() {
        combination("D + L", Purpose.SERVICE_CHARACTERISTIC, 1, 1, 1, Map.of());
        for (RoofLoad r : RoofLoad.of(cases)) {
            combination("D + L + " + r.name(), Purpose.SERVICE_CHARACTERISTIC, 1, 1, 1, r.times(1));
        }
        combination("D + 0.3L", Purpose.SERVICE_QUASI_PERMANENT, 1, 0.3, 1, Map.of());
    }

    private void add(String name, double dead, double live, Map<String, Double> others) {
        combination(name, Purpose.STRENGTH, dead, live, 1.6, others);
    }

    private void combination(
            String name, Purpose purpose, double dead, double live, double soil, Map<String, Double> others) {
        List<Combination.Term> terms = new ArrayList<>();
        kind(CaseKind.DEAD, CaseKind.SUPERIMPOSED).forEach(c -> terms.add(new Combination.Term(c.id(), dead)));
        kind(CaseKind.SOIL).forEach(c -> terms.add(new Combination.Term(c.id(), soil)));
        if (live != 0) {
            kind(CaseKind.LIVE).forEach(c -> terms.add(new Combination.Term(c.id(), live)));
        }
        others.forEach((c, f) -> terms.add(new Combination.Term(c, f)));
        if (!terms.isEmpty()) {
            out.add(new Combination("K" + (out.size() + 1), name, purpose, terms));
        }
    }
}
