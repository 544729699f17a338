package kolonne.server.api;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import kolonne.core.basis.Basis;
import kolonne.core.code.Bar;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.ColumnSteel;
import kolonne.core.column.cage.HandLift;
import kolonne.core.column.cage.LegBars;
import kolonne.core.column.cage.RectangleBars;
import kolonne.core.column.cage.TiePlaces;
import kolonne.core.column.check.ColumnCheck;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.check.LiftCalculation;
import kolonne.core.column.check.LiftDemands;
import kolonne.core.column.check.MomentParts;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.JointFits;
import kolonne.core.design.Quantities;
import kolonne.core.detail.StandingWords;
import kolonne.core.schedule.Schedules;
import kolonne.core.section.BorneForces;
import kolonne.core.section.PlacedBar;
import kolonne.core.section.StrengthSurface;
import kolonne.core.section.SurfaceCurves;
import kolonne.core.section.general.Outline;
import kolonne.core.shape.Legs;
import kolonne.core.shape.Shape;
import kolonne.exchange.hand.LiftForm;
import kolonne.exchange.json.MayBeNull;

/** One column stack on the wire, with its strengths and calculations. Lengths mm, forces kN, moments kNm. */
final class ColumnMembers {
    private ColumnMembers() {}

    /** @param places above the lift's lower joint [mm] */
    record TieDto(String size, double diameter, List<Double> places, List<Boolean> heldX, List<Boolean> heldY) {}

    /**
     * An ell or a tee about its centroid [mm].
     *
     * @param corners of its outline, x and y in turn
     * @param closed  middles of its closed ties: left, lower, right and upper edge
     * @param cross   cross-ties: x and y of one end, then of the other
     */
    record OutlineDto(List<Double> corners, List<List<Double>> closed, List<List<Double>> cross) {}

    /** @param standing how its bars stand, in words; @param hand what is set by hand; {@code whole} all of the cage as if it were */
    record LiftDto(
            int number,
            String storey,
            double base,
            double top,
            double clear,
            Members.SectionDto section,
            String bars,
            String ties,
            double areaMm2,
            double ratio,
            List<Members.SpotDto> spots,
            List<String> standing,
            TieDto tie,
            @MayBeNull OutlineDto outline,
            LiftForm.HandLiftDto hand,
            LiftForm.HandLiftDto whole,
            double utilisation,
            boolean satisfied,
            double qx,
            double qy,
            double magnifierMx,
            double magnifierMy,
            double effectiveLengthMx,
            double effectiveLengthMy,
            List<Answers.CheckDto> checks,
            List<Problem.FindingDto> findings,
            List<Members.CrowdedDto> crowded) {}

    record ColumnDto(
            String mark,
            List<LiftDto> lifts,
            double utilisation,
            boolean satisfied,
            double steelKg,
            double concreteM3,
            double coverMm,
            double fyMpa,
            int governingLift,
            List<String> sizes,
            List<String> tieSizes,
            double spacingStepMm) {}

    record DemandDto(
            String combination,
            int combinationNumber,
            int number,
            String place,
            double p,
            double mx,
            double my,
            double factor,
            double utilisation) {}

    /** @param n compression positive [kN] with the moments about the section's axes [kNm] */
    record CurvePoint(double n, double mx, double my) {}

    record InteractionDto(List<DemandDto> demands) {}

    /**
     * Curves through a demand of a lift.
     *
     * @param angleDeg of the moments of {@code design} and {@code nominal}, from the y axis' moment
     * @param contour  strength in bending all round under the demand's axial force
     * @param atAxial  utilisation where the axial force stays as it is
     * @param borne    axial forces that bear the demand's moments; null where none does
     * @param parts    of the demand's moments, which they add up to; empty where forces are typed
     */
    record CurvesDto(
            double angleDeg,
            List<CurvePoint> design,
            List<CurvePoint> nominal,
            List<CurvePoint> contour,
            @MayBeNull Double atAxial,
            @MayBeNull BorneDto borne,
            List<PartDto> parts) {}

    /** @param kind sustained, others (othersWithPDelta where the analysis has second order), eccentricity or secondOrder; moments [kNm] */
    record PartDto(String kind, double mx, double my) {}

    /** A range of axial forces, compression positive [kN]. */
    record BorneDto(double least, double most) {}

    /** Meridians of a lift's surface all round, each in the same steps from pure tension to pure compression. */
    record SurfaceDto(List<List<CurvePoint>> meridians) {}

