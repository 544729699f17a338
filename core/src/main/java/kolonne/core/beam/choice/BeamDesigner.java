package kolonne.core.beam.choice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Preference;
import kolonne.core.beam.cage.BarFit;
import kolonne.core.beam.cage.BarsAt;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.HandOverlay;
import kolonne.core.beam.cage.LayerLevels;
import kolonne.core.beam.check.BeamCheck;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.check.BeamShearCheck;
import kolonne.core.beam.check.CrackCheck;
import kolonne.core.beam.check.Places;
import kolonne.core.beam.check.StirrupLimits;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamTorsion;
import kolonne.core.beam.line.DuctileSpans;
import kolonne.core.code.Bar;
import kolonne.core.code.Bound;
import kolonne.core.code.DesignCode;
import kolonne.core.finding.Cause;

/**
 * Proposes the cage of a beam line. Each face has bars through the whole line and additional bars over supports (top) or
 * in spans (bottom); stirrups come first with an estimated depth, then again with the depth of the bars chosen.
 */
public final class BeamDesigner {
    /** Rounds in which bars are added for cracks and for the shifted moment. */
    private static final int ROUNDS = 8;
    /** Passes in which bars and stirrups settle on each other’s sizes. */
    private static final int PASSES = 4;
    /** Times that bottom bars are let end early. */
    private static final int CUT_TRIALS = 8;
    /** What the section or its most bars are too small for, wherever bars end. */
    private static final Set<Cause> OF_THE_SECTION = EnumSet.of(
            Cause.FLEXURE,
            Cause.DEFLECTION,
            Cause.SHEAR_LIMIT,
            Cause.SHEAR_TORSION_LIMIT,
            Cause.SLENDERNESS,
            Cause.GEOMETRY,
            Cause.OUT_OF_SCOPE);
    /** Of these what no bars mend, but for what their layers take of the depth: used more than this, no others are tried. */
    private static final Set<Cause> MENDED_BY_NO_BARS = EnumSet.of(
            Cause.SHEAR_LIMIT, Cause.SHEAR_TORSION_LIMIT, Cause.SLENDERNESS, Cause.GEOMETRY, Cause.OUT_OF_SCOPE);

    private static final double NEARLY = 1.1;

    private final BeamLine line;
    private final BeamContext context;
    private final Basis basis;
    private final DesignCode code;
    private final HandOverlay hand;
    private final boolean yielding;
    private final double[] torques;
    private final BarFit.Memo placed;
    private final FaceStrengths strengths;
    private final List<BeamShearCheck.Demand> shears;

    private BeamDesigner(BeamLine line, BeamContext context, boolean yielding) {
        this.yielding = yielding;
        this.line = line;
        this.context = context;
        this.basis = context.basis();
        this.code = basis.designCode();
        this.hand = new HandOverlay(line, basis, context.own());
        this.placed = new BarFit.Memo(basis);
        this.strengths = new FaceStrengths(basis);
        this.torques = BeamTorsion.torques(line, context.demands());
        this.shears = BeamShearCheck.demands(line, context, torques);
    }

    /** The designed line: a cage and its checks. Parts set by hand are taken as they are. */
    public static BeamDesign design(BeamLine line, BeamContext context) {
        return design(line, context, Served.alone(line, context)).get(0);
    }

    /** The same of a section on trial, which is likely to be too small: whether it is, is looked at before all else. */
    public static BeamDesign onTrial(BeamLine line, BeamContext context) {
        return design(line, context, Served.alone(line, context), true).get(0);
    }

    /** The designs of all that one cage serves, chosen for a line that stands for them. */
    public static List<BeamDesign> design(BeamLine line, BeamContext context, Served served) {
        return design(line, context, served, false);
    }

    private static List<BeamDesign> design(BeamLine line, BeamContext context, Served served, boolean doubtful) {
        List<BeamDesign> d = designed(line, context, served, doubtful);
        return d.stream()
                        .flatMap(x -> x.findings().stream())
                        .noneMatch(f -> f.code().equals("redistribution.refused"))
                ? d
                : designed(line, context.with(context.basis().withRedistribution(0)), served, doubtful);
    }

    /** @param by what the cage is chosen by; @param doubtful whether the section is likely to be too small */
    private static List<BeamDesign> designed(BeamLine line, BeamContext by, Served served, boolean doubtful) {
        // in a ductile frame weaker bars make the shear smaller that goes with them
        boolean ductile = DuctileSpans.rules(line, by.basis()).isPresent();
        List<BeamDesign> d = of(line, by, served, false, doubtful && !ductile);
        if (satisfied(d)
                || by.basis().bars().preference() != Preference.PRACTICAL
                || !ductile && anyOf(d, MENDED_BY_NO_BARS, NEARLY)
                || d.stream().anyMatch(b -> EndHooks.none(b).isPresent())) {
            return d;
        }
        if (by.basis().designCode().detailing().bottomYieldsAtColumns()) {
            List<BeamDesign> anchored = of(line, by, served, true, !ductile);
            if (satisfied(anchored)) {
                return anchored;
            }
        }
        // rules of practice give way where no cage keeps them
        List<BeamDesign> other = of(line, by.with(by.basis().with(Preference.LEAST_STEEL)), served, false, !ductile);
        return satisfied(other) ? other : d;
    }

