package kolonne.core.combination;

import java.util.List;
import java.util.function.Function;
import kolonne.core.model.Combination;
import kolonne.core.model.LoadCase;

/** Standards that combinations are made by. */
public enum CombinationStandard {
    ACI_318("ACI 318-19 table 5.3.1", AciCombinations::of), EN_1990("EN 1990 (6.10)", EnCombinations::of);

    private final String words;
    private final Function<List<LoadCase>, List<Combination>> rules;

    CombinationStandard(String words, Function<List<LoadCase>, List<Combination>> rules) {
        this.words = words;
        this.rules = rules;
    }

    /** Name and clause, for a reader. */
    public String words() {
        return words;
    }

    /** Combinations of load cases by their kinds. */
    public List<Combination> of(List<LoadCase> cases) {
        return rules.apply(cases);
    }
}
