package kolonne.exchange.basis;

import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import kolonne.core.basis.Basis;
import kolonne.core.basis.local.LocalSettings;
import kolonne.core.basis.part.Bars;
import kolonne.core.basis.part.BeamRules;
import kolonne.core.basis.part.ColumnSplices;
import kolonne.core.basis.part.DeflectionLimits;
import kolonne.core.basis.part.Ductility;
import kolonne.core.basis.part.EffectiveLengths;
import kolonne.core.basis.part.Frame;
import kolonne.core.basis.part.HandlingCost;
import kolonne.core.basis.part.Materials;
import kolonne.core.basis.part.Practice;
import kolonne.core.basis.part.Preference;
import kolonne.core.basis.part.RoundTies;
import kolonne.core.basis.part.SectionLimits;
import kolonne.core.basis.part.Stirrups;
import kolonne.core.basis.part.Sway;
import kolonne.core.basis.part.VibratorGap;
import kolonne.core.code.CodeEntry;
import kolonne.core.code.registry.Codes;
import kolonne.core.finding.Finding;
import kolonne.exchange.json.StrictJson;

/** Reads and writes a basis. Lengths mm, strengths MPa, whatever the display units. */
public final class BasisFile {
    private static final JsonMapper JSON = StrictJson.WHOLE;

    /** Deflection limits of files that have none. */
    private static final DeflectionLimits FLOOR = new DeflectionLimits(360, 180, 240);

    private BasisFile() {}

    /** The wire form of a basis. */
    public record BasisDto(
            @JsonProperty(required = true) String name,
            @JsonProperty(required = true) String code,
            @JsonProperty(required = true) double fyMpa,
            @JsonProperty(required = true) double fytMpa,
            @JsonProperty(required = true) double beamCoverMm,
            @JsonProperty(required = true) double columnCoverMm,
            @JsonProperty(required = true) double aggregateMm,
            @JsonProperty(required = true) List<String> beamBars,
            @JsonProperty(required = true) List<String> columnBars,
            @JsonProperty(required = true) List<String> stirrups,
            @JsonProperty(required = true) double spacingStepMm,
            @JsonProperty(required = true) double spacingLeastMm,
            @JsonProperty(required = true) double spacingMostMm,
            @JsonProperty(required = true) int zonesMost,
            @JsonProperty(required = true) int legsMost,
            @JsonProperty(required = true) int layersMost,
            @JsonProperty(required = true) double practicalCap,
            @JsonProperty(required = true) String preference,
            Double liveDeflection,
            Double lastingDeflection,
            @JsonProperty(required = true) String swayX,
            @JsonProperty(required = true) String swayY,
            String effectiveLengths,
            Double effectiveLengthX,
            Double effectiveLengthY,
            Double redistribution,
            Map<String, Double> national,
            Boolean slabFlanges,
            Boolean bundles,
            Double stockLengthMm,
            String ductility,
            Double bandFrom,
            Double bandTo,
            Double depthLeastMm,
            Double depthMostMm,
            Double widthLeastMm,
            Double widthMostMm,
            Double sizeStepMm,
            Double roofDeflection,
            Integer sizesApart,
            Double columnBarsApartMm,
            Integer columnBarsEvery,
            Integer columnLapsEvery,
            Double lengthModuleMm,
            Double vibratorGapMm,
            Integer vibratorBars,
            Double costPieceKg,
            Double costLayerKg,
            Double costAloneKg,
            Double costOffMiddleKg,
            Double costSizeKg,
            Double costZoneKg,
            Double costMarkKg,
            String columnSplices,
            String roundTies,
            Double spacersEveryMm,
            Boolean starterBars,
            Map<String, LocalDto> local) {}

    /** @param basis null if the text is not one */
    public record Read(Basis basis, List<Finding> findings) {}