    private static boolean satisfied(List<BeamDesign> all) {
        return all.stream().allMatch(BeamDesign::satisfied);
    }

    /**
     * Chosen by one set of rules.
     *
     * @param yielding whether bars through the bottom must yield in the columns at the ends, whatever lies beside them
     * @param doubtful whether to look first, whether the section is too small
     */
    private static List<BeamDesign> of(
            BeamLine line, BeamContext by, Served served, boolean yielding, boolean doubtful) {
        BeamDesigner designer = new BeamDesigner(line, served.demanding(by), yielding);
        Laid whole = designer.laid();
        if (doubtful && anyOf(whole.checked(served), OF_THE_SECTION, NEARLY)) {
            return whole.checked(served);
        }
        List<BeamDesign> shorter = designer.shorter(whole, served);
        return shorter != null ? shorter : whole.checked(served);
    }

    private Laid laid() {
        Boost boost = new Boost(line);
        Laid laid = laid(boost);
        for (int round = 0; round < ROUNDS && missing(laid, boost); round++) {
            laid = laid(boost);
        }
        return laid;
    }

    /**
     * The design with bottom bars that end in the spans where they are no longer needed, and everything satisfied: they are let end at both sides
     * of all spans, then where nothing came to fail near by; null where none may end.
     */
    private List<BeamDesign> shorter(Laid whole, Served served) {
        BottomCuts cuts = BottomCuts.all(line);
        boolean chosen = !context.own().faces().containsKey(BeamCage.Face.BOTTOM);
        for (int trial = 0; chosen && trial < CUT_TRIALS; trial++) {
            Laid laid = whole.cut(cuts);
            if (laid == null || laid.groups.equals(whole.groups)) {
                return null;
            }
            BeamCage cage = laid.cage();
            if (laid.fewerWhereStuck(cuts)) {
                continue;
            }
            List<BeamDesign> d = served.tried(cage);
            if (satisfied(d)) {
                return d;
            }
            if (trial == 0 && inVain(d, whole.checked(served))) {
                return null;
            }
            boolean fewer = cuts.fewer(d.stream()
                    .flatMap(b -> b.checks().stream())
                    .filter(c -> !c.satisfied())
                    .map(c -> new BottomCuts.Place(c.part(), c.x())));
            if (!fewer) {
                return null;
            }
        }
        return null;
    }

    /**
     * Whether something fails that bars ending elsewhere never mend: what the section is too small for, or the same where all bars end as where none
     * does.
     */
    private static boolean inVain(List<BeamDesign> ended, List<BeamDesign> whole) {
        Set<String> both = unmet(ended);
        both.retainAll(unmet(whole));
        return !both.isEmpty() || anyOf(ended, OF_THE_SECTION, 1) && anyOf(whole, OF_THE_SECTION, 1);
    }

    /** What fails: cause, span and section of each, of all that are served. */
    private static Set<String> unmet(List<BeamDesign> all) {
        Set<String> out = new HashSet<>();
        for (BeamDesign b : all) {
            b.checks().stream()
                    .filter(c -> !c.satisfied())
                    .forEach(
                            c -> out.add(b.line().mark() + ' ' + c.cause() + ' ' + c.part() + ' ' + Math.round(c.x())));
        }
        return out;
    }

    /** Whether something fails by one of some causes, used more than some limit. */
    private static boolean anyOf(List<BeamDesign> all, Set<Cause> causes, double limit) {
        return all.stream()
                .flatMap(b -> b.checks().stream())
                .anyMatch(c -> !c.satisfied() && causes.contains(c.cause()) && c.utilisation() > limit);
    }

    /** Raises the boost where a cage misses what the moments alone do not ask for; whether it did. */
    private boolean missing(Laid laid, Boost boost) {
        boolean ductile = DuctileSpans.rules(line, context.basis())
                .map(r -> boost.raise(line, laid.cage(), context, r))
                .orElse(false);
        boolean cracked = code.crackWidth().isPresent() && laid.bars != null && cracked(laid, boost);
        return (ductile || cracked) && !hand.allBars();
    }

