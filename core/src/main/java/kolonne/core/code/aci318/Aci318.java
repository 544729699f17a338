package kolonne.core.code.aci318;

import static kolonne.core.explain.Trace.in;

import java.util.Optional;
import kolonne.core.basis.part.Ductility;
import kolonne.core.code.Bar;
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
import kolonne.core.code.StressBlock;
import kolonne.core.code.Torsion;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;

/** ACI 318-19 for beams and columns with deformed, uncoated bars in normalweight concrete. */
public final class Aci318 implements DesignCode {

    public static final Aci318 SI = new Aci318(UnitForm.SI, false);
    public static final Aci318 US = new Aci318(UnitForm.US, false);
    /** The same for sections whose bars a spiral encloses. */
    static final Aci318 SI_SPIRAL = new Aci318(UnitForm.SI, true);

    static final Aci318 US_SPIRAL = new Aci318(UnitForm.US, true);
    /** Strength reduction factor for shear and torsion (table 21.2.1 b, c). */
    static final double PHI_SHEAR = 0.75;

    private static final double PHI_TIED = 0.65;
    private static final double PHI_SPIRAL = 0.75;
    private static final double PHI_TENSION = 0.90;

    private final UnitForm form;
    /** Factor of compression-controlled sections, and the part of Po that they may bear. */
    private final double phiCompression;

    private final double mostOfPo;
    private final AciShear shear;
    private final Detailing detailing;
    private final ColumnRules columns;
    private final Spirals spirals;
    private final AciSlenderness slenderness;
    private final AciTorsion torsion;
    private final AciServiceability serviceability;

    private Aci318(UnitForm form, boolean spiral) {
        this.form = form;
        phiCompression = spiral ? PHI_SPIRAL : PHI_TIED;
        mostOfPo = spiral ? 0.85 : 0.80;
        spirals = new AciSpirals(form);
        shear = new AciShear(form);
        detailing = new AciDetailing(form);
        columns = new AciColumnRules(form);
        slenderness = new AciSlenderness(form);
        torsion = new AciTorsion(form);
        serviceability = new AciServiceability(form);
    }

    @Override
    public Notation notation() {
        return AciNotation.LETTERS;
    }

    @Override
    public String name() {
        return form == UnitForm.SI ? "ACI 318M-19" : "ACI 318-19";
    }

    /** Stress 0.85 f'c, depth β1 by table 22.2.2.4.3, strain 0.003 (22.2.2.1). */
    @Override
    public StressBlock block(double fc) {
        double reduction = form == UnitForm.SI ? 0.05 * (fc - 28) / 7 : 0.05 * (fc / UnitForm.PSI - 4000) / 1000;
        return new StressBlock(0.85 * fc, Math.max(0.65, Math.min(0.85, 0.85 - reduction)), 0.003);
    }

    /** At least 17 MPa, 2500 psi (table 19.2.1.1). */
    @Override
    public boolean covers(double fc) {
        return fc >= form.stress(17, 2500) * 0.999;
    }

    @Override
    public Clause coversClause() {
        return Clause.of("19.2.1.1");
    }

    /** At most 690 MPa, 100 000 psi (table 20.2.2.4 a); in shear and torsion less counts. */
    @Override
    public boolean coversSteel(double fy) {
        return fy <= form.stress(690, 100_000) * 1.001;
    }

    @Override
    public Clause coversSteelClause() {
        return Clause.of("20.2.2.4");
    }

    @Override
    public double designSteel(double fy) {
        return fy;
    }

    @Override
    public Optional<ConcreteCurve> curve(double fc) {
        return Optional.empty();
    }

    @Override
    public Clause flexureClause() {
        return Clause.of("22.3");
    }

    @Override
    public Clause axialBendingClause() {
        return Clause.of("22.4");
    }

    @Override
    public Clause blockClause() {
        return Clause.of("22.2.2.4");
    }

    /** Table 21.2.2: 0.65, in spirals 0.75, to 0.90 as εt grows from εty to εty + 0.003. */
    @Override
    public double reduction(double epsT, double epsTy) {
        double t = (epsT - epsTy) / 0.003;
        return phiCompression + (PHI_TENSION - phiCompression) * Math.max(0, Math.min(1, t));
    }

    @Override
    public Optional<Clause> reductionClause() {
        return Optional.of(Clause.of("21.2.2"));
    }

    @Override
    public double beamTensionStrain(double epsTy, double fc, Trace t) {
        double least = epsTy + 0.003;
        if (t.on()) {
            t.step(
                    "εt,min",
                    "εty + 0.003",
                    "{0} + 3.00",
                    least,
                    Quantity.STRAIN,
                    beamTensionStrainClause(),
                    in(epsTy, Quantity.STRAIN));
        }
        return least;
    }

