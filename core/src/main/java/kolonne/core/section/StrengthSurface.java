package kolonne.core.section;

import java.util.Optional;

/** A design strength surface N-Mx-My: compression positive, Mx with compression at +y, My with compression at +x. */
public interface StrengthSurface {
    /** Where the ray of a demand meets it [N, Nmm]. */
    InteractionSurface.Hit exact(double n, double mx, double my);

    /** Strains and stresses where the ray of a demand meets it; empty where there is no demand or the section bears nothing in its direction. */
    default Optional<StrainState> state(double n, double mx, double my) {
        InteractionSurface.Hit h = exact(n, mx, my);
        if (!(h.utilisation() > 0) || Double.isInfinite(h.utilisation())) {
            return Optional.empty();
        }
        boolean pulled = Double.isInfinite(h.c()) && n < 0;
        return Optional.of(state(direction(h, mx, my), pulled ? 0 : Math.min(h.c(), 1e3 * scale())));
    }

    /** @param c depth of the neutral axis [mm]; 0 where all bars are pulled alike */
    StrainState state(double theta, double c);

    /** Where a hit has its compression side: the surface of a section alike about both axes knows one quarter of the directions. */
    default double direction(InteractionSurface.Hit h, double mx, double my) {
        return symmetric()
                ? Math.atan2(Math.copySign(Math.sin(h.theta()), mx), Math.copySign(Math.cos(h.theta()), my))
                : h.theta();
    }

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
