package kolonne.core.beam.cage;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.code.Bar;

/**
 * How far from their face bars lie: layers clear of each other, inside the largest stirrups, above the largest bars of the layers before that
 * they meet anywhere along their run. The same for bars that were chosen and for bars set by hand.
 */
public final class LayerLevels {
    private LayerLevels() {}

    /** The groups with their offsets. */
    public static List<BeamCage.Group> of(List<BeamCage.Group> groups, Bar stirrup, Basis basis) {
        List<BeamCage.Group> out = new ArrayList<>();
        for (BeamCage.Group g : groups) {
            out.add(g.at(offset(g, groups, stirrup, basis)));
        }
        return out;
    }

    private static double offset(BeamCage.Group g, List<BeamCage.Group> all, Bar stirrup, Basis basis) {
        double level = basis.beamCover() + stirrup.diameter();
        for (int layer = 1; layer < g.layer(); layer++) {
            double next = largest(all, layer + 1, g, Math.sqrt(2));
            level += largest(all, layer, g, 2) + LayerGap.of(next, basis);
        }
        return level + g.height() / 2;
    }

    /** @param pair what counts of two bars that touch: 2 diameters of their height, √2 as one bar of the same area */
    private static double largest(List<BeamCage.Group> all, int layer, BeamCage.Group g, double pair) {
        double out = 0;
        for (BeamCage.Group o : all) {
            boolean meets = o.face() == g.face() && o.layer() == layer && o.from() < g.to() && o.to() > g.from();
            out = meets ? Math.max(out, (o.pairs() ? pair : 1) * o.bar().diameter()) : out;
        }
        return out;
    }
}
