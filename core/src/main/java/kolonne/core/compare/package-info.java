/**
 * What changed between two analyses. In: two analyses with their strength combinations. Out: per member the largest forces
 * before and after, so that one sees where a relieved moment went.
 */
package kolonne.core.compare;
