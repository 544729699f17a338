package kolonne.core.column.choice;

import java.util.List;
import kolonne.core.column.cage.BarLayout;
import kolonne.core.column.cage.LegBars;
import kolonne.core.column.cage.RectangleBars;

/** Which bars of a column ties hold. */
public final class HeldBars {
    private HeldBars() {}

    /** The bars of a layout so held; a ring is held by its round ties. @param gaps between bars along x and y; {@code limit} up to which every second is held [mm] */
    static BarLayout of(BarLayout layout, double[] gaps, double limit) {
        if (layout instanceof LegBars l) {
            return new LegBars(
                    l.overhangs(),
                    l.web(),
                    l.flange(),
                    l.corner(),
                    l.face(),
                    along(l.web() + 2, gaps[0], limit),
                    along(l.flange() + 2, gaps[1], limit));
        }
        return layout instanceof RectangleBars r
                ? new RectangleBars(
                        r.alongX(),
                        r.alongY(),
                        r.corner(),
                        r.face(),
                        along(r.alongX(), gaps[0], limit),
                        along(r.alongY(), gaps[1], limit))
                : layout;
    }

    /** Which bars of a face are held: corners always; alternate ones if the gap is small, all otherwise; symmetric. */
    public static List<Boolean> along(int n, double gap, double limit) {
        Boolean[] out = new Boolean[n];
        boolean all = gap > limit;
        for (int i = 0; i < n; i++) {
            int fromEnd = Math.min(i, n - 1 - i);
            out[i] = all || fromEnd % 2 == 0;
        }
        // an even count leaves the middle pair alike: hold both if they would be two unheld in a row
        if (n % 2 == 0 && n > 2 && !out[n / 2]) {
            out[n / 2] = true;
            out[n / 2 - 1] = true;
        }
        return List.of(out);
    }
}
