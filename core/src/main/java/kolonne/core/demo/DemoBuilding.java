package kolonne.core.demo;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import kolonne.core.model.AnalysisOptions;
import kolonne.core.model.AreaLoad;
import kolonne.core.model.Building;
import kolonne.core.model.Diaphragm;
import kolonne.core.model.Direction;
import kolonne.core.model.GridLine;
import kolonne.core.model.Joint;
import kolonne.core.model.JointLoad;
import kolonne.core.model.Material;
import kolonne.core.model.Member;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.Release;
import kolonne.core.model.Role;
import kolonne.core.model.Section;
import kolonne.core.model.SlabPanel;
import kolonne.core.model.StiffnessFactors;
import kolonne.core.model.Storey;
import kolonne.core.model.Support;
import kolonne.core.shape.Shape;

/** Generates a made-up frame building. Deterministic: the same options give the same building. */
public final class DemoBuilding {
    private static final double GROUND_HEIGHT = 4200;
    private static final double STOREY_HEIGHT = 3600;
    private static final double SLAB = 160;
    private static final double CANTILEVER = 2400;
    private static final double CONCRETE = 25e-6;
    /** Cracked beams and columns (ACI 318-19 table 6.6.3.1.1 a); torsion of cracked beams nearly off. */
    private static final StiffnessFactors BEAM = new StiffnessFactors(1, 0.35, 0.35, 0.05);

    private static final StiffnessFactors TWISTED = new StiffnessFactors(1, 0.35, 0.35, 0.6);
    private static final StiffnessFactors COLUMN = new StiffnessFactors(1, 0.70, 0.70, 0.20);
    private static final double THIN = 250;
    /** Compact shelving along a beam [N/mm]. */
    private static final double SHELVES = 110;

    private static final int HIDDEN_FLOOR = 4;
    private static final int SETBACK_FROM = 5;

    private final DemoOptions o;
    private final Random random;
    private final double[] x;
    private final double[] y;
    private final double[] z;
    private final Map<String, Joint> joints = new LinkedHashMap<>();
    private final List<Member> members = new ArrayList<>();
    private final Map<String, Section> sections = new LinkedHashMap<>();
    private final List<SlabPanel> panels = new ArrayList<>();
    private final List<AreaLoad> areaLoads = new ArrayList<>();
    private final List<MemberLoad> memberLoads = new ArrayList<>();
    private final List<JointLoad> jointLoads = new ArrayList<>();
    private final List<Diaphragm> diaphragms = new ArrayList<>();
    private final List<Storey> storeys = new ArrayList<>();
    private final Set<String> columnsAt = new HashSet<>();

    private DemoBuilding(DemoOptions o) {
        this.o = o;
        random = new Random(o.seed());
        x = bays(o.baysX());
        y = bays(o.baysY());
        z = new double[o.storeys() + 1];
        for (int s = 1; s <= o.storeys(); s++) {
            z[s] = z[s - 1] + (s == 1 ? GROUND_HEIGHT : STOREY_HEIGHT);
        }
    }

    public static Building generate(DemoOptions o) {
        return new DemoBuilding(o).building();
    }

    /** The same in US customary units: in whole inches and feet, with usual concretes. */
    public static Building customary(DemoOptions o) {
        return CustomaryDemo.of(generate(o));
    }

    /** Grid positions with bays of 6.0 to 9.6 m in steps of 0.6 m. */
    private double[] bays(int n) {
        double[] out = new double[n + 1];
        for (int i = 0; i < n; i++) {
            out[i + 1] = out[i] + (o.features() ? 6000 + 600 * random.nextInt(7) : 7200);
        }
        return out;
    }

