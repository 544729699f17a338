package kolonne.exchange.model;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Names of the tables of a model and of their fields: the one place that JSON and CSV share. */
final class Tables {
    static final String FORMAT = "kolonne-model";
    static final int VERSION = 1;
    static final List<String> HEADER = List.of("format", "version", "name", "units");
    static final Map<String, List<String>> FIELDS = fields();

    private Tables() {}

    private static Map<String, List<String>> fields() {
        Map<String, List<String>> t = new LinkedHashMap<>();
        t.put("analysis", List.of("shearDeformation", "rigidEnds", "patternLive", "inclination", "pDelta"));
        t.put(
                "roleStiffness",
                List.of("role", "factorArea", "factorShearY", "factorShearZ", "factorIy", "factorIz", "factorTorsion"));
        t.put("storeys", List.of("id", "name", "elevation"));
        t.put("gridLines", List.of("id", "x1", "y1", "x2", "y2"));
        t.put("joints", List.of("id", "x", "y", "z"));
        t.put("materials", List.of("id", "fc", "E", "poisson", "weight"));
        t.put("sections", List.of("id", "shape", "b", "h", "bw", "bf", "hf", "d"));
        t.put(
                "members",
                List.of(
                        "id",
                        "role",
                        "start",
                        "end",
                        "section",
                        "material",
                        "angle",
                        "releaseStart",
                        "releaseEnd",
                        "rigidStart",
                        "rigidEnd",
                        "factorArea",
                        "factorShearY",
                        "factorShearZ",
                        "factorIy",
                        "factorIz",
                        "factorTorsion"));
        t.put("supports", List.of("joint", "held"));
        t.put("springs", List.of("joint", "ux", "uy", "uz", "rx", "ry", "rz"));
        t.put("diaphragms", List.of("id", "joints", "kind"));
        t.put("panels", List.of("id", "joints", "thickness", "weight", "span", "angle", "holes"));
        t.put("loadCases", List.of("id", "name", "kind", "selfWeight"));
        t.put("memberLoads", List.of("case", "member", "kind", "direction", "from", "to", "value", "valueTo"));
        t.put("areaLoads", List.of("case", "panel", "pressure"));
        t.put("jointLoads", List.of("case", "joint", "fx", "fy", "fz", "mx", "my", "mz"));
        t.put("settlements", List.of("case", "joint", "ux", "uy", "uz", "rx", "ry", "rz"));
        t.put("combinations", List.of("id", "name", "purpose", "terms"));
        t.put("stationForces", List.of("member", "case", "x", "n", "vy", "vz", "t", "my", "mz"));
        return t;
    }
}
