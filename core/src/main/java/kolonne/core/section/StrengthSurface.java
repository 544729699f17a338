package kolonne.core.section;

/** A design strength surface N-Mx-My: compression positive, Mx with compression at +y, My with compression at +x. */
public interface StrengthSurface {
    /** Where the ray of a demand meets it [N, Nmm]. */
    InteractionSurface.Hit exact(double n, double mx, double my);

    /** Quick utilisation along the ray, within three per cent of {@link #exact}. */
    double screened(double n, double mx, double my);

    /** Greatest axial force that the code lets the section bear [N]. */
    double axialCap();

    /** Greatest tension without moments [N]. */
    double tension();

    /** No tension with whatever moment is greater: all bars together [N]. More than {@link #tension} where they do not balance about the centroid. */
    double steel();

    /** The section's larger dimension [mm]. */
    double scale();

    /** Whether the section is alike about both axes. */
    boolean symmetric();
}
