package kolonne.core.design;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import kolonne.core.model.AnalysisOptions;
import kolonne.core.model.AreaLoad;
import kolonne.core.model.Building;
import kolonne.core.model.CaseKind;
import kolonne.core.model.Combination;
import kolonne.core.model.Direction;
import kolonne.core.model.Joint;
import kolonne.core.model.JointLoad;
import kolonne.core.model.LoadCase;
import kolonne.core.model.Material;
import kolonne.core.model.Member;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.Purpose;
import kolonne.core.model.Release;
import kolonne.core.model.Role;
import kolonne.core.model.Section;
import kolonne.core.model.SlabPanel;
import kolonne.core.model.StiffnessFactors;
import kolonne.core.model.Storey;
import kolonne.core.model.Support;
import kolonne.core.shape.Shape;

/**
 * A frame that no person would draw: skew plan, turned and round columns, flanged and wide beams in any mixture, cantilevers with moments, twisted
 * spans, pins, with and without slabs and service combinations.
 */
public final class RandomFrame {
    private final long seed;
    private final Random r;
    private final List<Joint> joints = new ArrayList<>();
    private final List<Member> members = new ArrayList<>();
    private final List<Support> supports = new ArrayList<>();
    private final List<SlabPanel> panels = new ArrayList<>();
    private final List<MemberLoad> loads = new ArrayList<>();
    private final List<JointLoad> pushes = new ArrayList<>();
    private final List<Storey> storeys = new ArrayList<>();
    private final int nx;
    private final int ny;
    private final int ns;
    private CaseKind push = CaseKind.WIND;
    private boolean twisted;
    private String twist = "D";

    public RandomFrame(long seed) {
        this.seed = seed;
        r = new Random(seed);
        nx = 1 + r.nextInt(3);
        ny = 1 + r.nextInt(2);
        ns = 1 + r.nextInt(3);
    }

    private static String id(int i, int j, int k) {
        return "J" + i + "_" + j + "_" + k;
    }

    private double[] steps(int n, double least, double most) {
        double[] out = new double[n + 1];
        for (int i = 1; i <= n; i++) {
            out[i] = out[i - 1] + least + r.nextDouble() * (most - least);
        }
        return out;
    }

    private void member(String id, Role role, String a, String b, String section, Release end) {
        members.add(new Member(
                id,
                role,
                a,
                b,
                section,
                "m",
                role == Role.COLUMN ? Math.toRadians(30 * r.nextInt(4)) : 0,
                Release.NONE,
                end,
                0,
                0,
                null));
    }

    private String beamSection() {
        return List.of("R", "T", "L", "W").get(r.nextInt(4));
    }

    /** The same frame, pushed by an earthquake instead of by wind. */
    public Building shaken(boolean us) {
        push = CaseKind.SEISMIC;
        return building(us);
    }

    /** The same frame with torques in the middle of every second column. */
    public Building twisted(boolean us) {
        twisted = true;
        return building(us);
    }

    /** Shaken, and twisted by what shakes it. */
    public Building shakenAndTwisted(boolean us) {
        push = CaseKind.SEISMIC;
        twist = "W";
        return twisted(us);
    }

    public Building building(boolean us) {
        double[] xs = steps(nx, 3000, 9000);
        double[] ys = steps(ny, 3000, 8000);
        double[] zs = steps(ns, 2900, 4800);
        double skew = r.nextBoolean() ? 0.2 : 0;
        for (int k = 0; k <= ns; k++) {
            storeys.add(new Storey("S" + k, "S" + k, zs[k]));
            for (int j = 0; j <= ny; j++) {
                for (int i = 0; i <= nx; i++) {
                    joints.add(new Joint(id(i, j, k), xs[i] + skew * ys[j], ys[j], zs[k]));
                }
            }
        }
        columns();
        for (int k = 1; k <= ns; k++) {
            floor(k, xs, zs);
        }
        twist();
        if (twisted) {
            twistColumns(new Random(seed));
        }
        return assembled(us);
    }

    private void columns() {
        for (int j = 0; j <= ny; j++) {
            for (int i = 0; i <= nx; i++) {
                supports.add(Support.fixed(id(i, j, 0)));
                for (int k = 0; k < ns; k++) {
                    member(
                            "c" + i + j + k,
                            Role.COLUMN,
                            id(i, j, k),
                            id(i, j, k + 1),
                            r.nextBoolean() ? "C" : "D",
                            Release.NONE);
                }
            }
        }
    }

