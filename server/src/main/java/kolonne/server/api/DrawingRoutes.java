package kolonne.server.api;

import io.javalin.http.Context;
import java.io.BufferedWriter;
import java.io.OutputStreamWriter;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.Set;
import kolonne.core.code.Bar;
import kolonne.core.design.BuildingDesign;
import kolonne.core.drawing.ColumnSchedule;
import kolonne.core.drawing.Drawing;
import kolonne.core.drawing.Layer;
import kolonne.core.drawing.Paper;
import kolonne.core.drawing.Sheet;
import kolonne.core.drawing.Sheets;
import kolonne.core.project.ProjectData;
import kolonne.core.schedule.Scheduled;
import kolonne.core.schedule.StoreyQuantities;
import kolonne.core.work.Progress;
import kolonne.exchange.drawing.DrawingPdf;
import kolonne.exchange.drawing.DxfWriter;
import kolonne.exchange.json.MayBeNull;
import kolonne.server.project.ProjectPaper;
import kolonne.server.project.Projects;
import kolonne.server.project.Workspace;

/** Drawings of beams and columns: one sheet for the page, all as PDF and DXF. */
final class DrawingRoutes {
    /** Sets of sheets kept, so that a page that is turned is not drawn anew. */
    private static final int MOST_SETS = 2;
    /** About a drawing that has no sheet [mm]. */
    private static final double EDGE = 1;

