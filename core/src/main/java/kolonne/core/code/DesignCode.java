package kolonne.core.code;

import java.util.Optional;
import kolonne.core.explain.Trace;

/** A design code. Units N, mm, MPa; strengths returned are design strengths, after reduction. */
public interface DesignCode {
    /** Name and edition, for instance {@code ACI 318M-19}. */
    String name();

    BarCatalogue catalogue();

    /** Whether the code has rules for a concrete. */
    boolean covers(double fc);

    String coversClause();

    /** Stress block of a concrete. */
    StressBlock block(double fc);

    /** Strength of bars that sections are computed with [MPa]. */
    double designSteel(double fy);

    /** Stress and strain of concrete for columns, where the code has more than the block. */
    Optional<ConcreteCurve> curve(double fc);

    /** Whether strengths are reduced by a factor; if not, partial factors stand in the strengths of the materials. */
    boolean reduces();

    String flexureClause();

    String axialBendingClause();

    /** Clause of the stress block. */
    String blockClause();

    /** Reduction factor for axial force and bending from the net tensile strain of the outermost tension bar. */
    double reduction(double tensionStrain, double yieldStrain);

    String reductionClause();

    /** Least net tensile strain of a beam at its nominal strength. */
    double beamTensionStrain(double yieldStrain, double fc);

    String beamTensionStrainClause();

    /** Most part of a support's moment that may be redistributed. */
    double mostRedistribution();

    /** Net tensile strain that a support's section needs for a part of its moment to be redistributed. @param part above 0 */
    double redistributionStrain(double part, double fc);

    String redistributionClause();

    /** Design strength in pure compression, with the code's cap [N]. */
    double axialCap(double fc, double fy, double ag, double ast, Trace t);

    String axialCapClause();

    /** Least tension steel of a beam [mm2]. */
    double beamMinimumSteel(double fc, double fy, double bw, double d, Trace t);

    String beamMinimumSteelClause();

    /**
     * Width that counts for the least tension steel [mm].
     *
     * @param width       of the whole section; {@code meanTension} of its uncracked tension zone
     * @param determinate whether the span is statically determinate
     */
    double minimumSteelWidth(double web, double width, double meanTension, boolean flangeInTension, boolean determinate);

    /**
     * Width of a flange beside the web that counts [mm].
     *
     * @param reach       half the clear distance to the next web, or all of the slab up to its edge [mm]
     * @param oneSided    whether the beam has a flange on one side only
     * @param clearSpan   [mm]
     * @param zeroMoments distance between points of zero moment, {@link #zeroMomentLength} [mm]
     */
    double flangeOverhang(double reach, double hf, boolean oneSided, double clearSpan, double zeroMoments);

    String flangeClause();

    /**
     * Lap of bars in tension, all of a layer lapped at one place [mm].
     *
     * @param clear clear spacing to the next bar, and {@code cover} of the bar [mm]
     */
    double lapLength(Bar bar, double fc, double fy, boolean top, double clear, double cover);

    String lapClause();

    /** Factor on the anchorage of bars in pairs. */
    double pairAnchorage();

    /** Distance between the ends of the two bars of a pair that end within a span [mm]. */
    double pairStagger(Bar bar);

    /** Largest bar of a pair [mm]. */
    double largestInPair();

    String pairClause();

    /** Rules for frames in earthquakes; empty for none. */
    Optional<DuctileFrame> ductile(DuctileFrame.Kind kind);

    /** Where the code speaks of loads on ledges. */
    String ledgeClause();

    /** Shear between web and flange; empty for codes that ask for no check of it. */
    Optional<FlangeShear> flangeShear();

    /** Distance between the points of zero moment of a span of a line [mm]. */
    double zeroMomentLength(double clearSpan, boolean cantilever, int spans, int span);

    /** Excess of strength over demand that replaces the least tension steel; infinite where none does. */
    double minimumSteelExcess();

    /** Most steel of a beam's face over the gross area; infinite where other rules limit it. */
    double beamMaximumRatio();

    String beamMaximumClause();

    /** Shear strength of a section with given stirrups. */
    ShearStrength shear(ShearInput s, Trace t);

    String shearClause();

    String shearLimitClause();

    String shearMinimumClause();

    /** Legs that a shear needs, Av/s, without the code's minimum; infinite past the limit of the concrete [mm2/mm]. */
    double shearSteel(ShearInput s, double v);

    /** The same where torsion acts beside the shear. */
    double shearSteelBesideTorsion(ShearInput s, double v);

    /** Stress with which stirrups hang up a load [MPa]. */
    double hangerStress(double fyt);

    String hangerClause();

    /** Distance from a support within which a concentrated load may reach it through a strut [mm]. */
    double nearLoadReach(double h);

    /** What the code says of such loads, for a reader. */
    String nearLoadWords();

    String nearLoadClause();

    SpacingLimits beamStirrupSpacing(double d, boolean highVs);

