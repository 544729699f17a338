package kolonne.core.basis.part;

/** Where the effective lengths of columns come from. GIVEN: factors of the basis; FROM_ENDS: the stiffness of what meets at their ends. */
public enum EffectiveLengths {
    GIVEN,
    FROM_ENDS
}
