package kolonne.core.beam.cage;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import org.junit.jupiter.api.Test;

/** Places of stirrups, worked out by hand, and the distances that must hold between all of a span whatever its zones are. */
class StirrupPlacesTest {
    private static final Bar T10 = BarCatalogue.METRIC.find("T10");

    private static BeamCage.Zone zone(double from, double to, double spacing) {
        return new BeamCage.Zone(0, from, to, T10, 2, spacing);
    }

    /** 1000 mm at 150 from 50: 50, 200, … 950; 2000 at 200: 1050, … 2850; the last 1000 evenly from 3050 to 3950: six steps of 150. */
    @Test
    void threeZonesByHand() {
        List<BeamCage.Zone> all = List.of(zone(0, 1000, 150), zone(1000, 3000, 200), zone(3000, 4000, 150));
        assertEquals(List.of(50., 200., 350., 500., 650., 800., 950.), StirrupPlaces.of(all, all.get(0)));
        List<Double> middle = StirrupPlaces.of(all, all.get(1));
        assertEquals(10, middle.size());
        assertEquals(1050, middle.get(0));
        assertEquals(2850, middle.get(9));
        assertEquals(List.of(3050., 3200., 3350., 3500., 3650., 3800., 3950.), StirrupPlaces.of(all, all.get(2)));
    }

    /** A span of 1000 mm at 200: from 50 to 950 in five steps of 180. Close ones begin half a spacing inside: ten at 100. */
    @Test
    void aZoneAloneIsAlikeAtBothEnds() {
        BeamCage.Zone z = zone(0, 1000, 200);
        assertEquals(List.of(50., 230., 410., 590., 770., 950.), StirrupPlaces.of(List.of(z), z));
        BeamCage.Zone close = zone(0, 1000, 100);
        assertEquals(10, StirrupPlaces.count(List.of(close), close));
        assertEquals(950, StirrupPlaces.of(List.of(close), close).get(9), 1e-9);
        BeamCage.Zone tiny = zone(0, 60, 200);
        assertEquals(List.of(30.), StirrupPlaces.of(List.of(tiny), tiny));
    }

    @Test
    void noGapIsLargerThanItsZonesAllow() {
        Random r = new Random(7);
        for (int run = 0; run < 2000; run++) {
            List<BeamCage.Zone> all = new ArrayList<>();
            double at = 200;
            for (int k = 1 + r.nextInt(3); k > 0; k--) {
                double to = at + 150 + 3000 * r.nextDouble();
                all.add(zone(at, to, 60 + 10 * r.nextInt(30)));
                at = to;
            }
            double before = Double.NaN;
            double allowed = 0;
            for (BeamCage.Zone z : all) {
                List<Double> places = StirrupPlaces.of(all, z);
                assertEquals(places.size(), StirrupPlaces.count(all, z));
                for (double p : places) {
                    assertTrue(p >= z.from() && p <= z.to(), "in its zone");
                    double gap = Double.isNaN(before) ? 0 : p - before;
                    assertTrue(gap <= Math.max(allowed, z.spacing()) + 1e-6, gap + " in " + all);
                    before = p;
                    allowed = z.spacing();
                }
            }
            double first = StirrupPlaces.of(all, all.get(0)).get(0) - 200;
            double last = at - before;
            assertTrue(first > 0 && first <= 75 && last > 0 && last <= 75, first + " and " + last + " of " + all);
        }
    }
}
