/** Advice on sections: other sizes for a beam line, each designed in full for the forces as they are, with what it costs. */
package kolonne.core.advice;
