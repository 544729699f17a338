/**
 * Details of beams and columns as lines and texts on paper. In: groups of the schedules, their cages and bars as they were checked. Out: drawings in millimetres
 * of paper, packed on sheets. What a file of them looks like is not known here.
 */
package kolonne.core.drawing;
