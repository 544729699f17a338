/** What people have set by hand on beam lines, as JSON: mm, kN and kNm whatever the display units. Source: docs/formats/hand-set.md. */
package kolonne.exchange.hand;
