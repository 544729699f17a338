package kolonne.exchange.results;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.StreamWriteFeature;
import com.fasterxml.jackson.core.io.SerializedString;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.io.OutputStream;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.analysis.Analysis;
import kolonne.core.basis.Basis;
import kolonne.core.basis.local.LocalSettings;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.Laps;
import kolonne.core.beam.cage.SectionCut;
import kolonne.core.beam.check.BeamDemands;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.check.CheckResult;
import kolonne.core.code.Bar;
import kolonne.core.column.cage.ColumnCage;
import kolonne.core.column.cage.TiePlaces;
import kolonne.core.column.check.ColumnDesign;
import kolonne.core.column.check.LiftDemands;
import kolonne.core.column.line.ColumnStack;
import kolonne.core.demand.Demands;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.Quantities;
import kolonne.core.explain.Quantity;
import kolonne.core.finding.Finding;
import kolonne.core.model.Combination;
import kolonne.core.model.Material;
import kolonne.core.section.PlacedBar;
import kolonne.core.shape.Shape;
import kolonne.exchange.basis.BasisFile;

/** Writes the results JSON (schema in docs/formats/results.schema.json). */
public final class ResultsJson {
    private static final JsonMapper JSON = new JsonMapper(JsonFactory.builder()
            .enable(StreamWriteFeature.USE_FAST_DOUBLE_WRITER)
            .build());
    /** A thousandth of a thousandth of a newton [kN], and so in moments. */
    private static final double NOTHING = 1e-9;

    private final SixDigits digits = new SixDigits();
    private final Map<String, SerializedString> encoded = new HashMap<>();
    private final BuildingDesign d;
    private final JsonGenerator g;
    private final Basis basis;
    private final Map<String, String> types;

    private ResultsJson(BuildingDesign d, JsonGenerator g) {
        this.d = d;
        this.g = g;
        this.basis = d.basis();
        this.types = d.typeMarks();
    }

    /** Writes the whole design. The stream stays open. */
    public static void write(BuildingDesign d, OutputStream out) throws IOException {
        try (JsonGenerator g = JSON.createGenerator(out).disable(JsonGenerator.Feature.AUTO_CLOSE_TARGET)) {
            new ResultsJson(d, g).all();
        }
    }

    private void all() throws IOException {
        g.writeStartObject();
        g.writeStringField("format", "kolonne-results");
        g.writeNumberField("version", 1);
        g.writeStringField("building", d.analysis().index().building().name());
        g.writeStringField("code", basis.designCode().name());
        g.writePOJOField("basis", BasisFile.dto(basis));
        BuildingDesign.State s = d.state();
        g.writePOJOField("state", s);
        number("steelKg", d.quantities().steel());
        number("concreteM3", d.quantities().concrete() / 1e9);
        quantities();
        findings(d.findings());
        combinations("combinations", d.contexts().beams().strength());
        combinations("serviceCombinations", d.contexts().beams().service());
        combinations("sustainedCombinations", d.contexts().beams().sustained());
        g.writeArrayFieldStart("beamLines");
        for (BeamDesign b : d.beams()) {
            beam(b);
        }
        g.writeEndArray();
        g.writeArrayFieldStart("columnStacks");
        for (ColumnDesign c : d.columns()) {
            column(c);
        }
        g.writeEndArray();
        g.writeEndObject();
    }

    /** The type whose cage a line or stack has; nothing where it has its own. */
    private void type(String member) throws IOException {
        if (types.containsKey(member)) {
            g.writeStringField("type", types.get(member));
        }
    }

    /** Names of the local settings that a line or stack answers to. */
    private void local(List<LocalSettings> holding) throws IOException {
        if (!holding.isEmpty()) {
            g.writeArrayFieldStart("localSettings");
            for (LocalSettings s : holding) {
                g.writeString(s.name());
            }
            g.writeEndArray();
        }
    }

    private void quantities() throws IOException {
        Quantities beams = d.beams().stream().map(b -> Quantities.of(b)).reduce(Quantities.NONE, Quantities::plus);
        Quantities columns = d.columns().stream().map(c -> Quantities.of(c)).reduce(Quantities.NONE, Quantities::plus);
        Quantities floors = Quantities.ofFloors(d);
        g.writeObjectFieldStart("quantities");
        number("beamsM3", beams.concrete() / 1e9);
        number("columnsM3", columns.concrete() / 1e9);
        number("floorsM3", floors.concrete() / 1e9);
        number("formworkM2", beams.plus(columns).plus(floors).formwork() / 1e6);
        g.writeEndObject();
    }

