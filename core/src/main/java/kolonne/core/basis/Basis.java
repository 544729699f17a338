package kolonne.core.basis;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import kolonne.core.code.Bar;
import kolonne.core.code.DesignCode;
import kolonne.core.code.DuctileFrame;
import kolonne.core.code.aci318.Aci318;
import kolonne.core.code.en1992.En1992;
import kolonne.core.code.en1992.EnParameters;
import kolonne.core.finding.Finding;

/**
 * Basis of design.
 *
 * @param code          key of the design code, one of {@link #CODES}
 * @param fy            yield strength of longitudinal bars [MPa]
 * @param fyt           yield strength of stirrups and ties [MPa]
 * @param beamCover     clear cover to the stirrups of beams [mm]
 * @param columnCover   clear cover to the ties of columns [mm]
 * @param aggregate     largest aggregate [mm]
 * @param beamBars      labels of the longitudinal bars allowed in beams
 * @param columnBars    labels of the longitudinal bars allowed in columns
 * @param stirrups      labels of the bars allowed for stirrups and ties
 * @param spacingStep   stirrup spacings are multiples of this [mm]
 * @param spacingLeast  smallest practical stirrup spacing [mm]
 * @param spacingMost   largest stirrup spacing whatever the code allows [mm]
 * @param zonesMost     stirrup zones a span may have
 * @param legsMost      stirrup legs a beam may have
 * @param layersMost    layers of bars in a face
 * @param practicalCap  column steel over gross area above which the section is called too small
 * @param preference    what the choice of bars prefers
 * @param deflection    what spans may deflect
 * @param swayX         how the frame resists sway along global X
 * @param swayY         how the frame resists sway along global Y
 * @param redistribution part of the hogging moments at supports of beams that is moved into the spans, 0 for none
 * @param rules         what else is said of beams
 * @param national      nationally determined parameters in place of recommended values, by key; empty for codes without
 */
