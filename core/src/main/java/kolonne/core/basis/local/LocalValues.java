package kolonne.core.basis.local;

import java.util.List;
import java.util.Objects;
import kolonne.core.basis.part.EffectiveLengths;
import kolonne.core.basis.part.Preference;
import kolonne.core.basis.part.Sway;

/**
 * Values that stand in place of the project's; null where the project's holds. What a whole frame has in common (code, national values, seismic
 * detailing, redistribution) is never among them.
 *
 * @param materials grades, cover, aggregate
 * @param bars      what may be chosen along members
 * @param stirrups  what may be chosen of stirrups and ties
 * @param practice  what a site wants
 * @param sway      how columns and beams resist sway
 * @param outside   whether they are no part of the structure that resists earthquakes
 */
public record LocalValues(
        OfMaterials materials, OfBars bars, OfStirrups stirrups, OfPractice practice, OfSway sway, Boolean outside) {
    /** @param fy, fyt yield strengths [MPa]; @param beamCover, columnCover, aggregate [mm] */
    public record OfMaterials(Double fy, Double fyt, Double beamCover, Double columnCover, Double aggregate) {
        public static final OfMaterials NONE = new OfMaterials(null, null, null, null, null);
    }

    /** @param beams, columns labels of allowed bars; @param layersMost layers a face; @param practicalCap steel of columns over their area */
    public record OfBars(
            List<String> beams,
            List<String> columns,
            Integer layersMost,
            Double practicalCap,
            Preference preference,
            Boolean bundles) {
        public static final OfBars NONE = new OfBars(null, null, null, null, null, null);

        public OfBars {
            beams = beams == null ? null : List.copyOf(beams);
            columns = columns == null ? null : List.copyOf(columns);
        }
    }

    /** @param allowed labels of allowed bars; @param least, most spacing [mm] */
    public record OfStirrups(List<String> allowed, Double least, Double most, Integer zonesMost, Integer legsMost) {
        public static final OfStirrups NONE = new OfStirrups(null, null, null, null, null);

        public OfStirrups {
            allowed = allowed == null ? null : List.copyOf(allowed);
        }
    }

    /** @param sizesApart steps between sizes; @param columnBarsApart, lengthModule [mm] */
    public record OfPractice(Integer sizesApart, Double columnBarsApart, Double lengthModule) {
        public static final OfPractice NONE = new OfPractice(null, null, null);
    }

    /** Along global X and Y; {@code lengthX} and {@code lengthY} effective over unsupported lengths of columns. */
    public record OfSway(Sway x, Sway y, EffectiveLengths lengths, Double lengthX, Double lengthY) {
        public static final OfSway NONE = new OfSway(null, null);

        public OfSway(Sway x, Sway y) {
            this(x, y, null, null, null);
        }
    }

    /** Keys in files of the values that can be local. */
    public static final List<String> KEYS = List.of(
            "fyMpa",
            "fytMpa",
            "beamCoverMm",
            "columnCoverMm",
            "aggregateMm",
            "beamBars",
            "columnBars",
            "layersMost",
            "practicalCap",
            "preference",
            "bundles",
            "stirrups",
            "spacingLeastMm",
            "spacingMostMm",
            "zonesMost",
            "legsMost",
            "sizesApart",
            "columnBarsApartMm",
            "lengthModuleMm",
            "swayX",
            "swayY",
            "effectiveLengths",
            "effectiveLengthX",
            "effectiveLengthY",
            "outsideFrame");

    public static final LocalValues NONE =
            new LocalValues(OfMaterials.NONE, OfBars.NONE, OfStirrups.NONE, OfPractice.NONE, OfSway.NONE, null);

    public LocalValues {
        Objects.requireNonNull(materials);
        Objects.requireNonNull(bars);
        Objects.requireNonNull(stirrups);
        Objects.requireNonNull(practice);
        Objects.requireNonNull(sway);
    }
}
