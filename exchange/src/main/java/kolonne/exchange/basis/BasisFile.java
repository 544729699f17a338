package kolonne.exchange.basis;

import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import kolonne.core.basis.Basis;
import kolonne.core.basis.BeamRules;
import kolonne.core.code.DuctileFrame;
import kolonne.core.finding.Finding;
import kolonne.exchange.json.StrictJson;

/** Reads and writes a basis. Lengths mm, strengths MPa, whatever the display units. */
public final class BasisFile {
    private static final JsonMapper JSON = StrictJson.WHOLE;

    private BasisFile() {}

    /** The wire form of a basis. */
    public record Dto(@JsonProperty(required = true) String name, @JsonProperty(required = true) String code,
                      @JsonProperty(required = true) double fyMpa, @JsonProperty(required = true) double fytMpa,
                      @JsonProperty(required = true) double beamCoverMm,
                      @JsonProperty(required = true) double columnCoverMm,
                      @JsonProperty(required = true) double aggregateMm,
                      @JsonProperty(required = true) List<String> beamBars,
                      @JsonProperty(required = true) List<String> columnBars,
                      @JsonProperty(required = true) List<String> stirrups,
                      @JsonProperty(required = true) double spacingStepMm,
                      @JsonProperty(required = true) double spacingLeastMm,
                      @JsonProperty(required = true) double spacingMostMm,
                      @JsonProperty(required = true) int zonesMost, @JsonProperty(required = true) int legsMost,
                      @JsonProperty(required = true) int layersMost,
                      @JsonProperty(required = true) double practicalCap,
                      @JsonProperty(required = true) String preference, Double liveDeflection, Double lastingDeflection,
                      @JsonProperty(required = true) String swayX, @JsonProperty(required = true) String swayY, Double redistribution, Map<String, Double> national,
                      Boolean slabFlanges, Boolean bundles, Double stockLengthMm, String ductility, Double bandFrom, Double bandTo, Double depthLeastMm,
                      Double depthMostMm, Double widthLeastMm, Double widthMostMm, Double sizeStepMm, Double roofDeflection) {}

    /** @param basis null if the text is not one */
    public record Read(Basis basis, List<Finding> findings) {}

    public static Dto dto(Basis b) {
        return new Dto(b.name(), b.code(), round(b.fy()), round(b.fyt()), b.beamCover(), b.columnCover(), b.aggregate(),
            b.beamBars(), b.columnBars(), b.stirrups(), b.spacingStep(), b.spacingLeast(), b.spacingMost(),
            b.zonesMost(), b.legsMost(), b.layersMost(), b.practicalCap(), word(b.preference()), b.deflection().live(),
            b.deflection().lasting(), word(b.swayX()),
            word(b.swayY()), b.redistribution(), new TreeMap<>(b.national()), b.rules().slabFlanges(), b.rules().bundles(), b.rules().stockLength(),
            word(b.rules().ductility()), b.rules().advice().bandFrom(), b.rules().advice().bandTo(), b.rules().advice().depthLeast(),
            b.rules().advice().depthMost(), b.rules().advice().widthLeast(), b.rules().advice().widthMost(), b.rules().advice().step(), b.deflection().roof());
    }

    private static double round(double v) {
        return Math.round(v * 1e6) / 1e6;
    }

