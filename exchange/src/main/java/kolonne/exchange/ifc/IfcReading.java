package kolonne.exchange.ifc;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import kolonne.core.finding.Finding;
import kolonne.core.space.Frame;
import kolonne.core.space.Point3;

/** Values of instances, their units, where they lie, and what is said against them. */
final class IfcReading {
    private static final Map<String, Double> PREFIXES = Map.of(
            "MEGA", 1e6, "KILO", 1e3, "HECTO", 1e2, "DECA", 1e1, "DECI", 1e-1, "CENTI", 1e-2, "MILLI", 1e-3, "MICRO",
            1e-6, "GIGA", 1e9, "NANO", 1e-9);
    private static final int LONGEST_CHAIN = 50;
    /** Past these a file is not one that somebody drew, and what is more is left out. */
    static final int MOST_PROPERTIES = 100;

    static final int MOST_CORNERS = 200;
    private static final int MOST_REPRESENTATIONS = 20;
    private static final int MOST_ELEMENTS = 12;
    private static final int DEEPEST_UNIT = 3;
    private static final int MOST_FINDINGS = 2000;
    private static final Frame WORLD =
            new Frame(Point3.ORIGIN, new Point3(1, 0, 0), new Point3(0, 1, 0), new Point3(0, 0, 1));

    final StepFile file;
    private final Consumer<Finding> findings;
    private final Map<String, Double> units = new HashMap<>();
    private final Map<Integer, Frame> placements = new HashMap<>();
    private final Set<String> told = new HashSet<>();
    private boolean feet;
    private int number;

    IfcReading(StepFile file, Consumer<Finding> findings) {
        this.file = file;
        this.findings = findings;
        for (StepFile.Instance i : file.all("IFCUNITASSIGNMENT")) {
            for (Object u : list(i, 0, MOST_PROPERTIES)) {
                unit(instance(u));
            }
        }
    }

    // ---- findings --------------------------------------------------------------------------------------------------

    void fails(String code, StepFile.Instance at, String what, String mend) {
        if (number++ < MOST_FINDINGS) {
            findings.accept(Finding.fails(code, where(at), what, mend));
        }
    }

    void note(String code, StepFile.Instance at, String what, String mend) {
        // room is left for those that fail
        if (number++ < MOST_FINDINGS / 2) {
            findings.accept(Finding.note(code, where(at), what, mend));
        }
    }

    /** A note that is given once, however often there is a reason. */
    void noteOnce(String code, StepFile.Instance at, String what, String mend) {
        if (told.add(code)) {
            note(code, at, what, mend);
        }
    }

    private static String where(StepFile.Instance i) {
        return i == null ? "file" : "line " + i.line() + ", #" + i.number() + " " + i.entity();
    }

    // ---- values ----------------------------------------------------------------------------------------------------

    StepFile.Instance instance(Object ref) {
        return ref instanceof StepFile.Ref r ? file.instance(r.number()) : null;
    }

    static Object value(StepFile.Instance i, int n) {
        return i == null || n >= i.values().size() ? null : i.values().get(n);
    }

    /** The instance that a value leads to; null if none. */
    StepFile.Instance to(StepFile.Instance i, int n) {
        return instance(value(i, n));
    }

    static List<Object> list(StepFile.Instance i, int n) {
        return value(i, n) instanceof List<?> l ? new ArrayList<>(l) : List.of();
    }

    /** The first of the values of a list, at most so many. */
    static List<Object> list(StepFile.Instance i, int n, int most) {
        return value(i, n) instanceof List<?> l ? new ArrayList<>(l.subList(0, Math.min(most, l.size()))) : List.of();
    }

    static String text(StepFile.Instance i, int n) {
        return plain(value(i, n)) instanceof String s ? s.strip() : "";
    }

    static Optional<Double> number(StepFile.Instance i, int n) {
        return plain(value(i, n)) instanceof Double d ? Optional.of(d) : Optional.empty();
    }

    static String word(StepFile.Instance i, int n) {
        return value(i, n) instanceof StepFile.Word w ? w.word() : "";
    }

    /** A value without its type. */
    static Object plain(Object v) {
        return v instanceof StepFile.Typed t ? t.value() : v;
    }

