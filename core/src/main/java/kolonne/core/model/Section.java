package kolonne.core.model;

import kolonne.core.shape.Shape;

/** A named cross-section of the model. */
public record Section(String id, Shape shape) {}
