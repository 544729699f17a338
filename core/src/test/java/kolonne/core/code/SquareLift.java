package kolonne.core.code;

/** A square lift of concrete of 30 MPa, braced, for tests by hand: what a test does not name is as {@link #aci} or {@link #en} tell it. */
public final class SquareLift {
    private final double h;
    private final double fy;
    private double r;
    private double ei;
    private double k = 1;
    private double sustained;
    private double sustainedMoment;
    private boolean transverse;
    private boolean sways;
    private Slenderness.Bars bars;
    private double imperfection;

    private SquareLift(double h, double fy) {
        this.h = h;
        this.fy = fy;
        this.r = h / Math.sqrt(12);
    }

    /** Bars of 420 MPa at 0.85 h that add no stiffness, Ec 27 800 MPa, three fifths of forces and moments sustained. */
    public static SquareLift aci(double h) {
        return new SquareLift(h, 420)
                .stiffness(27_800 * h * h * h * h / 12)
                .sustained(0.6, 0.6)
                .bars(new Slenderness.Bars(0.85 * h, 0, 0));
    }

    /** Bars of 500 MPa; the stiffness, which the curvature method does not use, is 0. */
    public static SquareLift en(double h, Slenderness.Bars bars) {
        return new SquareLift(h, 500).bars(bars);
    }

    /** Radius of gyration [mm]. */
    public SquareLift radius(double mm) {
        r = mm;
        return this;
    }

    /** Ec Ig [Nmm2]. */
    public SquareLift stiffness(double nmm2) {
        ei = nmm2;
        return this;
    }

    /** Effective length factor. */
    public SquareLift factor(double effective) {
        k = effective;
        return this;
    }

    /** Parts of the compression and of the moments that are sustained. */
    public SquareLift sustained(double ofCompression, double ofMoment) {
        sustained = ofCompression;
        sustainedMoment = ofMoment;
        return this;
    }

    /** Whether loads act between the ends. */
    public SquareLift loaded(boolean between) {
        transverse = between;
        return this;
    }

    public SquareLift swaying(boolean storeySways) {
        sways = storeySways;
        return this;
    }

    public SquareLift bars(Slenderness.Bars laid) {
        bars = laid;
        return this;
    }

    /** Moment of the imperfection [Nmm]. */
    public SquareLift aside(double moment) {
        imperfection = moment;
        return this;
    }

    /** Between moments m1 and m2 [Nmm] at its ends, so long [mm], under so much compression [N]. */
    public Slenderness.Lift at(double m1, double m2, double length, double pu) {
        return new Slenderness.Lift(
                m1,
                m2,
                length,
                k,
                r,
                ei,
                h,
                pu,
                sustained,
                sustainedMoment,
                transverse,
                sways,
                30,
                fy,
                h * h,
                bars,
                imperfection);
    }
}
