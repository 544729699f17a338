package kolonne.exchange.single;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import kolonne.core.code.Bar;
import kolonne.core.code.CodeEntry;
import kolonne.core.code.DesignCode;
import kolonne.core.code.Parameter;
import kolonne.core.code.registry.Codes;
import kolonne.core.explain.Step;
import kolonne.core.finding.Finding;
import kolonne.core.section.general.Outline;
import kolonne.core.shape.Shape;
import kolonne.core.single.GeneralColumn;
import kolonne.core.single.GeneralUses;
import kolonne.core.single.SectionUses;
import kolonne.core.single.ServiceUses;
import kolonne.core.single.SingleSection;
import kolonne.core.single.Uses;
import kolonne.exchange.json.StrictJson;
import kolonne.exchange.model.ModelUnits;

/** A list of sections with bars, stirrups, materials and sets of forces as JSON, and the answers; docs/formats/sections.md. */
public final class SectionFile {
    private static final JsonMapper JSON = StrictJson.READER;
    /** Largest force or moment that can be meant [N, Nmm]. */
    private static final double FAR = 1e15;
    /** Least and largest strengths that can be meant [MPa]. */
    private static final double[] CONCRETE = {5, 200};

    private static final double[] STEEL = {100, 1000};
    private static final int MOST_BARS = 200;
    /** More steel than this part of the section is a slip of units. */
    private static final double MOST_STEEL = 0.25;

    private final List<Finding> findings = new ArrayList<>();

    private SectionFile() {}

    /** Bars: {@code count} of a size spread across at a height, or one at a place. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record BarEntry(
            String bar,
            Double area,
            Double diameter,
            Double x,
            Double z,
            Double x2,
            Double z2,
            Integer count,
            String face) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record StirrupEntry(String bar, Double spacing, Integer legs, Integer legsAlong, Boolean spiral) {}

    /** @param kind strength, characteristic or quasi-permanent; strength where left out */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record ForceEntry(
            String name, String kind, Double n, Double vy, Double vz, Double t, Double my, Double mz) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record ShapeEntry(
            String shape,
            Double b,
            Double h,
            Double bw,
            Double bf,
            Double hf,
            Double d,
            List<double[]> outline,
            List<List<double[]>> openings) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Entry(
            String id,
            String use,
            String units,
            String code,
            Map<String, Double> parameters,
            ShapeEntry shape,
            Double fc,
            Double fy,
            Double fyt,
            Double cover,
            List<BarEntry> bars,
            StirrupEntry stirrups,
            List<ForceEntry> forces) {
        public Entry named(String id) {
            return new Entry(id, use, units, code, parameters, shape, fc, fy, fyt, cover, bars, stirrups, forces);
        }
    }

    public record Sections(List<Entry> sections) {}

    /** A section ready to be checked with its forces in core units. */
    public record Ready(Uses section, List<SingleSection.Forces> forces, boolean us) {}

    /** @param ready sections that could be read; findings about the others */
    public record Read(List<Ready> ready, List<Finding> findings) {}

    /** Reads a list, or an object with the list {@code sections}. */
    public static Read read(byte[] bytes) {
        SectionFile f = new SectionFile();
        List<Ready> out = new ArrayList<>();
        try {
            List<Entry> all = list(bytes);
            Map<String, String> seen = new HashMap<>();
            for (int i = 0; i < all.size(); i++) {
                String place = "sections[" + i + "]";
                String id = all.get(i) == null ? null : all.get(i).id();
                String before = id == null ? null : seen.putIfAbsent(id, place);
                f.bad(
                        before != null,
                        place + ", " + id,
                        "The id is that of " + before + ".",
                        "Give every section an id of its own.");
                Ready r = f.entry(all.get(i), place);
                if (r != null) {
                    out.add(r);
                }
            }
            f.bad(all.isEmpty(), "file", "There are no sections.", "Give a list of at least one.");
        } catch (IOException e) {
            f.findings.add(StrictJson.trouble(e, "section", "file", "docs/formats/sections.md"));
        }
        return new Read(out, f.findings);
    }