    public static BasisDto dto(Basis b) {
        SectionLimits a = b.beams().advice();
        return new BasisDto(
                b.name(),
                b.code(),
                round(b.fy()),
                round(b.fyt()),
                b.beamCover(),
                b.columnCover(),
                b.aggregate(),
                b.bars().beams(),
                b.bars().columns(),
                b.bars().stirrups(),
                b.stirrups().step(),
                b.stirrups().least(),
                b.stirrups().most(),
                b.stirrups().zonesMost(),
                b.stirrups().legsMost(),
                b.bars().layersMost(),
                b.bars().practicalCap(),
                word(b.bars().preference()),
                b.deflection().live(),
                b.deflection().lasting(),
                word(b.frame().swayX()),
                word(b.frame().swayY()),
                word(b.frame().lengths()),
                b.frame().lengthX(),
                b.frame().lengthY(),
                b.redistribution(),
                new TreeMap<>(b.national()),
                b.beams().slabFlanges(),
                b.beams().bundles(),
                b.bars().stockLength(),
                word(b.ductility()),
                a.bandFrom(),
                a.bandTo(),
                a.depthLeast(),
                a.depthMost(),
                a.widthLeast(),
                a.widthMost(),
                a.step(),
                b.deflection().roof(),
                b.practice().sizesApart(),
                b.practice().columnBarsApart(),
                b.practice().columnBarsEvery(),
                b.practice().columnLapsEvery(),
                b.practice().lengthModule(),
                b.practice().vibrator().clear(),
                b.practice().vibrator().bars(),
                b.practice().costs().piece(),
                b.practice().costs().layer(),
                b.practice().costs().alone(),
                b.practice().costs().offMiddle(),
                b.practice().costs().size(),
                b.practice().costs().zone(),
                b.practice().costs().mark(),
                word(b.practice().splices()),
                word(b.practice().roundTies()),
                b.practice().spacersEvery(),
                b.practice().starters(),
                LocalForm.dto(b.local()));
    }

    private static double round(double v) {
        return Math.round(v * 1e6) / 1e6;
    }

    static String word(Enum<?> e) {
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
        BasisDto d;
        try {
            d = JSON.readValue(json, BasisDto.class);
        } catch (IOException e) {
            return new Read(null, List.of(StrictJson.trouble(e, "basis.field", "basis", "docs/formats/basis.md")));
        }
        if (d == null) {
            return failed(
                    "basis.field", "basis", "The basis is null.", "Give its fields; docs/formats/basis.md lists them.");
        }
        return of(d);
    }

    private static Read of(BasisDto d) {
        Preference preference = choice(Preference.class, d.preference());
        Sway swayX = choice(Sway.class, d.swayX());
        Sway swayY = choice(Sway.class, d.swayY());
        if (preference == null || swayX == null || swayY == null) {
            return failed(
                    "basis.word",
                    "basis, preference, swayX, swayY",
                    "A word is not one of the choices.",
                    "Use practical, least-steel, fewest-bars, fewest-layers, one-size-a-face or fewest-sizes, and from-model or braced.");
        }
        Ductility ductility = d.ductility() == null ? Ductility.NONE : choice(Ductility.class, d.ductility());
        if (ductility == null) {
            return failed(
                    "basis.word",
                    "basis, ductility",
                    "There is no kind of frame " + d.ductility() + ".",
                    "Use none, ordinary, intermediate, special or outside.");
        }
        EffectiveLengths lengths = d.effectiveLengths() == null
                ? EffectiveLengths.GIVEN
                : choice(EffectiveLengths.class, d.effectiveLengths());
        if (lengths == null) {
            return failed(
                    "basis.word",
                    "basis, effectiveLengths",
                    "Effective lengths cannot come from " + d.effectiveLengths() + ".",
                    "Use given or from-ends.");
        }
        if (splices(d) == null) {
            return failed(
                    "basis.word",
                    "basis, columnSplices",
                    "Bars of columns cannot be joined by " + d.columnSplices() + ".",
                    "Use laps or couplers.");
        }
        if (roundTies(d) == null) {
            return failed(
                    "basis.word",
                    "basis, roundTies",
                    "Round columns cannot have " + d.roundTies() + ".",
                    "Use hoops or spirals.");
        }
        if (d.name() == null
                || d.beamBars() == null
                || d.columnBars() == null
                || d.stirrups() == null
                || d.code() == null
                || d.beamBars().contains(null)
                || d.columnBars().contains(null)
                || d.stirrups().contains(null)) {
            return failed("basis.field", "basis", "A field is null.", "Give every field a value.");
        }
        if (d.national() != null
                && (d.national().containsValue(null) || d.national().containsKey(null))) {
            return failed(
                    "basis.national",
                    "basis, national",
                    "A parameter has no value.",
                    "Give it one, or leave it out for the recommended value.");
        }
        List<Finding> troubles = new ArrayList<>();
        List<LocalSettings> local = LocalForm.read(d.local(), troubles::add);
        if (!troubles.isEmpty()) {
            return new Read(null, troubles);
        }
        // fields that older files do not have take the standard's value
        Basis usual = Basis.standard(Codes.find(d.code())
                .map(CodeEntry::key)
                .orElse(Codes.usual(false).key()));
        Bars bars = new Bars(
                d.beamBars(),
                d.columnBars(),
                d.stirrups(),
                d.layersMost(),
                d.practicalCap(),
                preference,
                or(d.stockLengthMm(), usual.bars().stockLength()));
        return new Read(
                new Basis(
                        d.name(),
                        d.code(),
                        new Materials(
                                d.fyMpa(),
                                d.fytMpa(),
                                d.beamCoverMm(),
                                d.columnCoverMm(),
                                d.aggregateMm(),
                                or(d.national(), Map.of())),
                        bars,
                        new Stirrups(
                                d.spacingStepMm(), d.spacingLeastMm(), d.spacingMostMm(), d.zonesMost(), d.legsMost()),
                        new Frame(
                                swayX,
                                swayY,
                                or(d.redistribution(), 0.0),
                                ductility,
                                lengths,
                                or(d.effectiveLengthX(), 1.0),
                                or(d.effectiveLengthY(), 1.0)),
                        beams(d, usual.beams()),
                        practice(d),
                        local),
                List.of());
    }

