package kolonne.exchange.model;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import kolonne.core.model.AnalysisOptions;
import kolonne.core.model.Building;
import kolonne.core.model.Combination;
import kolonne.core.model.LoadCase;
import kolonne.core.model.Member;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.Release;
import kolonne.core.model.Section;
import kolonne.core.model.SlabPanel;
import kolonne.core.model.StiffnessFactors;
import kolonne.core.model.Support;
import kolonne.core.shape.Shape;

/** Writes a building in the JSON format or as CSV tables, in the units of its file. */
public final class ModelWriter {
    private static final JsonMapper JSON = new JsonMapper();
    private static final List<String> ACTIONS = List.of("n", "vy", "vz", "t", "my", "mz");
    private static final List<String> DISPLACEMENTS = List.of("ux", "uy", "uz", "rx", "ry", "rz");

    private final Building b;
    private final ModelUnits u;

    ModelWriter(Building b) {
        this.b = b;
        this.u = ModelUnits.of(b.unitSystem());
    }

    /** Writes JSON with one record a line. The stream stays open. */
    public static void json(Building b, OutputStream out) throws IOException {
        try (JsonGenerator g = JSON.createGenerator(out).disable(JsonGenerator.Feature.AUTO_CLOSE_TARGET)) {
            g.writeStartObject();
            g.writeStringField("format", Tables.FORMAT);
            g.writeNumberField("version", Tables.VERSION);
            g.writeStringField("name", b.name());
            g.writeStringField("units", b.unitSystem());
            for (Map.Entry<String, List<Map<String, Object>>> t :
                    new ModelWriter(b).tables().entrySet()) {
                g.writeFieldName(t.getKey());
                g.writeStartArray();
                for (Map<String, Object> row : t.getValue()) {
                    g.writeRaw('\n');
                    g.writePOJO(row);
                }
                g.writeEndArray();
            }
            g.writeEndObject();
        }
    }

    /** The tables as CSV texts by file name, {@code model.csv} among them. */
    public static Map<String, String> csv(Building b) {
        Map<String, String> out = new LinkedHashMap<>();
        out.put("model.csv", "name,units\n" + quoted(b.name()) + "," + b.unitSystem() + "\n");
        new ModelWriter(b).tables().forEach((table, rows) -> {
            if (!rows.isEmpty()) {
                out.put(table + ".csv", csv(Tables.FIELDS.get(table), rows));
            }
        });
        return out;
    }

    private static String csv(List<String> fields, List<Map<String, Object>> rows) {
        StringBuilder s = new StringBuilder(String.join(",", fields)).append('\n');
        for (Map<String, Object> row : rows) {
            List<String> cells =
                    fields.stream().map(f -> quoted(cell(row.get(f)))).toList();
            s.append(String.join(",", cells)).append('\n');
        }
        return s.toString();
    }

    private static String cell(Object v) {
        if (v == null) {
            return "";
        }
        if (v instanceof List<?> l) {
            return String.join(";", l.stream().map(String::valueOf).toList());
        }
        if (v instanceof Map<?, ?> m) {
            return String.join(
                    "; ",
                    m.entrySet().stream()
                            .map(e -> e.getKey() + "=" + e.getValue())
                            .toList());
        }
        return String.valueOf(v);
    }

    private static String quoted(String s) {
        return s.matches("[^\",\\r\\n]*") ? s : "\"" + s.replace("\"", "\"\"") + "\"";
    }

    /** The rows of one table. */
    List<Map<String, Object>> rowsOf(String table) {
        return tables().get(table);
    }

