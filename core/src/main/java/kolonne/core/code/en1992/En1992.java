package kolonne.core.code.en1992;

import static kolonne.core.explain.Trace.in;

import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import kolonne.core.basis.part.Ductility;
import kolonne.core.code.Bar;
import kolonne.core.code.Bound;
import kolonne.core.code.ColumnRules;
import kolonne.core.code.ConcreteCurve;
import kolonne.core.code.CrackWidth;
import kolonne.core.code.DesignCode;
import kolonne.core.code.Detailing;
import kolonne.core.code.DuctileFrame;
import kolonne.core.code.FlangeShear;
import kolonne.core.code.Notation;
import kolonne.core.code.Serviceability;
import kolonne.core.code.ShearInput;
import kolonne.core.code.ShearStrength;
import kolonne.core.code.Slenderness;
import kolonne.core.code.SpacingLimits;
import kolonne.core.code.Spirals;
import kolonne.core.code.Steel;
import kolonne.core.code.StressBlock;
import kolonne.core.code.Torsion;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;

/** EN 1992-1-1:2004 + A1:2014. */
public final class En1992 implements DesignCode {
    private static final Map<Map<String, Double>, En1992> MADE = new ConcurrentHashMap<>();

    private final EnParameters p;
    /** Asked for by every section under every combination. */
    private final double alphaCc;

    private final double gammaC;
    private final double gammaS;
    private final EnShear shear;
    private final EnTorsion torsion;
    private final Detailing detailing;
    private final ColumnRules columns;
    private final Spirals spirals;
    private final EnServiceability serviceability;
    private final EnSlenderness slenderness;
    private final EnCrack crack;

    private En1992(Map<String, Double> national) {
        p = EnParameters.of(national);
        alphaCc = p.get("alphaCc");
        gammaC = p.get("gammaC");
        gammaS = p.get("gammaS");
        shear = new EnShear(this, p);
        torsion = new EnTorsion(this, shear);
        detailing = new EnDetailing(this, p);
        columns = new EnColumnRules(this, p);
        spirals = new EnSpirals(this);
        serviceability = new EnServiceability(p);
        slenderness = new EnSlenderness(this, p);
        crack = new EnCrack(p);
    }

    /** The code with national parameters in place of recommended values. */
    public static En1992 of(Map<String, Double> national) {
        return MADE.computeIfAbsent(Map.copyOf(national), En1992::new);
    }

    @Override
    public Notation notation() {
        return EnNotation.LETTERS;
    }

    @Override
    public String name() {
        return "EN 1992-1-1";
    }

    /** fcd = αcc fck / γC (3.15). */
    double fcd(double fck) {
        return alphaCc * fck / gammaC;
    }

    /** fctd = αct fctk,0.05 / γC (3.16). */
    double fctd(double fck) {
        return p.get("alphaCt") * EnConcrete.fctk(fck) / gammaC;
    }

    /** C12/15 to C90/105 (table 3.1). */
    @Override
    public boolean covers(double fc) {
        return fc >= 12 * 0.999 && fc <= 90 * 1.001;
    }

    @Override
    public Clause coversClause() {
        return Clause.of("3.1.2, table 3.1");
    }

    /** 400 to 600 MPa (3.2.2(3)). */
    @Override
    public boolean coversSteel(double fy) {
        return fy >= 400 * 0.999 && fy <= 600 * 1.001;
    }

    @Override
    public Clause coversSteelClause() {
        return Clause.of("3.2.2(3)");
    }

    /** fyd = fyk / γS (3.2.7(2)). */
    @Override
    public double designSteel(double fy) {
        return fy / gammaS;
    }

    @Override
    public StressBlock block(double fc) {
        return new StressBlock(EnConcrete.eta(fc) * fcd(fc), EnConcrete.lambda(fc), EnConcrete.crushing(fc));
    }

    @Override
    public Clause blockClause() {
        return Clause.of("3.1.7(3)");
    }

    /** Parabola and rectangle (3.17, 3.18). */
    @Override
    public Optional<ConcreteCurve> curve(double fc) {
        return Optional.of(
                new ConcreteCurve(fcd(fc), EnConcrete.plateau(fc), EnConcrete.crushing(fc), EnConcrete.exponent(fc)));
    }

