package kolonne.core.beam;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.code.Bar;

/** Legs that hold the first layer of a face: both corners, every other bar, and every bar further than the code allows from a held one (25.7.2.3). */
final class HeldBars {
    private HeldBars() {}

    static int legs(BeamLine.Span span, List<BeamCage.Group> groups, BeamCage.Face face, double x, Bar stirrup, Basis basis) {
        List<BeamCage.Group> there = groups.stream().filter(g -> g.face() == face && g.layer() == 1 && x >= g.from() - 1 && x <= g.to() + 1).toList();
        int bars = there.stream().mapToInt(BeamCage.Group::beside).sum();
        if (bars < 3) {
            return 2;
        }
        double sum = there.stream().mapToDouble(g -> g.beside() * g.bar().diameter()).sum();
        double gap = BarFit.gap(BarFit.clearWidth(span.shape().webWidth(), basis, stirrup), bars, sum);
        return gap > basis.designCode().columns().greatestUnheldDistance() ? bars : bars / 2 + 1;
    }
}
