package kolonne.core.model;

/**
 * A concrete.
 *
 * @param fc      specified compressive strength f'c [MPa]
 * @param E       modulus of elasticity [MPa]
 * @param poisson Poisson's ratio
 * @param weight  unit weight of reinforced concrete [N/mm3]
 */
public record Material(String id, double fc, double E, double poisson, double weight) {
    /** Shear modulus [MPa]. */
    public double G() {
        return E / (2 * (1 + poisson));
    }
}