    private Map<String, List<Map<String, Object>>> tables() {
        Map<String, List<Map<String, Object>>> t = new LinkedHashMap<>();
        AnalysisOptions o = b.options();
        t.put(
                "analysis",
                o.shearDeformation()
                                || o.rigidEnds() != 0
                                || o.patternLive()
                                || o.inclination() != 0
                                || !o.pDelta().isEmpty()
                        ? List.of(row(
                                "shearDeformation",
                                o.shearDeformation() ? "yes" : null,
                                "rigidEnds",
                                o.rigidEnds() == 0 ? null : v(o.rigidEnds()),
                                "patternLive",
                                o.patternLive() ? "yes" : null,
                                "inclination",
                                o.inclination() == 0 ? null : v(o.inclination()),
                                "pDelta",
                                o.pDelta().isEmpty() ? null : terms(o.pDelta())))
                        : List.of());
        t.put(
                "roleStiffness",
                Stream.of(role("beam", o.beams()), role("column", o.columns()))
                        .filter(r -> r.size() > 1)
                        .toList());
        t.put("storeys", rows(b.storeys(), s -> row("id", s.id(), "name", s.name(), "elevation", m(s.elevation()))));
        t.put(
                "gridLines",
                rows(
                        b.gridLines(),
                        g -> row("id", g.id(), "x1", m(g.x1()), "y1", m(g.y1()), "x2", m(g.x2()), "y2", m(g.y2()))));
        t.put("joints", rows(b.joints(), j -> row("id", j.id(), "x", m(j.x()), "y", m(j.y()), "z", m(j.z()))));
        t.put(
                "materials",
                rows(
                        b.materials(),
                        q -> row(
                                "id",
                                q.id(),
                                "fc",
                                v(q.fc() / u.stress()),
                                "E",
                                v(q.E() / u.stress()),
                                "poisson",
                                v(q.poisson()),
                                "weight",
                                v(q.weight() / u.weight()))));
        t.put("sections", rows(b.sections(), this::section));
        t.put("members", rows(b.members(), this::member));
        t.put("supports", rows(b.supports(), s -> row("joint", s.joint(), "held", held(s))));
        t.put(
                "springs",
                rows(
                        b.springs(),
                        s -> row(
                                "joint",
                                s.joint(),
                                "ux",
                                k(s.ux()),
                                "uy",
                                k(s.uy()),
                                "uz",
                                k(s.uz()),
                                "rx",
                                mo(s.rx()),
                                "ry",
                                mo(s.ry()),
                                "rz",
                                mo(s.rz()))));
        t.put(
                "diaphragms",
                rows(
                        b.diaphragms(),
                        d -> row("id", d.id(), "joints", d.joints(), "kind", d.rigid() ? null : "flexible")));
        t.put("panels", rows(b.panels(), this::panel));
        t.put(
                "loadCases",
                rows(
                        b.loadCases().stream().filter(c -> !c.generated()).toList(),
                        c -> row(
                                "id",
                                c.id(),
                                "name",
                                c.name(),
                                "kind",
                                RowReader.word(c.kind()),
                                "selfWeight",
                                c.selfWeight() == 0 ? null : v(c.selfWeight()))));
        t.put("memberLoads", rows(b.memberLoads(), l -> memberLoad(l, u)));
        t.put(
                "areaLoads",
                rows(
                        b.areaLoads(),
                        l -> row(
                                "case", l.loadCase(), "panel", l.panel(), "pressure", v(l.pressure() / u.pressure()))));
        t.put(
                "jointLoads",
                rows(
                        b.jointLoads(),
                        l -> row(
                                "case",
                                l.loadCase(),
                                "joint",
                                l.joint(),
                                "fx",
                                f(l.fx()),
                                "fy",
                                f(l.fy()),
                                "fz",
                                f(l.fz()),
                                "mx",
                                mo(l.mx()),
                                "my",
                                mo(l.my()),
                                "mz",
                                mo(l.mz()))));
        t.put(
                "settlements",
                rows(
                        b.settlements(),
                        s -> row(
                                "case",
                                s.loadCase(),
                                "joint",
                                s.joint(),
                                "ux",
                                size(s.ux()),
                                "uy",
                                size(s.uy()),
                                "uz",
                                size(s.uz()),
                                "rx",
                                angle(s.rx()),
                                "ry",
                                angle(s.ry()),
                                "rz",
                                angle(s.rz()))));
        Set<String> own = b.loadCases().stream()
                .filter(c -> !c.generated())
                .map(LoadCase::id)
                .collect(Collectors.toSet());
        t.put(
                "combinations",
                rows(
                        b.combinations().stream()
                                .filter(c -> c.terms().stream().allMatch(q -> own.contains(q.loadCase())))
                                .toList(),
                        c -> row(
                                "id",
                                c.id(),
                                "name",
                                c.name(),
                                "purpose",
                                RowReader.word(c.purpose()),
                                "terms",
                                terms(c.terms()))));
        t.put(
                "stationForces",
                rows(
                        b.stationForces(),
                        s -> row(
                                "member",
                                s.member(),
                                "case",
                                s.loadCase(),
                                "x",
                                m(s.x()),
                                "n",
                                f(s.n()),
                                "vy",
                                f(s.vy()),
                                "vz",
                                f(s.vz()),
                                "t",
                                mo(s.t()),
                                "my",
                                mo(s.my()),
                                "mz",
                                mo(s.mz()))));
        return t;
    }

