/** What is issued on paper and as spreadsheets: utilisation report, calculation sheets, schedules and the bar list. */
package kolonne.exchange.paper;
