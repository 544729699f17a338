package kolonne.core.demand;

import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.EffectiveLengths;
import kolonne.core.basis.part.Sway;
import kolonne.core.code.Slenderness;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Combination;
import kolonne.core.model.Joint;
import kolonne.core.model.Member;
import kolonne.core.model.Purpose;
import kolonne.core.model.Role;

/**
 * Sidesway of the frame: the stability index of every storey, and the strength combinations with the effects of sidesway
 * magnified in beams (ACI 318-19 6.6.4.6.3: beams carry the total magnified end moments of the columns at a joint; EN
 * 1992-1-1 5.8.7.3: moments from horizontal actions magnified). Columns magnify theirs about each axis apart.
 */
public final class Sidesway {
    /** Plan directions within this sine of an axis count as along it. */
    private static final double ALONG = 0.045;
    /** A beam belongs to the storeys that reach within this of its level, wherever its floor is listed [mm]. */
    private static final double LEVEL = 150;

    private final Basis basis;
    private final SwayIndex index;
    private final Demands strength;

    private Sidesway(Analysis a, Basis basis) {
        this.basis = basis;
        Demands plain = new Demands(a, Purpose.STRENGTH);
        this.index = SwayIndex.of(plain);
        Building b = a.index().building();
        double[] magnifiers = new double[b.members().size()];
        for (int i = 0; i < magnifiers.length; i++) {
            Member m = b.members().get(i);
            double beam = m.role() == Role.BEAM ? ofBeam(a.index(), m) : 1;
            magnifiers[i] = Double.isInfinite(beam) ? 1 : beam;
        }
        boolean[] sidesway = new boolean[b.loadCases().size()];
        for (int c = 0; c < sidesway.length; c++) {
            sidesway[c] = index.sways(c);
        }
        this.strength = plain.magnified(sidesway, magnifiers);
    }

    public static Sidesway of(Analysis a, Basis basis) {
        return new Sidesway(a, basis);
    }

    /** Combinations for strength; beams with magnified effects of sidesway. What stands in an unstable storey is not magnified: it fails. */
    public Demands strength() {
        return strength;
    }

    public List<SwayIndex.StoreySway> storeys() {
        return index.storeys();
    }

    /** Stability index of the storeys between two levels along X or Y; 0 where the frame is braced by the basis or where none is known. */
    public double index(double base, double top, boolean alongX) {
        double q = index.of(base, top, alongX);
        return (alongX ? basis.frame().swayX() : basis.frame().swayY()) == Sway.BRACED || Double.isNaN(q) ? 0 : q;
    }

    /** What the forces between two levels have been magnified by already, by the P-Delta of the analysis, as a column bends in a plan direction; 1 without it. */
    public double held(double base, double top, double ux, double uy) {
        return either(held(base, top, true), held(base, top, false), ux, uy);
    }

    private double held(double base, double top, boolean alongX) {
        boolean braced = (alongX ? basis.frame().swayX() : basis.frame().swayY()) == Sway.BRACED;
        return braced ? 1 : index.held(base, top, alongX);
    }

    /** Load cases whose axial forces the analysis brought to equilibrium in the deformed frame; empty where it did not. */
    public List<Combination.Term> pDelta() {
        Analysis a = strength.analysis();
        return a.imported() ? List.of() : a.index().building().options().pDelta();
    }

    /** Whether the sway of the storeys between two levels is looked after in a plan direction: by a magnifier, or braced by the basis. */
    public boolean known(double base, double top, double ux, double uy) {
        double size = Math.hypot(ux, uy);
        boolean x = basis.frame().swayX() == Sway.BRACED || !Double.isNaN(index.of(base, top, true));
        boolean y = basis.frame().swayY() == Sway.BRACED || !Double.isNaN(index.of(base, top, false));
        return (Math.abs(ux) < ALONG * size || x) && (Math.abs(uy) < ALONG * size || y);
    }

    /** Effective over unsupported length of columns that buckle in a direction in plan; the larger of X and Y where it is neither. */
    public double effectiveLength(double ux, double uy) {
        double size = Math.hypot(ux, uy);
        double x = basis.frame().lengthX();
        double y = basis.frame().lengthY();
        return Math.abs(uy) < ALONG * size ? x : Math.abs(ux) < ALONG * size ? y : Math.max(x, y);
    }

    /** Whether effective lengths come from what meets at the ends of columns. */
    public boolean lengthsFromEnds() {
        return basis.frame().lengths() == EffectiveLengths.FROM_ENDS;
    }

    /** Magnifier of sway moments between two levels; infinite where the storey is unstable. */
    public double magnifier(double base, double top, boolean alongX) {
        Slenderness rules = basis.designCode().slenderness();
        double q = index(base, top, alongX);
        return q <= rules.bracedIndex() ? 1 : rules.sway(q);
    }

    /** Magnifier for bending in a plan direction (ux, uy); the larger one where it is turned against X and Y. */
    public double magnifier(double base, double top, double ux, double uy) {
        return either(magnifier(base, top, true), magnifier(base, top, false), ux, uy);
    }

    private static double either(double x, double y, double ux, double uy) {
        double size = Math.hypot(ux, uy);
        return size == 0
                ? Math.max(x, y)
                : Math.abs(uy) < ALONG * size ? x : Math.abs(ux) < ALONG * size ? y : Math.max(x, y);
    }

    /** Magnifier of a beam: that of the storeys above and below it, the larger; infinite where one is unstable. */
    public double ofBeam(BuildingIndex at, Member m) {
        Joint i = at.joint(m.start());
        Joint j = at.joint(m.end());
        return magnifier(Math.min(i.z(), j.z()) - LEVEL, Math.max(i.z(), j.z()) + LEVEL, j.x() - i.x(), j.y() - i.y());
    }

    /** What a beam's forces have been magnified by already. */
    public double heldOfBeam(BuildingIndex at, Member m) {
        Joint i = at.joint(m.start());
        Joint j = at.joint(m.end());
        return held(Math.min(i.z(), j.z()) - LEVEL, Math.max(i.z(), j.z()) + LEVEL, j.x() - i.x(), j.y() - i.y());
    }
}