    @Override
    public double reduction(double tensionStrain, double yieldStrain) {
        return 1;
    }

    @Override
    public Optional<Clause> reductionClause() {
        return Optional.empty();
    }

    @Override
    public Clause flexureClause() {
        return Clause.of("6.1");
    }

    @Override
    public Clause axialBendingClause() {
        return Clause.of("6.1, 5.8.9");
    }

    /**
     * Strain at the largest xu/d without redistribution and proof of rotation, δ = 1: 1 = k1 + k2 xu/d with k1 = 0.44, above C50/60 0.54, and
     * k2 = 1.25 (0.6 + 0.0014 / εcu2) (5.5(4)).
     */
    @Override
    public double beamTensionStrain(double yieldStrain, double fc, Trace t) {
        double crushing = EnConcrete.crushing(fc);
        double most = neutralAxis(0, fc);
        double least = redistributionStrain(0, fc);
        if (t.on()) {
            t.step(
                    "(xu/d),max",
                    usual(fc)
                            ? "(δ − 0.44) / (1.25 (0.6 + 0.0014 / εcu)), δ = 1"
                            : "(δ − 0.54) / (1.25 (0.6 + 0.0014 / εcu)), δ = 1",
                    (usual(fc) ? "(1 − 0.44)" : "(1 − 0.54)") + " / (1.25 × (0.6 + 1.4 / {0}))",
                    most,
                    Quantity.UTILISATION,
                    beamTensionStrainClause(),
                    in(crushing, Quantity.STRAIN));
            t.step(
                    "εs,min",
                    "εcu (1 / (xu/d) − 1)",
                    "{0} × (1 / {1} − 1)",
                    least,
                    Quantity.STRAIN,
                    beamTensionStrainClause(),
                    in(crushing, Quantity.STRAIN),
                    in(most, Quantity.PART));
        }
        return least;
    }

    /** 30 % with steel of class B or C (5.5(4)). */
    @Override
    public double mostRedistribution() {
        return 0.30;
    }

    /** δ ≥ k1 + k2 xu/d, above C50/60 k3 + k4 xu/d, solved for the strain of the bars (5.5(4)). */
    @Override
    public double redistributionStrain(double part, double fc) {
        return EnConcrete.crushing(fc) * (1 / neutralAxis(part, fc) - 1);
    }

    /** Up to C50/60, whatever units its strength was rounded in. */
    private static boolean usual(double fc) {
        return fc <= 50 * 1.001;
    }

    private static double neutralAxis(double part, double fc) {
        return (1 - part - (usual(fc) ? 0.44 : 0.54)) / (1.25 * (0.6 + 0.0014 / EnConcrete.crushing(fc)));
    }

    /** Lengths of adjacent spans in the range of 0.5 to 2 (5.5(4)). */
    @Override
    public double redistributionSpanRatio() {
        return 2;
    }

    @Override
    public Clause redistributionClause() {
        return Clause.of("5.5(4)");
    }

    @Override
    public Clause beamTensionStrainClause() {
        return Clause.of("5.5(4)");
    }

    /** fcd (Ac − As) + σs As with the strain εc2 (6.1(3), figure 6.1). */
    @Override
    public double axialCap(double fc, double fy, double ag, double ast, Trace t) {
        double stress = Math.min(designSteel(fy), EnConcrete.plateau(fc) * Steel.ES);
        double cap = fcd(fc) * (ag - ast) + stress * ast;
        if (t.on()) {
            t.step(
                    "NRd",
                    "fcd (Ac − As) + σs(εc2) As",
                    "{0} × ({1} − {2}) + {3} × {2}",
                    cap,
                    Quantity.FORCE,
                    axialCapClause(),
                    in(fcd(fc), Quantity.STRENGTH),
                    in(ag, Quantity.AREA),
                    in(ast, Quantity.AREA),
                    in(stress, Quantity.STRENGTH));
        }
        return cap;
    }