    static ColumnDto column(BuildingDesign d, ColumnDesign c, JointFits fits) {
        Quantities q = Quantities.of(c);
        Map<Integer, List<JointFits.Misfit>> crowded = fits.at(c);
        return new ColumnDto(
                c.stack().mark(),
                c.lifts().stream()
                        .map(l -> lift(d, c, l, crowded.getOrDefault(l.lift().number(), List.of())))
                        .toList(),
                c.governing().utilisation(),
                c.satisfied(),
                q.steel(),
                q.concrete() / 1e9,
                c.basis().columnCover(),
                c.basis().fy(),
                c.governing().part(),
                c.basis().columnBarList().stream().map(Bar::label).toList(),
                c.basis().stirrupList().stream().map(Bar::label).toList(),
                c.basis().stirrups().step());
    }

    private static OutlineDto outline(Shape.Flanged f, LegBars bars, ColumnCage.LiftCage g, Basis basis) {
        List<Double> corners = new ArrayList<>();
        Outline.centred(f).rings().get(0).corners().forEach(c -> {
            corners.add(c.x());
            corners.add(c.y());
        });
        Legs l = Legs.of(f);
        double in = basis.columnCover() + g.tie().diameter() / 2;
        double up = l.up() * in;
        List<List<Double>> cross = bars
                .crossTies(f, basis.columnCover() + g.tie().diameter())
                .stream()
                .map(t -> t.acrossWeb()
                        ? List.of(l.left() + in, t.y(), l.right() - in, t.y())
                        : List.of(t.x(), l.inner() + up, t.x(), l.outer() - up))
                .toList();
        return new OutlineDto(
                corners,
                List.of(
                        List.of(
                                l.left() + in,
                                Math.min(l.free() + up, l.outer() - up),
                                l.right() - in,
                                Math.max(l.free() + up, l.outer() - up)),
                        List.of(
                                l.from() + in,
                                Math.min(l.inner() + up, l.outer() - up),
                                l.to() - in,
                                Math.max(l.inner() + up, l.outer() - up))),
                cross);
    }

    private static LiftDto lift(
            BuildingDesign d, ColumnDesign c, ColumnDesign.LiftDesign l, List<JointFits.Misfit> crowded) {
        Basis basis = c.basis();
        ColumnStack.Lift lift = l.lift();
        ColumnCage.LiftCage g = l.cage();
        Shape shape = lift.section().shape();
        RectangleBars rows = g.layout() instanceof RectangleBars r ? r : null;
        List<Members.SpotDto> spots = new ArrayList<>();
        for (PlacedBar p : g.bars(shape, basis.columnCover())) {
            Bar size = g.layout().at(p);
            spots.add(new Members.SpotDto(
                    p.x(),
                    p.y(),
                    size.diameter(),
                    size.label(),
                    size.equals(g.layout().largest())));
        }
        return new LiftDto(
                lift.number(),
                lift.storey(),
                lift.base(),
                lift.top(),
                lift.clear(),
                new Members.SectionDto(
                        shape.whole(basis.usUnits()),
                        shape.word(),
                        shape.width(),
                        shape.webWidth(),
                        shape.depth(),
                        shape.flangeDepth(),
                        lift.material().fc()),
                g.layout().words(),
                Schedules.ties(g, basis),
                g.area(),
                g.area() / shape.A(),
                spots,
                StandingWords.of(c.stack(), lift.number(), c.cage(), basis),
                new TieDto(
                        g.tie().label(),
                        g.tie().diameter(),
                        TiePlaces.crossings(lift, g, basis.beamCover()),
                        rows == null ? List.of() : rows.heldX(),
                        rows == null ? List.of() : rows.heldY()),
                shape instanceof Shape.Flanged f && g.layout() instanceof LegBars bars
                        ? outline(f, bars, g, basis)
                        : null,
                LiftForm.dto(l.hand()),
                LiftForm.dto(HandLift.of(g)),
                l.governingCheck().utilisation(),
                l.governingCheck().satisfied(),
                l.sway().qx(),
                l.sway().qy(),
                l.sway().deltaMx(),
                l.sway().deltaMy(),
                l.sway().kx(),
                l.sway().ky(),
                Members.checks(l.checks(), basis),
                Problem.FindingDto.of(l.findings()),
                crowded.stream().map(m -> Members.CrowdedDto.of(m, m.beam())).toList());
    }

    static ColumnDesign.LiftDesign liftOf(ColumnDesign c, int lift) {
        if (lift < 0 || lift >= c.lifts().size()) {
            throw new NoSuchElementException(
                    "The stack has lifts 0 to " + (c.lifts().size() - 1) + ".");
        }
        return c.lifts().get(lift);
    }

