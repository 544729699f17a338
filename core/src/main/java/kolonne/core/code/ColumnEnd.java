package kolonne.core.code;

/**
 * What turns with one end of a column that buckles in a plane. Stiffnesses are Ec Ig / l of gross sections; a code takes its part of each.
 *
 * @param columns of the columns that meet there, itself among them [Nmm]
 * @param beams   of the beams that run on to another column or a support, each by the square of the cosine of its angle to the plane [Nmm]
 * @param springs that hold the joint against turning [Nmm/rad]
 * @param fixed   whether a support holds it
 * @param hinged  whether the column passes no moment there
 */
public record ColumnEnd(double columns, double beams, double springs, boolean fixed, boolean hinged) {
    /** An end that nothing holds against turning. */
    public static final ColumnEnd HINGE = new ColumnEnd(0, 0, 0, false, true);
}
