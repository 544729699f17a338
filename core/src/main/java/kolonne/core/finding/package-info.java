/**
 * What Kolonne has to tell about a model or a design: findings with a severity, a place, a cause and a way to mend.
 *
 * <p>In: nothing. Out: {@link kolonne.core.finding.Finding} and the closed list {@link kolonne.core.finding.Cause}.
 */
package kolonne.core.finding;