    /** 20 % (6.6.5.3). */
    @Override
    public double mostRedistribution() {
        return 0.20;
    }

    /** εt ≥ 0.0075, and no more than 1000 εt per cent (6.6.5.1, 6.6.5.3). */
    @Override
    public double redistributionStrain(double part, double fc) {
        return Math.max(0.0075, part / 10);
    }

    @Override
    public Clause redistributionClause() {
        return Clause.of("6.6.5");
    }

    @Override
    public double redistributionSpanRatio() {
        return Double.POSITIVE_INFINITY;
    }

    @Override
    public Clause beamTensionStrainClause() {
        return Clause.of("9.3.3.1");
    }

    /** φ 0.80 Po, in spirals φ 0.85 Po, with Po = 0.85 f'c (Ag − Ast) + fy Ast, fy at most 550 MPa (22.4.2.1, 22.4.2.2). */
    @Override
    public double axialCap(double fc, double fy, double ag, double ast, Trace t) {
        double fyc = Math.min(fy, form.stress(550, 80_000));
        double po = 0.85 * fc * (ag - ast) + fyc * ast;
        double cap = phiCompression * mostOfPo * po;
        if (t.on()) {
            t.step(
                    "Po",
                    "0.85 f′c (Ag − Ast) + fy Ast",
                    "0.85 × {0} × ({1} − {2}) + {3} × {2}",
                    po,
                    Quantity.FORCE,
                    Clause.of("22.4.2.2"),
                    in(fc, Quantity.STRENGTH),
                    in(ag, Quantity.AREA),
                    in(ast, Quantity.AREA),
                    in(fyc, Quantity.STRENGTH));
            t.step(
                    "φPn,max",
                    mostOfPo < 0.85 ? "0.80 φ Po" : "0.85 φ Po",
                    mostOfPo < 0.85 ? "0.80 × 0.65 × {0}" : "0.85 × 0.75 × {0}",
                    cap,
                    Quantity.FORCE,
                    Clause.of("22.4.2.1"),
                    in(po, Quantity.FORCE));
        }
        return cap;
    }

    @Override
    public Clause axialCapClause() {
        return Clause.of("22.4.2.1");
    }

    /** Greater of 0.25 √f'c bw d / fy and 1.4 bw d / fy (3 √f'c and 200 in psi). */
    @Override
    public double beamMinimumSteel(double fc, double fy, double bw, double d, Trace t) {
        double fyMin = Math.min(fy, form.stress(550, 80_000));
        double root = form == UnitForm.SI ? 0.25 * Math.sqrt(fc) : 3 * Math.sqrt(fc / UnitForm.PSI) * UnitForm.PSI;
        double stress = Math.max(root, form.stress(1.4, 200));
        double as = stress * bw * d / fyMin;
        if (t.on()) {
            t.step(
                    "As,min",
                    form.shown("max(0.25√f′c, 1.4) bw d / fy", "max(3√f′c, 200) bw d / fy"),
                    "{0} × {1} × {2} / {3}",
                    as,
                    Quantity.AREA,
                    Clause.of("9.6.1.2"),
                    in(stress, Quantity.STRESS),
                    in(bw, Quantity.LENGTH),
                    in(d, Quantity.LENGTH),
                    in(fyMin, Quantity.STRESS));
        }
        return as;
    }

    @Override
    public Clause beamMinimumSteelClause() {
        return Clause.of("9.6.1.2");
    }

    /** The web, or up to twice it where a cantilever's flange is in tension (9.6.1.2). */
    @Override
    public double minimumSteelWidth(
            double web, double width, double meanTension, boolean flangeInTension, boolean determinate) {
        return flangeInTension && determinate ? Math.min(width, 2 * web) : web;
    }

    /** Table 6.3.2.1. */
    @Override
    public double flangeOverhang(double reach, double hf, boolean oneSided, double clearSpan, double zeroMoments) {
        return oneSided
                ? Math.min(reach, Math.min(6 * hf, clearSpan / 12))
                : Math.min(reach, Math.min(8 * hf, clearSpan / 8));
    }

    @Override
    public Optional<DuctileFrame> ductile(Ductility kind) {
        return kind == Ductility.NONE ? Optional.empty() : Optional.of(new AciDuctileFrame(kind, form));
    }

    @Override
    public Clause ledgeClause() {
        return Clause.of("16.5");
    }

    /** Section 6.3.2 asks for none. */
    @Override
    public Optional<FlangeShear> flangeShear() {
        return Optional.empty();
    }

    @Override
    public Clause flangeClause() {
        return Clause.of("6.3.2.1");
    }

    /** Table 6.3.2.1 asks for the clear span only. */
    @Override
    public double zeroMomentLength(double clearSpan, boolean cantilever, int spans, int span) {
        return clearSpan;
    }

