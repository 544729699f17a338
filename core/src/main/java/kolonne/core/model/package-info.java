/**
 * The building as the engineer describes it: storeys, grid, joints, members, sections, materials, supports, loads and
 * combinations, as immutable records in core units (N, mm, MPa, rad).
 *
 * <p>Global axes are right-handed with Z up. Local x runs from a member's start to its end; for a member that is not
 * vertical, local z is the one closest to global Z; for an upright member local y is along global X and local z along
 * global Y. Width b of a section lies along local y, depth h along local z. {@code angle} turns both about x.
 */
package kolonne.core.model;
