package kolonne.exchange.edit;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.basis.Basis;
import kolonne.core.basis.BasisField;
import kolonne.core.code.CodeEntry;
import kolonne.core.code.Parameter;
import kolonne.core.code.registry.Codes;
import kolonne.core.explain.Quantity;
import kolonne.exchange.basis.BasisFile;

/** Fields of a basis and their values in words, in the units that its code is read in. */
public final class BasisWords {
    /** Beyond what any field can be, as it is shown. */
    private static final double LARGEST = 1e12;

    private static final Map<String, String> OTHERS = Map.ofEntries(
            Map.entry("name", "Name"),
            Map.entry("code", "Design code"),
            Map.entry("beamBars", "Bars of beams"),
            Map.entry("columnBars", "Bars of columns"),
            Map.entry("stirrups", "Bars of stirrups and ties"),
            Map.entry("preference", "Preference"),
            Map.entry("swayX", "Sway along X"),
            Map.entry("swayY", "Sway along Y"),
            Map.entry("effectiveLengths", "Effective lengths of columns"),
            Map.entry("slabFlanges", "Flanges of beams from the slabs"),
            Map.entry("bundles", "Bundled bars"),
            Map.entry("columnSplices", "Bars of columns joined by"),
            Map.entry("starterBars", "Starter bars"),
            Map.entry("ductility", "Seismic detailing"));
    private static final String NATIONAL = "national/";
    private static final String LOCAL = "local/";
    /** Fields that tell what the file is. */
    private static final Set<String> FORM = Set.of("format", "version", "schemaVersion");

    private static final JsonMapper JSON = new JsonMapper();

    private BasisWords() {}

    /** Every field of a basis in words, in the order of its file; national values where they differ from the recommended ones. */
    public static Map<String, String> all(Basis b) {
        Map<String, String> out = new LinkedHashMap<>();
        JsonNode file = JSON.valueToTree(BasisFile.dto(b));
        file.properties().forEach(e -> {
            if (e.getKey().equals("national")) {
                e.getValue().properties().forEach(n -> {
                    String path = NATIONAL + n.getKey();
                    out.put(name(path, b), value(path, n.getValue(), b));
                });
            } else if (e.getKey().equals("local")) {
                e.getValue().properties().forEach(n -> {
                    String path = LOCAL + n.getKey();
                    out.put(name(path, b), value(path, n.getValue(), b));
                });
            } else if (!FORM.contains(e.getKey()) && !e.getValue().isNull()) {
                out.put(name(e.getKey(), b), value(e.getKey(), e.getValue(), b));
            }
        });
        return out;
    }

    static String name(String path, Basis b) {
        if (path.startsWith(LOCAL)) {
            return "Local settings “" + path.substring(LOCAL.length()) + "”";
        }
        if (path.startsWith(NATIONAL)) {
            String key = path.substring(NATIONAL.length());
            return b.entry().parameters().stream()
                    .filter(p -> p.key().equals(key))
                    .map(Parameter::words)
                    .findFirst()
                    .orElse(key);
        }
        BasisField f = field(path);
        return f != null ? f.name() : OTHERS.getOrDefault(path, path);
    }

    private static BasisField field(String key) {
        return BasisField.ALL.stream()
                .filter(f -> f.key().equals(key))
                .findFirst()
                .orElse(null);
    }

    static String value(String path, JsonNode v, Basis b) {
        String unit = v.isNumber() ? quantity(path).unit(b.usUnits()) : "";
        return number(path, v, b) + (unit.isEmpty() ? "" : " " + unit);
    }

    /** For instance {@code Cover of beams 30 → 35 mm}. */
    static String changed(String path, JsonNode before, JsonNode after, Basis b) {
        return name(path, b) + " " + number(path, before, b) + " → " + value(path, after, b);
    }

    private static Quantity quantity(String path) {
        BasisField f = field(path);
        return f == null
                ? Quantity.NUMBER
                : switch (f.kind()) {
                    case STRESS -> Quantity.STRENGTH;
                    case LENGTH -> Quantity.LENGTH;
                    case PART -> Quantity.RATIO;
                    default -> Quantity.NUMBER;
                };
    }

    /** For instance {@code columns of B1: Cover of columns 50 mm}. */
    private static String local(JsonNode v, Basis b) {
        String role = v.path("role").asText("");
        List<String> storeys = new ArrayList<>();
        v.path("storeys").forEach(s -> storeys.add(s.asText()));
        List<String> where = new ArrayList<>();
        if (!storeys.isEmpty()) {
            where.add((role.isEmpty() ? "beams and columns" : role + "s") + " of " + String.join(", ", storeys));
        }
        int members = v.path("members").size();
        if (members > 0) {
            where.add(members + (members == 1 ? " single member" : " single members"));
        }
        List<String> values = new ArrayList<>();
        v.path("set")
                .properties()
                .forEach(e -> values.add(name(e.getKey(), b) + " " + value(e.getKey(), e.getValue(), b)));
        return String.join(" and ", where) + ": " + String.join(", ", values);
    }

    private static String number(String path, JsonNode v, Basis b) {
        if (path.startsWith(LOCAL) && v.isObject()) {
            return local(v, b);
        }
        if (v.isNull()) {
            return path.startsWith(NATIONAL) ? "recommended" : "none";
        }
        if (v.isBoolean()) {
            return v.asBoolean() ? "yes" : "no";
        }
        if (v.isArray()) {
            List<String> out = new ArrayList<>();
            v.forEach(e -> out.add(e.asText()));
            return String.join(" ", out);
        }
        if (!v.isNumber()) {
            return path.equals("code")
                    ? Codes.find(v.asText()).map(CodeEntry::name).orElse(v.asText())
                    : v.asText().replace('-', ' ');
        }
        double shown = quantity(path).display(v.asDouble(), b.usUnits());
        if (!(Math.abs(shown) < LARGEST)) {
            return "a number without bounds"; // somebody's file may say 4e400
        }
        return new BigDecimal(shown, new MathContext(4)).stripTrailingZeros().toPlainString();
    }
}
