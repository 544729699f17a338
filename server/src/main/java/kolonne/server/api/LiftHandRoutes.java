package kolonne.server.api;

import io.javalin.http.Context;
import io.javalin.http.HandlerType;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Set;
import kolonne.core.column.cage.HandLift;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.choice.ColumnOptions;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.HandSet;
import kolonne.core.design.JointFits;
import kolonne.core.finding.Finding;
import kolonne.core.type.Likeness;
import kolonne.exchange.hand.HandFile;
import kolonne.exchange.hand.LiftForm;
import kolonne.server.jobs.Jobs;
import kolonne.server.project.HandSummary;
import kolonne.server.project.Projects;
import kolonne.server.project.Workspace;

/** Columns set by hand: try, keep, release. */
final class LiftHandRoutes {
    /** Heights of lifts within this are the same [mm]. */
    private static final double SAME = 1;

    private final Projects projects;

    LiftHandRoutes(Projects projects) {
        this.projects = projects;
    }

    List<Route> routes() {
        String column = "/api/projects/{id}/columns/{mark}";
        return List.of(
                new Route(
                                HandlerType.POST,
                                column + "/try",
                                "Checks a column as if set by hand so; nothing is stored",
                                LiftForm.HandLiftsDto.class,
                                ColumnMembers.ColumnDto.class,
                                new String[0],
                                this::tried)
                        .needs(Needs.READER),
                new Route(
                        HandlerType.PUT,
                        column + "/hand",
                        "Sets a column by hand; what is left out is Kolonne's again (If-Match: version)",
                        LiftForm.HandLiftsDto.class,
                        HandColumnDto.class,
                        new String[0],
                        this::set),
                Route.get(
                        column + "/arrangements",
                        "Bars that would bear what a lift bears, the first of each number of bars",
                        ArrangementsDto.class,
                        this::arrangements,
                        "lift"));
    }

    /** @param version of the project now */
    record HandColumnDto(int version, ColumnMembers.ColumnDto column) {}

    /**
     * Bars that would bear what a lift bears.
     *
     * @param hand    the lift as it would be set by hand
     * @param kgPerM  of its bars
     * @param clearMm smallest clear distance
     * @param present whether these are its bars now
     */
    record ArrangementDto(
            LiftForm.HandLiftDto hand,
            String bars,
            double utilisation,
            double kgPerM,
            double clearMm,
            boolean present) {}

    record ArrangementsDto(List<ArrangementDto> options) {}

    private void arrangements(Context c) {
        BuildingDesign d = ResultRoutes.published(projects, c).design();
        ColumnDesign column = column(d, c.pathParam("mark"));
        ColumnDesign.LiftDesign l = ColumnMembers.liftOf(column, ResultRoutes.number(c, "lift", 0, 0, 1000));
        c.json(new ArrangementsDto(
                ColumnOptions.of(
                                column.stack(),
                                l.lift().number(),
                                column.cage(),
                                d.contexts().of(column.stack()))
                        .stream()
                        .map(o -> new ArrangementDto(
                                LiftForm.dto(
                                        new HandLift(o.bars().unheld(), l.hand().ties())),
                                o.bars().words(),
                                o.utilisation(),
                                o.mass(),
                                o.clear(),
                                o.bars().unheld().equals(l.cage().layout().unheld())))
                        .toList()));
    }

    static boolean isStack(BuildingDesign d, String mark) {
        return d.columns().stream().anyMatch(s -> s.stack().mark().equals(mark));
    }

    private static ColumnDesign column(BuildingDesign d, String mark) {
        return d.columns().stream()
                .filter(s -> s.stack().mark().equals(mark))
                .findFirst()
                .orElseThrow(() -> new NoSuchElementException("There is no column " + mark + "."));
    }

    /** The design with one stack set by hand. */
    private static BuildingDesign with(BuildingDesign d, HandSet now, ColumnStack stack, HandSet set) {
        return d.with(now.with(set), Set.of(stack.id()));
    }

