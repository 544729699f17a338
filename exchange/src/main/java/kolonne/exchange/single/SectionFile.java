package kolonne.exchange.single;

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
import kolonne.core.code.DesignCode;
import kolonne.core.code.registry.Codes;
import kolonne.core.explain.Step;
import kolonne.core.finding.Finding;
import kolonne.core.shape.Shape;
import kolonne.core.single.SectionUses;
import kolonne.core.single.SingleSection;
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
    public record BarEntry(String bar, Double area, Double diameter, Double x, Double z, Integer count, String face) {}

    public record StirrupEntry(String bar, Double spacing, Integer legs, Integer legsAlong) {}

    public record ForceEntry(String name, Double n, Double vy, Double vz, Double t, Double my, Double mz) {}

    public record ShapeEntry(String shape, Double b, Double h, Double bw, Double bf, Double hf, Double d) {}

    public record Entry(
            String id,
            String use,
            String units,
            String code,
            ShapeEntry shape,
            Double fc,
            Double fy,
            Double fyt,
            Double cover,
            List<BarEntry> bars,
            StirrupEntry stirrups,
            List<ForceEntry> forces) {}

    public record Sections(List<Entry> sections) {}

    /** A section ready to be checked with its forces in core units. */
    public record Ready(SingleSection section, List<SingleSection.Forces> forces, boolean us) {}

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
        DesignCode code = u == null ? null : code(e.code(), u.name().equals("US"));
        bad(
                u != null && code == null,
                where + ", code",
                "The code is " + e.code() + ", in " + e.units() + " units.",
                "Use one of " + Codes.keys() + ", with its units.");
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
        Shape shape = u == null ? null : shape(e.shape(), u, column, where);
        if (shape == null || code == null || findings.size() > before) {
            return null;
        }
        boolean us = u.name().equals("US");
        SingleSection.Stirrup stirrup = stirrup(e.stirrups(), us, u, where);
        double cover = (e.cover() == null ? us ? 1.5 : 40 : e.cover()) * u.size();
        List<SingleSection.Spot> bars =
                bars(e, shape, cover + (stirrup == null ? 0 : stirrup.diameter()), us, u, where);
        symmetry(bars, shape, column, where);
        double steel = bars.stream().mapToDouble(SingleSection.Spot::area).sum() / shape.A();
        bad(
                steel > MOST_STEEL,
                where + ", bars",
                String.format(Locale.ROOT, "The bars are %.0f %% of the section.", 100 * steel),
                "Check counts, areas and units.");
        forcesSound(e.forces(), u, where);
        if (findings.size() > before) {
            return null;
        }
        double fyt = (e.fyt() == null ? e.fy() : e.fyt()) * u.stress();
        SingleSection s = new SingleSection(
                e.id() == null ? place : e.id(),
                code,
                column,
                shape,
                e.fc() * u.stress(),
                e.fy() * u.stress(),
                fyt,
                cover,
                bars,
                stirrup);
        List<SingleSection.Forces> forces = new ArrayList<>();
        for (ForceEntry f : e.forces() == null ? List.<ForceEntry>of() : e.forces()) {
            forces.add(new SingleSection.Forces(
                    f.name() == null ? "set " + (forces.size() + 1) : f.name(),
                    or0(f.n()) * u.force(),
                    or0(f.vy()) * u.force(),
                    or0(f.vz()) * u.force(),
                    or0(f.t()) * u.moment(),
                    or0(f.my()) * u.moment(),
                    or0(f.mz()) * u.moment()));
        }
        return new Ready(s, forces, us);
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
            default ->
                flanged(s, k) && !column
                        ? Shape.flanged(String.valueOf(s.shape()), s.bw() * k, s.h() * k, s.bf() * k, s.hf() * k)
                        : null;
        };
        bad(
                out == null,
                where + ", shape",
                "The sizes do not make a " + s.shape() + " for a " + (column ? "column" : "beam") + ".",
                "Beams are rectangle (b, h), tee, ell or inverted-tee (bw, h, bf, hf), columns rectangle or circle (d), with sizes from 20 mm to 20 m.");
        return out;
    }

    /** The code that is named, else that of the units; null where they do not go together. */
    private static DesignCode code(String key, boolean us) {
        return (key == null ? Optional.of(Codes.usual(us)) : Codes.find(key))
                .filter(c -> c.usUnits() == us)
                .map(c -> c.rules(Map.of()))
                .orElse(null);
    }

    /** Whether a size can be meant: 20 mm to 20 m. */
    private static boolean size(Double v, double k) {
        return v != null && v * k >= 20 && v * k <= 20_000;
    }

    private static boolean flanged(ShapeEntry s, double k) {
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

    private SingleSection.Stirrup stirrup(StirrupEntry s, boolean us, ModelUnits u, String where) {
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
        int legs = s.legs() == null ? 2 : s.legs();
        return b == null || wrong
                ? null
                : new SingleSection.Stirrup(
                        b.diameter(),
                        b.area(),
                        legs,
                        s.legsAlong() == null ? legs : s.legsAlong(),
                        s.spacing() * u.size());
    }

    private List<SingleSection.Spot> bars(Entry e, Shape shape, double inset, boolean us, ModelUnits u, String where) {
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
                place(b, bar, shape, inset, u, at, out);
            }
        }
        return out;
    }

    private void place(
            BarEntry b, Bar bar, Shape shape, double inset, ModelUnits u, String at, List<SingleSection.Spot> out) {
        double h = shape.depth();
        int count = b.count() == null ? 1 : b.count();
        double near = inset + bar.diameter() / 2;
        double z = b.z() != null
                ? b.z() * u.size()
                : "top".equals(b.face()) ? h - near : "bottom".equals(b.face()) ? near : Double.NaN;
        double side = shape.webWidth() / 2 - near;
        if (bad(
                        Double.isNaN(z),
                        at,
                        "The height of the bar is missing.",
                        "Give z from the soffit, or the face top or bottom.")
                || bad(
                        count < 1 || count > MOST_BARS || b.x() != null && count > 1,
                        at,
                        "The count is " + count + ".",
                        "Give one bar a place x, or up to " + MOST_BARS + " a count.")) {
            return;
        }
        for (int k = 0; k < count; k++) {
            double x = b.x() != null ? b.x() * u.size() : count == 1 ? 0 : -side + 2 * side * k / (count - 1);
            double reach = shape.width() / 2;
            boolean outside = shape instanceof Shape.Circle c
                    ? Math.hypot(x, z - h / 2) > c.d() / 2
                    : !(Math.abs(x) <= reach && z >= 0 && z <= h);
            if (bad(
                    outside || !(bar.area() > 0),
                    at,
                    "The bar lies outside the section.",
                    "Place x from the middle of the width and z from the soffit.")) {
                return;
            }
            out.add(new SingleSection.Spot(x, z, bar.diameter(), bar.area(), b.area() == null));
        }
    }

    /** The surface of columns is for bars that lie alike about both axes; others are out of scope, not a quiet pass. */
    private void symmetry(List<SingleSection.Spot> bars, Shape shape, boolean column, String where) {
        if (!column) {
            return;
        }
        double h = shape.depth();
        boolean alike = shape instanceof Shape.Circle
                ? ring(bars, h)
                : bars.stream()
                        .allMatch(b -> has(bars, -b.x(), b.z(), b.area()) && has(bars, b.x(), h - b.z(), b.area()));
        bad(
                !alike,
                where + ", bars",
                "The bars of the column do not lie alike about both axes: out of scope.",
                "Place them symmetrically, in a circle evenly round one ring.");
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
            SectionUses one = new SectionUses(r.section());
            ObjectNode o = out.addObject()
                    .put("id", r.section().id())
                    .put("code", r.section().code().name());
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
                ObjectNode set = sets.addObject().put("name", f.name());
                List<SectionUses.Use> uses = one.uses(f);
                set.put("utilisation", number(uses.get(0).utilisation()))
                        .put("governs", uses.get(0).check());
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
