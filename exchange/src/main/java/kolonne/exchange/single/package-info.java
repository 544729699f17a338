/** Lists of sections to check on their own. In: JSON. Out: sections in core units with findings, and answers as JSON. */
package kolonne.exchange.single;
