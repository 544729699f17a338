package kolonne.bench;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Preference;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.code.Bar;
import kolonne.core.column.cage.BarLayout;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.RectangleBars;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.check.ColumnTieCheck;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.design.Decisions;
import kolonne.core.design.Quantities;
import kolonne.core.design.SuggestedTypes;
import kolonne.core.detail.BarItem;
import kolonne.core.model.Building;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Role;
import kolonne.core.project.ProjectData;
import kolonne.core.schedule.Scheduled;
import kolonne.core.type.Types;
import kolonne.core.work.Progress;
import kolonne.exchange.paper.SchedulePdf;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;

/** What a site would say of the cages: steel, sizes, pieces, lengths, columns, cages, pages; by every preference that is asked for. */
public final class PracticeBenchmark {
    private static final double MODULE = 50;
    private static final double FAR = 300;

    private PracticeBenchmark() {}

    public static void main(String[] args) throws IOException {
        System.out.println(
                "lengths of bars are odd where they are no multiple of 50 mm; mixed sizes are more than one step apart");
        run("demo", DemoBuilding.generate(DemoOptions.VELDHAVEN), true);
        for (String size : args.length == 0 ? new String[] {"1000", "10000"} : args) {
            run(size + " members", DemoBuilding.generate(DemoOptions.ofSize(Integer.parseInt(size))), false);
        }
    }

    private static void run(String name, Building b, boolean pages) throws IOException {
        Analysis analysis = FrameAnalysis.solve(new BuildingIndex(b));
        for (Preference p : List.of(Basis.standard(false).bars().preference(), Preference.LEAST_STEEL)) {
            long start = System.nanoTime();
            BuildingDesign d =
                    BuildingDesigner.design(analysis, Basis.standard(false).with(p), BuildingDesigner.Progress.NONE);
            double seconds = (System.nanoTime() - start) / 1e9;
            System.out.printf(
                    Locale.ROOT,
                    "%n%s, %s, %.1f s%n",
                    name,
                    p.name().toLowerCase(Locale.ROOT).replace('_', ' '),
                    seconds);
            beams(d);
            columns(d);
            pieces(d);
            if (pages) {
                say("pages of the schedules", pagesOf(d));
            }
            if (p != Preference.LEAST_STEEL) {
                types(d, pages);
            }
        }
    }

    /** The same members with cages in common, at the suggested points. */
    private static void types(BuildingDesign own, boolean pages) throws IOException {
        long start = System.nanoTime();
        Types types = SuggestedTypes.of(own);
        double seconds = (System.nanoTime() - start) / 1e9;
        BuildingDesign d = own.with(Decisions.typed(types), Set.of());
        System.out.printf(Locale.ROOT, "  with types at the suggested points, curves in %.1f s%n", seconds);
        for (Role role : Role.values()) {
            long shared =
                    d.typed().stream().filter(t -> t.type().role() == role).count();
            long members = d.typed().stream()
                    .filter(t -> t.type().role() == role)
                    .mapToLong(t -> t.members().size())
                    .sum();
            int all = role == Role.BEAM ? d.beams().size() : d.columns().size();
            say(role == Role.BEAM ? "cages of beams" : "cages of columns", shared + all - members);
            say("  of these of members that fail", failing(d, role));
            say("their steel, t", d.steel(role).kg() / 1000);
        }
        if (pages) {
            say("pages of the schedules", pagesOf(d));
        }
    }

    /** Members that fail have no cage to share. */
    private static long failing(BuildingDesign d, Role role) {
        return role == Role.BEAM
                ? d.beams().stream().filter(b -> !b.satisfied()).count()
                : d.columns().stream().filter(c -> !c.satisfied()).count();
    }

