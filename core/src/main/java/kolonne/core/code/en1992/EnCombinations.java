package kolonne.core.code.en1992;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.code.RoofLoad;
import kolonne.core.model.CaseKind;
import kolonne.core.model.Combination;
import kolonne.core.model.LoadCase;
import kolonne.core.model.Purpose;

/**
 * Combinations of EN 1990 from the kinds of load cases, with the recommended factors of annex A1: expression (6.10) with γG = 1.35 or 1.0 and
 * γQ = 1.5, each variable load leading once; (6.12b) for earthquake; (6.14b) characteristic and (6.16b) quasi-permanent. Live loads are
 * offices and reading rooms (ψ0 0.7, ψ2 0.3), roof live loads of category H (0, 0), snow below 1000 m (0.5, 0), wind (0.6, 0). All cases of
 * dead and superimposed load act together, as do all live cases; wind and earthquake act one case at a time with either sign. Soil
 * pressure goes with the dead load.
 */
public final class EnCombinations {
    private static final double G = 1.35;
    private static final double Q = 1.5;

    private final List<Combination> out = new ArrayList<>();
    private final List<LoadCase> cases;

    /** A variable load: its cases with signs, and how much of it goes with another that leads. */
    private record Variable(String name, Map<String, Double> terms, double psi0, double psi2, boolean lateral) {}

    private EnCombinations(List<LoadCase> cases) {
        this.cases = cases;
    }

    /** Combinations that have something in them; a case of kind other is in none. */
    public static List<Combination> of(List<LoadCase> cases) {
        EnCombinations c = new EnCombinations(cases);
        c.strength();
        c.earthquake();
        c.service();
        return c.out;
    }

    private List<LoadCase> kind(CaseKind kind) {
        return cases.stream().filter(c -> c.kind() == kind).toList();
    }

    private List<Variable> variables() {
        List<Variable> all = new ArrayList<>();
        Map<String, Double> live = new LinkedHashMap<>();
        kind(CaseKind.LIVE).forEach(c -> live.put(c.id(), 1.0));
        if (!live.isEmpty()) {
            all.add(new Variable("L", live, 0.7, 0.3, false));
        }
        List<RoofLoad> roofs = RoofLoad.of(cases);
        roofs.stream().filter(r -> !r.snow()).forEach(r -> all.add(new Variable(r.name(), r.times(1), 0, 0, false)));
        roofs.stream().filter(RoofLoad::snow).forEach(r -> all.add(new Variable(r.name(), r.times(1), 0.5, 0, false)));
        for (LoadCase w : kind(CaseKind.WIND)) {
            all.add(new Variable(w.id() + " +", Map.of(w.id(), 1.0), 0.6, 0, true));
            all.add(new Variable(w.id() + " −", Map.of(w.id(), -1.0), 0.6, 0, true));
        }
        return all;
    }

    private void strength() {
        List<Variable> all = variables();
        add("1.35G", Purpose.STRENGTH, G, List.of(), null, 0);
        for (Variable lead : all) {
            add("1.35G + 1.5 " + lead.name(), Purpose.STRENGTH, G, List.of(), lead, Q);
            for (List<Variable> others : companions(all, lead)) {
                add("1.35G + 1.5 " + lead.name() + names(others), Purpose.STRENGTH, G, others, lead, Q);
            }
            add("G + 1.5 " + lead.name(), Purpose.STRENGTH, 1, List.of(), lead, Q);
        }
    }

    private static String names(List<Variable> others) {
        StringBuilder s = new StringBuilder();
        others.forEach(o -> s.append(" + 1.5ψ0 ").append(o.name()));
        return s.toString();
    }

    /** What may go with a leading load: all gravity loads that have a ψ0 together, with each sense of wind in turn and without; live load of roofs has none, snow goes with it on the safe side. */
    private static List<List<Variable>> companions(List<Variable> all, Variable lead) {
        List<Variable> gravity = all.stream()
                .filter(v -> v != lead && !v.lateral() && v.psi0() > 0)
                .toList();
        List<List<Variable>> out = new ArrayList<>();
        if (!gravity.isEmpty()) {
            out.add(gravity);
        }
        for (Variable w : all) {
            if (w.lateral() && !lead.lateral()) {
                List<Variable> with = new ArrayList<>(gravity);
                with.add(w);
                out.add(with);
            }
        }
        return out;
    }

    /** (6.12b): G + E + ψ2 Q. */
    private void earthquake() {
        List<Variable> lasting = variables().stream().filter(v -> v.psi2() > 0).toList();
        for (LoadCase e : kind(CaseKind.SEISMIC)) {
            for (int sign : new int[] {1, -1}) {
                Map<String, Double> terms = new LinkedHashMap<>();
                lasting.forEach(v -> v.terms().forEach((id, f) -> terms.put(id, f * v.psi2())));
                terms.put(e.id(), (double) sign);
                combination(
                        "G + " + e.id() + (sign > 0 ? " +" : " −") + (lasting.isEmpty() ? "" : " + ψ2 L"),
                        Purpose.STRENGTH,
                        1,
                        terms);
            }
        }
    }

    private void service() {
        List<Variable> all = variables();
        if (all.isEmpty()) {
            combination("G", Purpose.SERVICE_CHARACTERISTIC, 1, Map.of());
        }
        for (Variable lead : all) {
            List<Variable> others = all.stream()
                    .filter(v -> v != lead && !v.lateral() && v.psi0() > 0)
                    .toList();
            add(
                    "G + " + lead.name() + (others.isEmpty() ? "" : " + ψ0 others"),
                    Purpose.SERVICE_CHARACTERISTIC,
                    1,
                    others,
                    lead,
                    1);
        }
        Map<String, Double> lasting = new LinkedHashMap<>();
        all.forEach(v -> v.terms().forEach((id, f) -> {
            if (v.psi2() > 0) {
                lasting.put(id, f * v.psi2());
            }
        }));
        combination(lasting.isEmpty() ? "G, lasting" : "G + 0.3L", Purpose.SERVICE_QUASI_PERMANENT, 1, lasting);
    }

    private void add(String name, Purpose purpose, double dead, List<Variable> others, Variable lead, double factor) {
        Map<String, Double> terms = new LinkedHashMap<>();
        if (lead != null) {
            lead.terms().forEach((id, f) -> terms.put(id, f * factor));
        }
        others.forEach(o -> o.terms().forEach((id, f) -> terms.put(id, f * factor * o.psi0())));
        combination(name, purpose, dead, terms);
    }

    private void combination(String name, Purpose purpose, double dead, Map<String, Double> variable) {
        List<Combination.Term> terms = new ArrayList<>();
        for (LoadCase c : cases) {
            if (c.kind() == CaseKind.DEAD || c.kind() == CaseKind.SUPERIMPOSED || c.kind() == CaseKind.SOIL) {
                terms.add(new Combination.Term(c.id(), dead));
            }
        }
        variable.forEach((id, f) -> terms.add(new Combination.Term(id, Math.round(f * 1e6) / 1e6)));
        if (!terms.isEmpty()) {
            out.add(new Combination("K" + (out.size() + 1), name, purpose, terms));
        }
    }
}
