package kolonne.audit;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import kolonne.core.basis.part.Ductility;
import kolonne.core.check.CheckResult;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.design.BuildingDesign;

/** What a design tells of the columns (or the beams) of its frames for earthquakes beside what its drawings say; every comparison asserts that none differs and says how many it made. */
final class FrameComparison {
    private static final double SLACK = 0.02;

    private final BuildingDesign d;
    private final Consumer<Each> members;

    private FrameComparison(BuildingDesign d, Consumer<Each> members) {
        this.d = d;
        this.members = members;
    }

    static FrameComparison columns(BuildingDesign d) {
        FrameReading reading = reading(d);
        return new FrameComparison(d, e -> lifts(d, reading, e));
    }

    /** Lines that the code covers. */
    static FrameComparison beams(BuildingDesign d) {
        Sheet.Basis numbers = Drawn.basis(d.basis());
        Forces forces = new Forces(d.analysis(), numbers);
        boolean outside = d.basis().ductility() == Ductility.OUTSIDE;
        return new FrameComparison(
                d,
                e -> d.beams().stream()
                        .filter(b -> b.checks().stream()
                                .allMatch(c -> c.satisfied() || !c.cause().id().equals("out-of-scope")))
                        .forEach(b -> {
                            Map<String, Double> read = new HashMap<>();
                            new FrameBeamReading(Drawn.line(b, d.basis()), numbers, forces, outside)
                                    .run()
                                    .all()
                                    .forEach((kind, use) -> read.put(kind, use.use()));
                            e.member(b.line().mark(), read, told(b.checks()));
                        }));
    }

    private static Map<String, Double> told(List<CheckResult> checks) {
        Map<String, Double> out = new HashMap<>();
        checks.forEach(r -> out.merge(r.kind().id(), r.utilisation(), Math::max));
        return out;
    }

    static FrameReading reading(BuildingDesign d) {
        Sheet.Basis numbers = Drawn.basis(d.basis());
        return new FrameReading(
                numbers,
                new Forces(d.analysis(), numbers),
                d.beams().stream().map(b -> Drawn.line(b, d.basis())).toList(),
                lifts(d));
    }

    private static List<Sheet.Lift> lifts(BuildingDesign d) {
        List<Sheet.Lift> out = new ArrayList<>();
        for (ColumnDesign c : d.columns()) {
            for (int i = 0; i < c.lifts().size(); i++) {
                out.add(Drawn.lift(c, i, d.basis()));
            }
        }
        return out;
    }

    interface Each {
        void member(String mark, Map<String, Double> read, Map<String, Double> told);
    }

    void each(Each e) {
        members.accept(e);
    }

    private static void lifts(BuildingDesign d, FrameReading reading, Each e) {
        boolean plain = Drawn.basis(d.basis()).frame() == Sheet.Frame.NONE;
        for (ColumnDesign c : d.columns()) {
            for (int i = 0; i < c.lifts().size(); i++) {
                Sheet.Lift lift = Drawn.lift(c, i, d.basis());
                e.member(
                        c.stack().mark() + " " + i,
                        plain ? reading.plainJoint(lift) : reading.read(lift),
                        told(c.lifts().get(i).checks()));
            }
        }
    }

    private int compare(String kind, BiFunction<Double, Double, Boolean> alike) {
        List<String> unlike = new ArrayList<>();
        int[] compared = {0};
        each((mark, read, told) -> {
            double r = read.getOrDefault(kind, 0.0);
            double t = told.getOrDefault(kind, 0.0);
            compared[0] += r > 0 ? 1 : 0;
            if (!alike.apply(r, t)) {
                unlike.add(mark + " read " + r + " told " + t);
            }
        });
        none(unlike, kind + " of " + compared[0]);
        return compared[0];
    }

    private void none(List<String> unlike, String what) {
        assertEquals(
                List.of(),
                unlike.stream().limit(10).toList(),
                d.analysis().index().building().name() + ": " + what);
    }

    int same(String kind) {
        return compare(kind, (r, t) -> Math.abs(r - t) <= SLACK * Math.max(r, t));
    }

