/**
 * Linear static analysis of the three-dimensional frame.
 *
 * <p>In: a {@link kolonne.core.model.Building} without failing findings. Out: displacements, reactions and forces at
 * stations of every member for every load case, with the equilibrium residual; or the joint and direction that can move.
 *
 * <p>Signs of station forces (local axes of {@code model}): N tension positive; Vy, Vz such that V = dM/dx; T positive
 * about local x on the positive face; My positive when the −z face is in tension (sagging in beams); Mz positive when
 * the −y face is in tension. Sources: J. S. Przemieniecki, Theory of Matrix Structural Analysis (1968), ch. 5 and 6.
 */
package kolonne.core.analysis;