    private Building building() {
        storeys.add(new Storey("G", "Ground", 0));
        for (int s = 1; s <= o.storeys(); s++) {
            storeys.add(new Storey("L" + s, "L" + s, z[s]));
            columns(s);
            floor(s);
        }
        if (o.features()) {
            pavilion();
        }
        lateral();
        List<Support> supports = joints.values().stream()
                .filter(j -> j.z() == 0)
                .map(j -> Support.fixed(j.id()))
                .toList();
        List<Material> materials = List.of(
                new Material("C35", 35, 4700 * Math.sqrt(35), 0.2, CONCRETE),
                new Material("C45", 45, 4700 * Math.sqrt(45), 0.2, CONCRETE));
        String name = o.features() ? "Veldhaven Archive and Reading Rooms" : "Frame of " + members.size() + " members";
        return new Building(
                name,
                "SI",
                AnalysisOptions.STANDARD,
                storeys,
                grid(),
                List.copyOf(joints.values()),
                materials,
                List.copyOf(sections.values()),
                members,
                supports,
                List.of(),
                diaphragms,
                panels,
                DemoCombinations.cases(),
                memberLoads,
                areaLoads,
                jointLoads,
                List.of(),
                DemoCombinations.all(),
                List.of());
    }

    private List<GridLine> grid() {
        List<GridLine> out = new ArrayList<>();
        for (int i = 0; i < x.length; i++) {
            out.add(new GridLine(letter(i), x[i], -3000, x[i], y[y.length - 1] + 3000));
        }
        for (int j = 0; j < y.length; j++) {
            out.add(new GridLine(Integer.toString(j + 1), -3000, y[j], x[x.length - 1] + 3000, y[j]));
        }
        return out;
    }

    private static String letter(int i) {
        return i < 26 ? Character.toString((char) ('A' + i)) : letter(i / 26 - 1) + (char) ('A' + i % 26);
    }

    private static String level(int s) {
        return s == 0 ? "G" : "L" + s;
    }

    private static String grid(int i, int j) {
        return letter(i) + (j + 1);
    }

    // ---- what exists where ----------------------------------------------------------------------------------------

    /** Whether a storey's floor covers the bay with corner (i, j). */
    private boolean bay(int s, int i, int j) {
        if (i < 0 || j < 0 || i >= o.baysX() || j >= o.baysY()) {
            return false;
        }
        if (!o.features()) {
            return true;
        }
        boolean setBack = s >= SETBACK_FROM && i == o.baysX() - 1;
        boolean hall = s == 1 && i >= 2 && i <= 4 && (j == 1 || j == 2);
        return !setBack && !hall;
    }

    private boolean node(int s, int i, int j) {
        return bay(s, i, j) || bay(s, i - 1, j) || bay(s, i, j - 1) || bay(s, i - 1, j - 1);
    }

    /** The hall's middle columns pass through the first floor without a joint. */
    private boolean hallColumn(int i, int j) {
        return o.features() && (i == 3 || i == 4) && j == 2;
    }

    /** The column left out below the transfer beam: it is planted on the first floor. */
    private boolean planted(int i, int j) {
        return o.features() && i == 1 && j == 2;
    }

    private boolean edgeX(int s, int i, int j) {
        return bay(s, i, j) != bay(s, i, j - 1);
    }

    // ---- columns --------------------------------------------------------------------------------------------------

    private void columns(int s) {
        for (int i = 0; i < x.length; i++) {
            for (int j = 0; j < y.length; j++) {
                if (!node(s, i, j) || planted(i, j) && s <= 1) {
                    continue;
                }
                int base = s - 1;
                if (hallColumn(i, j)) {
                    if (s == 1) {
                        continue;
                    }
                    base = s == 2 ? 0 : base;
                }
                column(base, s, i, j);
            }
        }
    }

