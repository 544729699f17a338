package kolonne.core.basis.part;

/** Kinds of moment frames as codes define them; NONE where the frame need not be ductile. */
public enum Ductility {
    NONE,
    ORDINARY,
    INTERMEDIATE,
    SPECIAL,
    /** Of members that resist no earthquake themselves and must follow a structure that does: walls, or a special frame. */
    OUTSIDE
}
