/**
 * Where concrete and bars lie in space: the same bars as in the bar list, bent as their shapes say, at the places that were checked. In: a design. Out: bodies
 * and centre lines in millimetres, for files that show a building.
 */
package kolonne.core.space;