    /** Largest tie spacing of a column [mm] from tie support of bars, least dimension, and shear if it counts. */
    double columnTieSpacing(Bar bar, Bar tie, double leastDimension, double d, boolean shearCounts, boolean highVs);

    String columnTieSpacingClause();

    /** Largest spacing of stirrups round bars that are needed in compression in a beam [mm]. @param least side of the beam */
    double compressionTieSpacing(Bar bar, Bar stirrup, double least);

    /** Whether their legs and size are those of ties. */
    boolean compressionBarsHeld();

    String compressionTieClause();

    /** Smallest tie bar for a longitudinal bar [mm]. */
    double smallestTie(Bar bar);

    String smallestTieClause();

    /** Whether the shear of a column asks for ties of its own. */
    boolean columnShearCounts(double v, ShearStrength s);

    /** Whether ties then have a least area. */
    boolean columnMinimumTies();

    String columnMinimumTiesClause();

    /** Most sum of the utilisations in shear of both directions. */
    double shearBothWays();

    String shearBothWaysClause();

    /** Fewest bars of a column. */
    int columnFewestBars(boolean circular);

    String columnFewestBarsClause();

    /** Greatest clear distance of an unsupported bar from a bar held by a tie [mm]. */
    double greatestUnheldDistance();

    String tieArrangementClause();

    Torsion torsion();

    Serviceability serviceability();

    /** Least clear distance between parallel bars of a layer in a beam [mm]. */
    double beamClearSpacing(double barDiameter, double aggregate);

    /** Least clear distance between layers [mm]. */
    double layerClearSpacing(double aggregate);

    String beamClearSpacingClause();

    /** Least clear distance between bars of a column [mm]. */
    double columnClearSpacing(double barDiameter, double aggregate);

    String columnClearSpacingClause();

    /** Largest spacing of the tension bars nearest to the face, for crack control [mm]. */
    double crackSpacing(double fy, double clearCover);

    String crackSpacingClause();

    /** Rules for crack width and stresses, of codes that compute them. */
    Optional<CrackWidth> crackWidth();

    /** Development length of a straight bar in tension [mm]. */
    double developmentLength(Bar bar, double fc, double fy, boolean top, double clear, double cover, boolean stirrups);

    String developmentClause();

    /** Development length of a bar with a standard 90° hook [mm]. */
    double hookLength(Bar bar, double fc, double fy, Trace t);

    String hookClause();

    /** How far past the point where it is no longer needed a bar must run [mm]. */
    double extension(double d, double barDiameter);

    String extensionClause();

    /** How far a bar runs past the place where a part of it that needs the development length is last needed [mm]. */
    double runPastNeed(double d, double barDiameter, double development);

    /** How far the moment is shifted along the beam for its tension bars [mm]; 0 where other rules stand for it. */
    double tensionShift(double d);

    String tensionShiftClause();

    /**
     * How far ending bars in a zone of tension is from what the code allows: 1 at the limit, 0 where the code has no such rule.
     *
     * @param v  shear there and {@code vn} its strength [N]
     * @param m  moment there and {@code continuing} the strength of the bars that run on [Nmm]
     */
    double cutOffUse(double v, double vn, double m, double continuing, double barDiameter);

    String cutOffClause();

    /** Part of a span's bottom steel that runs into its supports. @param simple support without hogging moment */
    double bottomIntoSupport(boolean simple);

    String bottomIntoSupportClause();

    /** Clause by which every bend of a stirrup encloses a bar. */
    String cornerBarsClause();

    /** Least depth of a beam span without computed deflection [mm]. */
    double leastDepth(double span, SpanEnds ends, double fy, Trace t);

    String leastDepthClause();

    /** Steel limits of a column as parts of the gross area. */
    double columnMinimumRatio();

    /** Steel that a column's compression asks for beside that [mm2]. */
    double columnMinimumSteel(double compression, double fy);

    double columnMaximumRatio();

    String columnRatioClause();

    /** Second-order rules for columns. */
    Slenderness slenderness();

    /** Axial compression above which a beam is a column [N]. */
    double beamAxialLimit(double fc, double ag);

    String beamAxialClause();

    /** Ratio of clear span to depth below which a beam is deep. */
    double deepBeamRatio();

    String deepBeamClause();

    /** Part of a perimeter beam's largest steel of a face that is continuous. @param bottom face */
    double integrityPart(boolean bottom);

    String integrityClause();

    /** Part of the top steel of a support that runs past the point of inflection, and how far [mm]. */
    double inflectionPart();

    double inflectionRun(double d, double barDiameter, double clearSpan);

    String inflectionClause();

    /** Depth above which a beam needs steel along its sides [mm], and the largest spacing of it is crackSpacing. */
    double skinSteelDepth();

    String skinSteelClause();

    /** How a span is held at its ends, for span-to-depth rules. */
    enum SpanEnds { SIMPLE, ONE_END_CONTINUOUS, BOTH_ENDS_CONTINUOUS, CANTILEVER }
}
