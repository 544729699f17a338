package kolonne.core.basis;

import java.util.List;
import java.util.function.ToDoubleFunction;
import kolonne.core.code.CodeEntry;

/**
 * A number of the basis: what it means and its bounds, once for the check and for the page that asks for it.
 *
 * @param key   in files, with its unit
 * @param part  where it is asked for
 * @param name  in words
 * @param least and {@code most}: bounds whatever the other fields say [mm, MPa, or a number]
 * @param help  what it does, for a reader; the code may add to it
 * @param value of a basis
 */
public record BasisField(
        String key,
        Part part,
        String name,
        Kind kind,
        double least,
        double most,
        String help,
        ToDoubleFunction<Basis> value) {
    /** Parts of the basis as a reader meets them. */
    public enum Part {
        MATERIALS,
        COVER,
        FRAME,
        LENGTHS,
        ADVICE,
        BARS,
        PRACTICE,
        COSTS,
        STIRRUPS,
        DEFLECTION
    }

    /** What kind of number it is. */
    public enum Kind {
        STRESS,
        LENGTH,
        COUNT,
        NUMBER,
        PART,
        MASS
    }

    private static final String EFFECTIVE_LENGTH =
            "k, the effective over the unsupported length of columns that buckle along this axis. 1 is for ends that may turn "
                    + "and not move; less where stiff beams hold them, more where they move and that is not in the magnifier of sidesway.";

    /** Every number of a basis, in the order of the page. */
    public static final List<BasisField> ALL = List.of(
            new BasisField(
                    "fyMpa",
                    Part.MATERIALS,
                    "Longitudinal bars, fy",
                    Kind.STRESS,
                    200,
                    700,
                    "Specified yield strength of main bars.",
                    Basis::fy),
            new BasisField(
                    "fytMpa",
                    Part.MATERIALS,
                    "Stirrups and ties, fyt",
                    Kind.STRESS,
                    200,
                    700,
                    "Specified yield strength of stirrups and ties.",
                    Basis::fyt),
            new BasisField(
                    "beamCoverMm",
                    Part.COVER,
                    "Cover of beams",
                    Kind.LENGTH,
                    10,
                    150,
                    "Clear, to the stirrups.",
                    Basis::beamCover),
            new BasisField(
                    "columnCoverMm",
                    Part.COVER,
                    "Cover of columns",
                    Kind.LENGTH,
                    10,
                    150,
                    "Clear, to the ties.",
                    Basis::columnCover),
            new BasisField(
                    "aggregateMm",
                    Part.COVER,
                    "Largest aggregate",
                    Kind.LENGTH,
                    5,
                    60,
                    "Decides how near bars may lie.",
                    Basis::aggregate),
            new BasisField(
                    "redistribution",
                    Part.FRAME,
                    "Redistribution of beam moments",
                    Kind.PART,
                    0,
                    0.3,
                    "Part of the hogging moments at supports that is moved into the "
                            + "spans; refused with the reason where a section cannot turn that far.",
                    Basis::redistribution),
            new BasisField(
                    "effectiveLengthX",
                    Part.LENGTHS,
                    "Length factor k along X",
                    Kind.NUMBER,
                    0.5,
                    5,
                    EFFECTIVE_LENGTH,
                    b -> b.frame().lengthX()),
            new BasisField(
                    "effectiveLengthY",
                    Part.LENGTHS,
                    "Length factor k along Y",
                    Kind.NUMBER,
                    0.5,
                    5,
                    EFFECTIVE_LENGTH,
                    b -> b.frame().lengthY()),
            new BasisField(
                    "bandFrom",
                    Part.ADVICE,
                    "Target utilisation from",
                    Kind.PART,
                    0,
                    1,
                    "Sections used less than this are larger than they need be.",
                    b -> b.beams().advice().bandFrom()),
            new BasisField(
                    "bandTo",
                    Part.ADVICE,
                    "Target utilisation up to",
                    Kind.PART,
                    0.3,
                    1,
                    "Sections used more leave no room for what is still to come.",
                    b -> b.beams().advice().bandTo()),
            new BasisField(
                    "depthLeastMm",
                    Part.ADVICE,
                    "Least depth",
                    Kind.LENGTH,
                    100,
                    5000,
                    "Sections of the project count whatever their size.",
                    b -> b.beams().advice().depthLeast()),
            new BasisField(
                    "depthMostMm",
                    Part.ADVICE,
                    "Greatest depth",
                    Kind.LENGTH,
                    100,
                    5000,
                    "What the storey height and the services leave.",
                    b -> b.beams().advice().depthMost()),
            new BasisField(
                    "widthLeastMm",
                    Part.ADVICE,
                    "Least width",
                    Kind.LENGTH,
                    100,
                    5000,
                    "Of the web.",
                    b -> b.beams().advice().widthLeast()),
            new BasisField(
                    "widthMostMm",
                    Part.ADVICE,
                    "Greatest width",
                    Kind.LENGTH,
                    100,
                    5000,
                    "Of the web.",
                    b -> b.beams().advice().widthMost()),
            new BasisField(
                    "sizeStepMm",
                    Part.ADVICE,
                    "Step",
                    Kind.LENGTH,
                    5,
                    500,
                    "From one size to the next.",
                    b -> b.beams().advice().step()),
            new BasisField(
                    "layersMost",
                    Part.BARS,
                    "Layers per face",
                    Kind.COUNT,
                    1,
                    3,
                    "Layers of bars in one face of a beam.",
                    b -> b.bars().layersMost()),
            new BasisField(
                    "practicalCap",
                    Part.BARS,
                    "Practical steel cap of columns",
                    Kind.PART,
                    0.01,
                    0.08,
                    "Above it a column is called too small, though legal: bars lap and cross in the joint.",
                    b -> b.bars().practicalCap()),
            new BasisField(
                    "stockLengthMm",
                    Part.BARS,
                    "Longest bar delivered",
                    Kind.LENGTH,
                    4000,
                    30_000,
                    "Longer bars are lapped: top bars in the middle of spans, bottom bars at supports.",
                    b -> b.bars().stockLength()),
            new BasisField(
                    "sizesApart",
                    Part.PRACTICE,
                    "Sizes together, steps apart",
                    Kind.COUNT,
                    0,
                    10,
                    "By the practical preference: sizes in a face of a beam line, and in a column, lie no further apart in the list of allowed bars; 1 is two neighbours, 0 a single size.",
                    b -> b.practice().sizesApart()),
            new BasisField(
                    "columnBarsApartMm",
                    Part.PRACTICE,
                    "Column bars apart, at most",
                    Kind.LENGTH,
                    100,
                    600,
                    "By the practical preference: from centre to centre of neighbouring bars of a column.",
                    b -> b.practice().columnBarsApart()),
            new BasisField(
                    "columnBarsEvery",
                    Part.PRACTICE,
                    "Column bars the same through, storeys",
                    Kind.COUNT,
                    1,
                    6,
                    "By the practical preference: bars of a column change only after so many storeys, counted from its foot or from where its section changed last. 1 lets them change at every floor. Where the same bars do not serve, they change and a note says so.",
                    b -> b.practice().columnBarsEvery()),
            new BasisField(
                    "columnLapsEvery",
                    Part.PRACTICE,
                    "Column bars lap after, storeys",
                    Kind.COUNT,
                    1,
                    3,
                    "2 joins the bars of a column at every second floor only: they stay the same through two storeys and are one piece in them, where that is no longer than bars are delivered. Counted from the foot or from where the section changed last. Bars that cannot lap there at every floor instead, and a note says so.",
                    b -> b.practice().columnLapsEvery()),
            new BasisField(
                    "lengthModuleMm",
                    Part.PRACTICE,
                    "Bar lengths, module",
                    Kind.LENGTH,
                    0,
                    500,
                    "Bars along members are cut to multiples of it: straight ends run on, hooks and laps become longer. 0 cuts to any length. Bars set by hand and stirrups stay as they are.",
                    b -> b.practice().lengthModule()),
            new BasisField(
                    "vibratorGapMm",
                    Part.PRACTICE,
                    "Room for the vibrator",
                    Kind.LENGTH,
                    0,
                    150,
                    "By the practical preference: clear distance between the top bars of a beam where a row has more than the number below; others go to another layer, or are larger. 0 asks for no more than the code. Where nothing leaves it, a note says so.",
                    b -> b.practice().vibrator().clear()),
            new BasisField(
                    "vibratorBars",
                    Part.PRACTICE,
                    "in rows of more bars than",
                    Kind.COUNT,
                    2,
                    20,
                    "A row of so many top bars needs no more room than the code asks for.",
                    b -> b.practice().vibrator().bars()),
            new BasisField(
                    "spacersEveryMm",
                    Part.PRACTICE,
                    "Layer spacers apart, at most",
                    Kind.LENGTH,
                    0,
                    2000,
                    "Bars laid across beams on which a further layer lies, in the bar list as far apart as this at most; layers then are as far from each other as a bar is thick. 0 lists none and leaves them to the site; otherwise at least 300 mm.",
                    b -> b.practice().spacersEvery()),
            new BasisField(
                    "costPieceKg",
                    Part.COSTS,
                    "Every bar",
                    Kind.MASS,
                    0,
                    100,
                    "Cutting, carrying and tying it.",
                    b -> b.practice().costs().piece()),
            new BasisField(
                    "costLayerKg",
                    Part.COSTS,
                    "A further layer",
                    Kind.MASS,
                    0,
                    100,
                    "Of a face of a beam.",
                    b -> b.practice().costs().layer()),
            new BasisField(
                    "costAloneKg",
                    Part.COSTS,
                    "A bar alone",
                    Kind.MASS,
                    0,
                    100,
                    "In its layer, but where it completes a row.",
                    b -> b.practice().costs().alone()),
            new BasisField(
                    "costOffMiddleKg",
                    Part.COSTS,
                    "Off the middle",
                    Kind.MASS,
                    0,
                    100,
                    "Bars that do not lie evenly about the middle of the web.",
                    b -> b.practice().costs().offMiddle()),
            new BasisField(
                    "costSizeKg",
                    Part.COSTS,
                    "A further size",
                    Kind.MASS,
                    0,
                    100,
                    "One size too many: a second one on a face, or a third in a beam line. A size for the top and one for the bottom cost nothing.",
                    b -> b.practice().costs().size()),
            new BasisField(
                    "costZoneKg",
                    Part.COSTS,
                    "A change of stirrups",
                    Kind.MASS,
                    0,
                    100,
                    "Where another zone of stirrups begins in a span. 0 asks for as many zones as save any.",
                    b -> b.practice().costs().zone()),
            new BasisField(
                    "costMarkKg",
                    Part.COSTS,
                    "A further bar mark",
                    Kind.MASS,
                    0,
                    100,
                    "Bars of a beam line are cut to one length where what they are longer by weighs less than this.",
                    b -> b.practice().costs().mark()),
            new BasisField(
                    "spacingStepMm",
                    Part.STIRRUPS,
                    "Spacing step",
                    Kind.LENGTH,
                    1,
                    100,
                    "Spacings are multiples of it.",
                    b -> b.stirrups().step()),
            new BasisField(
                    "spacingLeastMm",
                    Part.STIRRUPS,
                    "Closest practical spacing",
                    Kind.LENGTH,
                    25,
                    300,
                    "Below it more legs or a larger bar are tried.",
                    b -> b.stirrups().least()),
            new BasisField(
                    "spacingMostMm",
                    Part.STIRRUPS,
                    "Widest spacing",
                    Kind.LENGTH,
                    25,
                    600,
                    "Whatever the code allows.",
                    b -> b.stirrups().most()),
            new BasisField(
                    "zonesMost",
                    Part.STIRRUPS,
                    "Zones per span",
                    Kind.COUNT,
                    1,
                    3,
                    "Stretches of one spacing that a span may have.",
                    b -> b.stirrups().zonesMost()),
            new BasisField(
                    "legsMost",
                    Part.STIRRUPS,
                    "Most legs",
                    Kind.COUNT,
                    2,
                    12,
                    "Stirrup legs across a beam.",
                    b -> b.stirrups().legsMost()),
            new BasisField(
                    "liveDeflection",
                    Part.DEFLECTION,
                    "Live load, span over",
                    Kind.NUMBER,
                    100,
                    2000,
                    "Immediate deflection of floors under live load at most the span over this.",
                    b -> b.deflection().live()),
            new BasisField(
                    "roofDeflection",
                    Part.DEFLECTION,
                    "Live load on roofs, span over",
                    Kind.NUMBER,
                    100,
                    2000,
                    "The same of roofs. A roof is a level with roof live load or snow and no other live load.",
                    b -> b.deflection().roof()),
            new BasisField(
                    "lastingDeflection",
                    Part.DEFLECTION,
                    "After partitions, span over",
                    Kind.NUMBER,
                    100,
                    2000,
                    "Long-term deflection and live load together at most the span over this.",
                    b -> b.deflection().lasting()));

    /** Key without its unit. */
    public String id() {
        return key.replaceAll("(Mpa|Mm)$", "");
    }

    /** Unit in messages. */
    String unit() {
        return kind == Kind.STRESS ? "MPa" : kind == Kind.LENGTH ? "mm" : "";
    }

    /** Greatest value that the page takes, by the code of a basis. */
    public double mostBy(Basis standard) {
        return key.equals("redistribution") ? most(standard) : most;
    }

    /** Lower bound beside the other fields of a basis. */
    double least(Basis b) {
        return switch (key) {
            case "spacingMostMm" -> b.stirrups().least();
            case "depthMostMm" -> b.beams().advice().depthLeast();
            case "widthMostMm" -> b.beams().advice().widthLeast();
            default -> least;
        };
    }

    /** Upper bound beside the other fields of a basis, and by its code. */
    double most(Basis b) {
        return switch (key) {
            case "redistribution" -> b.designCode().mostRedistribution();
            case "bandFrom" -> b.beams().advice().bandTo();
            default -> most;
        };
    }

    /** What it does, and what a code says of it. */
    public String help(CodeEntry code) {
        String remark = code.remarks().getOrDefault(key, "");
        return remark.isEmpty() ? help : help + " " + remark;
    }
}