    /** Demands of a lift, worst first. */
    static InteractionDto interaction(BuildingDesign d, ColumnDesign c, int number) {
        ColumnDesign.LiftDesign l = liftOf(c, number);
        return new InteractionDto(ColumnCheck.solve(
                        l.lift(), l.cage(), d.contexts().of(c.stack()))
                .stream()
                .map(s -> {
                    LiftDemands.Demand q = s.demand();
                    return new DemandDto(
                            Members.name(d, q.combination()),
                            q.combination(),
                            q.number(),
                            ColumnCheck.words(q),
                            q.p() / 1e3,
                            q.mx() / 1e6,
                            q.my() / 1e6,
                            q.factor(),
                            s.utilisation());
                })
                .toList());
    }

    /** @param degrees angle of the curve; empty for that of the demand */
    static CurvesDto curves(
            BuildingDesign d, ColumnDesign c, int number, int combination, int demand, Optional<Integer> degrees) {
        ColumnDesign.LiftDesign l = liftOf(c, number);
        LiftDemands demands = new LiftDemands(l.lift(), d.contexts().of(c.stack()));
        LiftDemands.Demand q = demands.all(ColumnSteel.of(l.lift(), l.cage(), c.basis())).stream()
                .filter(o -> o.combination() == combination && o.number() == demand)
                .findFirst()
                .orElseThrow(() -> new NoSuchElementException("The lift has no such demand."));
        StrengthSurface surface =
                d.contexts().of(c.stack()).surface(l.lift().section(), l.lift().material(), l.cage());
        double own = Math.atan2(q.mx(), q.my());
        double angle = degrees.map(Math::toRadians).orElse(own);
        SurfaceCurves.Meridian curve = SurfaceCurves.meridian(surface, angle);
        double strength = SurfaceCurves.momentAt(surface, q.p(), own);
        return new CurvesDto(
                Math.toDegrees(angle),
                points(curve.design()),
                points(curve.nominal()),
                points(SurfaceCurves.contour(surface, q.p())),
                strength > 0 && q.stable() ? Math.hypot(q.mx(), q.my()) / strength : null,
                borne(surface, q.p(), q.mx(), q.my()),
                parts(demands.parts(q)));
    }

    private static List<PartDto> parts(MomentParts p) {
        MomentParts.Part x = p.x();
        MomentParts.Part y = p.y();
        return List.of(
                new PartDto("sustained", x.sustained() / 1e6, y.sustained() / 1e6),
                new PartDto(p.pDelta() ? "othersWithPDelta" : "others", x.others() / 1e6, y.others() / 1e6),
                new PartDto("eccentricity", x.eccentricity() / 1e6, y.eccentricity() / 1e6),
                new PartDto("secondOrder", x.secondOrder() / 1e6, y.secondOrder() / 1e6));
    }

    /** Null where no axial force bears the moments. */
    static BorneDto borne(StrengthSurface s, double n, double mx, double my) {
        return BorneForces.of(s, n, mx, my)
                .map(r -> new BorneDto(r.least() / 1e3, r.most() / 1e3))
                .orElse(null);
    }

    static SurfaceDto surface(BuildingDesign d, ColumnDesign c, int number) {
        ColumnDesign.LiftDesign l = liftOf(c, number);
        return new SurfaceDto(
                SurfaceCurves.mesh(d.contexts()
                                .of(c.stack())
                                .surface(l.lift().section(), l.lift().material(), l.cage()))
                        .stream()
                        .map(ColumnMembers::points)
                        .toList());
    }

    static List<CurvePoint> points(List<SurfaceCurves.Point> all) {
        return all.stream()
                .map(p -> new CurvePoint(p.n() / 1e3, p.mx() / 1e6, p.my() / 1e6))
                .toList();
    }

    static Answers.Calculation columnCalculation(
            BuildingDesign d, ColumnDesign c, int lift, int combination, int demand) {
        ColumnDesign.LiftDesign l = liftOf(c, lift);
        if (combination < 0 || combination >= d.contexts().columns().strength().count()) {
            throw new NoSuchElementException("There is no such combination.");
        }
        return new Answers.Calculation(
                "Lift to " + l.lift().storey(),
                Answers.StepDto.of(
                        LiftCalculation.of(
                                c.stack(),
                                c.cage(),
                                l.lift().number(),
                                d.contexts().of(c.stack()),
                                combination,
                                demand),
                        c.basis().usUnits()));
    }
}
