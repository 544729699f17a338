/**
 * Storage, ordering and factorisation of the symmetric stiffness matrix. In: coefficients by equation. Out: solutions,
 * or the equation at which the matrix is singular. The factorisation itself is EJML's; the ordering is ours.
 */
package kolonne.core.analysis.sparse;
