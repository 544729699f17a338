package kolonne.core.model;

import kolonne.core.section.Shape;

/** A named cross-section of the model. */
public record Section(String id, Shape shape) {}