    private final Projects projects;
    private final Map<Drawn, List<Sheet>> drawn = new LinkedHashMap<>(4, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Drawn, List<Sheet>> eldest) {
            return size() > MOST_SETS;
        }
    };

    /** What a set of sheets depends on. */
    private record Drawn(String project, int version, int data, String title, Set<String> marks, Paper paper) {}

    DrawingRoutes(Projects projects) {
        this.projects = projects;
    }

    List<Route> routes() {
        return List.of(
                Route.get(
                        "/api/projects/{id}/drawings",
                        "One sheet of the drawings; paper: A4 to A0, marks: what is drawn, separated by commas",
                        SheetDto.class,
                        this::sheet,
                        "paper",
                        "marks",
                        "sheet"),
                Route.get(
                        "/api/projects/{id}/column-schedule",
                        "A page of the columns against the storeys; marks: what is scheduled, separated by commas",
                        SheetDto.class,
                        this::columns,
                        "marks",
                        "sheet"),
                Route.get(
                        "/api/projects/{id}/steel",
                        "Steel of every storey by size of bar, as the chart at the end of the schedules has it",
                        SteelDto.class,
                        this::steel),
                Route.get(
                        "/api/projects/{id}/title-block",
                        "A sheet with nothing but its title block; paper: A4 to A0",
                        SheetDto.class,
                        c -> {
                            BuildingDesign d =
                                    ResultRoutes.published(projects, c).design();
                            ProjectData told =
                                    projects.paper().printed(c.pathParam("id")).data();
                            c.json(of(Sheets.blank(d, told, paper(FileAsked.of(c, "paper"))), 1));
                        },
                        "paper"));
    }

    /** The same as files. */
    List<Export> exports() {
        return List.of(
                new Export(
                        "drawings.pdf",
                        "application/pdf",
                        "drawings.pdf",
                        "Drawings as PDF; paper and marks as on the page",
                        a -> {
                            Making sheets = making(a);
                            return (out, progress) -> DrawingPdf.write(sheets.all(progress), progress, out);
                        },
                        "paper",
                        "marks"),
                new Export(
                        "drawings.dxf",
                        "image/vnd.dxf",
                        "drawings.dxf",
                        "Drawings as DXF; paper and marks as on the page",
                        a -> {
                            Making sheets = making(a);
                            return (out, progress) -> DxfWriter.write(
                                    sheets.all(progress),
                                    progress,
                                    new BufferedWriter(new OutputStreamWriter(out, StandardCharsets.US_ASCII)));
                        },
                        "paper",
                        "marks"));
    }

    /** Sheets that may have to be drawn first. */
    private interface Making {
        List<Sheet> all(Progress progress);
    }

    /** Lines of one kind. @param xy x1, y1, x2, y2 of each in turn [mm] */
    record LinesDto(String layer, double width, boolean dashed, List<Double> xy) {}

    /** Filled where it shows a bar. */
    record DiscDto(double x, double y, double radius, boolean filled, double width) {}

    /** @param align start, middle or end */
    record TextDto(double x, double y, double height, String align, boolean bold, String text) {}

    /** Where the logo goes, from the sheet's lower left corner. */
    record PictureDto(double x, double y, double width, double height) {}

    /** A sheet of so many. @param marks of the details on it; lengths are mm of paper, y upwards */
    record SheetDto(
            int sheet,
            int sheets,
            double width,
            double height,
            List<String> marks,
            List<LinesDto> lines,
            List<DiscDto> discs,
            List<TextDto> texts,
            @MayBeNull PictureDto logo) {}

    /** @param kg by size, in the order of the sizes */
    record StoreySteelDto(String storey, List<Double> kg) {}

    /** @param storeys from the lowest; without a name what belongs to none */
    record SteelDto(List<String> sizes, List<StoreySteelDto> storeys) {}

    private void steel(Context c) {
        Map<String, Map<Bar, Double>> steel =
                StoreyQuantities.steel(ResultRoutes.published(projects, c).design());
        List<String> sizes = steel.values().stream()
                .findFirst()
                .map(s -> s.keySet().stream().map(Bar::label).toList())
                .orElse(List.of());
        c.json(new SteelDto(
                sizes,
                steel.entrySet().stream()
                        .map(e -> new StoreySteelDto(
                                e.getKey(), List.copyOf(e.getValue().values())))
                        .toList()));
    }

    /** What is asked for, refused at once where there is no such thing. */
    private Making making(FileAsked a) {
        Workspace.Published p = ResultRoutes.published(projects, a.project());
        BuildingDesign d = p.design();
        Set<String> marks = ExportRoutes.marks(a, "marks");
        Sheets.scheduled(d, marks); // refuses marks that mean nothing
        String id = a.project();
        ProjectPaper.Stored told = projects.paper().printed(id);
        ProjectData project = told.data();
        Drawn asked =
                new Drawn(id, p.version(), told.version(), project.text(ProjectData.Field.TITLE), marks, paper(a));
        return progress -> sheets(asked, d, project, progress);
    }

    private List<Sheet> sheets(Drawn asked, BuildingDesign d, ProjectData project, Progress progress) {
        List<Sheet> kept;
        synchronized (drawn) {
            kept = drawn.get(asked);
        }
        if (kept == null) {
            kept = Sheets.of(d, project, asked.marks(), asked.paper(), progress);
            synchronized (drawn) {
                drawn.put(asked, kept);
            }
        }
        return kept;
    }

    private static Paper paper(FileAsked a) {
        String asked = a.query("paper", "A1");
        return Arrays.stream(Paper.values())
                .filter(p -> p.name().equals(asked))
                .findFirst()
                .orElseThrow(() -> new BadRequest(
                        400, "paper", "There is no paper " + asked + ".", "Choose A4, A3, A2, A1 or A0."));
    }

    private void sheet(Context c) {
        List<Sheet> all = making(FileAsked.of(c, "paper", "marks")).all(Progress.NONE);
        if (all.isEmpty()) {
            throw new NoSuchElementException("There is nothing to draw.");
        }
        int number = Math.max(1, Math.min(all.size(), number(c)));
        c.json(of(all.get(number - 1), all.size()));
    }

    private void columns(Context c) {
        BuildingDesign d = ResultRoutes.published(projects, c).design();
        List<ColumnSchedule.Page> all = ColumnSchedule.of(
                Scheduled.of(d, ExportRoutes.marks(FileAsked.of(c, "marks"), "marks")), ColumnSchedule.WIDTH);
        if (all.isEmpty()) {
            throw new NoSuchElementException("There are no columns to schedule.");
        }
        int number = Math.max(1, Math.min(all.size(), number(c)));
        ColumnSchedule.Page p = all.get(number - 1);
        c.json(of(
                p.drawing(),
                number,
                all.size(),
                new double[] {ColumnSchedule.WIDTH + 2 * EDGE, ColumnSchedule.HEIGHT + 2 * EDGE},
                p.marks()));
    }

    /** A drawing in the middle of a ground of its own. @param ground its width and height [mm] */
    static SheetDto of(Drawing drawing, int number, int of, double[] ground, List<String> marks) {
        Sheet s = new Sheet(number, Paper.A4, marks, drawing.moved(EDGE, EDGE), Optional.empty());
        SheetDto dto = of(s, of);
        return new SheetDto(
                dto.sheet(),
                dto.sheets(),
                ground[0],
                ground[1],
                dto.marks(),
                dto.lines(),
                dto.discs(),
                dto.texts(),
                null);
    }

    private static SheetDto of(Sheet s, int sheets) {
        List<LinesDto> lines = new ArrayList<>();
        for (Layer layer : Layer.values()) {
            List<Double> xy = new ArrayList<>();
            s.drawing().lines().stream().filter(l -> l.layer() == layer).forEach(l -> {
                xy.add(rounded(l.x1()));
                xy.add(rounded(l.y1()));
                xy.add(rounded(l.x2()));
                xy.add(rounded(l.y2()));
            });
            if (!xy.isEmpty()) {
                lines.add(new LinesDto(layer.name().toLowerCase(Locale.ROOT), layer.width(), layer.dashed(), xy));
            }
        }
        return new SheetDto(
                s.number(),
                sheets,
                s.paper().width(),
                s.paper().height(),
                s.marks(),
                lines,
                s.drawing().discs().stream()
                        .map(d -> new DiscDto(
                                rounded(d.x()),
                                rounded(d.y()),
                                rounded(d.radius()),
                                d.filled(),
                                d.layer().width()))
                        .toList(),
                s.drawing().labels().stream()
                        .map(t -> new TextDto(
                                rounded(t.x()), rounded(t.y()), t.height(), align(t.align()), t.bold(), t.text()))
                        .toList(),
                s.picture()
                        .map(q ->
                                new PictureDto(rounded(q.x()), rounded(q.y()), rounded(q.width()), rounded(q.height())))
                        .orElse(null));
    }

    private static int number(Context c) {
        String asked = Optional.ofNullable(c.queryParam("sheet")).orElse("1");
        if (!asked.matches("\\d{1,6}")) {
            throw new BadRequest(400, "sheet", "There is no sheet " + asked + ".", "Give its number, from 1.");
        }
        return Integer.parseInt(asked);
    }

    private static String align(Drawing.Align a) {
        return a == Drawing.Align.LEFT ? "start" : a == Drawing.Align.MIDDLE ? "middle" : "end";
    }

    private static double rounded(double mm) {
        return Math.round(mm * 100) / 100.0;
    }
}
