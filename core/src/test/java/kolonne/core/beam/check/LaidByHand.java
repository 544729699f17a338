package kolonne.core.beam.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.beam.line.BeamLines;
import kolonne.core.check.CheckResult;
import kolonne.core.code.Bar;
import kolonne.core.code.BarCatalogue;
import kolonne.core.explain.Step;
import kolonne.core.finding.Cause;
import kolonne.core.model.ModelBuilder;

/** The first line of a small model with a cage laid by hand, and what its checks tell. */
final class LaidByHand {
    static final Bar T8 = BarCatalogue.METRIC.find("T8");
    static final Bar T10 = BarCatalogue.METRIC.find("T10");
    static final Bar T12 = BarCatalogue.METRIC.find("T12");
    static final Bar T16 = BarCatalogue.METRIC.find("T16");
    static final Bar T20 = BarCatalogue.METRIC.find("T20");
    static final Bar T25 = BarCatalogue.METRIC.find("T25");
    static final Bar T32 = BarCatalogue.METRIC.find("T32");

    final BeamLine line;
    final BeamContext context;
    private final List<BeamCage.Group> groups = new ArrayList<>();
    private final List<BeamCage.Zone> zones = new ArrayList<>();
    private final List<BeamCage.SideBars> sides = new ArrayList<>();

    LaidByHand(ModelBuilder model, Basis basis) {
        this(model, basis, 0);
    }

    LaidByHand(ModelBuilder model, Basis basis, int number) {
        Analysis a = model.solve();
        line = BeamLines.find(a, basis).get(number);
        context = BeamContext.of(a, basis);
    }

    /** Straight bars of the first layer from end to end. */
    LaidByHand through(BeamCage.Face face, int count, Bar bar, double offset) {
        return bars(new BeamCage.Group(
                face,
                1,
                count,
                bar,
                offset,
                line.firstBar(context.basis()),
                line.lastBar(context.basis()),
                false,
                false,
                true));
    }

    /** The same with hooks at both ends. */
    LaidByHand hooked(BeamCage.Face face, int count, Bar bar, double offset) {
        return bars(new BeamCage.Group(
                face,
                1,
                count,
                bar,
                offset,
                line.firstBar(context.basis()),
                line.lastBar(context.basis()),
                true,
                true,
                true));
    }

    LaidByHand bars(BeamCage.Group g) {
        groups.add(g);
        return this;
    }

    LaidByHand zone(int span, double from, double to, Bar bar, int legs, double spacing) {
        zones.add(new BeamCage.Zone(span, from, to, bar, legs, spacing));
        return this;
    }

    LaidByHand side(BeamCage.SideBars s) {
        sides.add(s);
        return this;
    }

    BeamCage cage() {
        return new BeamCage(groups, zones, sides);
    }

    BeamDesign design() {
        return BeamCheck.run(line, cage(), context);
    }

    /** What the checks told. */
    Told told() {
        return new Told(design());
    }

    /** The calculation at the station nearest to a place. */
    List<Step> explained(double x) {
        int station = line.stations().stream()
                .min(java.util.Comparator.comparingDouble(s -> Math.abs(s.x() - x)))
                .orElseThrow()
                .number();
        return BeamCheck.explain(line, cage(), context, station);
    }

    /** The results of one run. */
    record Told(BeamDesign design) {
        CheckResult of(String kind) {
            return design.checks().stream()
                    .filter(c -> c.kind().id().equals(kind))
                    .findFirst()
                    .orElseThrow(() -> new AssertionError(kind + " in "
                            + design.checks().stream().map(k -> k.kind().id()).toList()));
        }

        /** Demand, capacity, their ratio, the place and the clause of a check, each worked out by the test. */
        Told tells(String kind, double demand, double capacity, double x, String clause) {
            CheckResult c = of(kind);
            assertEquals(demand, c.demand(), 1e-4 * Math.abs(demand) + 1e-6, kind + " demand");
            assertEquals(capacity, c.capacity(), 1e-4 * Math.abs(capacity) + 1e-6, kind + " capacity");
            assertEquals(demand / capacity, c.utilisation(), 2e-4 * Math.abs(demand / capacity) + 1e-6, kind + " use");
            assertEquals(x, c.x(), 0.5, kind + " place");
            assertEquals(clause, c.clause().text(), kind);
            assertFalse(c.place().isBlank(), kind);
            return this;
        }

        Told cause(String kind, Cause cause) {
            assertEquals(cause, of(kind).cause(), kind);
            return this;
        }

        Told use(String kind, double use) {
            assertEquals(use, of(kind).utilisation(), 2e-4 * use, kind);
            return this;
        }

        Told silent(String... kinds) {
            for (String k : kinds) {
                assertTrue(
                        design.checks().stream().noneMatch(c -> c.kind().id().equals(k)),
                        k + " in "
                                + design.checks().stream()
                                        .map(q -> q.kind().id())
                                        .toList());
            }
            return this;
        }
    }
}
