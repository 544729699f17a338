package kolonne.core.section;

/** A section that stays plane: what it bears for every position of the neutral axis. */
public interface PlaneSection {
    /** Nominal resultants with compression towards (cos θ, sin θ) and neutral-axis depth {@code c} from that extreme [mm]. */
    ColumnSection.Resultant at(double theta, double c);

    /** Size of the section in a direction [mm]. */
    double size(double theta);
}