    private static void beams(BuildingDesign d) {
        List<Bar> allowed = d.basis().beamBarList();
        say("steel of beams, t", sum(d.beams(), b -> Quantities.of(b).steel()) / 1000);
        say(
                "  in lines that fail, t",
                sum(
                                d.beams().stream().filter(b -> !b.satisfied()).toList(),
                                b -> Quantities.of(b).steel())
                        / 1000);
        steel(d);
        bound(d);
        say("steel of columns, t", sum(d.columns(), c -> Quantities.of(c).steel()) / 1000);
        say("not satisfied", failing(d, Role.BEAM) + failing(d, Role.COLUMN));
        share(
                "lines with over two sizes",
                d.beams(),
                b -> sizes(b.cage().groups()).size() > 2);
        List<List<BeamCage.Group>> faces = new ArrayList<>();
        List<BeamCage.Group> groups = new ArrayList<>();
        for (BeamDesign b : d.beams()) {
            groups.addAll(b.cage().groups());
            for (BeamCage.Face f : BeamCage.Face.values()) {
                faces.add(b.cage().groups().stream().filter(g -> g.face() == f).toList());
            }
        }
        share("faces that mix sizes", faces, f -> apart(sizes(f), allowed) > 1);
        share("groups of a single bar", groups, g -> g.count() == 1);
        say(
                "  of these completing no row",
                d.beams().stream().mapToLong(b -> outOfRow(b.cage().groups())).sum());
        share(
                "stirrup zones under 700 mm",
                d.beams().stream().flatMap(b -> b.cage().zones().stream()).toList(),
                z -> z.to() - z.from() < 700);
        Set<Object> cages = new HashSet<>();
        Set<Object> geometries = new HashSet<>();
        for (BeamDesign b : d.beams()) {
            List<Object> geometry = b.line().spans().stream()
                    .map(s -> (Object) List.of(s.shape(), Math.round(s.clear())))
                    .toList();
            geometries.add(geometry);
            cages.add(List.of(
                    geometry,
                    b.cage().groups().stream()
                            .map(g -> g.face() + g.bar().label() + g.count() + "/" + g.layer() + "@"
                                    + Math.round(g.to() - g.from()))
                            .toList(),
                    b.cage().zones().stream()
                            .map(z -> z.bar().label() + z.legs() + "-" + z.spacing() + "x"
                                    + b.cage().count(z))
                            .toList()));
        }
        say("geometries of lines", geometries.size());
        say("distinct cages of lines", cages.size());
    }

    /** Single bars that are not the middle one of their layer. */
    private static long outOfRow(List<BeamCage.Group> all) {
        return all.stream()
                .filter(g -> g.count() == 1)
                .filter(g -> {
                    double middle = (g.from() + g.to()) / 2;
                    int row = all.stream()
                            .filter(o -> o.face() == g.face() && o.layer() == g.layer() && o.covers(middle))
                            .mapToInt(BeamCage.Group::count)
                            .sum();
                    return row == 1 || row % 2 == 0;
                })
                .count();
    }

    private static Set<Bar> sizes(List<BeamCage.Group> groups) {
        Set<Bar> out = new HashSet<>();
        groups.forEach(g -> out.add(g.bar()));
        return out;
    }

    /** Steps between the smallest and the largest of some sizes in the list of allowed ones. */
    private static int apart(Set<Bar> sizes, List<Bar> allowed) {
        int[] at = sizes.stream().mapToInt(allowed::indexOf).sorted().toArray();
        return at.length == 0 ? 0 : at[at.length - 1] - at[0];
    }

    private static void columns(BuildingDesign d) {
        List<Bar> allowed = d.basis().columnBarList();
        List<ColumnCage.LiftCage> lifts = new ArrayList<>();
        int far = 0;
        int growing = 0;
        for (ColumnDesign c : d.columns()) {
            for (int i = 0; i < c.lifts().size(); i++) {
                ColumnStack.Lift lift = c.stack().lifts().get(i);
                ColumnCage.LiftCage cage = c.lifts().get(i).cage();
                lifts.add(cage);
                far += centres(cage, lift, d.basis()) > FAR ? 1 : 0;
                growing += i > 0 && cage.area() > c.lifts().get(i - 1).cage().area() + 1 ? 1 : 0;
            }
        }
        share("lifts that mix sizes", lifts, c -> {
            BarLayout l = c.layout();
            return apart(
                            Set.copyOf(List.of(l.largest(), l.smallest()).stream()
                                    .distinct()
                                    .toList()),
                            allowed)
                    > 1;
        });
        say("lifts with bars over 300 mm apart", far);
        say("lifts with more steel than below", growing);
    }

