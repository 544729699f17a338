package kolonne.exchange.paper;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import kolonne.core.drawing.Drawing;
import kolonne.core.drawing.OutlinePicture;
import kolonne.core.explain.Quantity;
import kolonne.core.project.ProjectData;
import kolonne.core.section.StrengthSurface;
import kolonne.core.section.SurfaceCurves;
import kolonne.core.section.general.Outline;
import kolonne.core.single.SectionUses;
import kolonne.core.single.SingleSection.Forces;
import kolonne.core.single.SingleSection.Kind;
import kolonne.core.single.SingleSection.Spot;
import kolonne.core.single.Uses;
import kolonne.core.work.Progress;
import kolonne.exchange.single.SectionFile;

/** Single sections on paper: picture, bars, the use of every set of forces, and the calculation of those that use most. */
public final class SectionPaper {
    /** Sets of a section whose calculation is written; the rest stand in the table of uses. */
    private static final int CALCULATED = 30;

    private final PdfPaper paper;
    private final Uses one;
    private final List<Forces> forces;
    private final boolean us;

    private SectionPaper(PdfPaper paper, SectionFile.Ready r) {
        this.paper = paper;
        this.one = r.section();
        this.forces = r.forces();
        this.us = r.us();
    }

    /** @throws java.util.concurrent.CancellationException where the progress stops it */
    public static void write(List<SectionFile.Ready> all, OutputStream out, Progress progress) throws IOException {
        String title = all.size() == 1 ? all.get(0).section().id() : all.size() + " sections";
        try (PdfPaper paper = new PdfPaper(title + " · section calculation", ProjectData.EMPTY, false, progress)) {
            for (int i = 0; i < all.size(); i++) {
                if (i > 0) {
                    paper.newPage();
                }
                paper.doing("section " + all.get(i).section().id(), i, all.size());
                new SectionPaper(paper, all.get(i)).section();
            }
            paper.about("Strengths and uses of sections", "");
            paper.save(out);
        }
    }

    private record Used(Forces forces, List<SectionUses.Use> uses) {
        double most() {
            return Uses.highest(uses);
        }
    }

    private void section() throws IOException {
        List<Used> all = forces.stream().map(f -> new Used(f, one.uses(f))).toList();
        Used governs = all.stream()
                .filter(u -> u.forces.kind() == Kind.STRENGTH)
                .max(Comparator.comparingDouble(Used::most))
                .orElse(null);
        paper.section("Section " + one.id(), 1, 14);
        paper.paragraph(one.code().name() + " · concrete " + Quantity.STRENGTH.text(one.fc(), us) + ", bars "
                + Quantity.STRENGTH.text(one.fy(), us) + " · " + bars());
        picture(governs);
        for (var f : one.findings()) {
            paper.paragraph(f.what() + " " + f.mend(), 8.5f, PdfPaper.OVER);
        }
        if (all.isEmpty()) {
            return;
        }
        paper.heading("Sets of forces", 11);
        uses(all);
        List<Used> calculated = all.stream()
                .sorted(Comparator.comparingDouble(Used::most).reversed())
                .limit(CALCULATED)
                .toList();
        if (calculated.size() < all.size()) {
            paper.paragraph("The calculations are of the " + CALCULATED + " sets that use most.");
        }
        for (Used u : calculated) {
            calculation(u);
        }
    }

    /** Number and diameter, thickest first. */
    private String bars() {
        Map<Long, Integer> count = new LinkedHashMap<>();
        one.drawn().bars().stream()
                .sorted(Comparator.comparingDouble(Spot::diameter).reversed())
                .forEach(b -> count.merge(Math.round(10 * b.diameter()), 1, Integer::sum));
        double area = one.drawn().bars().stream().mapToDouble(Spot::area).sum();
        List<String> words = new ArrayList<>();
        count.forEach((d, n) -> words.add(n + " Ø " + Quantity.LENGTH.text(d / 10.0, us)));
        return String.join(" + ", words) + ", " + Quantity.AREA.text(area, us);
    }