    /** Where a cage cracks too wide or lacks anchorage for the shifted moment. */
    private boolean cracked(Laid laid, Boost boost) {
        BeamCage cage = laid.cage();
        CrackCheck cracks = new CrackCheck(
                line,
                cage,
                context,
                new BarsAt(line, cage, basis),
                Places.governing(line, context),
                code.crackWidth().orElseThrow());
        boolean bottom = boost.raise(
                line, true, cracks.uses(true), BeamCheck.shiftedUse(line, cage, context, true), laid.chosen.full(true));
        boolean top = boost.raise(
                line,
                false,
                cracks.uses(false),
                BeamCheck.shiftedUse(line, cage, context, false),
                laid.chosen.full(false));
        return bottom || top;
    }

    private Laid laid(Boost boost) {
        Bar stirrup = basis.smallestStirrup();
        double allowance = basis.beamCover()
                + stirrup.diameter()
                + basis.beamBarList().get(0).diameter();
        List<BeamCage.Zone> zones = hand.zones(zones(allowance));
        Laid laid = null;
        Laid sound = null;
        for (int pass = 0; pass < PASSES; pass++) {
            stirrup = largestStirrup(zones, stirrup);
            FlexureChoice bars = hand.allBars()
                    ? null
                    : new FlexureChoice(line, context, torques, stirrup, boost, placed, strengths)
                            .yieldingAtColumns(yielding);
            laid = new Laid(bars, bars == null ? null : bars.choose(), stirrup);
            zones = laid.zones();
            sound = laid.spare() < 0 ? sound : laid;
            if (laid.spare() == 0) {
                break;
            }
        }
        return sound == null ? laid : sound;
    }

    /** Bars chosen inside stirrups of a size, and the cage that comes of them. */
    private final class Laid {
        private final FlexureChoice bars;
        private final FlexureChoice.Chosen chosen;
        private final Bar stirrup;
        private final List<BeamCage.Group> groups;
        private final List<BeamCage.Zone> zones;
        private final CutOffChoice ends;
        private BeamCage cage;
        private List<BeamDesign> checked;

        /** @param bars null where a person has set all of them */
        Laid(FlexureChoice bars, FlexureChoice.Chosen chosen, Bar stirrup) {
            this(bars, chosen, stirrup, BottomCuts.none(line));
        }

        private Laid(FlexureChoice bars, FlexureChoice.Chosen chosen, Bar stirrup, BottomCuts cut) {
            this.bars = bars;
            this.chosen = chosen;
            this.stirrup = stirrup;
            ends = new CutOffChoice(line, context, cut.any());
            groups = hand.groups(bars == null ? List.of() : bars.laid(chosen, cut), stirrup);
            zones = hand.zones(BeamDesigner.this.zones(groups));
        }

        List<BeamCage.Zone> zones() {
            return zones;
        }

        /** What the stirrups are smaller than those inside which the bars were laid; negative where they are larger [mm]. */
        double spare() {
            return stirrup.diameter()
                    - zones.stream().mapToDouble(z -> z.bar().diameter()).max().orElse(0);
        }

        /** With bottom bars ended in the spans at some sides; null where that asks for larger stirrups, or there is nothing to choose. */
        Laid cut(BottomCuts cuts) {
            Laid shorter = bars == null ? null : new Laid(bars, chosen, stirrup, cuts);
            return shorter == null || shorter.spare() < 0 ? null : shorter;
        }

        /** Lets fewer bottom bars end where the code lets none end as they do; whether there were any. */
        boolean fewerWhereStuck(BottomCuts cuts) {
            return cuts.fewer(
                    ends.stuck().stream().map(e -> new BottomCuts.Place(e.span().number(), e.x())));
        }

        BeamCage cage() {
            cage = cage == null ? made() : cage;
            return cage;
        }

        /** All that are served, with this cage. */
        List<BeamDesign> checked(Served served) {
            checked = checked == null ? served.checked(cage()) : checked;
            return checked;
        }

        private BeamCage made() {
            // sound as well where the stirrups became smaller than those inside which the bars were laid: these then
            // lie further out
            double out = Math.max(0, spare());
            BeamCage cage = new BeamCage(
                    out == 0 ? groups : groups.stream().map(g -> g.out(out)).toList(), zones, sideBars(stirrup));
            BeamCage longer = ends.extended(cage);
            // bars that run on may come to lie over larger ones
            BeamCage extended = new BeamCage(
                    LayerLevels.of(longer.groups(), largestStirrup(longer.zones(), stirrup), basis),
                    longer.zones(),
                    longer.sideBars());
            // bars that run on make the ends of a ductile frame stronger, and their shear greater
            return DuctileSpans.rules(line, context.basis()).isEmpty()
                    ? extended
                    : new BeamCage(
                            extended.groups(),
                            hand.zones(BeamDesigner.this.zones(extended.groups())),
                            extended.sideBars());
        }
    }

    private static Bar largestStirrup(List<BeamCage.Zone> zones, Bar otherwise) {
        return zones.stream()
                .map(BeamCage.Zone::bar)
                .max(Comparator.comparingDouble(Bar::diameter))
                .orElse(otherwise);
    }

