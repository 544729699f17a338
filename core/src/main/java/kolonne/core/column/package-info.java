/**
 * Column stacks: which members form one, the bars and ties chosen for each lift, and the checks of a given cage.
 *
 * <p>In: an analysed building, demands and a basis. Out: {@link kolonne.core.column.ColumnDesign}. Compression is
 * positive here. Section axes: x along the width b (local y of the member), y along the depth h (local z); Mx bends
 * about the x axis, My about the y axis.
 */
package kolonne.core.column;
