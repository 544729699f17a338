package kolonne.exchange.bending;

import com.fasterxml.jackson.core.JsonEncoding;
import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.io.OutputStream;
import java.io.Writer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import kolonne.core.basis.Basis;
import kolonne.core.design.BuildingDesign;
import kolonne.core.detail.BendingSteps;
import kolonne.core.schedule.ScheduleGroups;
import kolonne.core.schedule.Scheduled;
import kolonne.core.schedule.Schedules;
import kolonne.exchange.results.ResultsCsv;

/** Every line of the bar list with the steps of its bending. The same design gives the same bytes. */
public final class BendingData {
    private static final JsonMapper JSON = new JsonMapper();
    private static final int VERSION = 1;
    private static final String HEADER =
            "member,mark,number,members,total,size,diameterMm,fyMpa,shape,dimensionsMm,cutLengthMm,massKg,mandrelMm,steps,groups\n";

    private BendingData() {}

    /** A line with its steps. @param fy of its member [MPa] */
    private record Line(Schedules.BarRow row, double fy, BendingSteps bent) {
        int total() {
            return row.members() * row.item().number();
        }
    }

    private static List<Line> lines(BuildingDesign d) {
        Map<String, Basis> basis = new TreeMap<>();
        ScheduleGroups.beams(d).forEach(g -> basis.put(g.name(), g.first().basis()));
        ScheduleGroups.columns(d).forEach(g -> basis.put(g.name(), g.first().basis()));
        List<Line> out = new ArrayList<>();
        for (Schedules.BarRow r : Schedules.bars(Scheduled.of(d))) {
            Basis b = basis.get(r.member());
            out.add(new Line(r, b.fy(), BendingSteps.of(r.item(), b.entry().bends())));
        }
        return out;
    }

    /** Writes JSON; the stream stays open. */
    public static void json(BuildingDesign d, OutputStream out) throws IOException {
        try (JsonGenerator g = JSON.getFactory()
                .createGenerator(out, JsonEncoding.UTF8)
                .disable(JsonGenerator.Feature.AUTO_CLOSE_TARGET)) {
            g.writeStartObject();
            g.writeStringField("format", "kolonne-bending");
            g.writeNumberField("version", VERSION);
            g.writeStringField("building", d.analysis().index().building().name());
            g.writeStringField("code", d.basis().entry().name());
            g.writeArrayFieldStart("bars");
            for (Line l : lines(d)) {
                g.writeRaw('\n');
                bar(g, l);
            }
            g.writeEndArray();
            g.writeEndObject();
        }
    }

    private static void bar(JsonGenerator g, Line l) throws IOException {
        Schedules.BarRow r = l.row();
        g.writeStartObject();
        g.writeStringField("member", r.member());
        if (!r.groups().isEmpty()) {
            g.writeStringField("groups", r.groups());
        }
        g.writeStringField("mark", r.barMark());
        g.writeStringField("where", r.item().what());
        g.writeNumberField("number", r.item().number());
        g.writeNumberField("members", r.members());
        g.writeNumberField("total", l.total());
        g.writeStringField("size", r.item().bar().label());
        number(g, "diameterMm", r.item().bar().diameter());
        number(g, "fyMpa", l.fy());
        g.writeStringField("shape", r.item().shape());
        g.writeArrayFieldStart("dimensionsMm");
        for (double v : r.item().dims()) {
            g.writeNumber(tenths(v));
        }
        g.writeEndArray();
        number(g, "cutLengthMm", r.item().cutLength());
        number(g, "massKg", r.members() * r.item().mass());
        number(g, "mandrelMm", l.bent().mandrel());
        g.writeArrayFieldStart("steps");
        for (BendingSteps.Step s : l.bent().steps()) {
            g.writeStartObject();
            number(g, "straightMm", s.straight());
            if (s.angle() != 0) {
                number(g, "bendDegrees", s.angle());
                number(g, "insideRadiusMm", s.radius());
            }
            g.writeEndObject();
        }
        g.writeEndArray();
        g.writeEndObject();
    }

    private static void number(JsonGenerator g, String name, double v) throws IOException {
        g.writeNumberField(name, tenths(v));
    }

    private static double tenths(double v) {
        return Math.round(v * 10) / 10.0;
    }

    /** Writes CSV: straights as {@code s120}, bends as {@code b90r20}, one after another. */
    public static void csv(BuildingDesign d, Writer w) throws IOException {
        w.write('\uFEFF' + HEADER);
        for (Line l : lines(d)) {
            Schedules.BarRow r = l.row();
            List<String> cells = List.of(
                    ResultsCsv.text(r.member()),
                    r.barMark(),
                    Integer.toString(r.item().number()),
                    Integer.toString(r.members()),
                    Integer.toString(l.total()),
                    ResultsCsv.text(r.item().bar().label()),
                    digits(r.item().bar().diameter()),
                    digits(l.fy()),
                    r.item().shape(),
                    String.join(
                            " ",
                            r.item().dims().stream().map(BendingData::digits).toList()),
                    digits(r.item().cutLength()),
                    digits(r.members() * r.item().mass()),
                    digits(l.bent().mandrel()),
                    steps(l.bent()),
                    ResultsCsv.text(r.groups()));
            w.write(String.join(",", cells) + "\n");
        }
        w.flush();
    }

    private static String steps(BendingSteps bent) {
        List<String> out = new ArrayList<>();
        for (BendingSteps.Step s : bent.steps()) {
            out.add("s" + digits(s.straight()));
            if (s.angle() != 0) {
                out.add("b" + digits(s.angle()) + "r" + digits(s.radius()));
            }
        }
        return String.join(" ", out);
    }

    private static String digits(double v) {
        return String.format(Locale.ROOT, "%.1f", v).replaceFirst("\\.0$", "");
    }
}
