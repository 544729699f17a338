/**
 * The whole building designed: lines and stacks in parallel, totals, and the state of every member. In: an analysis and
 * a basis. Out: {@link kolonne.core.design.BuildingDesign}, the same on any number of threads.
 */
package kolonne.core.design;
