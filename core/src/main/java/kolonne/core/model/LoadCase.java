package kolonne.core.model;

/**
 * A load case.
 *
 * @param selfWeight factor on the self-weight of members and slab panels, 0 for none
 * @param pattern    the arrangement that it was generated as, or null
 * @param lean       the case whose loads it is out of plumb, or null
 */
public record LoadCase(String id, String name, CaseKind kind, double selfWeight, Pattern pattern, Lean lean) {
    public LoadCase(String id, String name, CaseKind kind, double selfWeight) {
        this(id, name, kind, selfWeight, null, null);
    }

    public boolean generated() {
        return pattern != null || lean != null;
    }
}
