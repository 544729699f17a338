package kolonne.core.model;

/**
 * Direction of a member load: global, local, or global per projected length (of the member on the plane at right
 * angles to the load).
 */
public enum Direction {
    GLOBAL_X,
    GLOBAL_Y,
    GLOBAL_Z,
    LOCAL_X,
    LOCAL_Y,
    LOCAL_Z,
    PROJECTED_X,
    PROJECTED_Y,
    PROJECTED_Z;

    /** 0, 1 or 2 for X, Y or Z. */
    public int axis() {
        return ordinal() % 3;
    }

    public boolean isLocal() {
        return ordinal() / 3 == 1;
    }

    public boolean isProjected() {
        return ordinal() / 3 == 2;
    }
}
