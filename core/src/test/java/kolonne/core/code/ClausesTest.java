package kolonne.core.code;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.lang.reflect.Method;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import kolonne.core.basis.part.Ductility;
import kolonne.core.code.aci318.Aci318;
import kolonne.core.code.en1992.En1992;
import kolonne.core.explain.Clause;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every rule names where it stands: a section of the code it belongs to, by its chapters. */
class ClausesTest {
    /** ACI 318-19 has chapters 1 to 27, EN 1992-1-1 1 to 12 and annexes; a clause may have letters and a table. */
    private static final String ACI = "([1-9]|1\\d|2[0-7])(\\.\\d+)+( ?\\([a-z]\\))?";

    private static final String EN =
            "(annex [A-J](\\.\\d)?|(table )?([1-9]|1[0-2])\\.\\d+[N]?(\\.\\d+)*( ?\\(\\d+\\))?|\\(\\d+\\))";

    static Stream<Object[]> rules() {
        Stream<DesignCode> codes = Stream.of(Aci318.SI, Aci318.US, En1992.of(Map.of()));
        return codes.flatMap(c -> {
            String pattern = c instanceof Aci318 ? ACI : EN;
            List<Object> parts = new java.util.ArrayList<>(List.of(
                    c, c.detailing(), c.columns(), c.serviceability(), c.torsion(), c.slenderness(), c.spirals()));
            c.crackWidth().ifPresent(parts::add);
            c.flangeShear().ifPresent(parts::add);
            c.ductile(Ductility.INTERMEDIATE).ifPresent(parts::add);
            for (Ductility kind : List.of(Ductility.SPECIAL, Ductility.OUTSIDE)) {
                c.ductile(kind)
                        .ifPresent(f ->
                                parts.addAll(List.of(f, f.columns(), f.columns().joints())));
            }
            return parts.stream().map(p -> new Object[] {p, pattern});
        });
    }

    @ParameterizedTest
    @MethodSource("rules")
    void everyRuleHasAClause(Object rules, String pattern) throws Exception {
        for (Method m : rules.getClass().getDeclaredMethods()) {
            if (m.getName().endsWith("Clause") && m.getReturnType() == Clause.class && m.getParameterCount() == 0) {
                m.setAccessible(true);
                String clause = ((Clause) m.invoke(rules)).text();
                boolean sound = Stream.of(clause.split(", | and |; ")).allMatch(c -> c.matches(pattern));
                assertEquals(true, sound, rules.getClass().getSimpleName() + "." + m.getName() + ": " + clause);
            }
        }
    }
}