    private static BeamRules beams(BasisDto d, BeamRules usual) {
        SectionLimits a = usual.advice();
        return new BeamRules(
                or(d.slabFlanges(), usual.slabFlanges()),
                or(d.bundles(), usual.bundles()),
                new DeflectionLimits(
                        or(d.liveDeflection(), FLOOR.live()),
                        or(d.roofDeflection(), FLOOR.roof()),
                        or(d.lastingDeflection(), FLOOR.lasting())),
                new SectionLimits(
                        or(d.bandFrom(), a.bandFrom()),
                        or(d.bandTo(), a.bandTo()),
                        or(d.depthLeastMm(), a.depthLeast()),
                        or(d.depthMostMm(), a.depthMost()),
                        or(d.widthLeastMm(), a.widthLeast()),
                        or(d.widthMostMm(), a.widthMost()),
                        or(d.sizeStepMm(), a.step())));
    }

    private static Practice practice(BasisDto d) {
        return new Practice(
                or(d.sizesApart(), Practice.NONE.sizesApart()),
                or(d.columnBarsApartMm(), Practice.NONE.columnBarsApart()),
                or(d.columnBarsEvery(), Practice.NONE.columnBarsEvery()),
                or(d.columnLapsEvery(), Practice.NONE.columnLapsEvery()),
                or(d.lengthModuleMm(), Practice.NONE.lengthModule()),
                new VibratorGap(
                        or(d.vibratorGapMm(), VibratorGap.NONE.clear()), or(d.vibratorBars(), VibratorGap.NONE.bars())),
                costs(d),
                splices(d),
                roundTies(d),
                or(d.spacersEveryMm(), 0.0),
                or(d.starterBars(), true));
    }

    private static ColumnSplices splices(BasisDto d) {
        return d.columnSplices() == null ? ColumnSplices.LAPS : choice(ColumnSplices.class, d.columnSplices());
    }

    private static RoundTies roundTies(BasisDto d) {
        return d.roundTies() == null ? RoundTies.HOOPS : choice(RoundTies.class, d.roundTies());
    }

    private static HandlingCost costs(BasisDto d) {
        HandlingCost usual = HandlingCost.STANDARD;
        return new HandlingCost(
                or(d.costPieceKg(), usual.piece()),
                or(d.costLayerKg(), usual.layer()),
                or(d.costAloneKg(), usual.alone()),
                or(d.costOffMiddleKg(), usual.offMiddle()),
                or(d.costSizeKg(), usual.size()),
                or(d.costZoneKg(), usual.zone()),
                or(d.costMarkKg(), usual.mark()));
    }

    private static <T> T or(T given, T usual) {
        return given == null ? usual : given;
    }

    static <E extends Enum<E>> E choice(Class<E> type, String word) {
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