    /** Values of property sets of a name, by the numbers of the instances that they belong to. */
    Map<Integer, Map<String, Object>> sets(String name) {
        Map<Integer, Map<String, Object>> out = new HashMap<>();
        Map<Integer, Map<String, Object>> known = new HashMap<>();
        for (StepFile.Instance r : file.all("IFCRELDEFINESBYPROPERTIES")) {
            StepFile.Instance set = to(r, 5);
            if (set != null
                    && set.entity().equals("IFCPROPERTYSET")
                    && text(set, 2).equals(name)) {
                Map<String, Object> values =
                        known.computeIfAbsent(set.number(), k -> properties(list(set, 4, MOST_PROPERTIES)));
                for (Object o : list(r, 4)) {
                    if (o instanceof StepFile.Ref of) {
                        out.put(of.number(), values);
                    }
                }
            }
        }
        return out;
    }

    Map<String, Object> properties(List<Object> refs) {
        Map<String, Object> out = new HashMap<>();
        for (Object p : refs) {
            StepFile.Instance one = instance(p);
            if (one != null && one.entity().equals("IFCPROPERTYSINGLEVALUE")) {
                out.put(text(one, 0), plain(value(one, 2)));
            }
        }
        return out;
    }

    static Optional<Double> number(Map<String, Object> set, String name) {
        return set.get(name) instanceof Double d ? Optional.of(d) : Optional.empty();
    }

    /** Whether a logical value is true: {@code .T.}. */
    static boolean isTrue(Object v) {
        return plain(v) instanceof StepFile.Word w && w.word().equals("T");
    }

    // ---- units -----------------------------------------------------------------------------------------------------

    private void unit(StepFile.Instance u) {
        if (u != null) {
            String kind = word(u, 1);
            double size = size(u, 0);
            if (size > 0 && Double.isFinite(size)) {
                units.put(kind, size);
            }
            feet |= kind.equals("LENGTHUNIT")
                    && u.entity().equals("IFCCONVERSIONBASEDUNIT")
                    && text(u, 2).toUpperCase(java.util.Locale.ROOT).matches(".*(FOOT|FEET|INCH).*");
        }
    }

    /** A unit in SI without prefixes; but kilograms. */
    private double size(StepFile.Instance u, int depth) {
        if (u == null || depth > DEEPEST_UNIT) {
            return Double.NaN;
        }
        return switch (u.entity()) {
            case "IFCSIUNIT" -> {
                double prefix = PREFIXES.getOrDefault(word(u, 2), 1.0);
                String name = word(u, 3);
                double power = name.startsWith("SQUARE") ? 2 : name.startsWith("CUBIC") ? 3 : 1;
                yield Math.pow(prefix, power) * (name.equals("GRAM") ? 1e-3 : 1);
            }
            case "IFCCONVERSIONBASEDUNIT", "IFCCONVERSIONBASEDUNITWITHOFFSET" -> {
                StepFile.Instance measure = to(u, 3);
                yield number(measure, 0).orElse(Double.NaN) * size(to(measure, 1), depth + 1);
            }
            case "IFCDERIVEDUNIT" -> {
                double product = 1;
                for (Object e : list(u, 0, MOST_ELEMENTS)) {
                    StepFile.Instance element = instance(e);
                    product *= Math.pow(
                            size(to(element, 0), depth + 1), number(element, 1).orElse(1.0));
                }
                yield product;
            }
            default -> Double.NaN;
        };
    }

    /** Whether lengths are in feet or inches. */
    boolean feet() {
        return feet;
    }

    /** A unit of length in millimetres. */
    double length() {
        return units.getOrDefault("LENGTHUNIT", 1.0) * 1000;
    }

    private double metre() {
        return units.getOrDefault("LENGTHUNIT", 1.0);
    }

    /** A unit of force in newtons. */
    double force() {
        return units.getOrDefault("FORCEUNIT", 1.0);
    }

    /** A unit of moment in newton millimetres. */
    double moment() {
        return units.getOrDefault("TORQUEUNIT", force() * metre()) * 1000;
    }

    /** In N/mm. */
    double lineForce() {
        return units.getOrDefault("LINEARFORCEUNIT", force() / metre()) / 1000;
    }

    /** In Nmm/mm. */
    double lineMoment() {
        return units.getOrDefault("LINEARMOMENTUNIT", force());
    }

