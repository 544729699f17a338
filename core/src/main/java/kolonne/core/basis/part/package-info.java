/** The parts of a basis of design, plain values; codes say with which of them a new basis begins. Core units. */
package kolonne.core.basis.part;
