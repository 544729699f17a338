/** What a check found, the same for beams and columns. */
package kolonne.core.check;