    /** A third more than the demand (9.6.1.3). */
    @Override
    public double minimumSteelExcess() {
        return 4.0 / 3;
    }

    /** The strain limit of 9.3.3.1 stands for it. */
    @Override
    public double beamMaximumRatio() {
        return Double.POSITIVE_INFINITY;
    }

    @Override
    public Clause beamMaximumClause() {
        return Clause.of("9.3.3.1");
    }

    @Override
    public ShearStrength shear(ShearInput s, Trace t) {
        return shear.strength(s, t);
    }

    @Override
    public Clause shearClause() {
        return Clause.of("22.5.1.1");
    }

    @Override
    public Clause shearLimitClause() {
        return Clause.of("22.5.1.2");
    }

    @Override
    public Clause shearMinimumClause() {
        return Clause.of("9.6.3.4");
    }

    /** (Vu / φ − Vc) / (fyt d) (22.5.8.5.3). */
    @Override
    public double shearSteel(ShearInput s, double v) {
        return shear.steel(s, v);
    }

    @Override
    public double shearSteelBesideTorsion(ShearInput s, double v) {
        return shear.steel(s, v);
    }

    /** φ fyt, as for shear (9.4.3.2 and its commentary: loads near the bottom). */
    @Override
    public double hangerStress(double fyt) {
        return PHI_SHEAR * Math.min(fyt, form.stress(420, 60_000));
    }

    @Override
    public Clause hangerClause() {
        return Clause.of("9.4.3.2");
    }

    @Override
    public double nearLoadReach(double h) {
        return 2 * h;
    }

    @Override
    public String nearLoadWords() {
        return "Within twice the depth of the support the beam is a deep beam for them; stirrups carry the whole shear here, strut and tie are not designed.";
    }

    @Override
    public Clause nearLoadClause() {
        return Clause.of("9.9.1.1");
    }

    @Override
    public SpacingLimits beamStirrupSpacing(double d, boolean highVs) {
        return highVs
                ? new SpacingLimits(
                        Math.min(d / 4, form.length(300, 12)),
                        Math.min(d / 2, form.length(300, 12)),
                        Clause.of("9.7.6.2.2"))
                : new SpacingLimits(
                        Math.min(d / 2, form.length(600, 24)),
                        Math.min(d, form.length(600, 24)),
                        Clause.of("9.7.6.2.2"));
    }

    @Override
    public double compressionTieSpacing(Bar bar, Bar stirrup, double least) {
        return Math.min(Math.min(16 * bar.diameter(), 48 * stirrup.diameter()), least);
    }

    @Override
    public boolean compressionBarsHeld() {
        return true;
    }

    /** 9.7.6.4.2. */
    @Override
    public double compressionStirrup(Bar bar, boolean bundled) {
        return bundled ? AciColumnRules.THICK_TIE : columns().smallestTie(bar);
    }

    @Override
    public Clause compressionTieClause() {
        return Clause.of("9.7.6.4");
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

    @Override
    public Torsion torsion() {
        return torsion;
    }

    @Override
    public Optional<CrackWidth> crackWidth() {
        return Optional.empty();
    }

    /** Table 9.3.1.1, times 0.4 + fy / 700 (fy / 100 000 psi) for other than Grade 420 (9.3.1.1.1). */
    @Override
    public double leastDepth(SpanDepth s, Trace t) {
        double divisor = switch (s.ends()) {
            case SIMPLE -> 16;
            case ONE_END_CONTINUOUS -> 18.5;
            case BOTH_ENDS_CONTINUOUS -> 21;
            case CANTILEVER -> 8;
        };
        double grade = 0.4 + s.fy() / form.stress(700, 100_000);
        double h = s.length() / divisor * grade;
        if (t.on()) {
            t.step(
                    "hmin",
                    "l / " + Double.toString(divisor).replace(".0", "")
                            + form.shown(" (0.4 + fy / 700)", " (0.4 + fy / 100 000)"),
                    "{0} / " + divisor + " × {1}",
                    h,
                    Quantity.LENGTH,
                    Clause.of("9.3.1.1"),
                    in(s.length(), Quantity.LENGTH),
                    in(grade, Quantity.NUMBER));
        }
        return h;
    }

    @Override
    public Clause leastDepthClause() {
        return Clause.of("9.3.1.1");
    }

    @Override
    public Slenderness slenderness() {
        return slenderness;
    }

    @Override
    public double beamAxialLimit(double fc, double ag) {
        return 0.10 * fc * ag;
    }

    @Override
    public Clause beamAxialClause() {
        return Clause.of("9.3.3.1");
    }

    @Override
    public double deepBeamRatio() {
        return 4;
    }

    @Override
    public Clause deepBeamClause() {
        return Clause.of("9.9.1.1");
    }
}
