package kolonne.core.code;

/**
 * Equivalent rectangular stress block.
 *
 * @param stress   uniform stress [MPa]
 * @param depth    depth of the block over the depth of the neutral axis
 * @param crushing strain at the compression face
 */
public record StressBlock(double stress, double depth, double crushing) {}
