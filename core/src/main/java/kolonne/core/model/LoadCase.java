package kolonne.core.model;

/** A load case. @param selfWeight factor on the self-weight of members and slab panels, 0 for none */
public record LoadCase(String id, String name, CaseKind kind, double selfWeight) {}
