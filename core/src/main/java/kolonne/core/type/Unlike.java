package kolonne.core.type;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import kolonne.core.basis.Basis;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.column.line.ColumnStack;

/** Members of types that would not share the cage of their type, told from what they are before anything is designed. */
public final class Unlike {
    private Unlike() {}

    /**
     * @param ofLine, ofStack the basis that each answers to
     * @return by id of the type the ids of its lines or stacks that are unlike the most of them
     */
    public static Map<String, List<String>> of(
            Types types,
            List<BeamLine> lines,
            Function<BeamLine, Basis> ofLine,
            List<ColumnStack> stacks,
            Function<ColumnStack, Basis> ofStack) {
        Map<String, Likeness> known = new HashMap<>();
        lines.forEach(l -> known.put(l.id(), Likeness.of(l, ofLine.apply(l))));
        stacks.forEach(c -> known.put(c.id(), Likeness.of(c, ofStack.apply(c))));
        Map<String, List<String>> out = new LinkedHashMap<>();
        for (MemberType t : types.all().values()) {
            List<String> there =
                    t.members().stream().filter(known::containsKey).sorted().toList();
            List<String> left = new ArrayList<>(there);
            left.removeAll(Likeness.mostAlike(there, known::get, types.tolerance()));
            if (!left.isEmpty()) {
                out.put(t.id(), left);
            }
        }
        return out;
    }
}
