package kolonne.core.beam.cage;

import java.util.ArrayList;
import java.util.List;

/**
 * Where the stirrups of a zone stand: the one layout that the bar list, drawings, pages and files share. From both faces of a span the first one stands half a
 * spacing away, at most 50 mm (ACI 318-19 18.6.4.1 asks it of frames in earthquakes); no two are farther apart than the larger spacing of their zones. The last
 * zone of a span is filled evenly, so that its spacing comes out at most as large as it says.
 */
public final class StirrupPlaces {
    private static final double FIRST = 50;
    private static final double ROUNDING = 1e-6;

    private StirrupPlaces() {}

    /** Number of stirrups of a zone. @param zones those of its span are looked at */
    public static int count(List<BeamCage.Zone> zones, BeamCage.Zone z) {
        double length = z.to() - z.from();
        double between = last(zones, z) ? length - 2 * first(z) : length - z.spacing();
        return 1 + Math.max(0, (int) Math.ceil(between / z.spacing() - ROUNDING));
    }

    /** Their places along the line, from the left [mm]. */
    public static List<Double> of(List<BeamCage.Zone> zones, BeamCage.Zone z) {
        int n = count(zones, z);
        double first = Math.min(first(z), (z.to() - z.from()) / 2);
        double step = n > 1 && last(zones, z) ? (z.to() - z.from() - 2 * first) / (n - 1) : z.spacing();
        List<Double> out = new ArrayList<>(n);
        for (int k = 0; k < n; k++) {
            out.add(Math.min(z.from() + first + k * step, z.to()));
        }
        return out;
    }

    /** What a stirrup takes up along the line from its place on, beyond half a bar on either side: those inside it stand beside it [mm]. */
    static double beside(BeamCage.Zone z) {
        return (z.legs() - 1) / 2 * z.bar().diameter();
    }

    private static double first(BeamCage.Zone z) {
        return Math.min(z.spacing() / 2, FIRST);
    }

    private static boolean last(List<BeamCage.Zone> zones, BeamCage.Zone z) {
        for (BeamCage.Zone o : zones) {
            if (o.span() == z.span() && o.from() > z.from()) {
                return false;
            }
        }
        return true;
    }
}
