package kolonne.core.beam.cage;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.code.Bar;

/** Legs that hold the first layer of a face: both corners, every other bar, and every bar further than the code allows from a held one (25.7.2.3). */
public final class HeldBars {
    private HeldBars() {}

    public static int legs(
            BeamLine.Span span, List<BeamCage.Group> groups, BeamCage.Face face, double x, Bar stirrup, Basis basis) {
        FaceLayout layout = new FaceLayout(
                FaceLayout.at(groups, face, x), span.shape().webWidth(), basis.beamCover() + stirrup.diameter(), basis);
        List<FaceLayout.Unit> first = layout.layer(1);
        int bars = first.size();
        if (bars < 3) {
            return 2;
        }
        double gap = 0;
        for (int i = 0; i + 1 < bars; i++) {
            gap = Math.max(
                    gap,
                    first.get(i + 1).y()
                            - first.get(i).y()
                            - (first.get(i).diameter() + first.get(i + 1).diameter()) / 2);
        }
        return gap > basis.designCode().columns().greatestUnheldDistance() ? bars : bars / 2 + 1;
    }
}
