package kolonne.core.beam.choice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Preference;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.StirrupPlaces;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.check.BeamShearCheck;
import kolonne.core.beam.check.StirrupLimits;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamTorsion;
import kolonne.core.code.Bar;
import kolonne.core.code.DesignCode;
import kolonne.core.code.ShearInput;
import kolonne.core.code.ShearStrength;
import kolonne.core.code.SpacingLimits;
import kolonne.core.code.TorsionSection;
import kolonne.core.explain.Trace;

/**
 * Chooses stirrups of a span: bar, legs and at most three zones of spacing, by search over all that the basis allows. Wanted
 * is the least mass, with what every change of stirrups costs by the practical preference, then the fewest zones, then the fewest pieces; zone ends are those
 * that need the fewest stirrups, and another zone must save 2 %. Where nothing practical serves the strongest is taken, and the check says so.
 */
public final class StirrupChoice {
    private static final double SAME_PLACE = 1;
    /** Masses within this part are alike. */
    private static final double ALIKE = 0.02;
    /** Zones alike at both ends may take so many more stirrups. */
    private static final double EVEN = 0.05;
    /** No zone is shorter [mm]. */
    private static final double SHORTEST = 300;
    /** Zones have no fewer stirrups than lengths over spacings (StirrupPlaces), and set out on the module the closer ones are longer; one to spare. */
    private static final double SPARE = 1;
    /** Density of steel [kg/mm3]. */
    private static final double STEEL = 7.85e-6;

    private final BeamLine.Span span;
    private final List<BeamShearCheck.Demand> demands;
    /** Where they are, from the first face on. */
    private final double[] x;

    private final Basis basis;
    private final DesignCode code;
    private final double d;
    private final double bw;
    private final double fc;
    private final List<StirrupLimits> limits;
    /** The largest of the main bars, for torsion. */
    private final Bar mainBar;

    StirrupChoice(
            BeamLine.Span span,
            BeamContext context,
            double d,
            List<BeamShearCheck.Demand> ofTheLine,
            List<StirrupLimits> limits,
            Bar mainBar) {
        this.mainBar = mainBar;
        this.limits = limits;
        this.span = span;
        this.basis = context.basis();
        this.code = basis.designCode();
        this.d = d;
        bw = span.shape().webWidth();
        fc = span.material().fc();
        demands = ofTheLine.stream().filter(q -> q.span() == span.number()).toList();
        x = demands.stream().mapToDouble(BeamShearCheck.Demand::x).toArray();
    }

    /**
     * An arrangement that was tried.
     *
     * @param mass      of all stirrups of the span [kg]; {@code cost} with what their changes along it cost
     * @param pieces    hoops and ties to bend and place
     * @param practical whether its closest spacing is one that can be built
     */
    public record Option(
            Bar bar, int legs, List<BeamCage.Zone> zones, double mass, double cost, int pieces, boolean practical) {
        public Option {
            zones = List.copyOf(zones);
        }

        /** Practical ones first, then cost (within 2 % alike), then fewest zones, then fewest pieces. */
        boolean betterThan(Option o) {
            if (practical != o.practical) {
                return practical;
            }
            if (!practical) {
                // none can be built: the strongest shows best what is missing
                return zones.get(0).bar().area() * legs > o.zones.get(0).bar().area() * o.legs;
            }
            if (Math.abs(cost - o.cost) > ALIKE * o.cost) {
                return cost < o.cost;
            }
            return zones.size() != o.zones.size() ? zones.size() < o.zones.size() : pieces < o.pieces;
        }
    }

    List<BeamCage.Zone> choose() {
        Option best = null;
        for (Bar bar : sizes()) {
            for (int legs = Math.min(leastLegs(bar), mostLegs()); legs <= mostLegs(); legs++) {
                double[] spacing = spacings(bar, legs);
                boolean hopeless = best != null
                        && best.practical()
                        && (!practical(spacing) || leastMass(bar, legs, spacing) > (1 + ALIKE) * best.cost());
                Option o = hopeless ? null : option(bar, legs, spacing);
                best = o != null && (best == null || o.betterThan(best)) ? o : best;
            }
        }
        return best.zones();
    }

