/**
 * Checks of a given cage, each of which also explains itself. None knows how the cage came about.
 *
 * <p>In: a {@link kolonne.core.beam.line.BeamLine}, a {@link kolonne.core.beam.cage.BeamCage} and a {@link kolonne.core.beam.check.BeamContext}.
 * Out: {@link kolonne.core.beam.check.BeamDesign}. {@link kolonne.core.beam.check.BeamCheck} alone decides what satisfies.
 */
package kolonne.core.beam.check;
