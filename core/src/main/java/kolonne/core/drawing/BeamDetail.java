package kolonne.core.drawing;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.Laps;
import kolonne.core.beam.cage.LayerSpacers;
import kolonne.core.beam.cage.SectionCut;
import kolonne.core.beam.cage.StirrupPlaces;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.code.Bends;
import kolonne.core.detail.BeamBars;
import kolonne.core.explain.Quantity;
import kolonne.core.schedule.ScheduleGroups;
import kolonne.core.schedule.Schedules;

/**
 * A beam line in elevation with its stirrups, beneath it every bar drawn out on a line of its own with its mark, number, size and length, and the sections at the
 * places where they are cut in the application. What is drawn is the cage that was checked; marks are those of the bar list.
 */
public final class BeamDetail {
    private static final double TEXT = 2;
    private static final double ROW = 7;
    private static final double GAP = 3;
    /** A column is shown so far above and below the beam [mm]. */
    private static final double STUB = 5;
    /** Space that the deepest section may take [mm]. */
    private static final double SECTION = 55;

    private final ScheduleGroups.Group<BeamDesign> group;
    private final BeamLine line;
    private final BeamCage cage;
    private final Basis basis;
    private final boolean us;
    private final double room;
    private final Scales scales;
    private final double left;
    private final Drawing.Pen pen = new Drawing.Pen();
    private double y;

    private BeamDetail(ScheduleGroups.Group<BeamDesign> group, Basis basis, double room) {
        this.group = group;
        this.line = group.first().line();
        this.cage = group.first().cage();
        this.basis = basis;
        this.us = basis.usUnits();
        this.room = room;
        double first = line.supports().get(0).depth() / 2;
        double last = line.supports().get(line.supports().size() - 1).depth() / 2;
        double deepest =
                line.spans().stream().mapToDouble(s -> s.shape().depth()).max().orElseThrow();
        this.scales = Scales.fitting(line.length() + first + last, room - 8, deepest, SECTION);
        this.left = scales.ofWhole(first) + 4;
    }

    /**
     * The details of a group of like beams: the elevation with its bars, then its sections.
     *
     * @param room that the paper has across [mm]
     */
    public static List<Drawing> of(ScheduleGroups.Group<BeamDesign> group, Basis basis, double room) {
        BeamDetail elevation = new BeamDetail(group, basis, room);
        elevation.elevation();
        BeamDetail sections = new BeamDetail(group, basis, room);
        sections.sections();
        return List.of(elevation.pen.drawing(), sections.pen.drawing());
    }

    private double x(double along) {
        return left + scales.ofWhole(along);
    }

    private String length(double mm) {
        return Quantity.LENGTH.digits(mm, us);
    }

    private void title(String more, int scale) {
        pen.text(0, y - 4, 3.5, Drawing.Align.LEFT, true, group.mark() + more);
        double after = Drawing.Label.width(group.mark() + more, 3.5) + 4;
        String alike = group.members().size() == 1
                ? ""
                : group.members().size() + " alike: "
                        + String.join(
                                ", ",
                                group.members()
                                        .subList(0, Math.min(6, group.members().size())))
                        + (group.members().size() > 6 ? ", …" : "");
        pen.text(after, y - 4, TEXT, Drawing.Align.LEFT, "1 : " + scale + (alike.isEmpty() ? "" : " · " + alike));
        y -= 8;
    }

    private void elevation() {
        title("", scales.whole());
        supportLabels();
        double top = y - STUB;
        y = top;
        outline(top);
        stirrups(top);
        bars(top);
        spacers(top);
        places(top);
        y = top - scales.ofWhole(deepest()) - STUB - 3;
        stirrupWords();
        dimensions();
        drawnOut();
    }

    private double deepest() {
        return line.spans().stream().mapToDouble(s -> s.shape().depth()).max().orElseThrow();
    }

    private void supportLabels() {
        double before = -Double.MAX_VALUE;
        for (BeamLine.Support s : line.supports()) {
            double half = Drawing.Label.width(s.label(), TEXT) / 2;
            boolean free = s.kind() == BeamLine.SupportKind.FREE;
            if (!free && x(s.x()) - half > before) {
                pen.text(x(s.x()), y - 2.5, TEXT, Drawing.Align.MIDDLE, s.label());
                before = x(s.x()) + half + 1;
            }
        }
        y -= 4;
    }