    private List<BeamCage.Zone> zones(double allowance) {
        List<BeamCage.Zone> out = new ArrayList<>();
        for (BeamLine.Span s : line.spans()) {
            out.addAll(new StirrupChoice(
                            s, context, s.shape().depth() - allowance, shears, List.of(), BeamTorsion.largest(basis))
                    .choose());
        }
        return out;
    }

    /** Zones with the smallest effective depth that the bars leave anywhere in the span. */
    private List<BeamCage.Zone> zones(List<BeamCage.Group> groups) {
        BeamCage cage = new BeamCage(groups, List.of(), List.of());
        BarsAt bars = new BarsAt(line, cage, basis);
        List<BeamShearCheck.Demand> with =
                DuctileSpans.rules(line, context.basis()).isEmpty()
                        ? shears
                        : BeamShearCheck.demands(line, context, torques, cage);
        List<BeamCage.Zone> out = new ArrayList<>();
        for (BeamLine.Span s : line.spans()) {
            out.addAll(new StirrupChoice(
                            s,
                            context,
                            bars.leastDepth(s),
                            with,
                            StirrupLimits.of(line, s, bars, context),
                            BeamCage.largest(groups, s, basis))
                    .choose());
        }
        return out;
    }

    /** Side bars of deep webs (crack control) and of spans in torsion (round the perimeter). */
    private List<BeamCage.SideBars> sideBars(Bar stirrup) {
        List<BeamCage.SideBars> out = new ArrayList<>();
        for (BeamLine.Span s : line.spans()) {
            int skin = skinLevels(s);
            int levels = Math.max(skin, BeamTorsion.sideLevels(s, basis));
            BeamTorsion torsion =
                    new BeamTorsion(line, s, context.basis(), torques, stirrup, BeamTorsion.largest(basis), levels);
            if (torsion.counts() && levels > 0) {
                Bar bar = torsionalBar(s, torsion);
                out.add(laid(s, bar, levels));
            } else if (skin > 0) {
                out.add(new BeamCage.SideBars(
                        s.number(),
                        basis.beamBarList().get(0),
                        skin,
                        s.faceFrom() - 150,
                        s.faceTo() + 150,
                        false,
                        false));
            }
        }
        return hand.sides(out, (s, set) -> laid(s, set.bar(), set.perFace()));
    }

    private int skinLevels(BeamLine.Span s) {
        double h = s.shape().depth();
        return Bound.within(h, code.detailing().skinSteelDepth())
                ? 0
                : Math.max(
                        1,
                        (int) Math.ceil((h - 2 * basis.beamCover())
                                                / code.detailing().crackSpacing(basis.fy(), basis.beamCover())
                                        - 1e-9)
                                - 1);
    }

    /** Whether hooks of side bars find room in the end supports for the part of their strength that is used. */
    private boolean anchored(BeamLine.Span s, Bar bar, double part) {
        double hook =
                part * code.detailing().hookLength(bar, s.material().fc(), basis.fy(), kolonne.core.explain.Trace.OFF);
        boolean first = s.number() > 0 || line.endRoom(basis, true) >= hook;
        boolean last = s.number() < line.spans().size() - 1 || line.endRoom(basis, false) >= hook;
        return first && last;
    }

    /** The thinnest bars that serve; the closest spacing of the span decides their least size. */
    private Bar torsionalBar(BeamLine.Span s, BeamTorsion torsion) {
        double needed = torsion.mostLevelSteel(line.stations());
        double least = code.torsion().leastBar(code.torsion().stirrupSpacing(torsion.section()));
        List<Bar> all = basis.beamBarList();
        return all.stream()
                .filter(b -> 2 * b.area() >= needed && b.diameter() >= least && anchored(s, b, needed / (2 * b.area())))
                .findFirst()
                .orElse(all.get(all.size() - 1));
    }

    /** Side bars developed past both faces. */
    private BeamCage.SideBars laid(BeamLine.Span s, Bar bar, int levels) {
        double run = code.detailing()
                .developmentLength(bar, s.material().fc(), basis.fy(), false, bar.diameter(), basis.beamCover(), true);
        boolean first = s.number() == 0;
        boolean last = s.number() == line.spans().size() - 1;
        boolean hookFrom = first && line.supports().get(0).kind() != BeamLine.SupportKind.FREE;
        boolean hookTo = last && line.supports().get(line.supports().size() - 1).kind() != BeamLine.SupportKind.FREE;
        return new BeamCage.SideBars(
                s.number(),
                bar,
                levels,
                first ? line.firstBar(basis) : s.faceFrom() - run,
                last ? line.lastBar(basis) : s.faceTo() + run,
                hookFrom,
                hookTo);
    }
}
