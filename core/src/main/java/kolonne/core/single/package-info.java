/**
 * One section on its own against sets of forces. In: shape, bars one by one, stirrups, materials, code, forces. Out: strengths and
 * the use of every check, with the calculation. The rules are those of the beam and column checks.
 */
package kolonne.core.single;