    private void picture(Used governs) throws IOException {
        Uses.Drawn drawn = one.drawn();
        double size = drawn.outline() == null
                ? drawn.diameter()
                : Math.max(span(drawn.outline(), 1, 0), span(drawn.outline(), 0, 1));
        double scale = Box.scale(size, 118);
        Drawing picture = OutlinePicture.of(
                drawn.outline(),
                drawn.diameter(),
                drawn.bars().stream()
                        .map(b -> new OutlinePicture.Bar(b.x(), b.z(), b.diameter()))
                        .toList(),
                scale);
        Box box = Box.of(paper.room(146)).above(9);
        Optional<StrengthSurface> surface = one.surface();
        paper.figure("Section " + one.id() + " with its bars, " + bars(), () -> {
            float right = box.picture(paper, picture);
            paper.glyphs(box.x() + 4, box.y() - 8, 7, false, false, PdfPaper.SOFT, "1 : " + (int) scale);
            if (surface.isPresent() && governs != null) {
                Box plot = new Box(Math.max(right + 60, box.x() + 190), box.y(), 220, box.h() - 6);
                plot(surface.get(), governs.forces, plot);
            }
        });
    }

    private static double span(Outline o, double ux, double uy) {
        return o.reach(ux, uy) + o.reach(-ux, -uy);
    }

    private void plot(StrengthSurface surface, Forces governs, Box box) throws IOException {
        double angle = Math.atan2(governs.my(), governs.mz());
        new StrengthPlot(paper, us)
                .draw(
                        SurfaceCurves.meridian(surface, angle).design(),
                        forces.stream()
                                .filter(f -> f.kind() == Kind.STRENGTH)
                                .map(SectionPaper::dot)
                                .toList(),
                        dot(governs),
                        box,
                        String.format(Locale.ROOT, "%.0f°", (Math.toDegrees(angle) + 360) % 180));
    }

    private static StrengthPlot.Dot dot(Forces f) {
        return new StrengthPlot.Dot(-f.n(), Math.hypot(f.my(), f.mz()));
    }

    private void uses(List<Used> all) throws IOException {
        List<List<PdfPaper.Cell>> rows = new ArrayList<>();
        for (Used u : all) {
            Forces f = u.forces;
            List<PdfPaper.Cell> row = new ArrayList<>();
            row.add(PdfPaper.Cell.of(f.name()));
            row.add(PdfPaper.Cell.of(f.kind().word()));
            for (double v : new double[] {f.n(), f.vy(), f.vz()}) {
                row.add(PdfPaper.Cell.of(Quantity.FORCE.text(v, us)));
            }
            for (double v : new double[] {f.t(), f.my(), f.mz()}) {
                row.add(PdfPaper.Cell.of(Quantity.MOMENT.text(v, us)));
            }
            row.add(
                    u.uses.isEmpty()
                            ? PdfPaper.Cell.of("–")
                            : new PdfPaper.Cell(
                                    String.format(Locale.ROOT, "%.2f", Math.min(99.99, u.most())),
                                    u.most() > 1 + 1e-6,
                                    -1));
            row.add(PdfPaper.Cell.of(Uses.governs(u.uses).replace('-', ' ')));
            rows.add(row);
        }
        paper.table(
                List.of(
                        new PdfPaper.Column("set", 64, false),
                        new PdfPaper.Column("for", 74, false),
                        new PdfPaper.Column("N", 48, true),
                        new PdfPaper.Column("Vy", 44, true),
                        new PdfPaper.Column("Vz", 44, true),
                        new PdfPaper.Column("T", 48, true),
                        new PdfPaper.Column("My", 48, true),
                        new PdfPaper.Column("Mz", 48, true),
                        new PdfPaper.Column("util.", 32, true),
                        new PdfPaper.Column("governs", 61, false)),
                rows,
                7.5f);
    }

    private void calculation(Used u) throws IOException {
        paper.need(120);
        paper.down(8);
        paper.section(u.forces.name(), 2, 11);
        List<List<PdfPaper.Cell>> rows = new ArrayList<>();
        for (SectionUses.Use q : u.uses) {
            rows.add(List.of(
                    PdfPaper.Cell.of(q.check().replace('-', ' ')),
                    PdfPaper.Cell.of(q.quantity().text(q.demand(), us)),
                    PdfPaper.Cell.of(q.quantity().text(q.capacity(), us)),
                    new PdfPaper.Cell(
                            String.format(Locale.ROOT, "%.2f", Math.min(99.99, q.utilisation())),
                            q.utilisation() > 1 + 1e-6,
                            -1),
                    PdfPaper.Cell.of(q.clause().text())));
        }
        if (!rows.isEmpty()) {
            paper.table(
                    List.of(
                            new PdfPaper.Column("check", 180, false),
                            new PdfPaper.Column("demand", 80, true),
                            new PdfPaper.Column("capacity", 80, true),
                            new PdfPaper.Column("util.", 40, true),
                            new PdfPaper.Column("clause", 80, false)),
                    rows,
                    7.5f);
        }
        new StepsOnPaper(paper, us).write(one.explain(u.forces));
    }
}
