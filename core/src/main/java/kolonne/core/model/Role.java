package kolonne.core.model;

/** What a member is in the building, which decides how it is designed. */
public enum Role {
    BEAM,
    COLUMN
}