    /** All that the search weighs, the best first. */
    private List<Option> all() {
        List<Option> out = new ArrayList<>();
        for (Bar bar : sizes()) {
            for (int legs = Math.min(leastLegs(bar), mostLegs()); legs <= mostLegs(); legs++) {
                Option o = option(bar, legs, spacings(bar, legs));
                int at = 0;
                while (at < out.size() && !o.betterThan(out.get(at))) {
                    at++;
                }
                out.add(at, o);
            }
        }
        return out;
    }

    /** Every arrangement of stirrups that was weighed for a span, with the bars it has now; the best first. */
    public static List<Option> options(BeamDesign d, int span, BeamContext building) {
        BeamContext context = building.of(d.line());
        BarsAt bars = new BarsAt(d.line(), d.cage(), context.basis());
        BeamLine.Span s = d.line().spans().get(span);
        List<BeamShearCheck.Demand> shears =
                BeamShearCheck.demands(d.line(), context, BeamTorsion.torques(d.line(), context.demands()), d.cage());
        return new StirrupChoice(
                        s,
                        context,
                        bars.leastDepth(s),
                        shears,
                        StirrupLimits.of(d.line(), s, bars, context),
                        BeamCage.largest(d.cage().groups(), s, context.basis()))
                .all();
    }

    /** Sizes that the main bars allow; all where they allow none, and the check then tells. */
    private List<Bar> sizes() {
        List<Bar> out = basis.stirrupList().stream()
                .filter(b -> limits.stream().allMatch(l -> l.allows(b)))
                .toList();
        return out.isEmpty() ? basis.stirrupList() : out;
    }

    /** What the basis allows; more are never taken, and the check tells what is missing. */
    private int mostLegs() {
        return basis.stirrups().legsMost();
    }

    private boolean practical(double[] spacing) {
        return java.util.Arrays.stream(spacing).min().orElse(basis.stirrups().most())
                >= basis.stirrups().least();
    }

    /** Spacings that cannot be built become the closest that can; the check then tells what is missing. */
    private Option option(Bar bar, int legs, double[] spacing) {
        boolean practical = practical(spacing);
        for (int i = 0; i < spacing.length; i++) {
            spacing[i] = Math.max(spacing[i], basis.stirrups().least());
        }
        return option(bar, legs, zones(bar, legs, spacing), practical);
    }

    /** Mass if the widest spacing served everywhere: no arrangement of zones has less. */
    private double leastMass(Bar bar, int legs, double[] spacing) {
        return span.clear()
                / java.util.Arrays.stream(spacing).max().orElse(basis.stirrups().most())
                * setLength(legs)
                * bar.area()
                * STEEL;
    }

    /** Length of the outer hoop, and a further height with its part of the width for every inner leg [mm]. */
    private double setLength(int legs) {
        double width = bw - 2 * basis.beamCover();
        double height = span.shape().depth() - 2 * basis.beamCover();
        return 2 * (width + height) + (legs - 2) * (height + 0.5 * width);
    }

    private Option option(Bar bar, int legs, List<BeamCage.Zone> zones, boolean practical) {
        int sets = count(zones);
        double mass = sets * setMass(bar, legs);
        return new Option(bar, legs, zones, mass, mass + changes(zones), sets * (1 + (legs - 1) / 2), practical);
    }

    /** Of the stirrups in one place [kg]. */
    private double setMass(Bar bar, int legs) {
        return setLength(legs) * bar.area() * STEEL;
    }

    /** What changes of the stirrups along the span cost beside their mass [kg]. */
    private double changes(List<BeamCage.Zone> zones) {
        boolean practical = basis.bars().preference() == Preference.PRACTICAL;
        return practical ? basis.practice().costs().zone() * (zones.size() - 1) : 0;
    }

    /** Legs that the transverse spacing asks for where the shear is highest. */
    private int leastLegs(Bar bar) {
        ShearStrength s = strength(1);
        double worst = demands.stream()
                .mapToDouble(q -> q.stirrups(s.concrete()))
                .max()
                .orElse(0);
        SpacingLimits allowed = code.beamStirrupSpacing(d, worst > 0.5 * (s.limit() - s.concrete()));
        double width = bw - 2 * basis.beamCover() - bar.diameter();
        int across = Math.max(2, (int) Math.ceil(width / allowed.across() - 1e-9) + 1);
        return Math.max(across, limits.stream().mapToInt(h -> h.legs(bar)).max().orElse(2));
    }

