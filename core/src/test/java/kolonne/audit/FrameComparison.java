package kolonne.audit;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import kolonne.core.check.CheckResult;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.design.BuildingDesign;

/** What a design tells of its frames for earthquakes beside what its drawings say; every comparison asserts that none differs and says how many it made. */
final class FrameComparison {
    private static final double SLACK = 0.02;

    private final BuildingDesign d;
    private final FrameReading reading;
    private final boolean plain;

    FrameComparison(BuildingDesign d) {
        this.d = d;
        this.reading = reading(d);
        this.plain = Drawn.basis(d.basis()).frame() == Sheet.Frame.NONE;
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
        void lift(String mark, Map<String, Double> read, Map<String, Double> told);
    }

    void each(Each e) {
        for (ColumnDesign c : d.columns()) {
            for (int i = 0; i < c.lifts().size(); i++) {
                Map<String, Double> told = new HashMap<>();
                for (CheckResult r : c.lifts().get(i).checks()) {
                    told.put(r.kind().id(), r.utilisation());
                }
                Sheet.Lift lift = Drawn.lift(c, i, d.basis());
                e.lift(c.stack().mark() + " " + i, plain ? reading.plainJoint(lift) : reading.read(lift), told);
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

    /** Told uses may be higher: laps of bars that do not touch are longer by their distance, which is not read. */
    int noLess(String kind) {
        return compare(kind, (r, t) -> r <= 1.005 * t);
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

    /** Told uses may be higher: the reading leaves out what twists a column and what shear the combinations bring. */
    int shearFromTheEnds() {
        List<String> unlike = new ArrayList<>();
        int[] compared = {0};
        each((mark, read, told) -> {
            for (String axis : List.of("x", "y")) {
                double r = read.getOrDefault("shear-" + axis, 0.0);
                compared[0] += r > 0 ? 1 : 0;
                if (r > told.getOrDefault("shear-" + axis, 0.0) * 1.005 + 1e-9) {
                    unlike.add(mark + " " + axis + " read " + r + " told " + told.get("shear-" + axis));
                }
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
