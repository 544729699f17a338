package kolonne.exchange.hand;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.HandCage;
import kolonne.core.beam.line.TypedDemand;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.column.cage.HandLift;
import kolonne.core.design.HandSet;
import kolonne.core.finding.Finding;
import kolonne.exchange.json.StrictJson;

/** Reads and writes hand-set cages. Sizes are labels of the basis's catalogue; what is stored also keeps diameter, area and mass. */
public final class HandFile {
    private static final JsonMapper JSON = StrictJson.WHOLE;
    /** Key of the cage of a single line. */
    public static final String LINE = "line";

    private static final List<String> VALUES = List.of("sagging", "hogging", "shear", "torque");
    private static final double[] UNITS = {1e6, 1e6, 1e3, 1e6};
    private static final int MOST_BARS = 60;
    private static final int MOST_LAYERS = 3;
    private static final int MOST_LEGS = 12;
    private static final int MOST_SIDE = 20;
    private static final double FAR = HandForm.FAR;

    private final HandForm form;

    private HandFile(BarCatalogue catalogue) {
        this.form = new HandForm(catalogue);
    }

    /** A bar as sold. @param areaMm2 and the others only in stored files, so that a bar outlives a change of catalogue */
    public record Size(String label, Double diameterMm, Double areaMm2, Double massKgPerM) {}

    /** @param pairs whether two bars each touch; false if left out */
    public record BarsDto(
            int layer,
            int count,
            String size,
            double from,
            double to,
            boolean hookFrom,
            boolean hookTo,
            Boolean pairs) {}

    public record StirrupsDto(double from, String size, int legs, double spacing) {}

    public record SidesDto(String size, int perFace) {}

    /** @param values by size [kNm, kN] of sagging, hogging, shear and torque; what is left out is that of the analysis */
    public record TypedDto(double from, double to, Map<String, Double> values) {}

    /**
     * What is set on one line: faces are top and bottom, spans count from 0; what is left out is Kolonne's.
     *
     * @param torsion as-found, equilibrium or compatibility
     */
    public record HandDto(
            Map<String, List<BarsDto>> faces,
            Map<String, List<StirrupsDto>> stirrups,
            Map<String, SidesDto> sides,
            List<TypedDto> demands,
            String torsion) {}

    /**
     * @param lines by id of the line; {@code lifts} of columns by member
     * @param sizes of bars used, in stored files
     * @param summary in words for the history of edits
     */
    public record Lines(
            Map<String, HandDto> lines, Map<String, LiftForm.HandLiftDto> lifts, List<Size> sizes, String summary) {}

    /** Cages that could be read: of a line under the key {@link #LINE}, or by id of line and member of lift. */
    public record Read(HandSet cages, List<Finding> findings) {
        public boolean sound() {
            return findings.isEmpty();
        }
    }

    /** Reads what is set on one line. @return its cage under the key {@code line} */
    public static Read line(byte[] bytes, BarCatalogue catalogue) {
        HandFile f = new HandFile(catalogue);
        return f.reading(() -> {
            HandCage cage = f.cage(JSON.readValue(bytes, HandDto.class), LINE);
            return HandSet.ofLines(Map.of(LINE, cage));
        });
    }

    /** Reads what is set on the lifts of a stack. @param members of its lifts from the foundation up */
    public static Read stack(byte[] bytes, BarCatalogue catalogue, List<String> members) {
        HandFile f = new HandFile(catalogue);
        LiftForm lifts = new LiftForm(f.form);
        return f.reading(() -> {
            LiftForm.HandLiftsDto d = JSON.readValue(bytes, LiftForm.HandLiftsDto.class);
            Map<String, HandLift> out = new LinkedHashMap<>();
            members.forEach(m -> out.put(m, HandLift.NONE));
            orEmpty(d == null ? null : d.lifts()).forEach((key, lift) -> {
                int number = f.number(key, "lifts", "lift");
                if (number < members.size()) {
                    out.put(members.get(number), lifts.lift(lift, "lifts." + number));
                } else {
                    f.form.fail(
                            "lifts",
                            "There is no lift " + key + ".",
                            "The column has lifts 0 to " + (members.size() - 1) + ".");
                }
            });
            return HandSet.ofLifts(out);
        });
    }

    @FunctionalInterface
    private interface Reading {
        HandSet read() throws IOException;
    }

    private Read reading(Reading r) {
        HandSet out = HandSet.NONE;
        try {
            form.know(List.of());
            out = r.read();
        } catch (IOException e) {
            form.add(StrictJson.trouble(e, "hand-set", "body", "docs/formats/hand-set.md"));
        }
        return new Read(form.findings().isEmpty() ? out : HandSet.NONE, form.findings());
    }