    private void outline(double top) {
        for (BeamLine.Span s : line.spans()) {
            double soffit = top - scales.ofWhole(s.shape().depth());
            pen.line(Layer.CONCRETE, x(s.from()), top, x(s.to()), top);
            pen.line(Layer.CONCRETE, x(s.faceFrom()), soffit, x(s.faceTo()), soffit);
        }
        for (int i = 0; i < line.supports().size(); i++) {
            support(line.supports().get(i), i, top);
        }
    }

    private void support(BeamLine.Support s, int number, double top) {
        BeamLine.Span beside = line.spans().get(Math.max(0, number - 1));
        double soffit = top - scales.ofWhole(beside.shape().depth());
        double a = x(s.x() - s.depth() / 2);
        double b = x(s.x() + s.depth() / 2);
        switch (s.kind()) {
            case COLUMN -> {
                for (double side : new double[] {a, b}) {
                    pen.line(Layer.CONCRETE, side, top + STUB - 1, side, top);
                    pen.line(Layer.CONCRETE, side, soffit, side, soffit - STUB);
                    pen.line(Layer.HIDDEN, side, top, side, soffit);
                }
            }
            case BEAM -> {
                pen.line(Layer.HIDDEN, a, top, a, soffit);
                pen.line(Layer.HIDDEN, b, top, b, soffit);
            }
            case HELD -> {
                pen.line(Layer.CONCRETE, x(s.x()), soffit, x(s.x()) - 2, soffit - 3);
                pen.line(Layer.CONCRETE, x(s.x()), soffit, x(s.x()) + 2, soffit - 3);
                pen.line(Layer.CONCRETE, x(s.x()) - 2, soffit - 3, x(s.x()) + 2, soffit - 3);
            }
            case FREE -> pen.line(Layer.CONCRETE, x(s.x()), top, x(s.x()), soffit);
        }
        boolean outer = number == 0 || number == line.supports().size() - 1;
        if (outer && s.kind() != BeamLine.SupportKind.FREE && s.depth() > 0) {
            double edge = number == 0 ? a : b;
            pen.line(Layer.CONCRETE, edge, top, edge, soffit);
            pen.line(Layer.CONCRETE, edge, top, x(s.x()), top);
        }
    }

    private void stirrups(double top) {
        for (BeamCage.Zone z : cage.zones()) {
            BeamLine.Span s = line.spans().get(z.span());
            double a = top - scales.ofWhole(basis.beamCover());
            double b = top - scales.ofWhole(s.shape().depth() - basis.beamCover());
            for (double place : StirrupPlaces.of(cage.zones(), z)) {
                double at = x(place);
                pen.line(Layer.STIRRUPS, at, a, at, b);
            }
        }
    }

    private void bars(double top) {
        for (BeamCage.Group g : cage.groups()) {
            double at = level(g, top);
            pen.line(Layer.BARS, x(g.from()), at, x(g.to()), at);
            double hook = scales.ofWhole(bends().hook(g.bar())) * (g.face() == BeamCage.Face.TOP ? -1 : 1);
            if (g.hookFrom()) {
                pen.line(Layer.BARS, x(g.from()), at, x(g.from()), at + hook);
            }
            if (g.hookTo()) {
                pen.line(Layer.BARS, x(g.to()), at, x(g.to()), at + hook);
            }
        }
    }

    private void spacers(double top) {
        for (BeamCage.Spacers s : LayerSpacers.of(line, cage, basis)) {
            double depth = line.spans().get(s.span()).shape().depth();
            double at = top - scales.ofWhole(s.face() == BeamCage.Face.TOP ? s.level() : depth - s.level());
            double r = scales.ofWhole(s.bar().diameter() / 2);
            s.places().forEach(x -> pen.disc(Layer.BARS, x(x), at, r, true));
        }
    }

    private Bends bends() {
        return basis.entry().bends();
    }

    private double level(BeamCage.Group g, double top) {
        double h = line.spanAt((g.from() + g.to()) / 2).shape().depth();
        return top - scales.ofWhole(g.face() == BeamCage.Face.TOP ? g.offset() : h - g.offset());
    }

    /** Where sections are cut, with their numbers. */
    private void places(double top) {
        Map<String, Integer> numbers = new LinkedHashMap<>();
        for (BeamLine.Span s : line.spans()) {
            for (double at : line.cutPlaces(s)) {
                int n = numbers.computeIfAbsent(words(cut(s, at)), k -> numbers.size() + 1);
                // to the side of a face on which the section lies
                double shown = x(at) + (at <= s.faceFrom() ? 1.6 : at >= s.faceTo() ? -1.6 : 0);
                pen.line(Layer.TEXT, shown, top + 0.6, shown, top + 1.8);
                pen.text(shown, top + 2.2, 1.6, Drawing.Align.MIDDLE, Integer.toString(n));
            }
        }
    }