    private void combinations(String field, Demands q) throws IOException {
        g.writeArrayFieldStart(field);
        for (int i = 0; i < q.count(); i++) {
            Combination c = q.combination(i);
            g.writeStartObject();
            g.writeStringField("id", c.id());
            g.writeStringField("name", c.name());
            g.writeObjectFieldStart("terms");
            for (Combination.Term t : c.terms()) {
                g.writeNumberField(t.loadCase(), t.factor());
            }
            g.writeEndObject();
            g.writeEndObject();
        }
        g.writeEndArray();
    }

    // ---- beams ----------------------------------------------------------------------------------------------------

    private void beam(BeamDesign b) throws IOException {
        BeamLine line = b.line();
        g.writeStartObject();
        g.writeStringField("id", line.id());
        g.writeStringField("mark", line.mark());
        g.writeStringField("storey", line.storey());
        type(line.id());
        local(d.contexts().local().holding(line));
        g.writeBooleanField("satisfied", b.satisfied());
        number("steelKg", Quantities.of(b).steel());
        g.writeArrayFieldStart("supports");
        for (BeamLine.Support s : line.supports()) {
            g.writeStartObject();
            g.writeStringField("joint", s.joint());
            g.writeStringField("label", s.label());
            g.writeStringField("kind", s.kind().name().toLowerCase(java.util.Locale.ROOT));
            number("xMm", s.x());
            number("depthMm", s.depth());
            g.writeEndObject();
        }
        g.writeEndArray();
        g.writeArrayFieldStart("spans");
        for (BeamLine.Span s : line.spans()) {
            span(b, s);
        }
        g.writeEndArray();
        cage(b.line(), b.cage(), b.basis());
        checks(b.checks(), b.line());
        findings(b.findings());
        stations(b);
        g.writeEndObject();
    }

    private void span(BeamDesign b, BeamLine.Span s) throws IOException {
        g.writeStartObject();
        g.writeArrayFieldStart("members");
        for (var m : s.members()) {
            g.writeString(m.id());
        }
        g.writeEndArray();
        number("fromMm", s.from());
        number("toMm", s.to());
        number("faceFromMm", s.faceFrom());
        number("faceToMm", s.faceTo());
        section(s.section().id(), s.shape());
        material(s.material());
        g.writeArrayFieldStart("cuts");
        for (double x : b.line().cutPlaces(s)) {
            cut(SectionCut.at(b.line(), b.cage(), b.basis(), s, x));
        }
        g.writeEndArray();
        g.writeEndObject();
    }

    private void cut(SectionCut c) throws IOException {
        g.writeStartObject();
        number("xMm", c.x());
        g.writeArrayFieldStart("bars");
        for (SectionCut.Spot s : c.bars()) {
            g.writeStartObject();
            g.writeStringField("size", s.bar().label());
            number("diameterMm", s.bar().diameter());
            number("areaMm2", s.bar().area());
            number("yMm", s.y());
            number("zMm", s.z());
            g.writeEndObject();
        }
        g.writeEndArray();
        g.writeEndObject();
    }

    private void cage(BeamLine line, BeamCage cage, Basis basis) throws IOException {
        g.writeArrayFieldStart("bars");
        for (BeamCage.Group q : cage.groups()) {
            g.writeStartObject();
            g.writeStringField("face", q.face().name().toLowerCase(java.util.Locale.ROOT));
            g.writeNumberField("layer", q.layer());
            g.writeNumberField("count", q.count());
            g.writeStringField("size", q.bar().label());
            number("diameterMm", q.bar().diameter());
            number("areaMm2", q.area());
            number("offsetFromFaceMm", q.offset());
            number("fromMm", q.from());
            number("toMm", q.to());
            g.writeBooleanField("hookFrom", q.hookFrom());
            g.writeBooleanField("hookTo", q.hookTo());
            g.writeBooleanField("through", q.through());
            g.writeBooleanField("pairs", q.pairs());
            g.writeArrayFieldStart("laps");
            for (Laps.Lap l : Laps.of(line, q, basis)) {
                g.writeStartObject();
                number("fromMm", l.from());
                number("toMm", l.to());
                g.writeEndObject();
            }
            g.writeEndArray();
            g.writeEndObject();
        }
        g.writeEndArray();
        g.writeArrayFieldStart("stirrups");
        for (BeamCage.Zone z : cage.zones()) {
            g.writeStartObject();
            g.writeNumberField("span", z.span() + 1);
            number("fromMm", z.from());
            number("toMm", z.to());
            g.writeStringField("size", z.bar().label());
            number("diameterMm", z.bar().diameter());
            g.writeNumberField("legs", z.legs());
            number("spacingMm", z.spacing());
            g.writeNumberField("count", cage.count(z));
            g.writeEndObject();
        }
        g.writeEndArray();
        g.writeArrayFieldStart("sideBars");
        for (BeamCage.SideBars s : cage.sideBars()) {
            g.writeStartObject();
            g.writeNumberField("span", s.span() + 1);
            g.writeStringField("size", s.bar().label());
            g.writeNumberField("perFace", s.perFace());
            g.writeEndObject();
        }
        g.writeEndArray();
    }

