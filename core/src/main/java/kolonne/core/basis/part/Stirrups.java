package kolonne.core.basis.part;

/**
 * Stirrups that may be chosen.
 *
 * @param step      spacings are multiples of this [mm]
 * @param least     smallest practical spacing [mm]
 * @param most      largest spacing whatever the code allows [mm]
 * @param zonesMost zones a span may have
 * @param legsMost  legs a beam may have
 */
public record Stirrups(double step, double least, double most, int zonesMost, int legsMost) {}