    private SectionCut cut(BeamLine.Span s, double at) {
        return SectionCut.at(line, cage, basis, s, at);
    }

    /** What tells sections apart. */
    private String words(SectionCut c) {
        return c.span().section().shape().label(us) + "|" + c.words(BeamCage.Face.TOP) + "|"
                + c.words(BeamCage.Face.BOTTOM) + "|" + stirrupWords(c.zone()) + "|" + c.sideBarsPerFace() + "|"
                + c.bars().stream()
                        .map(b -> Math.rint(b.y()) + " " + Math.rint(b.z()))
                        .sorted()
                        .toList();
    }

    private String stirrupWords(BeamCage.Zone z) {
        return z == null
                ? "no stirrups"
                : z.bar().label() + "-" + Schedules.spacing(z.spacing(), basis)
                        + (z.legs() > 2 ? ", " + z.legs() + " legs" : "");
    }

    /** Number, size and spacing of every zone beneath it; where texts would meet, the next lower line. */
    private void stirrupWords() {
        Lines lines = new Lines();
        for (BeamCage.Zone z : cage.zones()) {
            String words = cage.count(z) + " " + stirrupWords(z);
            double middle = (x(z.from()) + x(z.to())) / 2;
            double half = Drawing.Label.width(words, TEXT) / 2;
            int row = lines.take(middle - half, middle + half);
            pen.text(middle, y - 2 - row * 3.2, TEXT, Drawing.Align.MIDDLE, words);
        }
        spacerWords(lines);
        y -= lines.count() * 3.2 + GAP;
    }

    /** Mark, number and size of spacers beneath the middle of those of a span. */
    private void spacerWords(Lines lines) {
        for (BeamBars.Placed p : BeamBars.placed(line, cage, basis)) {
            if (p.part() instanceof BeamCage.Spacers s) {
                String words = group.barMark(p.item()) + "  " + p.item().number()
                        + p.item().bar().label() + " spacers, " + s.face().word();
                double middle = (x(p.from()) + x(p.to())) / 2;
                double half = Drawing.Label.width(words, TEXT) / 2;
                int row = lines.take(middle - half, middle + half);
                pen.text(middle, y - 2 - row * 3.2, TEXT, Drawing.Align.MIDDLE, words);
            }
        }
    }

    /** Chains of the stirrup zones and of the supports and clear spans. */
    private void dimensions() {
        for (BeamCage.Zone z : cage.zones()) {
            boolean alone =
                    cage.zones().stream().filter(q -> q.span() == z.span()).count() == 1;
            if (alone) {
                continue; // the clear span says it
            }
            pen.dimension(x(z.from()), x(z.to()), y - 2, 1.6, length(z.to() - z.from()));
        }
        y -= 5;
        for (BeamLine.Span s : line.spans()) {
            pen.dimension(x(s.faceFrom()), x(s.faceTo()), y - 2, TEXT, length(s.clear()));
        }
        for (BeamLine.Support s : line.supports()) {
            if (s.depth() > 0) {
                pen.dimension(x(s.x() - s.depth() / 2), x(s.x() + s.depth() / 2), y - 2, 1.6, length(s.depth()));
            }
        }
        y -= 6;
    }

    // ---- every bar -----------------------------------------------------------------------------------------------

    private void drawnOut() {
        List<BeamBars.Placed> all = BeamBars.placed(line, cage, basis);
        rows(all, BeamCage.Face.TOP);
        rows(all, BeamCage.Face.BOTTOM);
        rows(all, null);
    }

    private void rows(List<BeamBars.Placed> all, BeamCage.Face face) {
        Lines lines = new Lines();
        for (BeamBars.Placed p : all) {
            if (p.along() && p.face() == face) {
                bar(p, group.barMark(p.item()), lines);
            }
        }
        y -= lines.count() * ROW;
    }