    /** The greatest distance of neighbouring bars, centre to centre, in either direction [mm]. */
    private static double centres(ColumnCage.LiftCage c, ColumnStack.Lift lift, Basis basis) {
        double inset = ColumnTieCheck.inset(c, basis);
        double most = 0;
        for (double gap : c.layout().gaps(lift.section().shape(), inset)) {
            most = Math.max(most, gap + c.layout().largest().diameter());
        }
        return c.layout() instanceof RectangleBars ? most : 0;
    }

    /** Where the steel of beams is, by the words of the schedule. */
    private static void steel(BuildingDesign d) {
        java.util.Map<String, Double> by = new java.util.TreeMap<>();
        for (BeamDesign b : d.beams()) {
            for (BarItem i : Quantities.bars(b)) {
                by.merge(i.what().replaceAll(", span.*|, layer.*|, piece.*", ""), i.mass() / 1000, Double::sum);
            }
        }
        by.forEach((what, t) -> say("  " + what + ", t", t));
    }

    /** Main bars of the lines that satisfy, against what no cage is below. */
    private static void bound(BuildingDesign d) {
        double main = 0;
        double least = 0;
        for (BeamDesign b : d.beams()) {
            if (b.satisfied()) {
                main += Quantities.bars(b).stream()
                        .filter(i -> Set.of("00", "11", "21", "26").contains(i.shape())
                                && !i.what().startsWith("side"))
                        .mapToDouble(BarItem::mass)
                        .sum();
                least += SteelBound.mainBars(b);
            }
        }
        say("main bars over a lower bound, %", 100 * (main / least - 1));
    }

    private static void pieces(BuildingDesign d) {
        int straight = 0;
        int odd = 0;
        long pieces = 0;
        double mass = 0;
        List<BarItem> all = new ArrayList<>();
        d.beams().forEach(b -> all.addAll(Quantities.bars(b)));
        for (ColumnDesign c : d.columns()) {
            for (int i = 0; i < c.lifts().size(); i++) {
                all.addAll(Quantities.bars(c, i));
            }
        }
        for (BarItem i : all) {
            if (Set.of("00", "11", "21", "26").contains(i.shape())) {
                straight += i.number();
                odd += Math.abs(i.cutLength() / MODULE - Math.rint(i.cutLength() / MODULE)) > 1e-6 ? i.number() : 0;
            }
            pieces += i.number();
            mass += i.mass();
        }
        say("bars of odd length, %", 100.0 * odd / straight);
        say("main bars a tonne", 1000 * straight / mass);
        say("stirrups and ties a tonne", 1000 * (pieces - straight) / mass);
        say("pieces a tonne", 1000 * pieces / mass);
    }

    private static int pagesOf(BuildingDesign d) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        SchedulePdf.write(Scheduled.of(d), ProjectData.EMPTY, Progress.NONE, out);
        try (PDDocument pdf = Loader.loadPDF(out.toByteArray())) {
            return pdf.getNumberOfPages();
        }
    }

    private static <T> double sum(List<T> all, ToDoubleFunction<T> of) {
        return all.stream().mapToDouble(of).sum();
    }

    private static <T> void share(String what, List<T> all, java.util.function.Predicate<T> is) {
        long n = all.stream().filter(is).count();
        System.out.printf(
                Locale.ROOT, "  %-36s %8d of %d, %.1f %%%n", what, n, all.size(), 100.0 * n / Math.max(1, all.size()));
    }

    private static void say(String what, double value) {
        System.out.printf(Locale.ROOT, value == Math.rint(value) ? "  %-36s %8.0f%n" : "  %-36s %8.1f%n", what, value);
    }
}
