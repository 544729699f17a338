/**
 * Beam lines: which members form one, the bars and stirrups chosen for it, and the checks of a given cage.
 *
 * <p>In: an analysed building, demands and a basis. Out: {@link kolonne.core.beam.BeamDesign}. The designer proposes a
 * {@link kolonne.core.beam.BeamCage}; {@link kolonne.core.beam.BeamCheck} alone decides what satisfies. Distances run
 * along the line from the centre of its first support. Sagging moments are positive.
 */
package kolonne.core.beam;
