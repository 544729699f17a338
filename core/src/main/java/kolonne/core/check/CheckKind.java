package kolonne.core.check;

import java.util.EnumSet;
import java.util.Set;
import kolonne.core.explain.Quantity;
import kolonne.core.finding.Cause;

/**
 * The closed list of checks. Kinds of one id are one check of which the worst is shown, as crack widths of both faces; beams and columns
 * may share an id. The clause comes with the result: it differs from code to code.
 */
public enum CheckKind {
    // Flexure and shear of beams
    MINIMUM_SHEAR_STEEL("minimum-shear-steel", "Minimum stirrups", Cause.STEEL_BELOW_MINIMUM, Quantity.AREA_PER_LENGTH),
    SHEAR("shear", "Shear", Cause.SHEAR, Quantity.FORCE),
    SHEAR_LIMIT("shear-limit", "Shear, limit of the concrete", Cause.SHEAR_LIMIT, Quantity.FORCE),
    CAPACITY_SHEAR("capacity-shear", "Shear from the strength of the ends", Cause.SHEAR, Quantity.FORCE),
    TENSION_SHIFT_TOP("tension-shift-top", "Bars against the shifted moment, top", Cause.ANCHORAGE, Quantity.MOMENT),
    TENSION_SHIFT_BOTTOM(
            "tension-shift-bottom", "Bars against the shifted moment, bottom", Cause.ANCHORAGE, Quantity.MOMENT),
    FLEXURE_TOP("flexure-top", "Flexure, top", Cause.FLEXURE, Quantity.MOMENT),
    FLEXURE_BOTTOM("flexure-bottom", "Flexure, bottom", Cause.FLEXURE, Quantity.MOMENT),
    TENSION_CONTROL_TOP("tension-control-top", "Tension-controlled, top", Cause.FLEXURE_COMPRESSION, Quantity.STRAIN),
    TENSION_CONTROL_BOTTOM(
            "tension-control-bottom", "Tension-controlled, bottom", Cause.FLEXURE_COMPRESSION, Quantity.STRAIN),
    MINIMUM_TOP("minimum-top", "Minimum steel, top", Cause.STEEL_BELOW_MINIMUM, Quantity.AREA),
    MINIMUM_BOTTOM("minimum-bottom", "Minimum steel, bottom", Cause.STEEL_BELOW_MINIMUM, Quantity.AREA),
    FLEXURE_TORSION_TOP("flexure-torsion-top", "Flexure with torsion, top", Cause.FLEXURE, Quantity.MOMENT),
    FLEXURE_TORSION_BOTTOM("flexure-torsion-bottom", "Flexure with torsion, bottom", Cause.FLEXURE, Quantity.MOMENT),
    FLANGE_SHEAR("flange-shear", "Shear between web and flange", Cause.SHEAR_LIMIT, Quantity.STRESS),
    SECOND_ORDER("second-order", "Second-order moments over first-order", Cause.SLENDERNESS, Quantity.NUMBER),
    // Torsion of beams
    TORSION_THRESHOLD("torsion-threshold", "Torsion, threshold", Cause.OUT_OF_SCOPE, Quantity.MOMENT),
    TORSION("torsion", "Torsion with shear, outer legs", Cause.TORSION, Quantity.AREA_PER_LENGTH),
    SHEAR_TORSION_LIMIT(
            "shear-torsion-limit",
            "Shear with torsion, limit of the concrete",
            Cause.SHEAR_TORSION_LIMIT,
            Quantity.MOMENT),
    TORSION_SPACING("torsion-spacing", "Stirrup spacing for torsion", Cause.STIRRUP_SPACING, Quantity.LENGTH),
    TORSION_BAR_SIZE("torsion-bar-size", "Thinnest bar round the perimeter", Cause.TORSION, Quantity.LENGTH),
    TORSION_BAR_SPACING("torsion-bar-spacing", "Distance of bars up the sides", Cause.TORSION, Quantity.LENGTH),
    TORSION_SIDE("torsion-side", "Side bars for torsion", Cause.TORSION, Quantity.AREA),
    TORSION_ANCHORAGE("torsion-anchorage", "Side bars, anchorage", Cause.ANCHORAGE, Quantity.LENGTH),
    TORSION_TOP("torsion-top", "Bars for torsion, top", Cause.TORSION, Quantity.AREA),
    TORSION_BOTTOM("torsion-bottom", "Bars for torsion, bottom", Cause.TORSION, Quantity.AREA),
    // Bars of beams: fit, anchorage, continuity
    INTEGRITY_TOP("integrity-top", "Continuous bars of an edge beam, top", Cause.STEEL_BELOW_MINIMUM, Quantity.AREA),
    INTEGRITY_BOTTOM(
            "integrity-bottom", "Continuous bars of an edge beam, bottom", Cause.STEEL_BELOW_MINIMUM, Quantity.AREA),
    INTEGRITY_END_TOP("integrity-end-top", "Continuous bars anchored for yield, top", Cause.ANCHORAGE, Quantity.AREA),
    INTEGRITY_END_BOTTOM(
            "integrity-end-bottom", "Continuous bars anchored for yield, bottom", Cause.ANCHORAGE, Quantity.AREA),
    PAST_INFLECTION("past-inflection", "Top bars past the point of inflection", Cause.ANCHORAGE, Quantity.AREA),
    CLEAR_SPACING_TOP("clear-spacing-top", "Clear distance, top bars", Cause.BARS_DO_NOT_FIT, Quantity.LENGTH),
    CLEAR_SPACING_BOTTOM("clear-spacing-bottom", "Clear distance, bottom bars", Cause.BARS_DO_NOT_FIT, Quantity.LENGTH),
    LAYER_SPACING_TOP("layer-spacing-top", "Clear distance of layers, top", Cause.BARS_DO_NOT_FIT, Quantity.LENGTH),
    LAYER_SPACING_BOTTOM(
            "layer-spacing-bottom", "Clear distance of layers, bottom", Cause.BARS_DO_NOT_FIT, Quantity.LENGTH),
    LAYERS_TOP("layers-top", "Upper bars over lower ones, top", Cause.BARS_DO_NOT_FIT, Quantity.COUNT),
    LAYERS_BOTTOM("layers-bottom", "Upper bars over lower ones, bottom", Cause.BARS_DO_NOT_FIT, Quantity.COUNT),
    BAR_SPACING_TOP("bar-spacing-top", "Bar spacing, top", Cause.BAR_SPACING_WIDE, Quantity.LENGTH),
    BAR_SPACING_BOTTOM("bar-spacing-bottom", "Bar spacing, bottom", Cause.BAR_SPACING_WIDE, Quantity.LENGTH),
    LAP_ROOM_TOP("lap-room-top", "Width where bars lap, top", Cause.BARS_DO_NOT_FIT, Quantity.LENGTH),
    LAP_ROOM_BOTTOM("lap-room-bottom", "Width where bars lap, bottom", Cause.BARS_DO_NOT_FIT, Quantity.LENGTH),
    STEEL_MAXIMUM("steel-maximum", "Most steel of a face", Cause.STEEL_OVER_CAP, Quantity.AREA),
    SIDE_BARS("side-bars", "Side bars", Cause.BAR_SPACING_WIDE, Quantity.LENGTH),
    HOOK_TOP("hook-top", "Hook in the end support, top", Cause.ANCHORAGE, Quantity.LENGTH),
    HOOK_BOTTOM("hook-bottom", "Hook in the end support, bottom", Cause.ANCHORAGE, Quantity.LENGTH),
    CORNER_BARS_TOP(
            "corner-bars-top", "Bars in the corners of the stirrups, top", Cause.STEEL_BELOW_MINIMUM, Quantity.COUNT),
    CORNER_BARS_BOTTOM(
            "corner-bars-bottom",
            "Bars in the corners of the stirrups, bottom",
            Cause.STEEL_BELOW_MINIMUM,
            Quantity.COUNT),
    BOTTOM_INTO_SUPPORT("bottom-into-support", "Bottom bars into the support", Cause.ANCHORAGE, Quantity.AREA),
    CUT_OFF("cut-off", "Strength past the end of bars", Cause.ANCHORAGE, Quantity.MOMENT),
    DEVELOPMENT_TOP("development-top", "Flexure where bars develop, top", Cause.ANCHORAGE, Quantity.MOMENT),
    DEVELOPMENT_BOTTOM("development-bottom", "Flexure where bars develop, bottom", Cause.ANCHORAGE, Quantity.MOMENT),
    LAP_PLACE(
            "lap-place",
            "Lap away from the columns",
            Cause.ANCHORAGE,
            Quantity.LENGTH,
            "Have longer bars delivered, or lap them elsewhere."),
    PAIR_SIZE("pair-size", "Size of bundled bars", Cause.BARS_DO_NOT_FIT, Quantity.LENGTH),
    PAIR_ENDS(
            "pair-ends",
            "Ends of bundled bars",
            Cause.ANCHORAGE,
            Quantity.LENGTH,
            "Let one bar of each two run on further."),
    CUT_OFF_TENSION("cut-off-tension", "Shear where bars end in tension", Cause.ANCHORAGE, Quantity.FORCE),
    // Stirrups of beams
    STIRRUP_SPACING("stirrup-spacing", "Stirrup spacing", Cause.STIRRUP_SPACING, Quantity.LENGTH),
    LEGS_MOST("legs-most", "Legs that the basis allows", Cause.TIE_ARRANGEMENT, Quantity.COUNT),
    LEG_SPACING("leg-spacing", "Spacing of legs across", Cause.STIRRUP_SPACING, Quantity.LENGTH),
    COMPRESSION_SPACING(
            "compression-spacing", "Stirrups round bars in compression", Cause.STIRRUP_SPACING, Quantity.LENGTH),
    COMPRESSION_LEGS("compression-legs", "Legs that hold bars in compression", Cause.TIE_ARRANGEMENT, Quantity.COUNT),
    COMPRESSION_STIRRUP(
            "compression-stirrup", "Stirrup size for bars in compression", Cause.TIE_ARRANGEMENT, Quantity.LENGTH),
    // Frames in earthquakes
    DUCTILE_THROUGH_TOP(
            "ductile-through-top", "Continuous bars of the frame, top", Cause.STEEL_BELOW_MINIMUM, Quantity.COUNT),
    DUCTILE_THROUGH_BOTTOM(
            "ductile-through-bottom",
            "Continuous bars of the frame, bottom",
            Cause.STEEL_BELOW_MINIMUM,
            Quantity.COUNT),
    DUCTILE_BOTTOM("ductile-bottom", "Continuous bottom bars of the frame", Cause.STEEL_BELOW_MINIMUM, Quantity.AREA),
    DUCTILE_SAGGING("ductile-sagging", "Sagging strength at the column", Cause.FLEXURE, Quantity.MOMENT),
    DUCTILE_ANYWHERE_TOP("ductile-anywhere-top", "Strength along the span, top", Cause.FLEXURE, Quantity.MOMENT),
    DUCTILE_ANYWHERE_BOTTOM(
            "ductile-anywhere-bottom", "Strength along the span, bottom", Cause.FLEXURE, Quantity.MOMENT),
    DUCTILE_MINIMUM_TOP(
            "ductile-minimum-top", "Least steel of the frame, top", Cause.STEEL_BELOW_MINIMUM, Quantity.AREA),
    DUCTILE_MINIMUM_BOTTOM(
            "ductile-minimum-bottom", "Least steel of the frame, bottom", Cause.STEEL_BELOW_MINIMUM, Quantity.AREA),
    DUCTILE_MOST_TOP("ductile-most-top", "Most steel of the frame, top", Cause.STEEL_OVER_CAP, Quantity.AREA),
    DUCTILE_MOST_BOTTOM("ductile-most-bottom", "Most steel of the frame, bottom", Cause.STEEL_OVER_CAP, Quantity.AREA),
    HOOP_LEGS("hoop-legs", "Legs that hold the bars", Cause.TIE_ARRANGEMENT, Quantity.COUNT),
    DUCTILE_SPAN("ductile-span", "Clear span over effective depth", Cause.GEOMETRY, Quantity.NUMBER),
    DUCTILE_PROJECTION(
            "ductile-projection",
            "Beam past the side of the column",
            Cause.GEOMETRY,
            Quantity.LENGTH,
            "Make the beam narrower or the column larger."),
    DUCTILE_WIDTH("ductile-width", "Width of the web", Cause.GEOMETRY, Quantity.LENGTH, "Make the beam wider."),
    DUCTILE_HOOK("ductile-hook", "Hook in the column of the frame", Cause.ANCHORAGE, Quantity.LENGTH),
    DUCTILE_COLUMN_DEPTH(
            "ductile-column-depth",
            "Depth of the column for the bars through it",
            Cause.ANCHORAGE,
            Quantity.LENGTH,
            "Use smaller bars, or a deeper column."),
    HOOP_SPACING("hoop-spacing", "Spacing of hoops", Cause.STIRRUP_SPACING, Quantity.LENGTH),
    DUCTILE_SPACING("ductile-spacing", "Stirrup spacing of the frame", Cause.STIRRUP_SPACING, Quantity.LENGTH),
    // Serviceability of beams
    SPAN_TO_DEPTH("span-to-depth", "Minimum depth", Cause.DEFLECTION, Quantity.LENGTH),
    DEFLECTION_TOTAL("deflection-total", "Deflection under sustained load", Cause.DEFLECTION, Quantity.DEFLECTION),
    DEFLECTION_LIVE("deflection-live", "Immediate deflection, live load", Cause.DEFLECTION, Quantity.DEFLECTION),
    DEFLECTION_LASTING("deflection-lasting", "Deflection after partitions", Cause.DEFLECTION, Quantity.DEFLECTION),
    CRACK_WIDTH_TOP("crack-width", "Crack width, top", Cause.CRACK, Quantity.CRACK),
    CRACK_WIDTH_BOTTOM("crack-width", "Crack width, bottom", Cause.CRACK, Quantity.CRACK),
    STEEL_STRESS("steel-stress", "Steel stress, characteristic", Cause.CRACK, Quantity.STRESS),
    CONCRETE_STRESS("concrete-stress", "Concrete stress, characteristic", Cause.CRACK, Quantity.STRESS),
    // What the checks of beams do not cover
    CONCRETE_SCOPE("concrete-scope", "Concrete outside the code's classes", Cause.OUT_OF_SCOPE, Quantity.STRENGTH),
    SHAPE("shape", "Round beam", Cause.OUT_OF_SCOPE, Quantity.COUNT),
    DEEP_BEAM("deep-beam", "Deep beam", Cause.OUT_OF_SCOPE, Quantity.NUMBER, "Design it by strut and tie, by hand."),
    AXIAL_FORCE("axial-force", "Axial force in the beam", Cause.OUT_OF_SCOPE, Quantity.FORCE),
    MINOR_MOMENT("minor-moment", "Bending about the minor axis", Cause.OUT_OF_SCOPE, Quantity.MOMENT),
    MINOR_SHEAR("minor-shear", "Shear across the beam", Cause.OUT_OF_SCOPE, Quantity.FORCE),
    // Columns
    COLUMN_AXIAL_BENDING("axial-bending", "Axial force with bending", Cause.AXIAL_BENDING, Quantity.MOMENT),
    COLUMN_AXIAL_LIMIT("axial-limit", "Axial compression", Cause.AXIAL_LIMIT, Quantity.FORCE),
    COLUMN_SECOND_ORDER("second-order", "Second-order moments over first-order", Cause.SLENDERNESS, Quantity.NUMBER),
    COLUMN_CONCRETE_SCOPE(
            "concrete-scope", "Concrete outside the code's classes", Cause.OUT_OF_SCOPE, Quantity.STRENGTH),
    COLUMN_STEEL_MAXIMUM("steel-maximum", "Steel, code's cap", Cause.STEEL_OVER_CAP, Quantity.RATIO),
    COLUMN_STEEL_PRACTICAL("steel-practical", "Steel, practical cap", Cause.STEEL_OVER_PRACTICAL, Quantity.RATIO),
    COLUMN_STEEL_MINIMUM("steel-minimum", "Steel, minimum", Cause.STEEL_BELOW_MINIMUM, Quantity.RATIO),
    COLUMN_CLEAR_SPACING("clear-spacing", "Clear distance of bars", Cause.BARS_DO_NOT_FIT, Quantity.LENGTH),
    COLUMN_BAR_COUNT("bar-count", "Number of bars", Cause.STEEL_BELOW_MINIMUM, Quantity.COUNT),
    COLUMN_TIE_SIZE("tie-size", "Size of ties", Cause.TIE_ARRANGEMENT, Quantity.LENGTH),
    COLUMN_SHEAR_BOTH("shear-both", "Shear in both directions", Cause.SHEAR, Quantity.NUMBER),
    COLUMN_TIE_SPACING("tie-spacing", "Spacing of ties", Cause.STIRRUP_SPACING, Quantity.LENGTH),
    COLUMN_END_TIES("end-ties", "Spacing of ties next to the joints", Cause.STIRRUP_SPACING, Quantity.LENGTH),
    COLUMN_END_REACH("end-reach", "Length of closer ties", Cause.STIRRUP_SPACING, Quantity.LENGTH),
    COLUMN_JOINT_TIES("joint-ties", "Spacing of ties in the joints", Cause.STIRRUP_SPACING, Quantity.LENGTH),
    COLUMN_SPIRAL_CLEAR(
            "spiral-clear",
            "Clear distance of the turns of a spiral",
            Cause.TIE_ARRANGEMENT,
            Quantity.LENGTH,
            "Take a larger bar for the spiral at a wider pitch, or a larger section."),
    COLUMN_SPIRAL_RATIO(
            "spiral-ratio",
            "Volume of the spiral",
            Cause.TIE_ARRANGEMENT,
            Quantity.RATIO,
            "Use a larger bar or a closer pitch for the spiral."),
    COLUMN_TORSION_THRESHOLD("torsion-threshold", "Torsion, threshold", Cause.TORSION, Quantity.MOMENT),
    COLUMN_TORSION_X("torsion-x", "Torsion with shear, outer legs along x", Cause.TORSION, Quantity.AREA_PER_LENGTH),
    COLUMN_TORSION_Y("torsion-y", "Torsion with shear, outer legs along y", Cause.TORSION, Quantity.AREA_PER_LENGTH),
    COLUMN_TORSION_LIMIT_X(
            "shear-torsion-limit-x",
            "Torsion with shear along x, limit of the concrete",
            Cause.SHEAR_TORSION_LIMIT,
            Quantity.MOMENT),
    COLUMN_TORSION_LIMIT_Y(
            "shear-torsion-limit-y",
            "Torsion with shear along y, limit of the concrete",
            Cause.SHEAR_TORSION_LIMIT,
            Quantity.MOMENT),
    COLUMN_TORSION_BENDING(
            "torsion-bending", "Axial force with bending, bars pulled by torsion", Cause.TORSION, Quantity.MOMENT),
    COLUMN_TORSION_BARS("torsion-bars", "Bars for torsion", Cause.TORSION, Quantity.AREA),
    COLUMN_TORSION_SPACING("torsion-spacing", "Spacing of ties for torsion", Cause.STIRRUP_SPACING, Quantity.LENGTH),
    COLUMN_TORSION_BAR_SPACING(
            "torsion-bar-spacing", "Distance of bars round the ties", Cause.TORSION, Quantity.LENGTH),
    COLUMN_TORSION_BAR_SIZE("torsion-bar-size", "Thinnest bar round the ties", Cause.TORSION, Quantity.LENGTH),
    COLUMN_SHEAR_X("shear-x", "Shear along x", Cause.SHEAR, Quantity.FORCE),
    COLUMN_SHEAR_LIMIT_X("shear-limit-x", "Shear along x, limit of the concrete", Cause.SHEAR_LIMIT, Quantity.FORCE),
    COLUMN_MINIMUM_TIES_X(
            "minimum-ties-x", "Minimum ties for shear along x", Cause.STEEL_BELOW_MINIMUM, Quantity.AREA_PER_LENGTH),
    COLUMN_BARS_HELD_X("bars-held-x", "Bars held by ties, faces along x", Cause.TIE_ARRANGEMENT, Quantity.LENGTH),
    COLUMN_SHEAR_Y("shear-y", "Shear along y", Cause.SHEAR, Quantity.FORCE),
    COLUMN_SHEAR_LIMIT_Y("shear-limit-y", "Shear along y, limit of the concrete", Cause.SHEAR_LIMIT, Quantity.FORCE),
    COLUMN_MINIMUM_TIES_Y(
            "minimum-ties-y", "Minimum ties for shear along y", Cause.STEEL_BELOW_MINIMUM, Quantity.AREA_PER_LENGTH),
    COLUMN_BARS_HELD_Y("bars-held-y", "Bars held by ties, faces along y", Cause.TIE_ARRANGEMENT, Quantity.LENGTH),
    // Columns and joints of frames in earthquakes
    COLUMN_LEAST_SIDE("least-side", "Shorter side", Cause.GEOMETRY, Quantity.LENGTH, "Make the column larger."),
    COLUMN_SIDE_RATIO(
            "side-ratio", "Shorter side over longer", Cause.GEOMETRY, Quantity.NUMBER, "Make the column squarer."),
    COLUMN_DUCTILE_MOST("ductile-most", "Most steel of the frame", Cause.STEEL_OVER_CAP, Quantity.RATIO),
    COLUMN_ROUND_BARS("round-bars", "Bars inside round hoops", Cause.STEEL_BELOW_MINIMUM, Quantity.COUNT),
    COLUMN_HELD_DISTANCE("held-distance", "Distance of held bars", Cause.TIE_ARRANGEMENT, Quantity.LENGTH),
    COLUMN_EVERY_BAR_HELD("every-bar-held", "Every bar held", Cause.TIE_ARRANGEMENT, Quantity.COUNT),
    COLUMN_CONFINEMENT_X("confinement-x", "Hoops that confine, along x", Cause.TIE_ARRANGEMENT, Quantity.RATIO),
    COLUMN_CONFINEMENT_Y("confinement-y", "Hoops that confine, along y", Cause.TIE_ARRANGEMENT, Quantity.RATIO),
    COLUMN_LAP_PLACE(
            "lap-middle",
            "Laps in the middle half",
            Cause.ANCHORAGE,
            Quantity.LENGTH,
            "Use smaller bars, couple them mechanically, or step the section by less: dowels lap under the floor."),
    COLUMN_DEVELOPMENT(
            "bar-development",
            "Development in the clear height",
            Cause.ANCHORAGE,
            Quantity.LENGTH,
            "Use smaller bars."),
    COLUMN_BARS_BELOW(
            "bars-below",
            "Bars for those above to lap with",
            Cause.ANCHORAGE,
            Quantity.COUNT,
            "Give the lift as many bars as the one above, at least as large, or that one fewer or smaller."),
    COLUMN_BAR_ENDS(
            "bar-ends",
            "Strength where bars end",
            Cause.ANCHORAGE,
            Quantity.MOMENT,
            "Use smaller bars, or more of them, or deeper beams where they end."),
    COLUMN_DOWELS_APART(
            "dowels-apart",
            "Distance of dowels from the bars below",
            Cause.OUT_OF_SCOPE,
            Quantity.LENGTH,
            "Step the section by less, or design the joint by strut and tie, by hand."),
    COLUMN_LAP_CLEAR(
            "lap-clear",
            "Clear distance of bars that lap",
            Cause.BARS_DO_NOT_FIT,
            Quantity.LENGTH,
            "Use fewer or thinner bars, step the section by less, or couple them mechanically."),
    COLUMN_LAP_HEIGHT(
            "lap-height",
            "Height for laps and dowels",
            Cause.ANCHORAGE,
            Quantity.LENGTH,
            "Use thinner bars, which lap over less, or couple them mechanically."),
    COLUMN_BAR_LENGTH(
            "bar-length",
            "Length of bars as delivered",
            Cause.BARS_DO_NOT_FIT,
            Quantity.LENGTH,
            "Have longer bars delivered, use thinner ones with shorter laps, or couple them."),
    COLUMN_BENT_BARS(
            "bent-bars",
            "Ties at bars bent out of their line",
            Cause.TIE_ARRANGEMENT,
            Quantity.FORCE,
            "Set ties closer in the joint, or larger ones."),
    COLUMN_STRONG_X(
            "strong-column-x",
            "Columns against beams, along x",
            Cause.JOINT_STRENGTH,
            Quantity.MOMENT,
            "Make the column stronger or the beams weaker: more or larger bars, a larger column, fewer bars in the beams."),
    COLUMN_STRONG_Y(
            "strong-column-y",
            "Columns against beams, along y",
            Cause.JOINT_STRENGTH,
            Quantity.MOMENT,
            "Make the column stronger or the beams weaker: more or larger bars, a larger column, fewer bars in the beams."),
    COLUMN_JOINT_SHEAR_X(
            "joint-shear-x",
            "Shear of the joint, along x",
            Cause.JOINT_SHEAR,
            Quantity.FORCE,
            "Make the column larger, use stronger concrete, deeper beams, or fewer bars in them."),
    COLUMN_JOINT_SHEAR_Y(
            "joint-shear-y",
            "Shear of the joint, along y",
            Cause.JOINT_SHEAR,
            Quantity.FORCE,
            "Make the column larger, use stronger concrete, deeper beams, or fewer bars in them."),
    COLUMN_JOINT_DEPTH(
            "joint-depth",
            "Depth of the column in the joint",
            Cause.GEOMETRY,
            Quantity.LENGTH,
            "Make the column deeper or the beam shallower."),
    COLUMN_JOINT_DEEP_BEAM(
            "joint-deep-beam",
            "Beam much deeper than the column",
            Cause.OUT_OF_SCOPE,
            Quantity.LENGTH,
            "Design the joint by strut and tie, by hand.");

