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
    /** Longest line [mm], most moment [kNm] or shear [kN] that can be meant. */
    private static final double FAR = 1e7;

    private final BarCatalogue catalogue;
    private final List<Finding> findings = new ArrayList<>();

    private HandFile(BarCatalogue catalogue) {
        this.catalogue = catalogue;
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

    /** @param lines by id of the line's first member; sizes of bars used, in stored files; summary in words for the history of edits */
    public record Lines(Map<String, HandDto> lines, List<Size> sizes, String summary) {}

    /** Cages that could be read, by id of the line. */
    public record Read(Map<String, HandCage> cages, List<Finding> findings) {
        public boolean sound() {
            return findings.isEmpty();
        }
    }

    /** Reads what is set on one line. @return its cage under the key {@code line} */
    public static Read line(byte[] bytes, BarCatalogue catalogue) {
        HandFile f = new HandFile(catalogue);
        return f.reading(out -> out.put(LINE, f.cage(JSON.readValue(bytes, HandDto.class), LINE, f.sizes(List.of()))));
    }

    private interface Reading {
        void into(Map<String, HandCage> out) throws IOException;
    }

    private Read reading(Reading r) {
        Map<String, HandCage> out = new LinkedHashMap<>();
        try {
            r.into(out);
        } catch (IOException e) {
            findings.add(StrictJson.trouble(e, "hand-set", "body", "docs/formats/hand-set.md"));
        }
        return new Read(findings.isEmpty() ? out : Map.of(), findings);
    }

    /** Reads lines; sizes are looked up in the file first, then in the catalogue. */
    public static Read read(byte[] bytes, BarCatalogue catalogue) {
        HandFile f = new HandFile(catalogue);
        return f.reading(out -> {
            Lines all = JSON.readValue(bytes, Lines.class);
            if (all == null || all.lines() == null || all.lines().isEmpty()) {
                f.fail("lines", "There are no lines.", "Give at least one line by the id of its first member.");
            } else {
                Map<String, Bar> sizes = f.sizes(all.sizes());
                all.lines().forEach((id, dto) -> out.put(id, f.cage(dto, "lines." + id, sizes)));
            }
        });
    }

    private Map<String, Bar> sizes(List<Size> list) {
        Map<String, Bar> out = new TreeMap<>();
        catalogue.bars().forEach(b -> out.put(b.label(), b));
        for (Size s : list == null ? List.<Size>of() : list) {
            boolean whole =
                    s.label() != null && positive(s.diameterMm()) && positive(s.areaMm2()) && positive(s.massKgPerM());
            if (whole) {
                out.put(s.label(), new Bar(s.label(), s.diameterMm(), s.areaMm2(), s.massKgPerM()));
            } else {
                fail("sizes", "A size is not whole.", "Give label, diameterMm, areaMm2 and massKgPerM.");
            }
        }
        return out;
    }

    private static boolean positive(Double v) {
        return v != null && v > 0 && v < FAR;
    }

    private void fail(String where, String what, String mend) {
        findings.add(Finding.fails("hand-set", where, what, mend));
    }

    private void range(double v, double least, double most, String where, String unit) {
        if (!(v >= least && v <= most)) {
            fail(
                    where,
                    "The value is " + number(v) + ", outside " + number(least) + " to " + number(most) + unit + ".",
                    "Give a value within these bounds.");
        }
    }

    private static String number(double v) {
        return v == Math.rint(v) && Math.abs(v) < 1e9 ? String.valueOf((long) v) : String.valueOf(v);
    }

    private Bar bar(String label, String where, Map<String, Bar> sizes) {
        Bar b = label == null ? null : sizes.get(label);
        if (b == null) {
            fail(
                    where + ".size",
                    "The catalogue " + catalogue.name() + " has no bar " + label + ".",
                    "Choose a size of the catalogue.");
        }
        return b;
    }

    private HandCage cage(HandDto d, String where, Map<String, Bar> sizes) {
        if (d == null) {
            return HandCage.NONE;
        }
        Map<BeamCage.Face, List<HandCage.Bars>> faces = new TreeMap<>();
        orEmpty(d.faces()).forEach((name, list) -> {
            BeamCage.Face face = "top".equals(name) ? BeamCage.Face.TOP : BeamCage.Face.BOTTOM;
            if (face == BeamCage.Face.BOTTOM && !"bottom".equals(name)) {
                fail(where + ".faces." + name, "There is no face " + name + ".", "Use top or bottom.");
            }
            faces.put(face, bars(list, where + ".faces." + name, sizes));
        });
        Map<Integer, List<HandCage.Stirrups>> stirrups = new TreeMap<>();
        orEmpty(d.stirrups())
                .forEach((span, list) ->
                        stirrups.put(span(span, where + ".stirrups"), zones(list, where + ".stirrups." + span, sizes)));
        Map<Integer, HandCage.Sides> sides = new TreeMap<>();
        orEmpty(d.sides()).forEach((span, s) -> {
            String at = where + ".sides." + span;
            range(s == null ? -1 : s.perFace(), 0, MOST_SIDE, at + ".perFace", "");
            Bar b = s == null ? null : bar(s.size(), at, sizes);
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
        fail(
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
        if (!key.matches("\\d{1,4}")) {
            fail(where, "There is no span " + key + ".", "Spans are numbers from 0.");
            return 0;
        }
        return Integer.parseInt(key);
    }

    private List<HandCage.Bars> bars(List<BarsDto> list, String where, Map<String, Bar> sizes) {
        List<HandCage.Bars> out = new ArrayList<>();
        for (int i = 0; list != null && i < list.size(); i++) {
            BarsDto b = list.get(i);
            String at = where + "[" + i + "]";
            if (b == null) {
                fail(at, "The entry is null.", "Leave it out.");
                continue;
            }
            range(b.layer(), 1, MOST_LAYERS, at + ".layer", "");
            range(b.count(), 1, MOST_BARS, at + ".count", "");
            range(b.from(), -FAR, FAR, at + ".from", " mm");
            range(b.to(), b.from() + 1, FAR, at + ".to", " mm");
            out.add(new HandCage.Bars(
                    b.layer(),
                    b.count(),
                    bar(b.size(), at, sizes),
                    b.from(),
                    b.to(),
                    b.hookFrom(),
                    b.hookTo(),
                    Boolean.TRUE.equals(b.pairs())));
        }
        return out;
    }

    private List<HandCage.Stirrups> zones(List<StirrupsDto> list, String where, Map<String, Bar> sizes) {
        List<HandCage.Stirrups> out = new ArrayList<>();
        for (int i = 0; list != null && i < list.size(); i++) {
            StirrupsDto z = list.get(i);
            String at = where + "[" + i + "]";
            if (z == null) {
                fail(at, "The entry is null.", "Leave it out.");
                continue;
            }
            range(z.from(), -FAR, FAR, at + ".from", " mm");
            range(z.legs(), 2, MOST_LEGS, at + ".legs", "");
            range(z.spacing(), 25, 1000, at + ".spacing", " mm");
            out.add(new HandCage.Stirrups(z.from(), bar(z.size(), at, sizes), z.legs(), z.spacing()));
        }
        if (out.isEmpty()) {
            fail(where, "The span has no stirrups.", "Give at least one zone, or release the span.");
        }
        return out;
    }

    private TypedDemand demand(TypedDto d, String where) {
        if (d == null || d.values() == null || d.values().isEmpty()) {
            fail(where, "No demand is typed.", "Type at least one of " + String.join(", ", VALUES) + ".");
            return new TypedDemand(0, 0, 0, 0, 0, 0);
        }
        range(d.from(), -FAR, FAR, where + ".from", " mm");
        range(d.to(), d.from(), FAR, where + ".to", " mm");
        d.values().keySet().stream()
                .filter(k -> !VALUES.contains(k))
                .forEach(k -> fail(
                        where + ".values", "There is no demand " + k + ".", "Use " + String.join(", ", VALUES) + "."));
        return new TypedDemand(
                d.from(), d.to(), typed(d, 0, where), typed(d, 1, where), typed(d, 2, where), typed(d, 3, where));
    }

    private double typed(TypedDto d, int k, String where) {
        Double v = d.values().get(VALUES.get(k));
        if (v == null) {
            return Double.POSITIVE_INFINITY;
        }
        range(v, 0, FAR, where + ".values." + VALUES.get(k), "");
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

    /** A file of cages by line, with the sizes that they use. @param summary of what was done */
    public static String write(Map<String, HandCage> cages, String summary) {
        Map<String, Size> sizes = new TreeMap<>();
        Map<String, HandDto> lines = new LinkedHashMap<>();
        cages.forEach((id, h) -> {
            lines.put(id, dto(h));
            used(h).forEach(b -> sizes.put(b.label(), new Size(b.label(), b.diameter(), b.area(), b.mass())));
        });
        try {
            return JSON.writeValueAsString(new Lines(lines, List.copyOf(sizes.values()), summary));
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
