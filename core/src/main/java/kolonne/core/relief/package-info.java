/**
 * Torsion that the frame does not need. In: an analysed building and the members of a beam line. Out: whether the torsion is needed
 * for equilibrium, with the evidence, and the stiffness factor that brings it down to the cracking torque.
 */
package kolonne.core.relief;