    /** Forces of every combination at every station, as the line was designed for them: redistributed or typed, sidesway magnified. */
    private void stations(BeamDesign b) throws IOException {
        BeamDemands q = BeamDemands.of(b, d.contexts().of(b.line()));
        g.writeArrayFieldStart("stations");
        for (int s = 0; s < b.line().stations().size(); s++) {
            BeamLine.Station st = b.line().stations().get(s);
            BeamDesign.Point p = b.profile().get(s);
            g.writeStartObject();
            g.writeNumberField("station", s);
            number("xMm", st.x());
            g.writeNumberField("span", st.span() + 1);
            number("capacitySaggingKnm", p.capPos() / 1e6);
            number("capacityHoggingKnm", p.capNeg() / 1e6);
            number("capacityShearKn", p.vn() / 1e3);
            number("concreteShearKn", p.vc() / 1e3);
            number("limitShearKn", p.vLimit() / 1e3);
            number("limitUse", p.limitUse());
            number("torqueKnm", p.t() / 1e6);
            number("capacityTorqueKnm", p.tn() / 1e6);
            g.writeArrayFieldStart("forces");
            for (int c = 0; c < q.count(); c++) {
                forces(q, st, c);
            }
            g.writeEndArray();
            g.writeEndObject();
        }
        g.writeEndArray();
    }

    private void forces(BeamDemands q, BeamLine.Station s, int c) throws IOException {
        g.writeStartObject();
        g.writeFieldName(encoded("combination"));
        g.writeString(encoded(q.id(c)));
        force("nKn", q.at(s, c, Analysis.N) / 1e3);
        force("vyKn", q.at(s, c, Analysis.VY) / 1e3);
        force("vzKn", q.at(s, c, Analysis.VZ) / 1e3);
        force("tKnm", q.at(s, c, Analysis.T) / 1e6);
        force("myKnm", q.at(s, c, Analysis.MY) / 1e6);
        force("mzKnm", q.at(s, c, Analysis.MZ) / 1e6);
        g.writeEndObject();
    }

    // ---- columns --------------------------------------------------------------------------------------------------

    private void column(ColumnDesign c) throws IOException {
        g.writeStartObject();
        g.writeStringField("id", c.stack().id());
        g.writeStringField("mark", c.stack().mark());
        type(c.stack().id());
        local(d.contexts().local().holding(c.stack()));
        g.writeBooleanField("satisfied", c.satisfied());
        number("steelKg", Quantities.of(c).steel());
        g.writeArrayFieldStart("lifts");
        for (ColumnDesign.LiftDesign l : c.lifts()) {
            lift(c, l);
        }
        g.writeEndArray();
        g.writeEndObject();
    }

    private void lift(ColumnDesign c, ColumnDesign.LiftDesign l) throws IOException {
        ColumnStack.Lift lift = l.lift();
        g.writeStartObject();
        g.writeStringField("member", lift.member());
        g.writeStringField("storey", lift.storey());
        number("baseMm", lift.base());
        number("topMm", lift.top());
        number("clearMm", lift.clear());
        section(lift.section().id(), lift.section().shape());
        material(lift.material());
        liftCage(lift, l.cage(), c.basis());
        g.writeObjectFieldStart("sway");
        number("qx", l.sway().qx());
        number("qy", l.sway().qy());
        number("magnifierMx", l.sway().deltaMx());
        number("magnifierMy", l.sway().deltaMy());
        number("effectiveLengthMx", l.sway().kx());
        number("effectiveLengthMy", l.sway().ky());
        g.writeEndObject();
        checks(l.checks(), null);
        findings(l.findings());
        g.writeArrayFieldStart("demands");
        for (LiftDemands.Demand q : LiftDemands.of(lift, l.cage(), d.contexts().of(c.stack()))) {
            g.writeStartObject();
            g.writeStringField(
                    "combination",
                    d.contexts()
                            .columns()
                            .strength()
                            .combination(q.combination())
                            .id());
            g.writeStringField("place", q.place().name().toLowerCase(java.util.Locale.ROOT));
            number("partOfHeight", q.part());
            g.writeBooleanField("slender", q.magnified());
            number("pKn", q.p() / 1e3);
            number("mxKnm", q.mx() / 1e6);
            number("myKnm", q.my() / 1e6);
            number("magnifier", q.factor());
            g.writeEndObject();
        }
        g.writeEndArray();
        g.writeEndObject();
    }

