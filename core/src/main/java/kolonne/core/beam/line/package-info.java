/**
 * What a beam line is: spans, supports, faces, flanges, where bars may lie, and the demands along it.
 *
 * <p>Distances run along the line from the centre of its first support. Sagging moments are positive. Lowest of the four rooms of a beam:
 * line, cage, check, choice; each knows only those before it.
 */
package kolonne.core.beam.line;
