package kolonne.core.basis.part;

/** How the frame resists sway along a direction of the plan. FROM_MODEL: by the storey's stability index; BRACED: taken as braced whatever the index says. */
public enum Sway {
    FROM_MODEL,
    BRACED
}
