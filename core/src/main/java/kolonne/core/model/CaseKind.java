package kolonne.core.model;

/** Kind of a load case. Lateral kinds are those whose effects sway the frame. */
public enum CaseKind {
    DEAD,
    SUPERIMPOSED,
    LIVE,
    ROOF_LIVE,
    SNOW,
    WIND,
    SEISMIC,
    SOIL,
    OTHER;

    /** Whether the case sways the frame (ACI 318-19 6.6.4: loads that cause appreciable sidesway). */
    public boolean isLateral() {
        return this == WIND || this == SEISMIC;
    }
}
