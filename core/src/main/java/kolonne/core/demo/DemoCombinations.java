package kolonne.core.demo;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.model.CaseKind;
import kolonne.core.model.Combination;
import kolonne.core.model.LoadCase;
import kolonne.core.model.Purpose;

/** Load cases of the made-up buildings and their combinations by ACI 318-19 table 5.3.1. */
final class DemoCombinations {
    private final List<Combination> out = new ArrayList<>();

    private DemoCombinations() {}

    static List<LoadCase> cases() {
        return List.of(
                new LoadCase("G", "self-weight", CaseKind.DEAD, 1),
                new LoadCase("SD", "finishes, shelving, façade", CaseKind.SUPERIMPOSED, 0),
                new LoadCase("LA", "live, first pattern", CaseKind.LIVE, 0),
                new LoadCase("LB", "live, second pattern", CaseKind.LIVE, 0),
                new LoadCase("LR", "roof live", CaseKind.ROOF_LIVE, 0),
                new LoadCase("S", "snow", CaseKind.SNOW, 0),
                new LoadCase("WX", "wind along X", CaseKind.WIND, 0),
                new LoadCase("WY", "wind along Y", CaseKind.WIND, 0),
                new LoadCase("EX", "earthquake along X", CaseKind.SEISMIC, 0),
                new LoadCase("EY", "earthquake along Y", CaseKind.SEISMIC, 0));
    }

    static List<Combination> all() {
        DemoCombinations c = new DemoCombinations();
        c.gravity();
        c.lateral();
        c.service();
        return c.out;
    }

    private void gravity() {
        strength("1.4D", "G", 1.4, "SD", 1.4);
        for (String roof : List.of("LR", "S")) {
            String r = roof.equals("LR") ? "Lr" : "S";
            strength("1.2D + 1.6L + 0.5" + r, "G", 1.2, "SD", 1.2, "LA", 1.6, "LB", 1.6, roof, 0.5);
            strength("1.2D + 1.6L first + 0.5" + r, "G", 1.2, "SD", 1.2, "LA", 1.6, roof, 0.5);
            strength("1.2D + 1.6L second + 0.5" + r, "G", 1.2, "SD", 1.2, "LB", 1.6, roof, 0.5);
            strength("1.2D + 1.6" + r + " + L", "G", 1.2, "SD", 1.2, "LA", 1, "LB", 1, roof, 1.6);
        }
    }

    private void lateral() {
        for (String c : List.of("WX", "WY", "EX", "EY")) {
            String word = c.charAt(0) == 'W' ? "W " : "E ";
            String dir = c.substring(1).toLowerCase(java.util.Locale.ROOT);
            for (int sign : new int[] {1, -1}) {
                String s = word + dir + (sign > 0 ? "+" : "−");
                strength("1.2D + " + s + " + L", "G", 1.2, "SD", 1.2, "LA", 1, "LB", 1, c, sign);
                strength("1.2D + " + s + " + L first", "G", 1.2, "SD", 1.2, "LA", 1, c, sign);
                strength("0.9D + " + s, "G", 0.9, "SD", 0.9, c, sign);
            }
        }
        strength("1.2D + 1.6Lr + 0.5W x+", "G", 1.2, "SD", 1.2, "LR", 1.6, "WX", 0.5);
        strength("1.2D + 1.6S + 0.5W y+", "G", 1.2, "SD", 1.2, "S", 1.6, "WY", 0.5);
    }

    private void service() {
        add("D + L", Purpose.SERVICE_CHARACTERISTIC, "G", 1, "SD", 1, "LA", 1, "LB", 1);
        add("D + L + S", Purpose.SERVICE_CHARACTERISTIC, "G", 1, "SD", 1, "LA", 1, "LB", 1, "S", 1);
        add("D + 0.6W x", Purpose.SERVICE_CHARACTERISTIC, "G", 1, "SD", 1, "WX", 0.6);
        add("D + 0.6W y", Purpose.SERVICE_CHARACTERISTIC, "G", 1, "SD", 1, "WY", 0.6);
        add("D + 0.3L", Purpose.SERVICE_QUASI_PERMANENT, "G", 1, "SD", 1, "LA", 0.3, "LB", 0.3);
    }

    private void strength(String name, Object... terms) {
        add(name, Purpose.STRENGTH, terms);
    }

    private void add(String name, Purpose purpose, Object... terms) {
        List<Combination.Term> list = new ArrayList<>();
        for (int i = 0; i < terms.length; i += 2) {
            list.add(new Combination.Term((String) terms[i], ((Number) terms[i + 1]).doubleValue()));
        }
        out.add(new Combination("K" + (out.size() + 1), name, purpose, list));
    }
}
