/** Formulas as a reader of mathematics expects them: what a calculation says in one line of text, read into fractions, indices and roots. */
package kolonne.core.explain.maths;