    private void bar(BeamBars.Placed p, String mark, Lines lines) {
        double a = x(p.from());
        double b = x(p.to());
        String words = mark + "  " + p.item().number() + p.item().bar().label() + "  "
                + length(p.item().cutLength());
        String begin = p.hookFrom() ? "" : end(p.from());
        String stop = p.hookTo() ? "" : end(p.to());
        double half = Drawing.Label.width(words, TEXT) / 2;
        double beginWidth = Drawing.Label.width(begin, 1.6);
        double stopWidth = Drawing.Label.width(stop, 1.6);
        double middle = Math.max((a + b) / 2, half + 1);
        int row = lines.take(Math.min(a - beginWidth - 1, middle - half), Math.max(b + stopWidth + 1, middle + half));
        double at = y - 5 - row * ROW;
        pen.line(Layer.BARS, a, at, b, at);
        double up = p.face() == BeamCage.Face.TOP ? -1.8 : 1.8;
        if (p.hookFrom()) {
            pen.line(Layer.BARS, a, at, a, at + up);
        }
        if (p.hookTo()) {
            pen.line(Layer.BARS, b, at, b, at + up);
        }
        pen.text(middle, at + 0.9, TEXT, Drawing.Align.MIDDLE, words);
        // beneath the level of the words, which may be wider than a short bar
        pen.text(a - 0.6, at - 1.4, 1.6, Drawing.Align.RIGHT, begin);
        pen.text(b + 0.6, at - 1.4, 1.6, Drawing.Align.LEFT, stop);
    }

    /** How far a straight end lies from the nearest face of a support; the length of a lap where it ends in one. */
    private String end(double at) {
        double nearest = Double.MAX_VALUE;
        for (BeamLine.Span s : line.spans()) {
            for (double face : new double[] {s.faceFrom(), s.faceTo()}) {
                nearest = Math.abs(at - face) < Math.abs(nearest) ? at - face : nearest;
            }
        }
        for (BeamCage.Group g : cage.groups()) {
            for (Laps.Lap l : Laps.of(line, g, basis)) {
                if (Math.abs(l.from() - at) < 1e-6 || Math.abs(l.to() - at) < 1e-6) {
                    return "lap " + length(l.to() - l.from());
                }
            }
        }
        return length(Math.abs(nearest));
    }

    /** Lines of texts or bars that do not meet. */
    private static final class Lines {
        private final List<List<double[]>> rows = new ArrayList<>();

        /** The first line with room between two places. */
        int take(double a, double b) {
            for (int r = 0; ; r++) {
                if (r == rows.size()) {
                    rows.add(new ArrayList<>());
                }
                if (rows.get(r).stream().allMatch(q -> q[1] + 1 <= a || q[0] - 1 >= b)) {
                    rows.get(r).add(new double[] {a, b});
                    return r;
                }
            }
        }

        int count() {
            return rows.size();
        }
    }

    // ---- sections ------------------------------------------------------------------------------------------------

    private void sections() {
        title("  sections", scales.section());
        Map<String, SectionCut> cuts = new LinkedHashMap<>();
        for (BeamLine.Span s : line.spans()) {
            for (double at : line.cutPlaces(s)) {
                SectionCut c = cut(s, at);
                cuts.putIfAbsent(words(c), c);
            }
        }
        double at = 4;
        double row = 0;
        int n = 0;
        for (SectionCut c : cuts.values()) {
            List<String> words = sectionWords(c);
            double wide = Math.max(
                    scales.ofSection(c.span().shape().webWidth()) + 10,
                    words.stream()
                            .mapToDouble(w -> Drawing.Label.width(w, TEXT))
                            .max()
                            .orElse(0));
            double high = scales.ofSection(c.span().shape().depth()) + 6 + 3 * words.size();
            if (at > 4 && at + wide > room) {
                y -= row + GAP;
                at = 4;
                row = 0;
            }
            section(c, ++n, at, wide, words);
            at += wide + 6;
            row = Math.max(row, high);
        }
    }

    private List<String> sectionWords(SectionCut c) {
        List<String> out = new ArrayList<>(List.of(
                c.span().section().shape().label(us),
                c.words(BeamCage.Face.TOP) + " top",
                c.words(BeamCage.Face.BOTTOM) + " bottom",
                stirrupWords(c.zone())));
        if (c.sideBarsPerFace() > 0) {
            out.add("2 × " + c.sideBarsPerFace() + c.sideBar().label() + " sides");
        }
        c.spacers()
                .forEach(s -> out.add(s.bar().label() + " spacers, " + s.face().word()));
        return out;
    }

    private void section(SectionCut c, int number, double at, double wide, List<String> words) {
        double b = c.span().shape().webWidth();
        double h = c.span().shape().depth();
        double x0 = at + (wide - scales.ofSection(b)) / 2;
        double y0 = y - 4 - scales.ofSection(h);
        pen.text(at + wide / 2, y - 2.5, TEXT, Drawing.Align.MIDDLE, true, number + " – " + number);
        pen.drawing(SectionPicture.of(c, cage, basis, scales.section()).moved(x0, y0));
        double text = y0 - 3.5;
        for (String w : words) {
            pen.text(at + wide / 2, text, TEXT, Drawing.Align.MIDDLE, w);
            text -= 3;
        }
    }
}
