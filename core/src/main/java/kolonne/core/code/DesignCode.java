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

    /** Whether the code has rules for bars of a yield strength. */
    boolean coversSteel(double fy);

    String coversSteelClause();

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
    double beamTensionStrain(double yieldStrain, double fc, Trace t);

    String beamTensionStrainClause();

    /** Most part of a support's moment that may be redistributed. */
    double mostRedistribution();

    /** Net tensile strain that a support's section needs for a part of its moment to be redistributed. @param part above 0 */
    double redistributionStrain(double part, double fc);

    /** Largest ratio of the lengths of neighbouring spans for which moments may be redistributed; infinite where the code has none. */
    double redistributionSpanRatio();

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

    /** Largest spacing of stirrups round bars that are needed in compression in a beam [mm]. @param least side of the beam */
    double compressionTieSpacing(Bar bar, Bar stirrup, double least);

    /** Whether their legs and size are those of ties. */
    boolean compressionBarsHeld();

    String compressionTieClause();

    Torsion torsion();

    /** Rules for bars. */
    Detailing detailing();

    /** Rules for the steel of columns. */
    ColumnRules columns();

    Serviceability serviceability();

    /** Rules for crack width and stresses, of codes that compute them. */
    Optional<CrackWidth> crackWidth();

    /** Least depth of a beam span without computed deflection [mm]. */
    double leastDepth(SpanDepth span, Trace t);

    /**
     * A span as rules of span to depth see it.
     *
     * @param length   [mm]
     * @param fy       of the bars, {@code fc} of the concrete [MPa]
     * @param ratio    tension steel over b d at mid-span, at the support of a cantilever; {@code compressionRatio} of the bars in compression
     * @param flange   width of the section over that of its web
     */
    record SpanDepth(double length, SpanEnds ends, double fy, double fc, double ratio, double compressionRatio, double flange) {}

    String leastDepthClause();

    /** Second-order rules for columns. */
    Slenderness slenderness();

    /** Axial compression above which a beam is a column [N]. */
    double beamAxialLimit(double fc, double ag);

    String beamAxialClause();

    /** Ratio of clear span to depth below which a beam is deep. */
    double deepBeamRatio();

    String deepBeamClause();

    /** How a span is held at its ends, for span-to-depth rules. */
    enum SpanEnds { SIMPLE, ONE_END_CONTINUOUS, BOTH_ENDS_CONTINUOUS, CANTILEVER }
}
