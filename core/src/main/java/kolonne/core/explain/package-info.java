/**
 * Calculations that can be followed. A check takes a {@link kolonne.core.explain.Trace}; in the batch it is
 * {@link kolonne.core.explain.Trace#OFF} and costs nothing; asked to explain, the same lines record every step.
 */
package kolonne.core.explain;