    /** Told uses may be higher. */
    int noLess(String kind) {
        return compare(kind, (r, t) -> r <= 1.005 * t);
    }

    /** A rule that the designer never tells of since its layout keeps it: or another says that it is broken. */
    int kept(String kind, String other) {
        List<String> broken = new ArrayList<>();
        int[] compared = {0};
        each((mark, read, told) -> {
            compared[0] += read.containsKey(kind) ? 1 : 0;
            if (read.getOrDefault(kind, 0.0) > 1.0001 && told.getOrDefault(other, 0.0) <= 1) {
                broken.add(mark + " " + read.get(kind));
            }
        });
        none(broken, kind + " of " + compared[0]);
        return compared[0];
    }

    /** Read uses may be lower by so much: ties are set out in whole numbers, never farther apart than chosen. */
    int nearlySame(String kind) {
        return compare(kind, (r, t) -> r <= 1.005 * t && r >= 0.8 * t);
    }

    /** 18.7.5.1, 18.7.5.3, 18.7.5.5 over every pair of neighbouring hoops, wherever the designer met them. */
    void hoopsStandCloseEnough() {
        List<String> unlike = new ArrayList<>();
        each((mark, read, told) -> {
            double close = Math.max(told.getOrDefault("end-ties", 0.0), told.getOrDefault("end-reach", 0.0));
            if (close <= 1 && read.get("hoops-beside") > 1) {
                unlike.add(mark + " beside " + read.get("hoops-beside"));
            }
            if (told.get("tie-spacing") <= 1 && read.get("hoops-elsewhere") > 1) {
                unlike.add(mark + " elsewhere " + read.get("hoops-elsewhere"));
            }
        });
        none(unlike, "hoops");
    }

    /** Shear from the strength of the ends along both axes, and the worst with that of the combinations. @return lifts whose ends have more of it than the combinations */
    int shearFromTheEnds() {
        List<String> unlike = new ArrayList<>();
        int[] compared = {0};
        each((mark, read, told) -> {
            double ends = 0;
            double all = 0;
            for (String axis : List.of("x", "y")) {
                double r = read.getOrDefault("shear-" + axis, 0.0);
                double t = told.getOrDefault("shear-" + axis, 0.0);
                ends = Math.max(ends, r);
                all = Math.max(all, t);
                if (r > t * 1.005 + 1e-9) {
                    unlike.add(mark + " " + axis + " read " + r + " told " + t);
                }
            }
            double most = Math.max(ends, read.get("shear-loads"));
            compared[0] += ends > read.get("shear-loads") ? 1 : 0;
            // hoops are set out in whole numbers, never farther apart than chosen
            if (most > 1.005 * all || most < 0.88 * all) {
                unlike.add(mark + " ends " + ends + " loads " + read.get("shear-loads") + " told " + all);
            }
        });
        none(unlike, "shear from the ends of " + compared[0]);
        return compared[0];
    }

    /** Joints with no beams across, and with beams that hold them: which of the two is not read. */
    int[] shearOfJoints() {
        List<String> unlike = new ArrayList<>();
        int[] held = {0, 0};
        each((mark, read, told) -> {
            for (String axis : List.of("x", "y")) {
                double t = told.getOrDefault("joint-shear-" + axis, 0.0);
                double loose = read.getOrDefault("joint-shear-" + axis, 0.0);
                double kept = read.getOrDefault("joint-shear-held-" + axis, 0.0);
                boolean isLoose = Math.abs(t - loose) <= SLACK * loose;
                boolean isHeld = Math.abs(t - kept) <= SLACK * kept;
                held[0] += loose > 0 && isLoose ? 1 : 0;
                held[1] += loose > 0 && isHeld ? 1 : 0;
                if (!isLoose && !isHeld) {
                    unlike.add(mark + " " + axis + " read " + loose + " or " + kept + " told " + t);
                }
            }
        });
        none(unlike, "joints of " + (held[0] + held[1]));
        return held;
    }
}