    /** Reads lines and lifts; sizes are looked up in the file first, then in the catalogue. */
    public static Read read(byte[] bytes, BarCatalogue catalogue) {
        HandFile f = new HandFile(catalogue);
        return f.reading(() -> {
            Lines all = JSON.readValue(bytes, Lines.class);
            if (all == null
                    || orEmpty(all.lines()).isEmpty() && orEmpty(all.lifts()).isEmpty()) {
                f.form.fail("lines", "There are no lines.", "Give at least one line by the id of its first member.");
                return HandSet.NONE;
            }
            f.form.know(all.sizes() == null ? List.of() : all.sizes());
            Map<String, HandCage> lines = new LinkedHashMap<>();
            orEmpty(all.lines()).forEach((id, dto) -> lines.put(id, f.cage(dto, "lines." + id)));
            Map<String, HandLift> lifts = new LinkedHashMap<>();
            LiftForm form = new LiftForm(f.form);
            orEmpty(all.lifts()).forEach((m, dto) -> lifts.put(m, form.lift(dto, "lifts." + m)));
            return new HandSet(lines, lifts);
        });
    }

    private HandCage cage(HandDto d, String where) {
        if (d == null) {
            return HandCage.NONE;
        }
        Map<BeamCage.Face, List<HandCage.Bars>> faces = new TreeMap<>();
        orEmpty(d.faces()).forEach((name, list) -> {
            BeamCage.Face face = "top".equals(name) ? BeamCage.Face.TOP : BeamCage.Face.BOTTOM;
            if (face == BeamCage.Face.BOTTOM && !"bottom".equals(name)) {
                form.fail(where + ".faces." + name, "There is no face " + name + ".", "Use top or bottom.");
            }
            faces.put(face, bars(list, where + ".faces." + name));
        });
        Map<Integer, List<HandCage.Stirrups>> stirrups = new TreeMap<>();
        orEmpty(d.stirrups())
                .forEach((span, list) ->
                        stirrups.put(span(span, where + ".stirrups"), zones(list, where + ".stirrups." + span)));
        Map<Integer, HandCage.Sides> sides = new TreeMap<>();
        orEmpty(d.sides()).forEach((span, s) -> {
            String at = where + ".sides." + span;
            form.range(s == null ? -1 : s.perFace(), 0, MOST_SIDE, at + ".perFace", "");
            Bar b = s == null ? null : form.bar(s.size(), at + ".size");
            if (b != null) {
                sides.put(span(span, where + ".sides"), new HandCage.Sides(b, s.perFace()));
            }
        });
        List<TypedDemand> demands = new ArrayList<>();
        for (int i = 0; d.demands() != null && i < d.demands().size(); i++) {
            demands.add(demand(d.demands().get(i), where + ".demands[" + i + "]"));
        }
        return new HandCage(faces, stirrups, sides, demands, torsion(d.torsion(), where));
    }

    private HandCage.TorsionKind torsion(String word, String where) {
        for (HandCage.TorsionKind k : HandCage.TorsionKind.values()) {
            if (word == null || word(k).equals(word)) {
                return k;
            }
        }
        form.fail(
                where + ".torsion",
                "There is no kind of torsion " + word + ".",
                "Use as-found, equilibrium or compatibility.");
        return HandCage.TorsionKind.AS_FOUND;
    }

    private static String word(HandCage.TorsionKind k) {
        return k.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
    }

    private static <V> Map<String, V> orEmpty(Map<String, V> m) {
        return m == null ? Map.of() : m;
    }

    private int span(String key, String where) {
        return number(key, where, "span");
    }

    private int number(String key, String where, String of) {
        if (!key.matches("\\d{1,4}")) {
            form.fail(where, "There is no " + of + " " + key + ".", "They are numbered from 0.");
            return 0;
        }
        return Integer.parseInt(key);
    }

    private List<HandCage.Bars> bars(List<BarsDto> list, String where) {
        List<HandCage.Bars> out = new ArrayList<>();
        for (int i = 0; list != null && i < list.size(); i++) {
            BarsDto b = list.get(i);
            String at = where + "[" + i + "]";
            if (b == null) {
                form.fail(at, "The entry is null.", "Leave it out.");
                continue;
            }
            form.range(b.layer(), 1, MOST_LAYERS, at + ".layer", "");
            form.range(b.count(), 1, MOST_BARS, at + ".count", "");
            form.range(b.from(), -FAR, FAR, at + ".from", " mm");
            form.range(b.to(), b.from() + 1, FAR, at + ".to", " mm");
            out.add(new HandCage.Bars(
                    b.layer(),
                    b.count(),
                    form.bar(b.size(), at + ".size"),
                    b.from(),
                    b.to(),
                    b.hookFrom(),
                    b.hookTo(),
                    Boolean.TRUE.equals(b.pairs())));
        }
        return out;
    }

