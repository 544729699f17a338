package kolonne.core.code;

import kolonne.core.explain.Clause;
import kolonne.core.explain.Trace;

/** Rules for columns of a moment frame in earthquakes. Units N, mm, MPa. Parts and factors are 0, and limits infinite, where a kind of frame has none. */
public interface DuctileColumns {
    /** Least side of the section. */
    double leastSide();

    /** Least ratio of the shorter side to the longer. */
    double leastSideRatio();

    Clause proportionsClause();

    /** Most steel over the gross area. */
    double mostRatio();

    Clause ratioClause();

    /** Fewest bars inside round hoops. */
    int fewestRoundBars();

    Clause roundBarsClause();

    /** Length of the closer hoops from a joint's face. @param side largest of the section, {@code clear} height between joints */
    double reach(double side, double clear);

    Clause reachClause();

    /**
     * Largest spacing of hoops over that length.
     *
     * @param thinnest main bar
     * @param side     shortest of the section
     * @param held     largest distance along the perimeter of bars that hoops or cross-ties hold
     */
    double hoopSpacing(Bar thinnest, double side, double held, double fy);

    Clause hoopClause();

    /** Largest spacing of hoops elsewhere. */
    double spacingElsewhere(Bar thinnest, double fy);

    Clause spacingElsewhereClause();

    /** Of hoops in the joints, which stand as close as next to them. */
    Clause jointSpacingClause();

    /** Whether the compression or the concrete is so high that every bar is held. */
    boolean everyBarHeld(double compression, double ag, double fc);

    /** Largest distance of bars that are held. */
    double heldDistance(boolean everyBar);

    Clause heldClause();

    /**
     * Hoops round the core of a column.
     *
     * @param ag       gross area; {@code ach} area to the outside of the hoops
     * @param p        largest compression with earthquake
     * @param heldBars number of bars round the core that are held
     * @param round    whether the hoops are round
     */
    record Confinement(double ag, double ach, double fc, double fyt, double p, int heldBars, boolean round) {}

    /** Least Ash / (s bc) of legs in each direction, or volume ratio of round hoops; 0 for none. */
    double confinement(Confinement c, Trace t);

    Clause confinementClause();

    /** Whether bars lap in the middle half of the height only. */
    boolean lapsInMiddle();

    Clause lapClause();

    /** Part of half the clear height that the development of the bars may take, as a factor on that length; 0 for none. */
    double developmentFactor();

    Clause developmentClause();

    /** Factor on the yield strength of the bars whose end moments the shear must stand; 0 for none. */
    double steelFactor();

    /** Clear height over depth up to which the shear from the strength of the ends counts. */
    double shortest();

    /** Whether the end moments need be no larger than those that the beams at the joints can bring in. */
    boolean limitedByBeams();

    /** Factor on earthquake that limits the shear instead; infinite where nothing does. */
    double overstrength();

    Clause capacityShearClause();

    /** Whether the concrete carries no shear in the closer hoops at so small a compression, where the end moments make half of the shear or more. */
    boolean withoutConcrete(double compression, double ag, double fc);

    Clause withoutConcreteClause();

    JointRules joints();
}
