/**
 * Bars as objects for schedules: number, shape by ISO 3766, dimensions, cut length and mass. In: a cage. Out: bar items.
 */
package kolonne.core.detail;