    private void column(int base, int s, int i, int j) {
        String foot = joint(level(base) + "-" + grid(i, j), x[i], y[j], z[base]);
        String head = joint(level(s) + "-" + grid(i, j), x[i], y[j], z[s]);
        double half = s == HIDDEN_FLOOR && o.features() ? 200 : 300;
        members.add(new Member(
                level(s) + "-C-" + grid(i, j),
                Role.COLUMN,
                foot,
                head,
                columnSection(s, i, j),
                s <= 3 ? "C45" : "C35",
                0,
                Release.NONE,
                Release.NONE,
                base == 0 ? 0 : half,
                half,
                COLUMN));
        columnsAt.add(head);
        columnsAt.add(foot);
    }

    /** Two columns that the first scheme kept as slim on the lowest floors as on the upper ones. */
    private boolean slight(int s, int i, int j) {
        return o.features() && s <= 2 && j == 3 && (i == 3 || i == 5);
    }

    /** Two columns of the top storey as thin as the wall that they stand in: no hook of a girder finds its length in them. */
    private boolean thin(int s, int i, int j) {
        return o.features() && s == o.storeys() && i == 0 && (j == 1 || j == 2);
    }

    private String columnSection(int s, int i, int j) {
        if (hallColumn(i, j) && s <= 2) {
            return circle(750);
        }
        boolean edge = !(bay(s, i, j) && bay(s, i - 1, j) && bay(s, i, j - 1) && bay(s, i - 1, j - 1));
        int floors = o.storeys() - s + 1;
        double size = (edge ? 450 : 500) + 50 * Math.max(0, Math.ceil((floors - 2) / 2.0));
        if (o.features() && i == 1 && (j == 1 || j == 3) && s <= 1) {
            size += 100;
        }
        if (slight(s, i, j)) {
            size = 400;
        }
        return thin(s, i, j) ? rectangle(THIN, size) : rectangle(size, size);
    }

    // ---- floors ---------------------------------------------------------------------------------------------------

    private void floor(int s) {
        for (int i = 0; i < x.length; i++) {
            for (int j = 0; j < y.length; j++) {
                if (node(s, i, j) && !(hallColumn(i, j) && s == 1)) {
                    joint(level(s) + "-" + grid(i, j), x[i], y[j], z[s]);
                }
            }
        }
        for (int i = 0; i < x.length; i++) {
            for (int j = 0; j < y.length; j++) {
                if (bay(s, i, j) || bay(s, i, j - 1)) {
                    girder(s, i, j);
                }
                if (bay(s, i, j) || bay(s, i - 1, j)) {
                    crossBeam(s, i, j);
                }
            }
        }
        for (int i = 0; i < o.baysX(); i++) {
            for (int j = 0; j < o.baysY(); j++) {
                if (bay(s, i, j)) {
                    bayFloor(s, i, j);
                }
            }
        }
        if (o.features() && s >= 2 && s <= SETBACK_FROM) {
            readingBay(s);
        }
        diaphragms.add(new Diaphragm(
                level(s),
                joints.values().stream()
                        .filter(q -> q.z() == z[s])
                        .map(Joint::id)
                        .toList()));
    }

    /** Two girders below a corridor that a first scheme made too shallow. */
    private boolean shallow(int s, int i, int j) {
        return o.features() && s == 3 && j == 1 && (i == 1 || i == 3);
    }

    /** Two short beams under compact shelving. */
    private boolean shelving(int s, int i, int j) {
        return o.features() && s == 2 && j == 1 && (i == 4 || i == 5);
    }

    /** Two beams of the roof as deep as the screen round the plant that they carry. */
    private boolean screen(int s, int i, int j) {
        return o.features() && s == o.storeys() && j == 1 && (i == 0 || i == 1);
    }

    /** Edge girders into which secondary beams are built in: they twist. */
    private boolean twisted(int s, int i, int j) {
        return o.features() && s == SETBACK_FROM && (j == 0 && (i == 1 || i == 2) || j == o.baysY() && i == 1);
    }

    /** Whether the beams right of grid line i are hidden in the slab of their floor. */
    private boolean hidden(int s, int i) {
        return o.features() && s == HIDDEN_FLOOR && i >= 4;
    }

