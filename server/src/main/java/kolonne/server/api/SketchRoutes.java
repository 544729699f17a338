package kolonne.server.api;

import io.javalin.http.Context;
import io.javalin.http.HandlerType;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import kolonne.core.analysis.Analysis;
import kolonne.core.analysis.AnalysisFailed;
import kolonne.core.analysis.FrameAnalysis;
import kolonne.core.code.registry.Codes;
import kolonne.core.demand.Demands;
import kolonne.core.finding.Finding;
import kolonne.core.model.BuildingIndex;
import kolonne.core.model.Member;
import kolonne.core.model.Purpose;
import kolonne.core.model.Role;
import kolonne.exchange.sketch.SketchFile;
import kolonne.server.project.Projects;

/** Small models drawn up in the application: a look at their forces while one types, and a project made of them. */
final class SketchRoutes {
    private final Projects projects;

    SketchRoutes(Projects projects) {
        this.projects = projects;
    }

    List<Route> routes() {
        return List.of(
                new Route(
                        HandlerType.POST,
                        "/api/sketches/beam/preview",
                        "Strength envelopes of a continuous beam being drawn up",
                        SketchFile.BeamSketch.class,
                        SketchPreview.class,
                        new String[0],
                        c -> preview(c, SketchFile::beam)),
                new Route(
                        HandlerType.POST,
                        "/api/sketches/beam",
                        "Makes a project of a continuous beam",
                        SketchFile.BeamSketch.class,
                        Answers.ProjectDto.class,
                        new String[0],
                        c -> create(c, SketchFile::beam)),
                new Route(
                        HandlerType.POST,
                        "/api/sketches/column/preview",
                        "Strength envelopes of a column being drawn up",
                        SketchFile.ColumnSketch.class,
                        SketchPreview.class,
                        new String[0],
                        c -> preview(c, SketchFile::column)),
                new Route(
                        HandlerType.POST,
                        "/api/sketches/column",
                        "Makes a project of a column",
                        SketchFile.ColumnSketch.class,
                        Answers.ProjectDto.class,
                        new String[0],
                        c -> create(c, SketchFile::column)));
    }

    /** @param member id; x from the start of the beam or the foot of the column [m or ft]; extremes of My, Vz, N, Mz over combinations */
    record EnvelopeDto(
            String member,
            double[] x,
            double[] myHigh,
            double[] myLow,
            double[] vzHigh,
            double[] vzLow,
            double[] nLow,
            double[] mzHigh,
            double[] mzLow) {}

    /** @param standard that the combinations are made by. @param envelopes of the beam's spans, or of the column; empty while the sketch is not sound */
    record SketchPreview(
            List<Problem.FindingDto> findings,
            int combinations,
            String standard,
            String forceUnit,
            String momentUnit,
            List<EnvelopeDto> envelopes) {}

    private void preview(Context c, Function<byte[], SketchFile.Read> reader) {
        SketchFile.Read r = reader.apply(c.bodyAsBytes());
        List<Finding> findings = new ArrayList<>(r.findings());
        List<EnvelopeDto> envelopes = new ArrayList<>();
        int combinations = 0;
        boolean us = r.building() != null && r.building().unitSystem().equals("US");
        if (r.sound()) {
            try {
                Analysis a = FrameAnalysis.solve(new BuildingIndex(r.building()));
                findings.addAll(a.findings());
                combinations = new Demands(a, Purpose.STRENGTH).count();
                envelopes.addAll(envelopes(a, us));
            } catch (AnalysisFailed e) {
                findings.addAll(e.findings());
            }
        }
        c.json(new SketchPreview(
                Problem.FindingDto.of(findings),
                combinations,
                Codes.find(r.code()).map(k -> k.combinations().words()).orElse(""),
                us ? "kip" : "kN",
                us ? "kip·ft" : "kNm",
                envelopes));
    }

    private static List<EnvelopeDto> envelopes(Analysis a, boolean us) {
        Demands d = new Demands(a, Purpose.STRENGTH);
        double length = us ? 304.8 : 1000;
        double f = us ? 4448.2216152605 : 1000;
        List<Member> all = a.index().building().members();
        boolean beam = all.stream().anyMatch(m -> m.role() == Role.BEAM);
        List<EnvelopeDto> out = new ArrayList<>();
        double from = 0;
        for (Member m : all) {
            if (beam && m.role() != Role.BEAM) {
                continue;
            }
            int n = a.index().memberNumber(m.id());
            double[] x = new double[a.stationCount(n)];
            for (int s = 0; s < x.length; s++) {
                x[s] = (from + a.stationX(n, s)) / length;
            }
            out.add(new EnvelopeDto(
                    m.id(),
                    x,
                    peak(d, n, Analysis.MY, 1, f * length),
                    peak(d, n, Analysis.MY, -1, f * length),
                    peak(d, n, Analysis.VZ, 1, f),
                    peak(d, n, Analysis.VZ, -1, f),
                    peak(d, n, Analysis.N, -1, f),
                    peak(d, n, Analysis.MZ, 1, f * length),
                    peak(d, n, Analysis.MZ, -1, f * length)));
            from += a.index().length(m);
        }
        return out;
    }

    private static double[] peak(Demands d, int member, int component, int sign, double unit) {
        double[] out = new double[d.analysis().stationCount(member)];
        for (int s = 0; s < out.length; s++) {
            double most = Double.NEGATIVE_INFINITY;
            for (int c = 0; c < d.count(); c++) {
                most = Math.max(most, sign * d.at(member, s, c, component));
            }
            out[s] = Math.rint(sign * most / unit * 1000) / 1000;
        }
        return out;
    }

    private void create(Context c, Function<byte[], SketchFile.Read> reader) {
        SketchFile.Read r = reader.apply(c.bodyAsBytes());
        if (!r.sound()) {
            throw new BadRequest(Problem.of(422, "sketch", "The sketch is not complete.", r.findings()));
        }
        c.status(201);
        ProjectRoutes.answer(c, projects.create(r.building(), r.code(), People.of(c)));
    }
}
