package kolonne.core.type;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.check.BeamContext;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.choice.BeamDesigner;
import kolonne.core.beam.choice.EvenLengths;
import kolonne.core.beam.choice.Served;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.SharedDemands;
import kolonne.core.beam.line.SharedLine;

/**
 * Beam lines that share a cage. Their cage is chosen for the demands of all on the longest of them; where the cage of one of the heaviest serves all with less
 * steel, it is taken.
 */
final class BeamSharing implements Sharing<BeamLine, BeamDesign> {
    /** Own cages of so many of the heaviest members are tried for all. */
    private static final int TRIED = 2;
    /** A cage that takes no more than this part above what the members take by themselves needs no other. */
    private static final double GOOD = 1.005;
    /** Parts of a span at which demands are compared. */
    private static final int PLACES = 8;

    private final Function<Basis, BeamContext> contexts;
    private final Map<String, BeamDesign> own = new HashMap<>();
    private final Map<String, CountedBars> bars = new HashMap<>();

    /** @param own designs of the lines by themselves; @param contexts by the basis of a line */
    BeamSharing(List<BeamDesign> own, Function<Basis, BeamContext> contexts) {
        this.contexts = contexts;
        for (BeamDesign d : own) {
            this.own.put(d.line().id(), d);
            bars.put(d.line().id(), CountedBars.of(d));
        }
    }

    /** Lines that share answer to one basis. */
    private BeamContext context(BeamLine l) {
        return contexts.apply(own(l).basis());
    }

    @Override
    public String id(BeamLine l) {
        return l.id();
    }

    @Override
    public Likeness likeness(BeamLine l) {
        return Likeness.of(own(l));
    }

    @Override
    public BeamDesign own(BeamLine l) {
        return own.get(l.id());
    }

    @Override
    public boolean setByHand(BeamLine l) {
        return !own(l).hand().isEmpty();
    }

    @Override
    public Object cage(BeamLine l) {
        return own(l).cage();
    }

    @Override
    public boolean satisfied(BeamDesign d) {
        return d.satisfied();
    }

    @Override
    public Steel steel(BeamDesign d) {
        CountedBars known = own(d.line()) == d ? bars.get(d.line().id()) : null;
        return known == null ? Steel.of(d) : known.steel();
    }

    @Override
    public Shared<BeamDesign> shared(List<BeamLine> lines) {
        if (lines.size() == 1) {
            return judged(lines, List.of(own(lines.get(0))));
        }
        Shared<BeamDesign> best = null;
        for (BeamLine l : heaviest(lines)) {
            Shared<BeamDesign> s = adopted(l, lines);
            best = s != null && s.before(best) ? s : best;
        }
        double alone = lines.stream().mapToDouble(l -> bars.get(l.id()).kg()).sum();
        if (best != null && best.practical() && best.steel().kg() <= GOOD * alone) {
            return best;
        }
        Shared<BeamDesign> made = judged(lines, designed(lines));
        return made.before(best) ? made : best;
    }

    private List<BeamDesign> designed(List<BeamLine> lines) {
        BeamLine base = lines.stream().filter(this::edge).findFirst().orElse(lines.get(0));
        BeamLine shared = SharedLine.of(base, lines);
        return BeamDesigner.design(shared, context(base), new Served() {
            private int hardest;

            @Override
            public BeamContext demanding(BeamContext building) {
                return building.of(
                        SharedDemands.of(shared, lines, l -> building.of(l).demands()));
            }

            @Override
            public List<BeamDesign> checked(BeamCage cage) {
                return lines.stream().map(l -> check(cage, shared, l)).toList();
            }

            @Override
            public List<BeamDesign> tried(BeamCage cage) {
                BeamDesign[] out = new BeamDesign[lines.size()];
                for (int i = 0; i < out.length; i++) {
                    // what failed last most likely fails first
                    int k = (hardest + i) % out.length;
                    out[k] = check(cage, shared, lines.get(k));
                    if (!out[k].satisfied()) {
                        hardest = k;
                        return List.of(out[k]);
                    }
                }
                return List.of(out);
            }
        });
    }

    /** Bars of a beam along the perimeter must run through (structural integrity); those of others may. */
    private boolean edge(BeamLine l) {
        return l.spans().stream()
                .flatMap(s -> s.members().stream())
                .anyMatch(m -> context(l).perimeter().contains(m.id()));
    }

    private BeamDesign check(BeamCage cage, BeamLine of, BeamLine to) {
        return EvenLengths.tried(to, FittedCage.of(cage, of, to, own(to).basis()), context(to));
    }

    private List<BeamLine> heaviest(List<BeamLine> lines) {
        return lines.stream()
                .filter(l -> own(l).satisfied())
                .sorted(Comparator.comparingDouble(l -> -bars.get(l.id()).kg() / l.length()))
                .limit(TRIED)
                .toList();
    }

    /** All lines with the cage of one; null where a line fails that does not fail by itself. */
    private Shared<BeamDesign> adopted(BeamLine of, List<BeamLine> lines) {
        List<BeamDesign> out = new ArrayList<>();
        for (BeamLine l : lines) {
            BeamDesign d = l.equals(of) ? own(l) : check(own(of).cage(), of, l);
            if (!d.satisfied() && own(l).satisfied()) {
                return null;
            }
            out.add(d);
        }
        return judged(lines, out);
    }

    private Shared<BeamDesign> judged(List<BeamLine> lines, List<BeamDesign> designs) {
        boolean sound = true;
        boolean practical = true;
        List<CountedBars> counted = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            BeamDesign alone = own(lines.get(i));
            BeamDesign now = designs.get(i);
            sound &= now.satisfied() || !alone.satisfied();
            practical &= !Sharing.breaksPractice(now.findings()) || Sharing.breaksPractice(alone.findings());
            counted.add(now == alone ? bars.get(alone.line().id()) : CountedBars.of(now));
        }
        return new Shared<>(designs, sound, practical, CountedBars.together(counted));
    }

    @Override
    public double[] demand(BeamLine l) {
        double[] out = new double[l.spans().size() * PLACES * 3];
        double fy = own(l).basis().fy();
        for (BeamDesign.Point p : own(l).profile()) {
            BeamLine.Span s = l.spans().get(p.span());
            double part = Math.max(0, Math.min(1, (p.x() - s.faceFrom()) / s.clear()));
            int place = (p.span() * PLACES + Math.min(PLACES - 1, (int) (part * PLACES))) * 3;
            double d = 0.9 * s.shape().depth();
            out[place] = Math.max(out[place], p.mPos() / (0.9 * d * fy));
            out[place + 1] = Math.max(out[place + 1], -p.mNeg() / (0.9 * d * fy));
            double shear = Math.max(Math.max(p.vMax(), -p.vMin()), p.ve());
            // legs a length, as steel along the line: about three depths of leg a metre
            out[place + 2] = Math.max(out[place + 2], 3 * shear / fy);
        }
        return out;
    }
}
