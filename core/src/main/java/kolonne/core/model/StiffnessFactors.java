package kolonne.core.model;

/** Factors on the gross section's properties: area, shear areas, bending about y (major) and z, torsion. */
public record StiffnessFactors(double area, double shearY, double shearZ, double iy, double iz, double torsion) {
    public static final StiffnessFactors GROSS = new StiffnessFactors(1, 1, 1, 1);

    /** Factors that leave the shear areas gross. */
    public StiffnessFactors(double area, double iy, double iz, double torsion) {
        this(area, 1, 1, iy, iz, torsion);
    }

    /** Whether every factor is above zero. */
    public boolean positive() {
        return area > 0 && shearY > 0 && shearZ > 0 && iy > 0 && iz > 0 && torsion > 0;
    }
}
