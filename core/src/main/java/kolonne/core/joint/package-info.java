/** Joints of beams and columns: what the beams bring to them. */
package kolonne.core.joint;
