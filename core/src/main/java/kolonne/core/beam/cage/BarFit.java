package kolonne.core.beam.cage;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Preference;
import kolonne.core.basis.part.VibratorGap;
import kolonne.core.code.Bar;
import kolonne.core.code.DesignCode;

/** Whether bars fit between the stirrup legs of a beam, and at which depth each layer lies. */
public final class BarFit {
    private static final int MORE_THAN_FIT = 1_000_000;

    private BarFit() {}

    /** Bars of one size in one layer; {@code offset} from the face to their centre [mm]. */
    public record Layer(int number, int count, Bar bar, double offset, boolean pairs) {
        public Layer(int number, int count, Bar bar, double offset) {
            this(number, count, bar, offset, false);
        }
    }

    /**
     * Bars that are to lie in a face.
     *
     * @param bw      width of the web [mm]
     * @param through through bars in the first layer, {@code added} bars beside them and in further layers
     * @param pairs   whether two additional bars each touch, one above the other
     * @param roomy   whether rows of many bars are to leave room for the vibrator
     */
    public record Wanted(
            double bw,
            Bar stirrup,
            int through,
            Bar throughBar,
            int added,
            Bar addedBar,
            boolean pairs,
            boolean roomy) {
        public Wanted(double bw, Bar stirrup, int through, Bar throughBar, int added, Bar addedBar, boolean pairs) {
            this(bw, stirrup, through, throughBar, added, addedBar, pairs, false);
        }
    }

    /** Remembers what has been placed; for one line, by one thread. */
    public static final class Memo {
        private final Basis basis;
        private final Map<Wanted, Optional<List<Layer>>> known = new HashMap<>();
        /** Most additional bars beside given through bars, by the wish for more than ever fit. */
        private final Map<Wanted, Integer> most = new HashMap<>();

        public Memo(Basis basis) {
            this.basis = basis;
        }

        /** As {@link BarFit#place}. */
        public List<Layer> place(Wanted w) {
            Optional<List<Layer>> layers = known.get(w);
            if (layers == null) {
                layers = w.added() > most(w) ? Optional.empty() : Optional.ofNullable(BarFit.place(w, basis));
                known.put(w, layers);
            }
            return layers.orElse(null);
        }

        /** Layers take as many bars as find room, however many more are wanted: where some find none, more find none either. */
        private int most(Wanted w) {
            Wanted all = new Wanted(
                    w.bw(),
                    w.stirrup(),
                    w.through(),
                    w.throughBar(),
                    MORE_THAN_FIT,
                    w.addedBar(),
                    w.pairs(),
                    w.roomy());
            Integer n = most.get(all);
            if (n == null) {
                n = MORE_THAN_FIT - filled(all, basis).left();
                most.put(all, n);
            }
            return n;
        }
    }

    /** Clear width between stirrup legs [mm]. */
    public static double clearWidth(double bw, Basis basis, Bar stirrup) {
        return bw - 2 * (basis.beamCover() + stirrup.diameter());
    }

    /** Clear gap between bars of a layer [mm], for bars of given total diameter. */
    public static double gap(double clearWidth, int count, double diameters) {
        return count < 2 ? Double.POSITIVE_INFINITY : (clearWidth - diameters) / (count - 1);
    }

    /** How many bars, of those wanted, stand over the bars laid so far with room between them. */
    private static int over(List<Layer> laid, int n, int wanted, Wanted w, Basis basis) {
        Bar bar = w.addedBar();
        boolean pairs = w.pairs();
        if (!pairs && laid.stream().allMatch(l -> l.bar().diameter() >= bar.diameter())) {
            return wanted; // no larger than any bar below, whose gaps are wide enough
        }
        List<BeamCage.Group> groups = new ArrayList<>();
        for (Layer l : laid) {
            groups.add(new BeamCage.Group(
                    BeamCage.Face.BOTTOM,
                    l.number(),
                    l.count(),
                    l.bar(),
                    l.offset(),
                    0,
                    1,
                    false,
                    false,
                    l == laid.get(0),
                    l.pairs()));
        }
        for (int k = wanted; k > 0; k--) {
            List<BeamCage.Group> with = new ArrayList<>(groups);
            with.add(new BeamCage.Group(BeamCage.Face.BOTTOM, n, k, bar, 0, 0, 1, false, false, false, pairs && k > 1));
            FaceLayout layout =
                    new FaceLayout(with, w.bw(), basis.beamCover() + w.stirrup().diameter(), basis);
            double[] t = FaceLayout.tightest(layout.layer(n), basis);
            if ((t == null || t[1] >= t[0] - 1e-6) && layout.over() == layout.upper()) {
                return k;
            }
        }
        return 0;
    }

