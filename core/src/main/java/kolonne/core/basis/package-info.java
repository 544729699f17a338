/** The basis of design: the engineer's choices that every check and every designer reads. Core units. */
package kolonne.core.basis;
