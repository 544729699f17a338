/**
 * What a column stack is: lifts, what restrains them, and the forces in them.
 *
 * <p>Compression is positive in columns. Section axes: x along the width b (local y of the member), y along the depth h (local z); Mx bends
 * about the x axis, My about the y axis. Lowest of the four rooms of a column: line, cage, check, choice; each knows only those before it.
 */
package kolonne.core.column.line;