    private ShearStrength strength(double avs) {
        return code.shear(input(avs), Trace.OFF);
    }

    private ShearInput input(double avs) {
        return new ShearInput(fc, basis.fyt(), bw, d, bw * d, 0.01, avs, 0);
    }

    /** Spacing that each demand allows, in the basis's step [mm]; below the practical minimum where none serves. */
    private double[] spacings(Bar bar, int legs) {
        double area = legs * bar.area();
        ShearStrength unit = strength(1);
        double minimum = area / unit.minimumAvs();
        ShearStrength strong = strength(10 * unit.minimumAvs());
        TorsionSection tube = BeamTorsion.section(span, basis, bar, mainBar);
        double[] out = new double[demands.size()];
        for (int i = 0; i < out.length; i++) {
            BeamShearCheck.Demand demand = demands.get(i);
            double needed = demand.stirrups(strong.concrete());
            SpacingLimits allowed = code.beamStirrupSpacing(d, needed > 0.5 * (strong.limit() - strong.concrete()));
            double s = Math.min(
                    Math.min(minimum, allowed.along()), basis.stirrups().most());
            for (StirrupLimits l : limits) {
                s = Math.min(s, l.spacing(before(i), after(i), d, bar));
            }
            double forShear = demand.steel(input(1), code);
            if (forShear > 0) {
                s = Math.min(s, area / forShear);
            }
            if (!demand.torsional().isEmpty()) {
                s = Math.min(s, code.torsion().stirrupSpacing(tube));
            }
            for (BeamShearCheck.Pair p : demand.torsional()) {
                double leg = code.torsion().legSteel(p.t(), tube, Trace.OFF)
                        + demand.besideTorsion(p, input(1), code) / legs;
                s = Math.min(s, leg > 0 ? bar.area() / leg : s);
            }
            s = Double.isNaN(s) ? 0 : s;
            out[i] = Math.floor(s / basis.stirrups().step() + 1e-9)
                    * basis.stirrups().step();
        }
        return out;
    }

    /** From the place before a demand to the one after it, or to the faces: a zone may end at any of them. */
    private double before(int i) {
        return i == 0 ? span.faceFrom() : x[i - 1];
    }

    private double after(int i) {
        return i == x.length - 1 ? span.faceTo() : x[i + 1];
    }

    /** The fewest zones of which the stirrups and their changes cost within 2 % of the least that the basis's zones allow. */
    private List<BeamCage.Zone> zones(Bar bar, int legs, double[] spacing) {
        double all =
                java.util.Arrays.stream(spacing).min().orElse(basis.stirrups().most());
        List<List<BeamCage.Zone>> found = new ArrayList<>(
                List.of(List.of(new BeamCage.Zone(span.number(), span.faceFrom(), span.faceTo(), bar, legs, all))));
        int most = basis.stirrups().zonesMost();
        double[][] closest = most >= 2 && spacing.length >= 3 ? least(spacing) : null;
        if (closest != null) {
            found.add(two(bar, legs, closest));
        }
        if (closest != null && most >= 3 && spacing.length >= 4) {
            found.add(three(bar, legs, closest));
        }
        ToDoubleFunction<List<BeamCage.Zone>> cost = z -> count(z) * setMass(bar, legs) + changes(z);
        double least = found.stream().mapToDouble(cost).min().orElseThrow();
        List<BeamCage.Zone> best = found.stream()
                .filter(z -> cost.applyAsDouble(z) <= (1 + ALIKE) * least)
                .min(Comparator.comparingInt((List<BeamCage.Zone> z) -> z.size())
                        .thenComparingInt(StirrupChoice::count))
                .orElseThrow();
        List<BeamCage.Zone> even = symmetric(best);
        return count(even) <= (1 + EVEN) * count(best) ? even : best;
    }

