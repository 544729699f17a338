/**
 * Bars and stirrups of a beam as they lie: one layout of a face for check, drawing and schedule; laps; what a person has set.
 */
package kolonne.core.beam.cage;