    /** A girder along X in two members that meet where the secondary beam frames in. */
    private void girder(int s, int i, int j) {
        String mid = joint(level(s) + "-" + letter(i) + letter(i + 1) + (j + 1), (x[i] + x[i + 1]) / 2, y[j], z[s]);
        String a = level(s) + "-" + grid(i, j);
        String b = level(s) + "-" + grid(i + 1, j);
        String section;
        if (hidden(s, i)) {
            // two of the longest were left as shallow as their neighbours would need
            boolean left = i == 5 && (j == 1 || j == 3);
            section = rectangle(1200, left ? (j == 1 ? 350 : 400) : depth(x[i + 1] - x[i], 20));
        } else {
            double h = depth(x[i + 1] - x[i], 12.5);
            section = edgeX(s, i, j) ? ell(300, h, 900) : rectangle(x[i + 1] - x[i] > 7500 ? 400 : 350, h);
        }
        if (shallow(s, i, j)) {
            section = rectangle(300, 450);
        }
        beam(a + ".." + mid.substring(mid.lastIndexOf('-') + 1), a, mid, section, Release.NONE, Release.NONE);
        beam(mid + ".." + grid(i + 1, j), mid, b, section, Release.NONE, Release.NONE);
        if (twisted(s, i, j)) {
            for (int k = members.size() - 2; k < members.size(); k++) {
                Member m = members.get(k);
                members.set(
                        k,
                        new Member(
                                m.id(),
                                m.role(),
                                m.start(),
                                m.end(),
                                m.section(),
                                m.material(),
                                0,
                                m.startRelease(),
                                m.endRelease(),
                                m.rigidStart(),
                                m.rigidEnd(),
                                TWISTED));
            }
        }
        if (edgeX(s, i, j)) {
            facade(a + ".." + mid.substring(mid.lastIndexOf('-') + 1));
            facade(mid + ".." + grid(i + 1, j));
        }
    }

    /** A beam along Y between columns; over the hall's missing column it carries the planted one. */
    private void crossBeam(int s, int i, int j) {
        String a = level(s) + "-" + grid(i, j);
        String b = level(s) + "-" + grid(i, j + 1);
        boolean edge = bay(s, i, j) != bay(s, i - 1, j);
        boolean transfer = o.features() && s == 1 && i == 1 && (j == 1 || j == 2);
        String section = hidden(s, i - 1)
                ? rectangle(1000, depth(y[j + 1] - y[j], 18))
                : transfer
                        ? rectangle(1200, 2200)
                        : edge ? ell(300, depth(y[j + 1] - y[j], 14), 900) : rectangle(300, depth(y[j + 1] - y[j], 14));
        // The transfer beam rests on bearings, so that it does not bend its columns
        beam(
                a + ".." + grid(i, j + 1),
                a,
                b,
                section,
                transfer && j == 1 ? Release.PIN : Release.NONE,
                transfer && j == 2 ? Release.PIN : Release.NONE);
        if (edge) {
            facade(a + ".." + grid(i, j + 1));
        }
        if (shelving(s, i, j)) {
            memberLoads.add(new MemberLoad(
                    "LA",
                    a + ".." + grid(i, j + 1),
                    MemberLoad.Kind.DISTRIBUTED,
                    Direction.GLOBAL_Z,
                    0,
                    y[j + 1] - y[j],
                    -SHELVES,
                    -SHELVES));
        }
    }

