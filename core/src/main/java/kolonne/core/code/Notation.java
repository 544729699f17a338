package kolonne.core.code;

import kolonne.core.explain.Clause;

/**
 * The letters in which a code writes what all codes compute.
 *
 * @param bending of sections in bending
 * @param column  of columns
 * @param uses    of demand over capacity
 */
public record Notation(Bending bending, Column column, Uses uses) {
    /**
     * A quantity as the code writes it.
     *
     * @param clause empty where the step it appears in has its own
     */
    public record Term(String symbol, String formula, Clause clause) {}

    /**
     * Sections in bending.
     *
     * @param concrete    its strength
     * @param factor      depth of the block over that of the neutral axis
     * @param neutralAxis depth of the neutral axis
     * @param steel       stress of bars
     * @param block       depth of the block
     * @param strain      of the outermost bars
     * @param strength    in bending, before a reduction factor if there is one
     */
    public record Bending(
            String concrete, Term factor, String neutralAxis, Term steel, Term block, Term strain, String strength) {}

    /**
     * Columns.
     *
     * @param axial       compression; {@code momentX} and {@code momentY} with it
     * @param neutralAxis its depth, and by what it is found
     * @param strain      of the outermost bar
     * @param strength    axial, and {@code moment}, before a reduction factor if there is one
     */
    public record Column(
            String axial,
            String momentX,
            String momentY,
            Term neutralAxis,
            String strain,
            String strength,
            String moment) {}

    /** Demand over capacity. */
    public record Uses(String flexure, String shear, String torsion, String axial) {}
}