    @Override
    public Clause axialCapClause() {
        return Clause.of("6.1(3)");
    }

    /** 0.26 fctm / fyk bt d, at least 0.0013 bt d (9.1N). */
    @Override
    public double beamMinimumSteel(double fc, double fy, double bt, double d, Trace t) {
        double ratio = Math.max(p.get("beamMinimum") * EnConcrete.fctm(fc) / fy, 0.0013);
        double as = ratio * bt * d;
        if (t.on()) {
            t.step(
                    "As,min",
                    "max(0.26 fctm / fyk, 0.0013) bt d",
                    "{0} × {1} × {2}",
                    as,
                    Quantity.AREA,
                    beamMinimumSteelClause(),
                    in(ratio, Quantity.RATIO),
                    in(bt, Quantity.LENGTH),
                    in(d, Quantity.LENGTH));
        }
        return as;
    }

    @Override
    public Clause beamMinimumSteelClause() {
        return Clause.of("9.2.1.1(1)");
    }

    /** The mean width of the tension zone before cracking; only the web's where the flange is in compression. */
    @Override
    public double minimumSteelWidth(
            double web, double width, double meanTension, boolean flangeInTension, boolean determinate) {
        return flangeInTension ? meanTension : web;
    }

    /** Expressions (5.7a) and (5.7b). */
    @Override
    public double flangeOverhang(double reach, double hf, boolean oneSided, double clearSpan, double zeroMoments) {
        return Math.min(reach, Math.min(0.2 * reach + 0.1 * zeroMoments, 0.2 * zeroMoments));
    }

    /** EN 1998-1 is not covered; a basis cannot ask for it. */
    @Override
    public Optional<DuctileFrame> ductile(Ductility kind) {
        return Optional.empty();
    }

    @Override
    public Clause ledgeClause() {
        return Clause.of("6.5, annex J.3");
    }

    @Override
    public Optional<FlangeShear> flangeShear() {
        return Optional.of(new EnFlangeShear(this, shear));
    }

    @Override
    public Clause flangeClause() {
        return Clause.of("5.3.2.1(3)");
    }

    /** Figure 5.2, in the span; over supports the flange is in tension and adds no strength. */
    @Override
    public double zeroMomentLength(double clearSpan, boolean cantilever, int spans, int span) {
        boolean end = span == 0 || span == spans - 1;
        return clearSpan * (cantilever || spans == 1 ? 1 : end ? 0.85 : 0.7);
    }

    /** No excess of strength replaces the least steel (9.2.1.1(1) note 2 concerns secondary members only). */
    @Override
    public double minimumSteelExcess() {
        return Double.POSITIVE_INFINITY;
    }

    @Override
    public double beamMaximumRatio() {
        return p.get("beamMaximum");
    }

    @Override
    public Clause beamMaximumClause() {
        return Clause.of("9.2.1.1(3)");
    }

    // ---- shear and torsion
    // --------------------------------------------------------------------------------------------

    @Override
    public ShearStrength shear(ShearInput s, Trace t) {
        return shear.strength(s, t);
    }

    @Override
    public double shearSteel(ShearInput s, double v) {
        return shear.steel(s, v);
    }

    @Override
    public double shearSteelBesideTorsion(ShearInput s, double v) {
        return shear.steelAt45(s, v);
    }

    @Override
    public Clause shearClause() {
        return Clause.of("6.2.3");
    }

    @Override
    public Clause shearLimitClause() {
        return Clause.of("6.2.3(3)");
    }

    @Override
    public Clause shearMinimumClause() {
        return Clause.of("9.2.2(5)");
    }

    @Override
    public double hangerStress(double fyt) {
        return designSteel(fyt);
    }

    @Override
    public Clause hangerClause() {
        return Clause.of("9.2.5");
    }

    @Override
    public double nearLoadReach(double h) {
        return 2 * h;
    }

    @Override
    public String nearLoadWords() {
        return "Their part may be reduced by β = av / 2d if the bars are anchored in full; it is not.";
    }

    @Override
    public Clause nearLoadClause() {
        return Clause.of("6.2.3(8)");
    }