    /** The secondary beam of a bay, pinned to its girders, and the two slab panels beside it. */
    private void bayFloor(int s, int i, int j) {
        String a = level(s) + "-" + letter(i) + letter(i + 1) + (j + 1);
        String b = level(s) + "-" + letter(i) + letter(i + 1) + (j + 2);
        double span = y[j + 1] - y[j];
        // the longest spans are too much for beams within the slab
        String section = screen(s, i, j)
                ? rectangle(300, depth(span, 3.5))
                : hidden(s, i) && span < 9000 ? rectangle(1000, depth(span, 17)) : tee(300, depth(span, 14), 1200);
        beam(
                a + ".." + (j + 2),
                a,
                b,
                section,
                twisted(s, i, j) ? Release.NONE : Release.PIN,
                twisted(s, i, j + 1) ? Release.NONE : Release.PIN);
        String[] c = {
            level(s) + "-" + grid(i, j),
            level(s) + "-" + grid(i + 1, j),
            level(s) + "-" + grid(i + 1, j + 1),
            level(s) + "-" + grid(i, j + 1)
        };
        panel(s, a + "-w", List.of(c[0], a, b, c[3]), i + j);
        panel(s, a + "-e", List.of(a, c[1], c[2], b), i + j + 1);
    }

    /** A reading bay beyond grid line A: two cantilevers with a beam across their tips. */
    private void readingBay(int s) {
        int j = 1;
        String[] tips = new String[2];
        for (int k = 0; k < 2; k++) {
            String root = level(s) + "-" + grid(0, j + k);
            tips[k] = joint(level(s) + "-T" + (j + k + 1), -CANTILEVER, y[j + k], z[s]);
            beam(root + "..T", tips[k], root, rectangle(400, 700), Release.NONE, Release.NONE);
        }
        beam(tips[0] + ".." + (j + 2), tips[0], tips[1], rectangle(300, 550), Release.PIN, Release.PIN);
        facade(tips[0] + ".." + (j + 2));
        panel(
                s,
                level(s) + "-reading",
                List.of(tips[0], level(s) + "-" + grid(0, j), level(s) + "-" + grid(0, j + 1), tips[1]),
                s);
    }

    private void panel(int s, String id, List<String> corners, int pattern) {
        panels.add(new SlabPanel(id, corners, s == HIDDEN_FLOOR && o.features() ? 200 : SLAB, CONCRETE, false, 0));
        boolean roof = s == o.storeys();
        double archive = o.features() && (s == 2 || s == 3) && id.contains("-C") ? 7.2e-3 : 4.0e-3;
        areaLoads.add(new AreaLoad("SD", id, roof ? 2.0e-3 : 1.8e-3));
        if (roof) {
            areaLoads.add(new AreaLoad("LR", id, 1.0e-3));
            areaLoads.add(new AreaLoad("S", id, 0.8e-3));
        } else {
            areaLoads.add(new AreaLoad(Math.floorMod(pattern, 2) == 0 ? "LA" : "LB", id, archive));
        }
    }

    private void facade(String member) {
        Member m = members.get(members.size() - 1);
        for (int k = members.size() - 1; !m.id().equals(member); k--) {
            m = members.get(k);
        }
        double length = joints.get(m.start()).distanceTo(joints.get(m.end()));
        memberLoads.add(
                new MemberLoad("SD", member, MemberLoad.Kind.DISTRIBUTED, Direction.GLOBAL_Z, 0, length, -6, -6));
    }

    private void beam(String id, String start, String end, String section, Release a, Release b) {
        members.add(new Member(id, Role.BEAM, start, end, section, "C35", 0, a, b, rigid(start), rigid(end), BEAM));
    }

    /** Half the column at a joint, as rigid end of a beam [mm]. */
    private double rigid(String joint) {
        if (!columnsAt.contains(joint)) {
            return 0;
        }
        for (int k = members.size() - 1; k >= 0; k--) {
            Member m = members.get(k);
            if (m.role() == Role.COLUMN && m.end().equals(joint)) {
                return sections.get(m.section()).shape().width() / 2;
            }
        }
        return 0;
    }

    /** Span over a ratio, up to the next 50 mm. */
    private static double depth(double span, double ratio) {
        return Math.ceil(span / ratio / 50) * 50;
    }

    // ---- roof pavilion and lateral loads --------------------------------------------------------------------------

