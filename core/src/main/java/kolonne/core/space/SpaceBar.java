package kolonne.core.space;

import kolonne.core.detail.BarItem;

/**
 * One bar as it lies.
 *
 * @param item  the line of the bar list that it belongs to
 * @param mark  of that line
 * @param use   what it does
 * @param shape its middle, about a point of its own
 * @param at    that point, as the frame of its line or lift sees it
 */
public record SpaceBar(BarItem item, String mark, Use use, CentreLine shape, Point3 at) {
    public enum Use {
        MAIN,
        SIDE,
        TIE,
        SPACER
    }
}