    private void floor(int k, double[] xs, double[] zs) {
        for (int j = 0; j <= ny; j++) {
            for (int i = 0; i <= nx; i++) {
                if (i < nx) {
                    boolean back = r.nextInt(6) == 0;
                    member(
                            "x" + i + j + k,
                            Role.BEAM,
                            id(back ? i + 1 : i, j, k),
                            id(back ? i : i + 1, j, k),
                            beamSection(),
                            r.nextInt(7) == 0 ? Release.of(false, false, false, false, true, false) : Release.NONE);
                }
                if (j < ny) {
                    member("y" + i + j + k, Role.BEAM, id(i, j, k), id(i, j + 1, k), beamSection(), Release.NONE);
                }
                if (i < nx && j < ny) {
                    panels.add(new SlabPanel(
                            "p" + i + j + k,
                            List.of(id(i, j, k), id(i + 1, j, k), id(i + 1, j + 1, k), id(i, j + 1, k)),
                            180,
                            25e-6,
                            r.nextBoolean(),
                            0));
                }
            }
            pushes.add(new JointLoad("W", id(0, j, k), 15_000, 5_000, 0, 0, 0, 0));
        }
        if (r.nextInt(3) > 0) {
            joints.add(new Joint("t" + k, xs[nx] + 1000 + 1500 * r.nextDouble(), 0, zs[k]));
            member("cant" + k, Role.BEAM, id(nx, 0, k), "t" + k, "R", Release.NONE);
            loads.add(new MemberLoad("D", "cant" + k, MemberLoad.Kind.POINT, Direction.GLOBAL_Z, 900, 900, -30_000, 0));
            if (r.nextBoolean()) {
                loads.add(new MemberLoad(
                        "L", "cant" + k, MemberLoad.Kind.MOMENT, Direction.GLOBAL_X, 500, 500, 2.5e7, 0));
            }
        }
    }

    private void twist() {
        for (Member m : List.copyOf(members)) {
            if (m.role() == Role.BEAM && !m.id().startsWith("cant") && r.nextInt(4) == 0) {
                loads.add(new MemberLoad(
                        "D",
                        m.id(),
                        MemberLoad.Kind.DISTRIBUTED_MOMENT,
                        Direction.LOCAL_X,
                        0,
                        2000,
                        12_000 * r.nextDouble(),
                        8_000));
            }
            if (m.role() == Role.BEAM && !m.id().startsWith("cant") && r.nextInt(3) == 0) {
                loads.add(new MemberLoad(
                        "L",
                        m.id(),
                        MemberLoad.Kind.DISTRIBUTED,
                        Direction.GLOBAL_Z,
                        300,
                        2400,
                        -25 * r.nextDouble(),
                        0));
            }
        }
    }

    private void twistColumns(Random own) {
        for (Member m : members) {
            if (m.role() == Role.COLUMN && own.nextBoolean()) {
                double torque = 20e6 + 100e6 * own.nextDouble();
                loads.add(new MemberLoad(
                        twist, m.id(), MemberLoad.Kind.MOMENT, Direction.LOCAL_X, 1300, 1300, torque, 0));
            }
        }
    }

    private Building assembled(boolean us) {
        List<Combination> k = new ArrayList<>(List.of(
                combination("1", Purpose.STRENGTH, "D", 1.4),
                combination("2", Purpose.STRENGTH, "D", 1.2, "L", 1.6),
                combination("3", Purpose.STRENGTH, "D", 1.2, "L", 1.0, "W", 1.0),
                combination("4", Purpose.STRENGTH, "D", 0.9, "W", -1.0)));
        if (r.nextInt(3) > 0) {
            k.add(combination("s", Purpose.SERVICE_CHARACTERISTIC, "D", 1.0, "L", 1.0));
            k.add(combination("q", Purpose.SERVICE_QUASI_PERMANENT, "D", 1.0, "L", 0.3));
        }
        boolean slabs = r.nextInt(4) > 0;
        List<AreaLoad> area = slabs
                ? panels.stream()
                        .map(p -> new AreaLoad("L", p.id(), 4e-3 * r.nextDouble()))
                        .toList()
                : List.of();
        AnalysisOptions o = new AnalysisOptions(
                r.nextBoolean(),
                StiffnessFactors.GROSS,
                StiffnessFactors.GROSS,
                0.5 * r.nextInt(3),
                List.of(),
                r.nextBoolean());
        return new Building(
                "random " + seed,
                us ? "US" : "SI",
                o,
                storeys,
                List.of(),
                joints,
                List.of(new Material("m", 35, 4700 * Math.sqrt(35), 0.2, 25e-6)),
                List.of(
                        new Section("C", new Shape.Rectangle(400, 600)),
                        new Section("D", new Shape.Circle(500)),
                        new Section("R", new Shape.Rectangle(300, 600)),
                        new Section("T", new Shape.Tee(300, 600, 1200, 150)),
                        new Section("L", new Shape.Ell(300, 650, 800, 150)),
                        new Section("W", new Shape.Rectangle(800, 450))),
                members,
                supports,
                List.of(),
                List.of(),
                slabs ? panels : List.of(),
                List.of(
                        new LoadCase("D", "dead", CaseKind.DEAD, 1),
                        new LoadCase("L", "live", CaseKind.LIVE, 0),
                        new LoadCase("W", "push", push, 0)),
                loads,
                area,
                pushes,
                List.of(),
                k,
                List.of());
    }

    private static Combination combination(String id, Purpose purpose, Object... terms) {
        List<Combination.Term> out = new ArrayList<>();
        for (int i = 0; i < terms.length; i += 2) {
            out.add(new Combination.Term((String) terms[i], (Double) terms[i + 1]));
        }
        return new Combination(id, id, purpose, out);
    }
}