    private List<HandCage.Stirrups> zones(List<StirrupsDto> list, String where) {
        List<HandCage.Stirrups> out = new ArrayList<>();
        for (int i = 0; list != null && i < list.size(); i++) {
            StirrupsDto z = list.get(i);
            String at = where + "[" + i + "]";
            if (z == null) {
                form.fail(at, "The entry is null.", "Leave it out.");
                continue;
            }
            form.range(z.from(), -FAR, FAR, at + ".from", " mm");
            form.range(z.legs(), 2, MOST_LEGS, at + ".legs", "");
            form.range(z.spacing(), 25, 1000, at + ".spacing", " mm");
            out.add(new HandCage.Stirrups(z.from(), form.bar(z.size(), at + ".size"), z.legs(), z.spacing()));
        }
        if (out.isEmpty()) {
            form.fail(where, "The span has no stirrups.", "Give at least one zone, or release the span.");
        }
        return out;
    }

    private TypedDemand demand(TypedDto d, String where) {
        if (d == null || d.values() == null || d.values().isEmpty()) {
            form.fail(where, "No demand is typed.", "Type at least one of " + String.join(", ", VALUES) + ".");
            return new TypedDemand(0, 0, 0, 0, 0, 0);
        }
        form.range(d.from(), -FAR, FAR, where + ".from", " mm");
        form.range(d.to(), d.from(), FAR, where + ".to", " mm");
        d.values().keySet().stream()
                .filter(k -> !VALUES.contains(k))
                .forEach(k -> form.fail(
                        where + ".values", "There is no demand " + k + ".", "Use " + String.join(", ", VALUES) + "."));
        return new TypedDemand(
                d.from(), d.to(), typed(d, 0, where), typed(d, 1, where), typed(d, 2, where), typed(d, 3, where));
    }

    private double typed(TypedDto d, int k, String where) {
        Double v = d.values().get(VALUES.get(k));
        if (v == null) {
            return Double.POSITIVE_INFINITY;
        }
        form.range(v, 0, FAR, where + ".values." + VALUES.get(k), "");
        return v * UNITS[k];
    }

    /** The wire form of a cage. */
    public static HandDto dto(HandCage h) {
        Map<String, List<BarsDto>> faces = new TreeMap<>();
        h.faces()
                .forEach((face, list) -> faces.put(
                        face == BeamCage.Face.TOP ? "top" : "bottom",
                        list.stream()
                                .map(b -> new BarsDto(
                                        b.layer(),
                                        b.count(),
                                        b.bar().label(),
                                        b.from(),
                                        b.to(),
                                        b.hookFrom(),
                                        b.hookTo(),
                                        b.pairs()))
                                .toList()));
        Map<String, List<StirrupsDto>> stirrups = new LinkedHashMap<>();
        h.stirrups()
                .forEach((span, list) -> stirrups.put(
                        span.toString(),
                        list.stream()
                                .map(z -> new StirrupsDto(z.from(), z.bar().label(), z.legs(), z.spacing()))
                                .toList()));
        Map<String, SidesDto> sides = new LinkedHashMap<>();
        h.sides()
                .forEach((span, s) ->
                        sides.put(span.toString(), new SidesDto(s.bar().label(), s.perFace())));
        return new HandDto(
                faces,
                stirrups,
                sides,
                h.demands().stream().map(HandFile::typedDto).toList(),
                word(h.torsion()));
    }

    private static TypedDto typedDto(TypedDemand d) {
        double[] given = {d.sagging(), d.hogging(), d.shear(), d.torque()};
        Map<String, Double> values = new LinkedHashMap<>();
        for (int k = 0; k < given.length; k++) {
            if (Double.isFinite(given[k])) {
                values.put(VALUES.get(k), given[k] / UNITS[k]);
            }
        }
        return new TypedDto(d.from(), d.to(), values);
    }

    /** A file of cages by line and lift, with the sizes that they use. @param summary of what was done */
    public static String write(HandSet cages, String summary) {
        Map<String, Size> sizes = new TreeMap<>();
        Map<String, HandDto> lines = new LinkedHashMap<>();
        List<Bar> bars = new ArrayList<>();
        cages.lines().forEach((id, h) -> {
            lines.put(id, dto(h));
            bars.addAll(used(h));
        });
        cages.lifts().values().forEach(h -> bars.addAll(LiftForm.used(h)));
        bars.forEach(b -> sizes.put(b.label(), new Size(b.label(), b.diameter(), b.area(), b.mass())));
        try {
            return JSON.writeValueAsString(
                    new Lines(lines, LiftForm.dto(cages.lifts()), List.copyOf(sizes.values()), summary));
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("Impossible: records of numbers and texts always become JSON", e);
        }
    }

    /** The summary of a stored file; empty if it has none. */
    public static String summary(String stored) {
        try {
            String s = JSON.readValue(stored, Lines.class).summary();
            return s == null ? "" : s;
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("a stored hand-set cage cannot be read", e);
        }
    }

    private static List<Bar> used(HandCage h) {
        List<Bar> out = new ArrayList<>();
        h.faces().values().forEach(list -> list.forEach(b -> out.add(b.bar())));
        h.stirrups().values().forEach(list -> list.forEach(z -> out.add(z.bar())));
        h.sides().values().forEach(s -> out.add(s.bar()));
        return out;
    }
}
