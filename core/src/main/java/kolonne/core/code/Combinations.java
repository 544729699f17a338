package kolonne.core.code;

import java.util.List;
import java.util.function.Function;
import kolonne.core.model.Combination;
import kolonne.core.model.LoadCase;

/**
 * Combinations that a standard makes of load cases by their kinds.
 *
 * @param words name and clause, for a reader
 */
public record Combinations(String words, Function<List<LoadCase>, List<Combination>> rules) {
    public List<Combination> of(List<LoadCase> cases) {
        return rules.apply(cases);
    }
}