    /** A row of sections in the units of a building. */
    public static Map<String, Object> section(Section s, Building b) {
        return new ModelWriter(b).section(s);
    }

    private Map<String, Object> section(Section s) {
        Shape shape = s.shape();
        if (shape instanceof Shape.Rectangle r) {
            return row("id", s.id(), "shape", "rectangle", "b", mm(r.b()), "h", mm(r.h()));
        }
        if (shape instanceof Shape.Circle c) {
            return row("id", s.id(), "shape", "circle", "d", mm(c.d()));
        }
        Shape.Flanged f = (Shape.Flanged) shape;
        return row(
                "id", s.id(), "shape", f.word(), "bw", mm(f.bw()), "h", mm(f.h()), "bf", mm(f.bf()), "hf", mm(f.hf()));
    }

    private Map<String, Object> member(Member q) {
        return row(
                "id",
                q.id(),
                "role",
                RowReader.word(q.role()),
                "start",
                q.start(),
                "end",
                q.end(),
                "section",
                q.section(),
                "material",
                q.material(),
                "angle",
                q.angle() == 0 ? null : v(Math.toDegrees(q.angle())),
                "releaseStart",
                released(q.startRelease(), u),
                "releaseEnd",
                released(q.endRelease(), u),
                "rigidStart",
                q.rigidStart() == 0 ? null : m(q.rigidStart()),
                "rigidEnd",
                q.rigidEnd() == 0 ? null : m(q.rigidEnd()),
                "factorArea",
                factor(q, StiffnessFactors::area),
                "factorShearY",
                factor(q, StiffnessFactors::shearY),
                "factorShearZ",
                factor(q, StiffnessFactors::shearZ),
                "factorIy",
                factor(q, StiffnessFactors::iy),
                "factorIz",
                factor(q, StiffnessFactors::iz),
                "factorTorsion",
                factor(q, StiffnessFactors::torsion));
    }

    /** A factor of its own; all of them are written for a member that has gross ones, so that its role's do not apply. */
    private static Double factor(Member q, ToDoubleFunction<StiffnessFactors> f) {
        if (q.stiffness() == null) {
            return null;
        }
        double x = f.applyAsDouble(q.stiffness());
        return x == 1 && !q.stiffness().equals(StiffnessFactors.GROSS) ? null : v(x);
    }

    private static Map<String, Object> role(String role, StiffnessFactors f) {
        return row(
                "role",
                role,
                "factorArea",
                other(f.area()),
                "factorShearY",
                other(f.shearY()),
                "factorShearZ",
                other(f.shearZ()),
                "factorIy",
                other(f.iy()),
                "factorIz",
                other(f.iz()),
                "factorTorsion",
                other(f.torsion()));
    }

    private static Double other(double f) {
        return f == 1 ? null : v(f);
    }

    /** Releases of an end as in the file, empty where all is passed in full. */
    public static List<String> released(Release r, String unitSystem) {
        List<String> l = released(r, ModelUnits.of(unitSystem));
        return l == null ? List.of() : l;
    }

    /** A member load with the fields and units of the file. */
    public static Map<String, Object> load(MemberLoad l, String unitSystem) {
        return memberLoad(l, ModelUnits.of(unitSystem));
    }

