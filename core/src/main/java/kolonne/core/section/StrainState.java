package kolonne.core.section;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.code.ConcreteCurve;
import kolonne.core.code.Steel;
import kolonne.core.code.StressBlock;

/**
 * Strains and stresses over a section whose plane sections stay plane, compression positive: across the neutral axis, from the edge that is compressed most (or
 * pulled least) to the other.
 *
 * @param theta    direction of that edge, from the axis of the width [rad]
 * @param size     of the section in that direction [mm]
 * @param edge     strain of that edge; {@code far} of the other
 * @param bars     in the order of the section
 * @param concrete stress by depth below the edge, corner by corner; none where all of it is pulled
 */
public record StrainState(double theta, double size, double edge, double far, List<OfBar> bars, List<Fibre> concrete) {
    /** Pieces of a curve of stress. */
    private static final int PIECES = 12;

    /** @param depth below the edge [mm]; @param stress [MPa] */
    public record OfBar(double depth, double strain, double stress) {}

    /** @param depth below the edge [mm]; @param stress [MPa] */
    public record Fibre(double depth, double stress) {}

    public StrainState {
        bars = List.copyOf(bars);
        concrete = List.copyOf(concrete);
    }

    /** Strain at a depth below the edge. */
    public double at(double depth) {
        return edge + (far - edge) * depth / size;
    }

    /** A bar before its stress is known: its depth below the edge [mm], what of its strength it develops pulled and pushed [MPa]. */
    public record Bar(double depth, double pull, double push) {}

    /**
     * At the strength by the code's block.
     *
     * @param c depth of the neutral axis [mm]
     */
    public static StrainState by(StressBlock block, double theta, double size, double c, List<Bar> bars) {
        double end = Math.min(size, block.depth() * c);
        List<Fibre> concrete = List.of(new Fibre(0, block.stress()), new Fibre(end, block.stress()), new Fibre(end, 0));
        return strained(theta, size, block.crushing(), c, bars, concrete);
    }

    /** The same by its curve. */
    public static StrainState by(ConcreteCurve curve, double theta, double size, double c, List<Bar> bars) {
        double extreme = curve.extreme(c, size);
        double end = Math.min(size, c);
        List<Fibre> concrete = new ArrayList<>();
        for (int i = 0; i <= PIECES; i++) {
            double depth = end * i / PIECES;
            concrete.add(new Fibre(depth, curve.at(extreme * (1 - depth / c))));
        }
        if (end == size) {
            concrete.add(new Fibre(size, 0));
        }
        return strained(theta, size, extreme, c, bars, concrete);
    }

    private static StrainState strained(
            double theta, double size, double edge, double c, List<Bar> bars, List<Fibre> concrete) {
        List<OfBar> of = bars.stream()
                .map(b -> {
                    double strain = edge * (1 - b.depth() / c);
                    return new OfBar(b.depth(), strain, Math.max(-b.pull(), Math.min(b.push(), Steel.ES * strain)));
                })
                .toList();
        return new StrainState(theta, size, edge, edge * (1 - size / c), of, concrete);
    }

    /** Pulled without moment: every bar yields, at the least by its yield strain. */
    public static StrainState pulled(double size, double yield, List<Bar> bars) {
        return new StrainState(
                0,
                size,
                -yield,
                -yield,
                bars.stream().map(b -> new OfBar(b.depth(), -yield, -b.pull())).toList(),
                List.of());
    }
}
