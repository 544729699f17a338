/** What is printed for the site: beam and column schedules and the bar list, as plain rows. In: a building design. */
package kolonne.core.schedule;
