/**
 * What proposes a cage for a beam line. {@link kolonne.core.beam.choice.BeamDesigner} proposes, the checks decide.
 */
package kolonne.core.beam.choice;