    private static HandSet lifts(Context c, BuildingDesign d, ColumnStack stack) {
        List<String> members =
                stack.lifts().stream().map(ColumnStack.Lift::member).toList();
        HandFile.Read r = HandFile.stack(c.bodyAsBytes(), d.basis().entry().catalogue(), members);
        if (!r.sound()) {
            throw new Jobs.Refused(r.findings());
        }
        for (ColumnStack.Lift l : stack.lifts()) {
            if (!r.cages().lift(l.member()).suits(l.section().shape())) {
                throw new Jobs.Refused(
                        List.of(
                                Finding.fails(
                                        "hand-set",
                                        "lifts." + l.number(),
                                        "The section is "
                                                + l.section()
                                                        .shape()
                                                        .label(d.basis().usUnits())
                                                + ": the bars are not for its shape.",
                                        "Give rows of bars for a rectangle, a ring for a circle, legs for an ell (one overhang) or a tee (two).")));
            }
        }
        return r.cages();
    }

    private void tried(Context c) {
        Workspace.Published p = ResultRoutes.published(projects, c);
        BuildingDesign d = p.design();
        String mark = c.pathParam("mark");
        ColumnStack stack = column(d, mark).stack();
        BuildingDesign now = with(d, d.hand(), stack, lifts(c, d, stack));
        c.json(ColumnMembers.column(now, column(now, mark), JointFits.of(now, p.fits())));
    }

    private void set(Context c) {
        String id = c.pathParam("id");
        String mark = c.pathParam("mark");
        BuildingDesign d = ResultRoutes.published(projects, c).design();
        ColumnStack stack = column(d, mark).stack();
        HandSet lifts = lifts(c, d, stack);
        int version = projects.changes()
                .handSet(id, ProjectRoutes.version(c), lifts, HandSummary.of(stack, d.hand(), lifts), People.of(c))
                .orElseThrow(HandRoutes::moved)
                .version();
        Workspace.Published after = projects.open(id).published();
        BuildingDesign now = after.design();
        boolean follows =
                stack.lifts().stream().allMatch(l -> now.hand().lift(l.member()).equals(lifts.lift(l.member())));
        // while a whole design is under way this column is shown as it will be
        BuildingDesign shown = follows ? now : with(now, projects.hand(id), stack, lifts);
        c.json(new HandColumnDto(
                version, ColumnMembers.column(shown, column(shown, mark), JointFits.of(shown, after.fits()))));
    }

    /** Marks of stacks with the same sections, concrete and heights. */
    static List<String> identical(BuildingDesign d, String mark) {
        Likeness likeness = Likeness.of(column(d, mark));
        return d.columns().stream()
                .filter(o -> !o.stack().mark().equals(mark) && likeness.sharesWhole(Likeness.of(o), SAME))
                .map(ColumnDesign::stack)
                .map(ColumnStack::mark)
                .toList();
    }

    /** Identical stacks, each checked with this one's cage. */
    static List<HandRoutes.AlikeDto> alike(BuildingDesign d, String mark) {
        List<HandRoutes.AlikeDto> out = new ArrayList<>();
        for (String other : identical(d, mark)) {
            ColumnDesign now = column(d, other);
            ColumnDesign with = column(with(d, d.hand(), now.stack(), copied(d, mark, List.of(other))), other);
            List<ColumnStack.Lift> lifts = now.stack().lifts();
            out.add(new HandRoutes.AlikeDto(
                    other,
                    lifts.get(lifts.size() - 1).storey(),
                    with.governing().utilisation(),
                    with.satisfied(),
                    now.governing().utilisation(),
                    now.byHand()));
        }
        return out;
    }

    /** The cage of a stack on others of the same lifts. */
    static HandSet copied(BuildingDesign d, String mark, List<String> to) {
        ColumnDesign from = column(d, mark);
        Map<String, HandLift> out = new LinkedHashMap<>();
        for (String other : to) {
            List<ColumnStack.Lift> lifts = column(d, other).stack().lifts();
            for (int i = 0; i < lifts.size(); i++) {
                out.put(lifts.get(i).member(), HandLift.of(from.cage().lifts().get(i)));
            }
        }
        return HandSet.ofLifts(out);
    }
}
