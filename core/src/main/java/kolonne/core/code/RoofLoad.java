package kolonne.core.code;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.model.CaseKind;
import kolonne.core.model.LoadCase;

/**
 * A load of roofs: the live load of all of them together, however many cases it stands in, or one case of snow, since its cases are arrangements of the same snow.
 *
 * @param name  the id of its case; of several cases their sum
 * @param cases their ids
 */
public record RoofLoad(String name, List<String> cases, boolean snow) {
    public RoofLoad {
        cases = List.copyOf(cases);
    }

    /** Those of a model, in the order of their first cases. */
    public static List<RoofLoad> of(List<LoadCase> cases) {
        List<String> live = cases.stream()
                .filter(c -> c.kind() == CaseKind.ROOF_LIVE)
                .map(LoadCase::id)
                .toList();
        List<RoofLoad> out = new ArrayList<>();
        for (LoadCase c : cases) {
            if (c.kind() == CaseKind.SNOW) {
                out.add(new RoofLoad(c.id(), List.of(c.id()), true));
            } else if (!live.isEmpty() && c.id().equals(live.get(0))) {
                out.add(new RoofLoad(
                        live.size() == 1 ? live.get(0) : "(" + String.join(" + ", live) + ")", live, false));
            }
        }
        return out;
    }

    /** Its cases with a factor, in their order. */
    public Map<String, Double> times(double factor) {
        Map<String, Double> out = new LinkedHashMap<>();
        cases.forEach(c -> out.put(c, factor));
        return out;
    }
}
