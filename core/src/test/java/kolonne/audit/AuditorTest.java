package kolonne.audit;

import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.lang.syntax.ArchRuleDefinition;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.basis.Basis;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.BuildingDesigner;
import kolonne.core.model.BuildingIndex;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** The auditor stands apart from the designer, and finds drawings out that have been robbed. */
class AuditorTest {
    private static final List<String> STRENGTHS = List.of("flexure", "extension", "shear");
    private static BuildingDesign d;
    private static Forces forces;
    private static Sheet.Basis numbers;

    @BeforeAll
    static void design() {
        Basis basis = Basis.standard(false);
        d = BuildingDesigner.design(
                FrameAnalysis.solve(new BuildingIndex(DemoBuilding.generate(new DemoOptions(3, 3, 3, 2, false)))),
                basis,
                BuildingDesigner.Progress.NONE);
        numbers = Drawn.basis(basis);
        forces = new Forces(d.analysis(), numbers);
    }

    /** But for what copies the drawings, and what sets the readings beside what the design tells. */
    @Test
    void theAuditorSharesNothingWithTheDesigner() {
        JavaClasses classes = new ClassFileImporter().importPackages("kolonne.audit");
        ArchRuleDefinition.noClasses()
                .that()
                .doNotHaveSimpleName("Drawn")
                .and()
                .doNotHaveSimpleName("Audit")
                .and()
                .doNotHaveSimpleName("FrameComparison")
                .and()
                .haveSimpleNameNotEndingWith("Test")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "kolonne.core.code..",
                        "kolonne.core.beam..",
                        "kolonne.core.column..",
                        "kolonne.core.section..",
                        "kolonne.core.demand..",
                        "kolonne.core.design..",
                        "kolonne.core.basis..",
                        "kolonne.core.check..")
                .check(classes);
    }

    private static Arguments robbed(String kind, UnaryOperator<Sheet.Line> of) {
        return Arguments.of(kind, of);
    }

    private static Sheet.Line with(
            Sheet.Line l,
            UnaryOperator<Sheet.Bars> bars,
            UnaryOperator<Sheet.Stirrups> stirrups,
            UnaryOperator<Sheet.Spot> spots) {
        return new Sheet.Line(
                l.mark(),
                l.spans(),
                l.places(),
                l.bars().stream().map(bars).toList(),
                l.stirrups().stream().map(stirrups).toList(),
                l.cuts().stream()
                        .map(c -> new Sheet.Cut(
                                c.x(), c.span(), c.spots().stream().map(spots).toList()))
                        .toList(),
                l.laps(),
                l.standing());
    }

    private static Sheet.Bars bars(Sheet.Bars g, int count, double from, double to) {
        return new Sheet.Bars(
                g.top(),
                g.layer(),
                count,
                g.d(),
                g.area(),
                g.offset(),
                from,
                to,
                g.hookFrom() && from == g.from(),
                g.hookTo() && to == g.to(),
                g.pairs());
    }

    static Stream<Arguments> robberies() {
        UnaryOperator<Sheet.Bars> b = g -> g;
        UnaryOperator<Sheet.Stirrups> s = z -> z;
        UnaryOperator<Sheet.Spot> q = p -> p;
        return Stream.of(
                robbed(
                        "flexure",
                        l -> with(l, g -> g.top() ? g : bars(g, Math.max(1, g.count() - 1), g.from(), g.to()), s, q)),
                robbed(
                        "flexure",
                        l -> with(l, g -> g.top() ? bars(g, Math.max(1, g.count() - 1), g.from(), g.to()) : g, s, q)),
                robbed(
                        "extension",
                        l -> with(
                                l,
                                g -> bars(
                                        g,
                                        g.count(),
                                        g.hookFrom() ? g.from() : g.from() + 400,
                                        g.hookTo() ? g.to() : g.to() - 400),
                                s,
                                q)),
                robbed(
                        "into-support",
                        l -> with(l, g -> g.top() ? g : bars(g, g.count(), g.from() + 700, g.to() - 700), s, q)),
                robbed(
                        "shear",
                        l -> with(
                                l,
                                b,
                                z -> new Sheet.Stirrups(
                                        z.span(), z.from(), z.to(), z.d(), z.area() * 0.6, z.legs(), z.spacing()),
                                q)),
                robbed(
                        "stirrup-spacing",
                        l -> with(
                                l,
                                b,
                                z -> new Sheet.Stirrups(
                                        z.span(), z.from(), z.to(), z.d(), z.area(), z.legs(), z.spacing() * 1.5),
                                q)),
                robbed(
                        "minimum-stirrups",
                        l -> with(
                                l,
                                b,
                                z -> new Sheet.Stirrups(
                                        z.span(), z.from(), z.to(), z.d(), z.area() * 0.35, z.legs(), z.spacing()),
                                q)),
                robbed(
                        "bars-beside",
                        l -> with(
                                l,
                                b,
                                s,
                                p -> new Sheet.Spot(100 + (p.y() - 100) * 0.4, p.z(), p.d(), p.top(), p.layer()))),
                robbed(
                        "cover",
                        l -> with(
                                l,
                                b,
                                s,
                                p -> new Sheet.Spot(
                                        p.y(), p.top() ? p.z() + 15 : p.z() - 15, p.d(), p.top(), p.layer()))));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("robberies")
    void aRobbedLineIsFoundOut(String kind, UnaryOperator<Sheet.Line> robbery) {
        int sound = 0;
        int found = 0;
        for (BeamDesign b : d.beams()) {
            Sheet.Line l = Drawn.line(b, d.basis());
            Findings.Use before =
                    new BeamReading(l, numbers, forces).run().all().get(kind);
            Findings.Use after = new BeamReading(robbery.apply(l), numbers, forces)
                    .run()
                    .all()
                    .get(kind);
            if (before == null || before.use() <= 1.02) {
                sound++;
                found += after != null && after.use() > 1.02 ? 1 : 0;
            }
        }
        // least steel governs most lines of a small building, so that few have strengths that a robbery weakens
        assertTrue(found >= (STRENGTHS.contains(kind) ? 2 : 0.25 * sound), found + " of " + sound + " lines");
    }

    @Test
    void aRobbedLiftIsFoundOut() {
        double[] depths = Drawn.depths(d.analysis().index());
        int fewer = 0;
        int wider = 0;
        int loose = 0;
        List<Sheet.Lift> all = new ArrayList<>();
        for (ColumnDesign c : d.columns()) {
            for (int i = 0; i < c.lifts().size(); i++) {
                all.add(Drawn.lift(c, i, d.basis()));
            }
        }
        for (Sheet.Lift l : all) {
            List<Sheet.Dot> thin = l.bars().stream()
                    .map(p -> new Sheet.Dot(p.x(), p.y(), p.d(), p.area() * 0.8))
                    .toList();
            fewer += use(copy(l, thin, l.ties(), l.heldX()), depths, "steel") > 1 ? 1 : 0;
            wider += use(copy(l, l.bars(), everySecond(l.ties()), l.heldX()), depths, "tie-spacing") > 1 ? 1 : 0;
            List<Boolean> none = l.heldX().stream().map(h -> false).toList();
            loose += l.round() || use(copy(l, l.bars(), l.ties(), none), depths, "held") > 1 ? 1 : 0;
            assertFalse(use(l, depths, "held") > 1.02 || use(l, depths, "cover") > 1.02, l.mark());
        }
        assertTrue(
                fewer > 0.3 * all.size() && wider == all.size() && loose == all.size(),
                fewer + " " + wider + " " + loose + " of " + all.size());
    }

    private static List<Double> everySecond(List<Double> ties) {
        return java.util.stream.IntStream.range(0, ties.size())
                .filter(i -> i % 2 == 0)
                .mapToObj(ties::get)
                .toList();
    }

    private static double use(Sheet.Lift l, double[] depths, String kind) {
        Findings f = new ColumnReading(l, numbers, forces, depths).run();
        Findings.Use u = f == null ? null : f.all().get(kind);
        return u == null ? 0 : u.use();
    }

    private static Sheet.Lift copy(Sheet.Lift l, List<Sheet.Dot> bars, List<Double> ties, List<Boolean> heldX) {
        return new Sheet.Lift(
                l.mark(),
                l.member(),
                l.round(),
                l.spiral(),
                l.b(),
                l.h(),
                l.fc(),
                l.ec(),
                bars,
                l.tie(),
                l.tieArea(),
                ties,
                heldX,
                l.heldY(),
                l.alongX(),
                l.alongY(),
                l.legs());
    }
}