    public static final Faces INTEGRITY = new Faces(INTEGRITY_TOP, INTEGRITY_BOTTOM);
    public static final Faces INTEGRITY_END = new Faces(INTEGRITY_END_TOP, INTEGRITY_END_BOTTOM);
    public static final Faces CLEAR_SPACING = new Faces(CLEAR_SPACING_TOP, CLEAR_SPACING_BOTTOM);
    public static final Faces LAYER_SPACING = new Faces(LAYER_SPACING_TOP, LAYER_SPACING_BOTTOM);
    public static final Faces LAYERS = new Faces(LAYERS_TOP, LAYERS_BOTTOM);
    public static final Faces BAR_SPACING = new Faces(BAR_SPACING_TOP, BAR_SPACING_BOTTOM);
    public static final Faces LAP_ROOM = new Faces(LAP_ROOM_TOP, LAP_ROOM_BOTTOM);
    public static final Faces HOOK = new Faces(HOOK_TOP, HOOK_BOTTOM);
    public static final Faces CORNER_BARS = new Faces(CORNER_BARS_TOP, CORNER_BARS_BOTTOM);
    public static final Faces DEVELOPMENT = new Faces(DEVELOPMENT_TOP, DEVELOPMENT_BOTTOM);
    public static final Faces DUCTILE_THROUGH = new Faces(DUCTILE_THROUGH_TOP, DUCTILE_THROUGH_BOTTOM);
    public static final Faces DUCTILE_ANYWHERE = new Faces(DUCTILE_ANYWHERE_TOP, DUCTILE_ANYWHERE_BOTTOM);
    public static final Faces DUCTILE_MINIMUM = new Faces(DUCTILE_MINIMUM_TOP, DUCTILE_MINIMUM_BOTTOM);
    public static final Faces DUCTILE_MOST = new Faces(DUCTILE_MOST_TOP, DUCTILE_MOST_BOTTOM);
    public static final Faces TORSION_BARS = new Faces(TORSION_TOP, TORSION_BOTTOM);
    public static final Faces TENSION_SHIFT = new Faces(TENSION_SHIFT_TOP, TENSION_SHIFT_BOTTOM);
    public static final Faces FLEXURE = new Faces(FLEXURE_TOP, FLEXURE_BOTTOM);
    public static final Faces TENSION_CONTROL = new Faces(TENSION_CONTROL_TOP, TENSION_CONTROL_BOTTOM);
    public static final Faces MINIMUM = new Faces(MINIMUM_TOP, MINIMUM_BOTTOM);
    public static final Faces FLEXURE_TORSION = new Faces(FLEXURE_TORSION_TOP, FLEXURE_TORSION_BOTTOM);
    public static final Faces CRACK_WIDTH = new Faces(CRACK_WIDTH_TOP, CRACK_WIDTH_BOTTOM);