    /** Whether bars of a row are so many that the vibrator wants more room than they leave. @param clear distance between them [mm] */
    public static boolean crowded(int bars, double clear, Basis basis) {
        VibratorGap room = basis.practice().vibrator();
        return bars > room.bars() && clear < room.clear() - 1e-6;
    }

    /** How many bars of {@code extra} fit beside {@code n} bars of {@code main} in one layer. */
    private static int fits(double width, int n, Bar main, Bar extra, int wanted, Wanted w, Basis basis) {
        boolean pairs = w.pairs();
        int k = 0;
        double distance = (pairs ? Math.sqrt(2) : 1) * extra.diameter();
        while (k < wanted) {
            double largest = n > 0 ? Math.max(main.diameter(), distance) : distance;
            int beside = pairs ? (k + 2) / 2 : k + 1;
            int units = n + beside;
            double sum = n * main.diameter() + beside * extra.diameter();
            if (gap(width, units, sum)
                            < basis.designCode().detailing().beamClearSpacing(largest, basis.aggregate()) - 1e-6
                    || sum > width
                    || w.roomy() && crowded(units, gap(width, units, sum), basis)) {
                break;
            }
            k++;
        }
        return k;
    }

    /**
     * Places w.through() bars in the first layer and additional bars beside them, then in further layers.
     *
     * @return the layers (w.through() bars first), or null if the bars do not fit
     */
    public static List<Layer> place(Wanted w, Basis basis) {
        Filled f = filled(w, basis);
        return f.left() == 0 ? f.layers() : null;
    }

    /** Layers as far as bars fit into them, and how many additional bars find no place. */
    private record Filled(List<Layer> layers, int left) {}

    private static Wanted single(Wanted w) {
        return new Wanted(w.bw(), w.stirrup(), w.through(), w.throughBar(), w.added(), w.addedBar(), false, w.roomy());
    }

    /** Whether so many bars in a layer leave one alone in the next, which no site builds: nothing holds it there. */
    private static boolean aloneInNext(int inLayer, int rest, Basis basis) {
        return basis.bars().preference() == Preference.PRACTICAL && rest - inLayer == 1;
    }

    private static Filled filled(Wanted w, Basis basis) {
        DesignCode code = basis.designCode();
        double width = clearWidth(w.bw(), basis, w.stirrup());
        double start = basis.beamCover() + w.stirrup().diameter();
        if (fits(width, 0, w.throughBar(), w.throughBar(), w.through(), single(w), basis) < w.through()) {
            return new Filled(List.of(), w.added() + 1);
        }
        List<Layer> out = new ArrayList<>();
        out.add(new Layer(1, w.through(), w.throughBar(), start + w.throughBar().diameter() / 2));
        double height = (w.pairs() ? 2 : 1) * w.addedBar().diameter();
        int rest = w.added();
        int inFirst = fits(width, w.through(), w.throughBar(), w.addedBar(), rest, w, basis);
        inFirst -= inFirst > 0 && aloneInNext(inFirst, rest, basis) ? 1 : 0;
        if (inFirst > 0) {
            out.add(new Layer(
                    1,
                    inFirst,
                    w.addedBar(),
                    start + (inFirst > 1 ? height : w.addedBar().diameter()) / 2,
                    w.pairs() && inFirst > 1));
            rest -= inFirst;
        }
        double level = start
                + Math.max(
                        w.throughBar().diameter(),
                        inFirst > 1 ? height : inFirst > 0 ? w.addedBar().diameter() : 0);
        int below = w.through() + inFirst;
        for (int n = 2; rest > 0 && n <= basis.bars().layersMost(); n++) {
            int room =
                    fits(width, 0, w.addedBar(), w.addedBar(), Math.min(rest, w.pairs() ? 2 * below : below), w, basis);
            int k = over(out, n, room, w, basis);
            k -= k > 1 && aloneInNext(k, rest, basis) ? 1 : 0;
            if (k == 0) {
                break;
            }
            boolean paired = w.pairs() && k > 1;
            double tall = paired ? height : w.addedBar().diameter();
            level += LayerGap.of((paired ? Math.sqrt(2) : 1) * w.addedBar().diameter(), basis);
            out.add(new Layer(n, k, w.addedBar(), level + tall / 2, paired));
            level += tall;
            below = k;
            rest -= k;
        }
        return new Filled(out, rest);
    }
}
