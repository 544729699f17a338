/**
 * A model against a newer one of the same building. In: two models, and what people changed on the older one. Out: which member is which, what differs, and
 * which of the own changes go on to the newer model, with the reason where one does not.
 */
package kolonne.core.revision;