    private static final Set<CheckKind> JOINTS = EnumSet.of(
            COLUMN_STRONG_X,
            COLUMN_STRONG_Y,
            COLUMN_JOINT_SHEAR_X,
            COLUMN_JOINT_SHEAR_Y,
            COLUMN_JOINT_DEPTH,
            COLUMN_JOINT_DEEP_BEAM);

    private final String id;
    private final String title;
    private final Cause cause;
    private final Quantity quantity;
    private final String mend;

    CheckKind(String id, String title, Cause cause, Quantity quantity) {
        this(id, title, cause, quantity, "");
    }

    CheckKind(String id, String title, Cause cause, Quantity quantity, String mend) {
        this.id = id;
        this.title = title;
        this.cause = cause;
        this.quantity = quantity;
        this.mend = mend;
    }

    /** The kinds of the top and of the bottom of a beam. */
    public record Faces(CheckKind top, CheckKind bottom) {
        public CheckKind of(boolean isBottom) {
            return isBottom ? bottom : top;
        }
    }

    /** Key in files and addresses, for instance {@code flexure-bottom}. */
    public String id() {
        return id;
    }

    /** In words. */
    public String title() {
        return title;
    }

    /** Why the member fails where the check is not met, unless the check finds another cause. */
    public Cause cause() {
        return cause;
    }

    /** Of demand and capacity. */
    public Quantity quantity() {
        return quantity;
    }

    /** How to mend it where the cause alone does not tell; else empty. */
    public String mend() {
        return mend;
    }

    /** Whether it is about the joint at the head of a lift as a whole: its shear, its size, the strengths that meet in it. */
    public boolean ofJoint() {
        return JOINTS.contains(this);
    }

    public boolean ofColumn() {
        return name().startsWith("COLUMN_");
    }
}
