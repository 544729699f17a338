/**
 * Results as files: JSON complete enough for an independent re-check, CSV tables of the analysis and of the checks.
 * Units stand in field names: mm, mm2, kN, kNm, MPa.
 */
package kolonne.exchange.results;
