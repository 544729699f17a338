package kolonne.core.basis.local;

import java.util.List;
import java.util.Objects;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Bars;
import kolonne.core.basis.part.BeamRules;
import kolonne.core.basis.part.Frame;
import kolonne.core.basis.part.Materials;
import kolonne.core.basis.part.Practice;
import kolonne.core.basis.part.Preference;
import kolonne.core.basis.part.Stirrups;
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
 */
public record LocalValues(OfMaterials materials, OfBars bars, OfStirrups stirrups, OfPractice practice, OfSway sway) {
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

    /** Along global X and Y. */
    public record OfSway(Sway x, Sway y) {
        public static final OfSway NONE = new OfSway(null, null);
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
            "swayY");

    public static final LocalValues NONE =
            new LocalValues(OfMaterials.NONE, OfBars.NONE, OfStirrups.NONE, OfPractice.NONE, OfSway.NONE);

    public LocalValues {
        Objects.requireNonNull(materials);
        Objects.requireNonNull(bars);
        Objects.requireNonNull(stirrups);
        Objects.requireNonNull(practice);
        Objects.requireNonNull(sway);
    }

    /** A basis with these values. */
    public Basis on(Basis b) {
        return b.with(materials(b.materials()))
                .with(bars(b.bars()))
                .with(stirrups(b.stirrups()))
                .with(practice(b.practice()))
                .with(frame(b.frame()))
                .with(beams(b.beams()));
    }

    private Materials materials(Materials m) {
        return new Materials(
                or(materials.fy, m.fy()),
                or(materials.fyt, m.fyt()),
                or(materials.beamCover, m.beamCover()),
                or(materials.columnCover, m.columnCover()),
                or(materials.aggregate, m.aggregate()),
                m.national());
    }

    private Bars bars(Bars b) {
        return new Bars(
                or(bars.beams, b.beams()),
                or(bars.columns, b.columns()),
                or(stirrups.allowed, b.stirrups()),
                or(bars.layersMost, b.layersMost()),
                or(bars.practicalCap, b.practicalCap()),
                or(bars.preference, b.preference()),
                b.stockLength());
    }

    private Stirrups stirrups(Stirrups s) {
        return new Stirrups(
                s.step(),
                or(stirrups.least, s.least()),
                or(stirrups.most, s.most()),
                or(stirrups.zonesMost, s.zonesMost()),
                or(stirrups.legsMost, s.legsMost()));
    }

    private Practice practice(Practice p) {
        return new Practice(
                or(practice.sizesApart, p.sizesApart()),
                or(practice.columnBarsApart, p.columnBarsApart()),
                or(practice.lengthModule, p.lengthModule()),
                p.costs());
    }

    private Frame frame(Frame f) {
        return new Frame(or(sway.x, f.swayX()), or(sway.y, f.swayY()), f.redistribution(), f.ductility());
    }

    private BeamRules beams(BeamRules r) {
        return new BeamRules(r.slabFlanges(), or(bars.bundles, r.bundles()), r.deflection(), r.advice());
    }

    private static <T> T or(T given, T usual) {
        return given == null ? usual : given;
    }
}