    private static String word(Enum<?> e) {
        return e.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    public static String write(Basis b) {
        try {
            return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(dto(b));
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("Impossible: a basis is plain data", e);
        }
    }

    /** Reads and checks; the basis is null where a fails finding is given. */
    public static Read read(byte[] json) {
        Read r = stored(json);
        List<Finding> findings = r.basis() == null ? r.findings() : r.basis().check();
        return new Read(findings.isEmpty() ? r.basis() : null, findings);
    }

    /** Reads what was sound when it was stored, whatever limits of values have come since: {@link Basis#check} tells what cannot be designed to any more. */
    public static Read stored(byte[] json) {
        Dto d;
        try {
            d = JSON.readValue(json, Dto.class);
        } catch (IOException e) {
            return new Read(null, List.of(StrictJson.trouble(e, "basis.field", "basis", "docs/formats/basis.md")));
        }
        if (d == null) {
            return failed("basis.field", "basis", "The basis is null.", "Give its fields; docs/formats/basis.md lists them.");
        }
        return of(d);
    }

    private static Read of(Dto d) {
        Basis.Preference preference = choice(Basis.Preference.class, d.preference());
        Basis.Sway swayX = choice(Basis.Sway.class, d.swayX());
        Basis.Sway swayY = choice(Basis.Sway.class, d.swayY());
        if (preference == null || swayX == null || swayY == null) {
            return failed("basis.word", "basis, preference, swayX, swayY", "A word is not one of the choices.",
                "Use least-steel, fewest-bars, fewest-layers, one-size-a-face or fewest-sizes, and from-model or braced.");
        }
        DuctileFrame.Kind ductility = d.ductility() == null ? DuctileFrame.Kind.NONE : choice(DuctileFrame.Kind.class, d.ductility());
        if (ductility == null) {
            return failed("basis.word", "basis, ductility", "There is no kind of frame " + d.ductility() + ".", "Use none, ordinary, intermediate or special.");
        }
        if (d.name() == null || d.beamBars() == null || d.columnBars() == null || d.stirrups() == null
            || d.code() == null || d.beamBars().contains(null) || d.columnBars().contains(null)
            || d.stirrups().contains(null)) {
            return failed("basis.field", "basis", "A field is null.", "Give every field a value.");
        }
        if (d.national() != null && (d.national().containsValue(null) || d.national().containsKey(null))) {
            return failed("basis.national", "basis, national", "A parameter has no value.", "Give it one, or leave it out for the recommended value.");
        }
        // fields that older files do not have take the standard's value
        Basis.DeflectionLimits usual = Basis.DeflectionLimits.FLOOR;
        Basis.DeflectionLimits limits = new Basis.DeflectionLimits(or(d.liveDeflection(), usual.live()), or(d.roofDeflection(), usual.roof()), or(d.lastingDeflection(), usual.lasting()));
        Basis b = new Basis(d.name(), d.code(), d.fyMpa(), d.fytMpa(), d.beamCoverMm(), d.columnCoverMm(),
            d.aggregateMm(), d.beamBars(), d.columnBars(), d.stirrups(), d.spacingStepMm(), d.spacingLeastMm(),
            d.spacingMostMm(), d.zonesMost(), d.legsMost(), d.layersMost(), d.practicalCap(), preference, limits, swayX, swayY,
            or(d.redistribution(), 0.0), or(d.national(), Map.of()), rules(d, ductility));
        return new Read(b, List.of());
    }

    private static BeamRules rules(Dto d, DuctileFrame.Kind ductility) {
        BeamRules usual = BeamRules.standard(d.code().equals("aci-318-19"));
        BeamRules.SectionLimits a = usual.advice();
        return new BeamRules(or(d.slabFlanges(), usual.slabFlanges()), or(d.bundles(), usual.bundles()), or(d.stockLengthMm(), usual.stockLength()), ductility,
            new BeamRules.SectionLimits(or(d.bandFrom(), a.bandFrom()), or(d.bandTo(), a.bandTo()), or(d.depthLeastMm(), a.depthLeast()),
                or(d.depthMostMm(), a.depthMost()), or(d.widthLeastMm(), a.widthLeast()), or(d.widthMostMm(), a.widthMost()), or(d.sizeStepMm(), a.step())));
    }

    private static <T> T or(T given, T usual) {
        return given == null ? usual : given;
    }

    private static <E extends Enum<E>> E choice(Class<E> type, String word) {
        for (E e : type.getEnumConstants()) {
            if (word(e).equals(word)) {
                return e;
            }
        }
        return null;
    }

    private static Read failed(String code, String where, String what, String mend) {
        return new Read(null, List.of(Finding.fails(code, where, what, mend)));
    }
}