    /** In N/mm2. */
    double pressure() {
        return units.getOrDefault("PLANARFORCEUNIT", force() / metre() / metre()) / 1e6;
    }

    /** Strengths, in MPa. */
    double stress() {
        return units.getOrDefault("PRESSUREUNIT", 1.0) / 1e6;
    }

    /** In MPa. */
    double modulus() {
        return units.getOrDefault("MODULUSOFELASTICITYUNIT", units.getOrDefault("PRESSUREUNIT", 1.0)) / 1e6;
    }

    /** In kg/m3. */
    double density() {
        return units.getOrDefault("MASSDENSITYUNIT", units.getOrDefault("MASSUNIT", 1.0) / Math.pow(metre(), 3));
    }

    /** In N/mm. */
    double stiffness() {
        return units.getOrDefault("LINEARSTIFFNESSUNIT", force() / metre()) / 1000;
    }

    /** In Nmm/rad. */
    double rotationalStiffness() {
        return units.getOrDefault("ROTATIONALSTIFFNESSUNIT", force() * metre()) * 1000;
    }

    // ---- places ----------------------------------------------------------------------------------------------------

    /** A cartesian point in millimetres; null if there is none. */
    Point3 point(StepFile.Instance p) {
        if (p == null || !p.entity().equals("IFCCARTESIANPOINT")) {
            return null;
        }
        double[] v = numbers(list(p, 0, 3));
        return v.length < 2 ? null : new Point3(v[0], v[1], v.length > 2 ? v[2] : 0).times(length());
    }

    private static double[] numbers(List<Object> l) {
        return l.stream()
                .filter(Double.class::isInstance)
                .mapToDouble(Double.class::cast)
                .toArray();
    }

    Point3 direction(StepFile.Instance d) {
        double[] v = d == null ? new double[0] : numbers(list(d, 0, 3));
        if (v.length < 2) {
            return null;
        }
        Point3 p = new Point3(v[0], v[1], v.length > 2 ? v[2] : 0);
        return p.length() > 1e-9 ? p.times(1 / p.length()) : null;
    }

    /** Where an object's coordinates begin. */
    Frame placement(StepFile.Instance of) {
        return placement(of, 0);
    }

    private Frame placement(StepFile.Instance of, int depth) {
        if (of == null || !of.entity().equals("IFCLOCALPLACEMENT") || depth > LONGEST_CHAIN) {
            return WORLD;
        }
        Frame known = placements.get(of.number());
        if (known == null) {
            Frame parent = placement(to(of, 0), depth + 1);
            Frame own = axes(to(of, 1));
            known = new Frame(
                    parent.global(own.at()), turned(parent, own.x()), turned(parent, own.y()), turned(parent, own.z()));
            placements.put(of.number(), known);
        }
        return known;
    }

    private static Point3 turned(Frame f, Point3 v) {
        return f.global(v).minus(f.at());
    }

    private Frame axes(StepFile.Instance a) {
        Point3 at = a == null ? null : point(to(a, 0));
        if (at == null) {
            return WORLD;
        }
        Point3 z = Optional.ofNullable(direction(to(a, 1))).orElse(WORLD.z());
        Point3 reference = Optional.ofNullable(direction(to(a, 2))).orElse(WORLD.x());
        Point3 x = reference.minus(z.times(reference.dot(z)));
        if (x.length() < 1e-6) {
            return new Frame(at, WORLD.x(), WORLD.y(), WORLD.z());
        }
        x = x.times(1 / x.length());
        Point3 y =
                new Point3(z.y() * x.z() - z.z() * x.y(), z.z() * x.x() - z.x() * x.z(), z.x() * x.y() - z.y() * x.x());
        return new Frame(at, x, y, z);
    }

    /** The first item of a product's topology (representation at {@code n}); null if there is none. */
    StepFile.Instance topology(StepFile.Instance product, int n) {
        for (Object r : list(to(product, n), 2, MOST_REPRESENTATIONS)) {
            StepFile.Instance representation = instance(r);
            if (representation != null && representation.entity().equals("IFCTOPOLOGYREPRESENTATION")) {
                List<Object> items = list(representation, 3, 1);
                return items.isEmpty() ? null : instance(items.get(0));
            }
        }
        return null;
    }
}
