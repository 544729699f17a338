package kolonne.core.basis.part;

/**
 * What a basis says of beams beyond bars and stirrups.
 *
 * @param slabFlanges whether the slabs of the model are flanges, as wide as the code allows, whatever flange the section has
 * @param bundles     whether two bars may touch where they do not fit singly
 * @param deflection  what spans may deflect
 * @param advice      what section advice aims at and stays within
 */
public record BeamRules(boolean slabFlanges, boolean bundles, DeflectionLimits deflection, SectionLimits advice) {}
