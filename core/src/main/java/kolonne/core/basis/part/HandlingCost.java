package kolonne.core.basis.part;

/**
 * What bars cost on a site beside their mass, as kilograms of steel; the practical preference takes the cheapest cage.
 *
 * @param piece     every bar: cutting, carrying, tying
 * @param layer     a further layer of a face
 * @param alone     a bar that lies alone in its layer, but where it completes a row
 * @param offMiddle bars that do not lie evenly about the middle of the web
 * @param size      a further size on a face, or a third one in a beam line; a size for the top and one for the bottom cost nothing
 * @param zone      a change of the stirrups along a span
 * @param mark      bars of a beam line that are cut to a further length
 */
public record HandlingCost(
        double piece, double layer, double alone, double offMiddle, double size, double zone, double mark) {
    public static final HandlingCost STANDARD = new HandlingCost(2, 8, 20, 4, 10, 1.5, 4);
}
