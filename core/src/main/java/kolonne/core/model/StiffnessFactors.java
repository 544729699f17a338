package kolonne.core.model;

/** Factors on the gross section's properties: area, bending about y (major) and z, torsion. */
public record StiffnessFactors(double area, double iy, double iz, double torsion) {
    public static final StiffnessFactors GROSS = new StiffnessFactors(1, 1, 1, 1);
}
