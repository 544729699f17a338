package kolonne.core.basis.part;

/** What encloses the bars of round columns. */
public enum RoundTies {
    HOOPS,
    /** A spiral between the joints, hoops within them. */
    SPIRALS
}
