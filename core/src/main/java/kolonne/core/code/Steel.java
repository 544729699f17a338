package kolonne.core.code;

/** What all reinforcing steel has in common. */
public final class Steel {
    /** Modulus of elasticity [MPa] (ACI 318-19 20.2.2.2). */
    public static final double ES = 200_000;

    private Steel() {}
}
