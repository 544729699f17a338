/**
 * Ordering and factorisation of the symmetric stiffness matrix. In: a graph of vertices (joints, rigid floors), each with a
 * few equations, and coefficients by equation. Out: solutions, or the equation at which the matrix is singular.
 *
 * <p>Steps: {@link kolonne.core.analysis.sparse.NestedDissection} orders the vertices, {@link
 * kolonne.core.analysis.sparse.Symbolic} finds the shape of the factor and gathers columns of like shape (supernodes),
 * {@link kolonne.core.analysis.sparse.Cholesky} fills it with numbers by dense blocks on all cores. EJML checks it in tests.
 */
package kolonne.core.analysis.sparse;
