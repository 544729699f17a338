/**
 * What a design code must answer. Designers are code-neutral: they ask a {@link kolonne.core.code.DesignCode} for
 * material laws, strengths, limits and the bar catalogue of its market; a new code is a new package.
 */
package kolonne.core.code;