    private void pavilion() {
        double top = z[o.storeys()] + 3000;
        storeys.add(new Storey("P", "Pavilion", top));
        String[][] at = new String[2][2];
        for (int i = 0; i < 2; i++) {
            for (int j = 0; j < 2; j++) {
                at[i][j] = joint("P-" + grid(2 + i, 1 + j), x[2 + i], y[1 + j], top);
                members.add(new Member(
                        "P-C-" + grid(2 + i, 1 + j),
                        Role.COLUMN,
                        level(o.storeys()) + "-" + grid(2 + i, 1 + j),
                        at[i][j],
                        rectangle(400, 400),
                        "C35",
                        0,
                        Release.NONE,
                        Release.NONE,
                        300,
                        225,
                        COLUMN));
                columnsAt.add(at[i][j]);
            }
        }
        String section = rectangle(250, 500);
        beam("P-2", at[0][0], at[1][0], section, Release.NONE, Release.NONE);
        beam("P-3", at[0][1], at[1][1], section, Release.NONE, Release.NONE);
        beam("P-C", at[0][0], at[0][1], section, Release.NONE, Release.NONE);
        beam("P-D", at[1][0], at[1][1], section, Release.NONE, Release.NONE);
        panels.add(new SlabPanel("P-roof", List.of(at[0][0], at[1][0], at[1][1], at[0][1]), SLAB, CONCRETE, false, 0));
        areaLoads.add(new AreaLoad("SD", "P-roof", 1.5e-3));
        areaLoads.add(new AreaLoad("LR", "P-roof", 1.0e-3));
        areaLoads.add(new AreaLoad("S", "P-roof", 0.8e-3));
        diaphragms.add(new Diaphragm("P", List.of(at[0][0], at[1][0], at[1][1], at[0][1])));
    }

    /** Wind by façade area, earthquake growing with height; both shared by the columns' joints of a floor. */
    private void lateral() {
        double widthX = x[x.length - 1];
        double widthY = y[y.length - 1];
        for (Diaphragm d : diaphragms) {
            double height = joints.get(d.joints().get(0)).z();
            List<String> at = d.joints().stream().filter(columnsAt::contains).toList();
            double wind = 1.1e-3 * STOREY_HEIGHT * (d.id().equals("P") ? 0.3 : 1);
            double quake = 0.06e-3 * STOREY_HEIGHT * height / 3000 * (d.id().equals("P") ? 0.1 : 1);
            double area = widthX * widthY / (widthX + widthY);
            for (String j : at) {
                double share = 1.0 / at.size();
                jointLoads.add(force("WX", j, wind * widthY * share, 0));
                jointLoads.add(force("WY", j, 0, wind * widthX * share));
                jointLoads.add(force("EX", j, quake * area * 2 * share, 0));
                jointLoads.add(force("EY", j, 0, quake * area * 2 * share));
            }
        }
    }

    private static JointLoad force(String c, String joint, double fx, double fy) {
        return new JointLoad(c, joint, Math.round(fx), Math.round(fy), 0, 0, 0, 0);
    }

    // ---- sections and joints --------------------------------------------------------------------------------------

    private String joint(String id, double px, double py, double pz) {
        joints.putIfAbsent(id, new Joint(id, px, py, pz));
        return id;
    }

    private String rectangle(double b, double h) {
        return section("R" + (int) b + "x" + (int) h, new Shape.Rectangle(b, h));
    }

    private String circle(double d) {
        return section("D" + (int) d, new Shape.Circle(d));
    }

    private String tee(double bw, double h, double bf) {
        return section("T" + (int) bw + "x" + (int) h, new Shape.Tee(bw, h, bf, SLAB));
    }

    private String ell(double bw, double h, double bf) {
        return section("L" + (int) bw + "x" + (int) h, new Shape.Ell(bw, h, bf, SLAB));
    }

    private String section(String id, Shape s) {
        sections.putIfAbsent(id, new Section(id, s));
        return id;
    }
}
