package kolonne.core.code;

/**
 * Stress and strain of concrete as a parabola and a rectangle.
 *
 * @param stress   of the plateau [MPa]
 * @param plateau  strain where it begins, which no section in pure compression passes
 * @param crushing largest strain of a section with a tension side
 * @param exponent of the parabola
 */
public record ConcreteCurve(double stress, double plateau, double crushing, double exponent) {
    /** Stress at a strain, compression positive [MPa]. */
    public double at(double strain) {
        if (strain <= 0) {
            return 0;
        }
        return strain >= plateau ? stress : stress * (1 - Math.pow(1 - strain / plateau, exponent));
    }

    /** Strain of the most compressed fibre for a depth {@code c} of the neutral axis in a section {@code h} deep (EN 1992-1-1 figure 6.1). */
    public double extreme(double c, double h) {
        return c <= h ? crushing : plateau * c / (c - h * (1 - plateau / crushing));
    }
}