    /** The same with alike zones at both ends: as long as the longer and as close as the closer of them. */
    private List<BeamCage.Zone> symmetric(List<BeamCage.Zone> z) {
        if (z.size() != 3
                || z.get(1).spacing() <= Math.max(z.get(0).spacing(), z.get(2).spacing())) {
            return z;
        }
        BeamCage.Zone a = z.get(0);
        BeamCage.Zone b = z.get(2);
        double length = Math.max(a.to() - a.from(), b.to() - b.from());
        double close = Math.min(a.spacing(), b.spacing());
        double middle = span.clear() - 2 * length;
        return middle < SHORTEST
                ? z
                : merged(
                        a.bar(),
                        a.legs(),
                        new double[] {span.faceFrom(), span.faceFrom() + length, span.faceTo() - length, span.faceTo()},
                        new double[] {close, z.get(1).spacing(), close});
    }

    private static int count(List<BeamCage.Zone> zones) {
        int sum = 0;
        for (BeamCage.Zone z : zones) {
            sum += StirrupPlaces.count(zones, z);
        }
        return zones.isEmpty() ? Integer.MAX_VALUE : sum;
    }

    private List<BeamCage.Zone> three(Bar bar, int legs, double[][] least) {
        double from = span.faceFrom();
        double to = span.faceTo();
        int n = x.length;
        List<BeamCage.Zone> best = List.of();
        int fewest = Integer.MAX_VALUE;
        for (int i = 1; i < n - 1; i++) {
            double first = least[0][i];
            for (int j = i; j < n - 1; j++) {
                if (x[i] - from < SHORTEST || to - x[j] < SHORTEST || x[j] - x[i] < SHORTEST) {
                    continue;
                }
                double middle = least[i][j];
                double last = least[j][n - 1];
                double about = (x[i] - from) / first + (x[j] - x[i]) / middle + (to - x[j]) / last;
                if (about > fewest + SPARE) {
                    continue;
                }
                List<BeamCage.Zone> z =
                        merged(bar, legs, new double[] {from, x[i], x[j], to}, new double[] {first, middle, last});
                int count = count(z);
                if (count < fewest) {
                    fewest = count;
                    best = z;
                }
            }
        }
        return best;
    }

    private List<BeamCage.Zone> two(Bar bar, int legs, double[][] least) {
        List<BeamCage.Zone> best = List.of();
        for (int i = 1; i < x.length - 1; i++) {
            if (x[i] - span.faceFrom() >= SHORTEST && span.faceTo() - x[i] >= SHORTEST) {
                List<BeamCage.Zone> z =
                        merged(bar, legs, new double[] {span.faceFrom(), x[i], span.faceTo()}, new double[] {
                            least[0][i], least[i][x.length - 1]
                        });
                best = count(z) < count(best) ? z : best;
            }
        }
        return best;
    }

    /** Least spacing from one demand to another, and of demands at the very same places (either side of a joint), by both. */
    private double[][] least(double[] s) {
        int n = x.length;
        double[][] out = new double[n][n];
        int first = 0;
        for (int i = 0; i < n; i++) {
            while (x[first] < x[i] - SAME_PLACE) {
                first++;
            }
            double least = Double.POSITIVE_INFINITY;
            int k = first;
            for (int j = i; j < n; j++) {
                while (k < n && x[k] <= x[j] + SAME_PLACE) {
                    least = Math.min(least, s[k++]);
                }
                out[i][j] = least;
            }
        }
        return out;
    }

    private List<BeamCage.Zone> merged(Bar bar, int legs, double[] ends, double[] spacing) {
        List<BeamCage.Zone> out = new ArrayList<>();
        double from = ends[0];
        for (int k = 0; k < spacing.length; k++) {
            if (k + 1 < spacing.length && spacing[k + 1] == spacing[k]) {
                continue;
            }
            double to = k + 1 < spacing.length ? onModule(ends[k + 1], spacing[k] < spacing[k + 1]) : ends[k + 1];
            out.add(new BeamCage.Zone(span.number(), from, to, bar, legs, spacing[k]));
            from = to;
        }
        return out;
    }

    /** Where two zones meet, set out from the face at the side of the closer one, which becomes longer by less than a module. */
    private double onModule(double end, boolean closerBefore) {
        double module = basis.practice().lengthModule();
        if (module <= 0) {
            return end;
        }
        double face = closerBefore ? span.faceFrom() : span.faceTo();
        double moved = Math.ceil(Math.abs(end - face) / module - 1e-6) * module;
        double out = closerBefore ? face + moved : face - moved;
        // never past the other face
        return out > span.faceFrom() && out < span.faceTo() ? out : end;
    }
}