    private void liftCage(ColumnStack.Lift lift, ColumnCage.LiftCage q, Basis basis) throws IOException {
        g.writeStringField("barsInWords", q.layout().words());
        number("steelAreaMm2", q.area());
        g.writeArrayFieldStart("bars");
        List<PlacedBar> bars = q.bars(lift.section().shape(), basis.columnCover());
        for (PlacedBar p : bars) {
            g.writeStartObject();
            Bar size = q.layout().at(p);
            g.writeStringField("size", size.label());
            number("diameterMm", size.diameter());
            number("areaMm2", p.area());
            number("xMm", p.x());
            number("yMm", p.y());
            g.writeEndObject();
        }
        g.writeEndArray();
        g.writeObjectFieldStart("ties");
        g.writeStringField("size", q.tie().label());
        number("diameterMm", q.tie().diameter());
        number("spacingMm", q.ties().middle());
        number("spacingBesideJointsMm", q.ties().end());
        number("reachAboveFootMm", q.ties().foot());
        number("reachBelowHeadMm", q.ties().head());
        number("spacingInJointsMm", q.ties().joint());
        g.writeArrayFieldStart("placesMm");
        for (double z : TiePlaces.crossings(lift, q, basis.beamCover())) {
            g.writeNumber(Math.round(10 * z) / 10.0);
        }
        g.writeEndArray();
        g.writeNumberField("legsAlongX", q.layout().legsAlongX());
        g.writeNumberField("legsAlongY", q.layout().legsAlongY());
        g.writeBooleanField("spiral", q.wound());
        g.writeEndObject();
    }

    // ---- shared ---------------------------------------------------------------------------------------------------

    private void section(String id, Shape s) throws IOException {
        g.writeObjectFieldStart("section");
        g.writeStringField("id", id);
        g.writeStringField("shape", s.word());
        number("widthMm", s.width());
        number("webWidthMm", s.webWidth());
        number("depthMm", s.depth());
        if (s.flangeDepth() > 0) {
            number("flangeDepthMm", s.flangeDepth());
        }
        g.writeEndObject();
    }

    private void material(Material m) throws IOException {
        g.writeObjectFieldStart("concrete");
        g.writeStringField("id", m.id());
        number("fcMpa", m.fc());
        number("eMpa", m.E());
        g.writeEndObject();
    }

    /** @param line whose stations the checks name; a check between two stations names none. Null for a column */
    private void checks(List<CheckResult> checks, BeamLine line) throws IOException {
        g.writeArrayFieldStart("checks");
        for (CheckResult c : checks) {
            Quantity q = c.quantity();
            g.writeStartObject();
            g.writeStringField("kind", c.kind().id());
            g.writeStringField("title", c.title());
            g.writeStringField("cause", c.cause().id());
            number("demand", q.display(c.demand(), false));
            number("capacity", q.display(c.capacity(), false));
            g.writeStringField("unit", q.unit(false));
            number("utilisation", c.utilisation());
            g.writeBooleanField("satisfied", c.satisfied());
            g.writeStringField("combination", c.combination());
            g.writeStringField("place", c.place());
            number("xMm", c.x());
            g.writeNumberField("part", c.part() + 1);
            boolean atStation = line != null
                    && c.station() >= 0
                    && Math.abs(line.stations().get(c.station()).x() - c.x()) < 1;
            g.writeNumberField("station", atStation ? c.station() : -1);
            g.writeStringField("clause", c.clause().text());
            g.writeEndObject();
        }
        g.writeEndArray();
    }

    private void findings(List<Finding> findings) throws IOException {
        g.writeArrayFieldStart("findings");
        for (Finding f : findings) {
            g.writeStartObject();
            g.writeStringField("severity", f.severity().word());
            g.writeStringField("code", f.code());
            g.writeStringField("where", f.where());
            g.writeStringField("what", f.what());
            g.writeStringField("mend", f.mend());
            g.writeStringField("clause", f.clause());
            g.writeStringField("combination", f.combination());
            g.writeEndObject();
        }
        g.writeEndArray();
    }

    /** Six significant digits; no number where there is none (an unstable column's moment). */
    private void number(String name, double v) throws IOException {
        digits.field(g, encoded(name), v);
    }

    /** A force or a moment; what rounding left of nothing is nothing. */
    private void force(String name, double v) throws IOException {
        digits.field(g, encoded(name), Math.abs(v) < NOTHING ? 0 : v);
    }

    /** A text as it stands in the file: names of fields and combinations come millions of times. */
    private SerializedString encoded(String text) {
        return encoded.computeIfAbsent(text, SerializedString::new);
    }
}