    /** Reads a single section, an object as those of a list. */
    public static Read one(byte[] bytes) {
        SectionFile f = new SectionFile();
        List<Ready> out = new ArrayList<>();
        try {
            Ready r = f.entry(JSON.readValue(bytes, Entry.class), "section");
            if (r != null) {
                out.add(r);
            }
        } catch (IOException e) {
            f.findings.add(StrictJson.trouble(e, "section", "section", "docs/formats/sections.md"));
        }
        return new Read(out, f.findings);
    }

    /** A single section as it is kept. @throws IllegalStateException if it is none: it was read before it was kept */
    public static Entry stored(byte[] bytes) {
        try {
            return JSON.readValue(bytes, Entry.class);
        } catch (IOException e) {
            throw new IllegalStateException("a kept section cannot be read", e);
        }
    }

    /** A single section as a list has it, without what it leaves out. */
    public static String write(Entry one) {
        try {
            return JSON.writeValueAsString(one);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    private static List<Entry> list(byte[] bytes) throws IOException {
        if (JSON.readTree(bytes).isArray()) {
            return Arrays.asList(JSON.readValue(bytes, Entry[].class));
        }
        Sections all = JSON.readValue(bytes, Sections.class);
        return all == null || all.sections() == null ? List.of() : all.sections();
    }

    private void fail(String where, String what, String mend) {
        findings.add(Finding.fails("section", where, what, mend));
    }

    private boolean bad(boolean wrong, String where, String what, String mend) {
        if (wrong) {
            fail(where, what, mend);
        }
        return wrong;
    }

    private Ready entry(Entry e, String place) {
        if (bad(e == null, place, "The entry is null.", "Leave it out.")) {
            return null;
        }
        String where = e.id() == null ? place : place + ", " + e.id();
        ModelUnits u = e.units() == null ? null : ModelUnits.of(e.units());
        boolean column = "column".equals(e.use());
        int before = findings.size();
        bad(u == null, where + ", units", "The units are " + e.units() + ".", "Use SI or US.");
        CodeEntry entry = u == null ? null : code(e.code(), u.name().equals("US"));
        bad(
                u != null && entry == null,
                where + ", code",
                "The code is " + e.code() + ", in " + e.units() + " units.",
                "Use one of " + Codes.keys() + ", with its units.");
        DesignCode code = entry == null || !parametersSound(e.parameters(), entry, where)
                ? null
                : entry.rules(e.parameters() == null ? Map.of() : e.parameters());
        bad(!column && !"beam".equals(e.use()), where + ", use", "The use is " + e.use() + ".", "Use beam or column.");
        if (u != null) {
            strength(e.fc(), CONCRETE, u, where + ", fc");
            strength(e.fy(), STEEL, u, where + ", fy");
            strength(e.fyt() == null ? e.fy() : e.fyt(), STEEL, u, where + ", fyt");
            bad(
                    e.cover() != null && !(e.cover() >= 0),
                    where + ", cover",
                    "The cover is below zero.",
                    "Give the clear cover to the stirrups.");
        }
        bad(e.bars() == null || e.bars().isEmpty(), where + ", bars", "There are no bars.", "Give at least one.");
        Outline outline = u == null || !column ? null : new OutlineForm(this::fail).read(e.shape(), u, where);
        Shape shape =
                u == null || outline != null || findings.size() > before ? null : shape(e.shape(), u, column, where);
        if (shape == null && outline == null || code == null || findings.size() > before) {
            return null;
        }
        boolean us = u.name().equals("US");
        SingleSection.Stirrup stirrup = stirrup(e.stirrups(), shape instanceof Shape.Circle, us, u, where);
        double cover = (e.cover() == null ? us ? 1.5 : 40 : e.cover()) * u.size();
        double inset = cover + (stirrup == null ? 0 : stirrup.diameter());
        List<SingleSection.Spot> bars =
                bars(e, new Place(shape == null ? null : new Sized(shape, inset), outline, u), us, where);
        Shape legged = outline == null || "polygon".equals(e.shape().shape()) ? null : flanged(e.shape(), u);
        // bars that do not lie alike about both axes make a rectangle a section like any other
        if (column && shape instanceof Shape.Rectangle && !alike(bars, shape)) {
            outline = Outline.of(shape);
            legged = shape;
        }
        round(bars, shape, where);
        double steel = bars.stream().mapToDouble(SingleSection.Spot::area).sum()
                / (outline != null ? outline.area() : shape.A());
        bad(
                steel > MOST_STEEL,
                where + ", bars",
                String.format(Locale.ROOT, "The bars are %.0f %% of the section.", 100 * steel),
                "Check counts, areas and units.");
        forcesSound(e.forces(), u, where);
        if (findings.size() > before) {
            return null;
        }
        String id = e.id() == null ? place : e.id();
        double fyt = (e.fyt() == null ? e.fy() : e.fyt()) * u.stress();
        if (outline != null) {
            GeneralColumn.Sheared sheared =
                    legged == null ? null : new GeneralColumn.Sheared(legged, fyt, cover, stirrup);
            GeneralColumn c =
                    new GeneralColumn(id, code, outline, e.fc() * u.stress(), e.fy() * u.stress(), bars, sheared);
            return ready(new GeneralUses(c), e, entry, u);
        }
        SingleSection s = new SingleSection(
                id, code, column, shape, e.fc() * u.stress(), e.fy() * u.stress(), fyt, cover, bars, stirrup);
        return ready(new SectionUses(s), e, entry, u);
    }

    private static Ready ready(Uses strength, Entry e, CodeEntry code, ModelUnits u) {
        double fc = e.fc() * u.stress();
        return new Ready(
                new ServiceUses(strength, fc, e.fy() * u.stress(), code.elasticModulus(fc)),
                forces(e, u),
                u.name().equals("US"));
    }

    private boolean parametersSound(Map<String, Double> given, CodeEntry code, String where) {
        int before = findings.size();
        (given == null ? Map.<String, Double>of() : given).forEach((key, v) -> {
            Optional<Parameter> p =
                    code.parameters().stream().filter(o -> o.key().equals(key)).findFirst();
            boolean sound = p.isPresent() && v != null && p.get().allows(v);
            bad(
                    !sound,
                    where + ", parameters",
                    p.isEmpty()
                            ? code.name() + " has no parameter " + key + "."
                            : key + " is " + v + ", outside " + p.get().bounds() + ".",
                    "Give what the code leaves to nations, by the names of the basis.");
        });
        return findings.size() == before;
    }

    private static List<SingleSection.Forces> forces(Entry e, ModelUnits u) {
        List<SingleSection.Forces> forces = new ArrayList<>();
        for (ForceEntry f : e.forces() == null ? List.<ForceEntry>of() : e.forces()) {
            forces.add(new SingleSection.Forces(
                    f.name() == null ? "set " + (forces.size() + 1) : f.name(),
                    kind(f).orElseThrow(),
                    or0(f.n()) * u.force(),
                    or0(f.vy()) * u.force(),
                    or0(f.vz()) * u.force(),
                    or0(f.t()) * u.moment(),
                    or0(f.my()) * u.moment(),
                    or0(f.mz()) * u.moment()));
        }
        return forces;
    }

    /** Empty where there is no such kind. */
    private static Optional<SingleSection.Kind> kind(ForceEntry f) {
        return f.kind() == null
                ? Optional.of(SingleSection.Kind.STRENGTH)
                : Stream.of(SingleSection.Kind.values())
                        .filter(k -> k.word().equals(f.kind()))
                        .findFirst();
    }

    private static double or0(Double v) {
        return v == null ? 0 : v;
    }

    private void strength(Double v, double[] range, ModelUnits u, String where) {
        if (bad(
                v == null,
                where,
                "The strength is missing.",
                "Give it in " + (u.name().equals("US") ? "ksi." : "MPa."))) {
            return;
        }
        boolean us = u.name().equals("US");
        double mpa = v * u.stress();
        bad(
                !(mpa >= range[0] && mpa <= range[1]),
                where,
                String.format(
                        Locale.ROOT,
                        us
                                ? "The strength is %.4g ksi, which is %.4g MPa, outside %.0f to %.0f MPa."
                                : "The strength is %.4g MPa, outside %3$.0f to %4$.0f MPa.",
                        v,
                        mpa,
                        range[0],
                        range[1]),
                "Give it in " + (us ? "ksi." : "MPa."));
    }

    private void forcesSound(List<ForceEntry> forces, ModelUnits u, String where) {
        for (int i = 0; forces != null && i < forces.size(); i++) {
            ForceEntry f = forces.get(i);
            String at = where + ", forces[" + i + "]";
            if (!bad(f == null, at, "The set of forces is null.", "Leave it out.")) {
                boolean sound = Stream.of(f.n(), f.vy(), f.vz(), f.t(), f.my(), f.mz())
                        .allMatch(v -> Math.abs(or0(v)) * u.moment() < FAR);
                bad(!sound, at, "A force is larger than can be meant.", "Check its value and the units.");
                bad(
                        kind(f).isEmpty(),
                        at + ", kind",
                        "There is no kind " + f.kind() + ".",
                        "Use strength, characteristic or quasi-permanent.");
            }
        }
    }

    private Shape shape(ShapeEntry s, ModelUnits u, boolean column, String where) {
        if (bad(s == null, where + ", shape", "The shape is missing.", "Give shape and sizes.")) {
            return null;
        }
        double k = u.size();
        Shape out = switch (String.valueOf(s.shape())) {
            case "rectangle" -> size(s.b(), k) && size(s.h(), k) ? new Shape.Rectangle(s.b() * k, s.h() * k) : null;
            case "circle" -> size(s.d(), k) && column ? new Shape.Circle(s.d() * k) : null;
            default -> flanged(s, k) && !column ? flanged(s, u) : null;
        };
        bad(
                out == null,
                where + ", shape",
                "The sizes do not make a " + s.shape() + " for a " + (column ? "column" : "beam") + ".",
                "Beams are rectangle (b, h), tee, ell or inverted-tee (bw, h, bf, hf), columns these, circle (d) or polygon (outline), with sizes from 20 mm to 20 m.");
        return out;
    }

    /** The code that is named, else that of the units; null where they do not go together. */
    private static CodeEntry code(String key, boolean us) {
        return (key == null ? Optional.of(Codes.usual(us)) : Codes.find(key))
                .filter(c -> c.usUnits() == us)
                .orElse(null);
    }

    /** Whether a size can be meant: 20 mm to 20 m. */
    static boolean size(Double v, double k) {
        return v != null && v * k >= 20 && v * k <= 20_000;
    }

    /** The shape with a flange whose sizes are told; null for other words. */
    static Shape flanged(ShapeEntry s, ModelUnits u) {
        double k = u.size();
        return Shape.flanged(String.valueOf(s.shape()), s.bw() * k, s.h() * k, s.bf() * k, s.hf() * k);
    }

    static boolean flanged(ShapeEntry s, double k) {
        return size(s.bw(), k)
                && size(s.bf(), k)
                && size(s.hf(), k)
                && size(s.h(), k)
                && s.bf() >= s.bw()
                && s.hf() < s.h();
    }

    private Bar find(String label, boolean us, String where) {
        Bar b = label == null ? null : Codes.usual(us).catalogue().find(label);
        bad(
                b == null,
                where,
                "There is no bar " + label + ".",
                "Use one of "
                        + String.join(
                                ", ",
                                Codes.usual(us).catalogue().bars().stream()
                                        .map(Bar::label)
                                        .toList()) + ".");
        return b;
    }

    /** @param round whether the section is a circle */
    private SingleSection.Stirrup stirrup(StirrupEntry s, boolean round, boolean us, ModelUnits u, String where) {
        if (s == null) {
            return SingleSection.Stirrup.NONE;
        }
        Bar b = find(s.bar(), us, where + ", stirrups");
        boolean wrong = bad(
                s.spacing() == null
                        || !(s.spacing() > 0)
                        || s.legs() != null && s.legs() < 2
                        || s.legsAlong() != null && s.legsAlong() < 2,
                where + ", stirrups",
                "The spacing is not above zero, or there are fewer than two legs.",
                "Give spacing and legs.");
        boolean spiral = Boolean.TRUE.equals(s.spiral());
        wrong |= bad(
                spiral && !round,
                where + ", stirrups, spiral",
                "Only a round column has a spiral.",
                "Leave spiral out, or make the section a circle.");
        int legs = s.legs() == null ? 2 : s.legs();
        return b == null || wrong
                ? null
                : new SingleSection.Stirrup(
                        b.diameter(),
                        b.area(),
                        legs,
                        s.legsAlong() == null ? legs : s.legsAlong(),
                        s.spacing() * u.size(),
                        spiral);
    }

    /** What bars are placed by: a shape whose faces are known, or an outline. */
    private record Sized(Shape shape, double inset) {}

    private record Place(Sized sized, Outline outline, ModelUnits u) {
        boolean contains(double x, double z) {
            if (outline != null) {
                return outline.contains(x, z);
            }
            Shape s = sized.shape();
            return s instanceof Shape.Circle c
                    ? Math.hypot(x, z - s.depth() / 2) <= c.d() / 2
                    : Math.abs(x) <= s.width() / 2 && z >= 0 && z <= s.depth();
        }
    }

    private List<SingleSection.Spot> bars(Entry e, Place place, boolean us, String where) {
        ModelUnits u = place.u();
        List<SingleSection.Spot> out = new ArrayList<>();
        for (int i = 0; i < e.bars().size(); i++) {
            BarEntry b = e.bars().get(i);
            String at = where + ", bars[" + i + "]";
            if (bad(b == null, at, "The bar is null.", "Leave it out.")) {
                continue;
            }
            Bar bar = b.area() != null
                    ? new Bar(
                            "",
                            (b.diameter() == null ? Math.sqrt(4 * b.area() / Math.PI) : b.diameter()) * u.size(),
                            b.area() * u.size() * u.size(),
                            0)
                    : find(b.bar(), us, at);
            if (bar != null) {
                spots(b, bar, place, at).forEach(p -> add(p, b, bar, place, at, out));
            }
        }
        return out;
    }

    private void add(double[] p, BarEntry b, Bar bar, Place place, String at, List<SingleSection.Spot> out) {
        boolean sound = place.contains(p[0], p[1]) && bar.area() > 0;
        if (!bad(
                !sound,
                at,
                "The bar lies outside the section.",
                "Place x from the middle of the width and z from the soffit.")) {
            out.add(new SingleSection.Spot(p[0], p[1], bar.diameter(), bar.area(), b.area() == null));
        }
    }

    /** Places of bars: one, so many across the web, or so many along a line. */
    private List<double[]> spots(BarEntry b, Bar bar, Place place, String at) {
        double k = place.u().size();
        int count = b.count() == null ? 1 : b.count();
        boolean line = b.x2() != null || b.z2() != null;
        if (bad(
                count < 1 || count > MOST_BARS || b.x() != null && count > 1 && !line,
                at,
                "The count is " + count + ".",
                "Give one bar a place x, or up to " + MOST_BARS + " a count.")) {
            return List.of();
        }
        if (place.sized() == null || line) {
            boolean known = b.x() != null && b.z() != null && (!line || b.x2() != null && b.z2() != null);
            if (bad(
                    !known,
                    at,
                    "The place of the bar is missing.",
                    "Give x and z, and for a count along a line x2 and z2 of its other end.")) {
                return List.of();
            }
            List<double[]> out = new ArrayList<>();
            for (int i = 0; i < count; i++) {
                double part = count == 1 ? 0 : (double) i / (count - 1);
                double x2 = line ? b.x2() : b.x();
                double z2 = line ? b.z2() : b.z();
                out.add(new double[] {k * (b.x() + part * (x2 - b.x())), k * (b.z() + part * (z2 - b.z()))});
            }
            return out;
        }
        double h = place.sized().shape().depth();
        double near = place.sized().inset() + bar.diameter() / 2;
        double z = b.z() != null
                ? b.z() * k
                : "top".equals(b.face()) ? h - near : "bottom".equals(b.face()) ? near : Double.NaN;
        if (bad(
                Double.isNaN(z),
                at,
                "The height of the bar is missing.",
                "Give z from the soffit, or the face top or bottom.")) {
            return List.of();
        }
        double side = place.sized().shape().webWidth() / 2 - near;
        List<double[]> out = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            out.add(new double[] {b.x() != null ? b.x() * k : count == 1 ? 0 : -side + 2 * side * i / (count - 1), z});
        }
        return out;
    }

    private static boolean alike(List<SingleSection.Spot> bars, Shape shape) {
        return bars.stream()
                .allMatch(b -> has(bars, -b.x(), b.z(), b.area()) && has(bars, b.x(), shape.depth() - b.z(), b.area()));
    }

    /** Round columns are checked with bars evenly round one ring; others are out of scope, not a quiet pass. */
    private void round(List<SingleSection.Spot> bars, Shape shape, String where) {
        bad(
                shape instanceof Shape.Circle && !ring(bars, shape.depth()),
                where + ", bars",
                "The bars of the round column do not lie evenly round one ring: out of scope.",
                "Place them evenly, or give the column as a polygon of many sides.");
    }

    /** Whether equal bars lie evenly round one ring: every bar has a neighbour at the same angle further on. */
    private static boolean ring(List<SingleSection.Spot> bars, double h) {
        double turn = 2 * Math.PI / bars.size();
        return bars.size() >= 4
                && bars.stream().allMatch(b -> {
                    double z = b.z() - h / 2;
                    return has(
                            bars,
                            b.x() * Math.cos(turn) - z * Math.sin(turn),
                            h / 2 + b.x() * Math.sin(turn) + z * Math.cos(turn),
                            b.area());
                });
    }

    private static boolean has(List<SingleSection.Spot> bars, double x, double z, double area) {
        return bars.stream()
                .anyMatch(b -> Math.abs(b.x() - x) < 0.5
                        && Math.abs(b.z() - z) < 0.5
                        && Math.abs(b.area() - area) < 1e-6 * area);
    }

    /** The answers. @param calculations whether every step is written */
    public static ArrayNode answers(List<Ready> all, boolean calculations) {
        ArrayNode out = JSON.createArrayNode();
        for (Ready r : all) {
            Uses one = r.section();
            ObjectNode o =
                    out.addObject().put("id", one.id()).put("code", one.code().name());
            ObjectNode strengths = o.putObject("strengths");
            one.strengths().forEach(strengths::put);
            ArrayNode findings = o.putArray("findings");
            one.findings()
                    .forEach(q -> findings.addObject()
                            .put("severity", q.severity().word())
                            .put("cause", q.code())
                            .put("what", q.what())
                            .put("mend", q.mend())
                            .put("clause", q.clause()));
            ArrayNode sets = o.putArray("sets");
            for (SingleSection.Forces f : r.forces()) {
                ObjectNode set = sets.addObject()
                        .put("name", f.name())
                        .put("kind", f.kind().word());
                List<SectionUses.Use> uses = one.uses(f);
                set.put("utilisation", number(Uses.highest(uses))).put("governs", Uses.governs(uses));
                one.beside(f).forEach((name, v) -> set.put(name, number(v)));
                ArrayNode stresses = set.putArray("barStressesMpa");
                one.barStresses(f).forEach(stresses::add);
                ArrayNode checks = set.putArray("checks");
                uses.forEach(q -> checks.addObject()
                        .put("check", q.check())
                        .put("utilisation", number(q.utilisation()))
                        .put("demand", q.demand())
                        .put("capacity", q.capacity())
                        .put("quantity", q.quantity().name().toLowerCase(Locale.ROOT))
                        .put("clause", q.clause().text()));
                if (calculations) {
                    ArrayNode steps = set.putArray("calculation");
                    one.explain(f).forEach(s -> step(steps.addObject(), s, r.us()));
                }
            }
        }
        return out;
    }

    private static double number(double u) {
        return Double.isFinite(u) ? u : 99.99;
    }

    private static void step(ObjectNode o, Step s, boolean us) {
        o.put("symbol", s.symbol())
                .put("formula", s.formula())
                .put("numbers", s.substituted(us))
                .put("result", s.result(us))
                .put("clause", s.clause().text());
    }
}