    private static List<String> released(Release r, ModelUnits u) {
        return r.any()
                ? IntStream.range(0, 6)
                        .filter(i -> r.at(i) < Release.RIGID)
                        .mapToObj(i -> r.frees(i)
                                ? ACTIONS.get(i)
                                : ACTIONS.get(i) + "=" + v(r.at(i) / (i < 3 ? u.force() / u.length() : u.moment())))
                        .toList()
                : null;
    }

    private List<String> holes(SlabPanel p) {
        return p.holes().isEmpty()
                ? null
                : p.holes().stream()
                        .map(h -> h.stream().map(c -> m(c.x()) + " " + m(c.y())).collect(Collectors.joining(" ")))
                        .toList();
    }

    private static List<String> held(Support s) {
        return IntStream.range(0, 6)
                .filter(s::holds)
                .mapToObj(DISPLACEMENTS::get)
                .toList();
    }

    private Map<String, Object> panel(SlabPanel p) {
        return row(
                "id",
                p.id(),
                "joints",
                p.joints(),
                "thickness",
                mm(p.thickness()),
                "weight",
                v(p.weight() / u.weight()),
                "span",
                p.oneWay() ? "one-way" : "two-way",
                "angle",
                p.oneWay() ? v(Math.toDegrees(p.spanAngle())) : null,
                "holes",
                holes(p));
    }

    private static Map<String, Object> memberLoad(MemberLoad l, ModelUnits u) {
        boolean spread = l.kind().spread();
        double unit = switch (l.kind()) {
            case DISTRIBUTED -> u.lineLoad();
            case POINT, DISTRIBUTED_MOMENT -> u.force();
            case MOMENT -> u.moment();
        };
        return row(
                "case",
                l.loadCase(),
                "member",
                l.member(),
                "kind",
                RowReader.word(l.kind()),
                "direction",
                RowReader.word(l.direction()),
                "from",
                v(l.from() / u.length()),
                "to",
                spread ? v(l.to() / u.length()) : null,
                "value",
                v(l.w1() / unit),
                "valueTo",
                spread && l.w2() != l.w1() ? v(l.w2() / unit) : null);
    }

    private static Map<String, Double> terms(List<Combination.Term> terms) {
        Map<String, Double> out = new LinkedHashMap<>();
        terms.forEach(t -> out.merge(t.loadCase(), t.factor(), Double::sum));
        return out;
    }

    private static <T> List<Map<String, Object>> rows(List<T> list, Function<T, Map<String, Object>> make) {
        List<Map<String, Object>> out = new ArrayList<>(list.size());
        list.forEach(t -> out.add(make.apply(t)));
        return out;
    }

    private static Map<String, Object> row(Object... pairs) {
        Map<String, Object> out = new LinkedHashMap<>();
        for (int i = 0; i < pairs.length; i += 2) {
            if (pairs[i + 1] != null) {
                out.put((String) pairs[i], pairs[i + 1]);
            }
        }
        return out;
    }

    private Double m(double mm) {
        return v(mm / u.length());
    }

    private Double mm(double mm) {
        return v(mm / u.size());
    }

    private Double k(double stiffness) {
        return stiffness == 0 ? null : v(stiffness / (u.force() / u.length()));
    }

    private Double size(double mm) {
        return mm == 0 ? null : mm(mm);
    }

    private static Double angle(double radians) {
        return radians == 0 ? null : v(radians);
    }

    private Double f(double n) {
        return n == 0 ? null : v(n / u.force());
    }

    private Double mo(double nmm) {
        return nmm == 0 ? null : v(nmm / u.moment());
    }

    /** Twelve significant digits: hides the rounding of a unit conversion, keeps every digit that was meant. */
    private static double v(double x) {
        return x == 0
                ? 0
                : new java.math.BigDecimal(x)
                        .round(new java.math.MathContext(12))
                        .doubleValue();
    }

    /** The JSON as bytes. */
    public static byte[] json(Building b) {
        try {
            java.io.ByteArrayOutputStream out = new java.io.ByteArrayOutputStream();
            json(b, out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException("writing a model to memory", e);
        }
    }
}