    /** 0.75 d along (9.6N), 0.75 d and 600 mm across (9.8N). */
    @Override
    public SpacingLimits beamStirrupSpacing(double d, boolean highVs) {
        return new SpacingLimits(0.75 * d, Math.min(0.75 * d, 600), Clause.of("9.2.2(6), (8)"));
    }

    @Override
    public double compressionTieSpacing(Bar bar, Bar stirrup, double least) {
        return 15 * bar.diameter();
    }

    @Override
    public boolean compressionBarsHeld() {
        return false;
    }

    @Override
    public double compressionStirrup(Bar bar, boolean bundled) {
        return 0;
    }

    @Override
    public Clause compressionTieClause() {
        return Clause.of("9.2.1.2(3)");
    }

    @Override
    public Torsion torsion() {
        return torsion;
    }

    // ---- detailing
    // ----------------------------------------------------------------------------------------------------

    @Override
    public Optional<CrackWidth> crackWidth() {
        return Optional.of(crack);
    }

    /**
     * l/d of (7.16) with the steel that is there, at most 500 / fyk of it (7.17), 0.8 of it where the flange is wider than three webs (7.4.2(2)), and
     * d = 0.9 h.
     */
    @Override
    public double leastDepth(SpanDepth s, Trace t) {
        double k = switch (s.ends()) {
            case SIMPLE -> 1.0;
            case ONE_END_CONTINUOUS -> 1.3;
            case BOTH_ENDS_CONTINUOUS -> 1.5;
            case CANTILEVER -> 0.4;
        };
        double root = Math.sqrt(s.fc());
        double reference = root * 1e-3;
        double basic = s.ratio() <= reference
                ? 11 + 1.5 * root * reference / s.ratio() + 3.2 * root * Math.pow(reference / s.ratio() - 1, 1.5)
                : 11
                        + 1.5 * root * reference / (s.ratio() - Math.min(s.compressionRatio(), s.ratio() - reference))
                        + root / 12 * Math.sqrt(s.compressionRatio() / reference);
        double adjusted = Math.min(1, 500 / s.fy()) * (Bound.within(s.flange(), 3) ? 1 : 0.8);
        double h = s.length() / (k * basic * adjusted) / 0.9;
        if (t.on()) {
            t.step(
                    "l/d",
                    "(7.16) without K",
                    "ρ = {0}, ρ′ = {1}",
                    basic,
                    Quantity.NUMBER,
                    leastDepthClause(),
                    in(s.ratio(), Quantity.RATIO),
                    in(s.compressionRatio(), Quantity.RATIO));
            t.step(
                    "hmin",
                    "l / (K l/d) / 0.9, times 500/fyk and 0.8 for wide flanges",
                    "{0} / ({1} × {2} × {3}) / 0.9",
                    h,
                    Quantity.LENGTH,
                    leastDepthClause(),
                    in(s.length(), Quantity.LENGTH),
                    in(k, Quantity.NUMBER),
                    in(basic, Quantity.NUMBER),
                    in(adjusted, Quantity.NUMBER));
        }
        return h;
    }

    @Override
    public Clause leastDepthClause() {
        return Clause.of("7.4.2");
    }

    @Override
    public Slenderness slenderness() {
        return slenderness;
    }

    @Override
    public Detailing detailing() {
        return detailing;
    }

    @Override
    public Spirals spirals() {
        return spirals;
    }

    @Override
    public ColumnRules columns() {
        return columns;
    }

    @Override
    public Serviceability serviceability() {
        return serviceability;
    }

    /** Axial force under 0.1 fcd Ac leaves the member a beam; the code draws the line at 9.2 against 9.5 by role. */
    @Override
    public double beamAxialLimit(double fc, double ag) {
        return 0.1 * fcd(fc) * ag;
    }

    @Override
    public Clause beamAxialClause() {
        return Clause.of("6.1");
    }

    /** A beam is at least three times as long as deep (5.3.1(3)). */
    @Override
    public double deepBeamRatio() {
        return 3;
    }

    @Override
    public Clause deepBeamClause() {
        return Clause.of("5.3.1(3)");
    }
}