public record Basis(String name, String code, double fy, double fyt, double beamCover, double columnCover,
                    double aggregate, List<String> beamBars, List<String> columnBars, List<String> stirrups,
                    double spacingStep, double spacingLeast, double spacingMost, int zonesMost, int legsMost,
                    int layersMost, double practicalCap, Preference preference, DeflectionLimits deflection, Sway swayX,
                    Sway swayY, double redistribution, Map<String, Double> national, BeamRules rules) {
    public static final List<String> CODES = List.of("aci-318m-19", "aci-318-19", "en-1992-1-1");
    private static final String EN = "en-1992-1-1";

    /**
     * What to prefer where several arrangements satisfy: the least steel, the fewest bars, the fewest layers, one size of bar
     * in a face of a beam line, or one size in the whole line. Where one size does not serve, others are taken.
     */
    public enum Preference {
        LEAST_STEEL, FEWEST_BARS, FEWEST_LAYERS, ONE_SIZE_A_FACE, FEWEST_SIZES
    }

    /**
     * Parts of the span that deflections may not pass, as divisors (ACI 318-19 table 24.2.2).
     *
     * @param live    immediate deflection of floors under live load, 360
     * @param roof    the same of roofs, 180
     * @param lasting what comes after the partitions: 240, or 480 where they are likely to be damaged
     */
    public record DeflectionLimits(double live, double roof, double lasting) {
        public static final DeflectionLimits FLOOR = new DeflectionLimits(360, 180, 240);

        /** Whether partitions are likely to be damaged: a deep span is then no substitute for computed deflections (9.3.1.1). */
        public boolean sensitive() {
            return lasting >= 480;
        }
    }

    /** FROM_MODEL: by the storey's stability index; BRACED: taken as braced whatever the index says. */
    public enum Sway { FROM_MODEL, BRACED }

    public Basis {
        beamBars = List.copyOf(beamBars);
        columnBars = List.copyOf(columnBars);
        stirrups = List.copyOf(stirrups);
        national = Map.copyOf(national);
    }

    /** The starting basis of a new project in SI or US customary units. */
    public static Basis standard(boolean usUnits) {
        return usUnits
            ? new Basis("Standard, US", "aci-318-19", 60_000 * PSI, 60_000 * PSI, 38.1, 38.1, 19.05,
                List.of("#5", "#6", "#7", "#8", "#9"), List.of("#6", "#7", "#8", "#9", "#10", "#11"),
                List.of("#3", "#4", "#5"), 25.4, 76.2, 304.8, 3, 6, 2, 0.04, Preference.LEAST_STEEL,
                DeflectionLimits.FLOOR, Sway.FROM_MODEL, Sway.FROM_MODEL, 0, Map.of(), BeamRules.standard(true))
            : new Basis("Standard, SI", "aci-318m-19", 420, 420, 40, 40, 20, List.of("T16", "T20", "T25", "T32"),
                List.of("T16", "T20", "T25", "T32"), List.of("T10", "T12", "T16"), 25, 75, 300, 3, 6, 2, 0.04,
                Preference.LEAST_STEEL, DeflectionLimits.FLOOR, Sway.FROM_MODEL, Sway.FROM_MODEL, 0, Map.of(), BeamRules.standard(false));
    }

    /** The starting basis of a code. */
    public static Basis standard(String code) {
        return code.equals(EN)
            ? new Basis("Standard, EN", EN, 500, 500, 35, 35, 20, List.of("T16", "T20", "T25", "T32"), List.of("T16", "T20", "T25", "T32"),
                List.of("T8", "T10", "T12"), 25, 75, 300, 3, 6, 2, 0.04, Preference.LEAST_STEEL, new DeflectionLimits(250, 250, 250), Sway.FROM_MODEL, Sway.FROM_MODEL,
                0, Map.of(), BeamRules.standard(false))
            : standard(code.equals("aci-318-19"));
    }

    private static final double PSI = 0.00689475729316836;

    /** The same basis with another preference. */
    public Basis with(Preference p) {
        return new Basis(name, code, fy, fyt, beamCover, columnCover, aggregate, beamBars, columnBars, stirrups, spacingStep, spacingLeast, spacingMost,
            zonesMost, legsMost, layersMost, practicalCap, p, deflection, swayX, swayY, redistribution, national, rules);
    }

    /** What the code leaves to nations; empty for codes that leave nothing. */
    public List<EnParameters.Parameter> parameters() {
        return code.equals(EN) ? EnParameters.ALL : List.of();
    }

    /** The same basis with a part of the hogging moments redistributed. */
    public Basis withRedistribution(double part) {
        return new Basis(name, code, fy, fyt, beamCover, columnCover, aggregate, beamBars, columnBars, stirrups, spacingStep, spacingLeast, spacingMost,
            zonesMost, legsMost, layersMost, practicalCap, preference, deflection, swayX, swayY, part, national, rules);
    }

    /** The same basis with other rules of beams. */
    public Basis with(BeamRules other) {
        return new Basis(name, code, fy, fyt, beamCover, columnCover, aggregate, beamBars, columnBars, stirrups, spacingStep, spacingLeast, spacingMost,
            zonesMost, legsMost, layersMost, practicalCap, preference, deflection, swayX, swayY, redistribution, national, other);
    }

    public boolean usUnits() {
        return code.equals("aci-318-19");
    }

    public DesignCode designCode() {
        return switch (code) {
            case "aci-318m-19" -> Aci318.SI;
            case "aci-318-19" -> Aci318.US;
            case EN -> En1992.of(national);
            default -> throw new IllegalStateException("Impossible: unknown code " + code + " passed the check");
        };
    }

    /** Allowed longitudinal bars of beams, smallest first. */
    public List<Bar> beamBarList() {
        return bars(beamBars);
    }

    public List<Bar> columnBarList() {
        return bars(columnBars);
    }

    public List<Bar> stirrupList() {
        return bars(stirrups);
    }

    private List<Bar> bars(List<String> labels) {
        return designCode().catalogue().bars().stream().filter(b -> labels.contains(b.label())).toList();
    }

    /** Everything wrong with the basis; empty if it can be designed to. */
    public List<Finding> check() {
        List<Finding> out = new ArrayList<>();
        if (!CODES.contains(code)) {
            out.add(Finding.fails("basis.code", "basis, code", "There is no design code " + code + ".",
                "Choose one of " + String.join(", ", CODES) + "."));
            return out;
        }
        if (!code.equals(EN) && !national.isEmpty()) {
            out.add(Finding.fails("basis.national", "basis, national", "The code has no nationally determined parameters.", "Leave them out."));
        }
        for (Map.Entry<String, Double> e : code.equals(EN) ? national.entrySet() : Map.<String, Double>of().entrySet()) {
            EnParameters.ALL.stream().filter(q -> q.key().equals(e.getKey())).findFirst().ifPresentOrElse(
                q -> range(out, "national." + q.key(), e.getValue(), q.least(), q.most(), ""),
                () -> out.add(Finding.fails("basis.national", "basis, national", "There is no parameter " + e.getKey() + ".", "Use one of "
                    + String.join(", ", EnParameters.ALL.stream().map(EnParameters.Parameter::key).toList()) + ".")));
        }
        if (!out.isEmpty()) {
            return out;
        }
        range(out, "fy", fy, 200, 700, "MPa");
        range(out, "fyt", fyt, 200, 700, "MPa");
        steel(out, "fy", fy);
        steel(out, "fyt", fyt);
        range(out, "beamCover", beamCover, 10, 150, "mm");
        range(out, "columnCover", columnCover, 10, 150, "mm");
        range(out, "aggregate", aggregate, 5, 60, "mm");
        range(out, "spacingStep", spacingStep, 1, 100, "mm");
        range(out, "spacingLeast", spacingLeast, 25, 300, "mm");
        range(out, "spacingMost", spacingMost, spacingLeast, 600, "mm");
        range(out, "zonesMost", zonesMost, 1, 3, "");
        range(out, "legsMost", legsMost, 2, 12, "");
        range(out, "layersMost", layersMost, 1, 3, "");
        range(out, "liveDeflection", deflection.live(), 100, 2000, "");
        range(out, "roofDeflection", deflection.roof(), 100, 2000, "");
        range(out, "lastingDeflection", deflection.lasting(), 100, 2000, "");
        range(out, "redistribution", redistribution, 0, designCode().mostRedistribution(), "");
        range(out, "practicalCap", practicalCap, 0.01, 0.08, "");
        range(out, "stockLength", rules.stockLength(), 4000, 30_000, "mm");
        BeamRules.SectionLimits a = rules.advice();
        range(out, "bandTo", a.bandTo(), 0.3, 1, "");
        range(out, "bandFrom", a.bandFrom(), 0, a.bandTo(), "");
        range(out, "depthLeast", a.depthLeast(), 100, 5000, "mm");
        range(out, "depthMost", a.depthMost(), a.depthLeast(), 5000, "mm");
        range(out, "widthLeast", a.widthLeast(), 100, 5000, "mm");
        range(out, "widthMost", a.widthMost(), a.widthLeast(), 5000, "mm");
        range(out, "sizeStep", a.step(), 5, 500, "mm");
        if (rules.ductility() != DuctileFrame.Kind.NONE && code.equals(EN)) {
            out.add(Finding.fails("basis.ductility", "basis, ductility", "Ductile frames of this code are not covered.",
                "Choose none, and add the rules of EN 1998-1 by hand."));
        }
        labels(out, "beamBars", beamBars);
        labels(out, "columnBars", columnBars);
        labels(out, "stirrups", stirrups);
        return out;
    }

    private void steel(List<Finding> out, String field, double v) {
        DesignCode c = designCode();
        if (!c.coversSteel(v)) {
            out.add(Finding.fails("basis." + field, "basis, " + field, c.name() + " has no rules for bars of " + v + " MPa (" + c.coversSteelClause() + ").",
                "Choose a grade that the code covers."));
        }
    }

    private static void range(List<Finding> out, String field, double v, double least, double most, String unit) {
        if (!(v >= least && v <= most)) {
            out.add(Finding.fails("basis." + field, "basis, " + field, "The value is " + v + " " + unit + ", outside "
                + least + " to " + most + " " + unit + ".", "Give a value within these bounds."));
        }
    }

    private void labels(List<Finding> out, String field, List<String> labels) {
        if (labels.isEmpty()) {
            out.add(Finding.fails("basis." + field, "basis, " + field, "No bar is allowed.", "Choose at least one."));
        }
        for (String l : labels) {
            if (designCode().catalogue().find(l) == null) {
                out.add(Finding.fails("basis." + field, "basis, " + field, "The catalogue "
                    + designCode().catalogue().name() + " has no bar " + l + ".", "Choose bars of the catalogue."));
            }
        }
    }
}
