package kolonne.exchange.sketch;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import kolonne.core.code.CodeEntry;
import kolonne.core.code.Combinations;
import kolonne.core.code.registry.Codes;
import kolonne.core.finding.Finding;
import kolonne.core.finding.Severity;
import kolonne.core.model.Building;
import kolonne.core.model.CaseKind;
import kolonne.core.model.LoadCase;
import kolonne.core.model.Material;
import kolonne.core.model.MemberLoad;
import kolonne.core.model.ModelCheck;
import kolonne.core.shape.Shape;
import kolonne.core.sketch.ContinuousBeam;
import kolonne.core.sketch.SingleColumn;
import kolonne.exchange.json.StrictJson;
import kolonne.exchange.model.ModelUnits;

/**
 * Sketches as JSON. Lengths in m or ft, sections in mm or in, strengths in MPa or ksi, loads in kN and m or kip and ft, as in
 * the model file; loads act downwards.
 */
public final class SketchFile {
    private static final double WEIGHT = 25e-6;
    /** Longest span or column [mm], largest size of a section [mm], most entries of a list. */
    private static final double LONGEST = 200_000;

    private static final double THICKEST = 10_000;
    private static final int MOST = 200;

    private final List<Finding> findings = new ArrayList<>();
    private ModelUnits u;
    private String code = "";

    private SketchFile() {}

    /** Outline of a section; sizes that a shape does not have are 0. */
    public record SketchSection(String shape, double b, double h, double bw, double bf, double hf, double d) {}

    public record SketchSpan(double length, SketchSection section) {}

    /** @param kind free, pinned, fixed or columns */
    public record SketchStand(String kind, double below, double above, SketchSection column, boolean pinnedFoot) {}

    public record SketchCase(String id, String name, String kind, double selfWeight) {}

    /** @param span from 0. @param kind distributed, point or moment */
    public record SketchLoad(
            int span, String loadCase, String kind, double from, double to, double value, double valueTo) {}

    /** @param code key of the design code that combinations are made for; the usual one of the units if left out */
    public record BeamSketch(
            String name,
            String units,
            double fc,
            List<SketchSpan> spans,
            List<SketchStand> supports,
            List<SketchCase> cases,
            List<SketchLoad> loads,
            boolean patternLive,
            String code) {}

    public record ColumnSketchLoad(
            String loadCase,
            double axial,
            double hx,
            double hy,
            double mxHead,
            double myHead,
            double mxFoot,
            double myFoot,
            double qx,
            double qy) {}

    /** @param foot pinned or fixed. @param head free, pinned or fixed. @param code as of a beam */
    public record ColumnSketch(
            String name,
            String units,
            double fc,
            double height,
            SketchSection section,
            String foot,
            String head,
            List<SketchCase> cases,
            List<ColumnSketchLoad> loads,
            String code) {}

    /** The model of a sketch; building is null if it cannot be made. @param code of the basis to begin with */
    public record Read(Building building, String code, List<Finding> findings) {
        public boolean sound() {
            return building != null && findings.stream().noneMatch(f -> f.severity() == Severity.FAILS);
        }
    }

    /** Reads a continuous beam. */
    public static Read beam(byte[] bytes) {
        SketchFile f = new SketchFile();
        BeamSketch b = f.parse(bytes, BeamSketch.class);
        return f.read(b == null || !f.beamSound(b) ? null : f.beam(b).building());
    }

    /** Reads a single column. */
    public static Read column(byte[] bytes) {
        SketchFile f = new SketchFile();
        ColumnSketch c = f.parse(bytes, ColumnSketch.class);
        return f.read(c == null || !f.columnSound(c) ? null : f.column(c).building());
    }

    private Read read(Building b) {
        if (b == null) {
            return new Read(null, code, findings);
        }
        findings.addAll(ModelCheck.run(b));
        return new Read(b, code, findings);
    }

    private <T> T parse(byte[] bytes, Class<T> type) {
        try {
            T read = StrictJson.READER.readValue(bytes, type);
            bad(read == null, "sketch", "The sketch is empty.", "Give its parts.");
            return read;
        } catch (IOException e) {
            findings.add(StrictJson.trouble(e, "sketch", "sketch", "docs/formats/model.md"));
        }
        return null;
    }

    private void fail(String where, String what, String mend) {
        findings.add(Finding.fails("sketch", where, what, mend));
    }

    private boolean bad(boolean wrong, String where, String what, String mend) {
        if (wrong) {
            fail(where, what, mend);
        }
        return wrong;
    }

    private static String number(double v) {
        return v == Math.rint(v) ? String.format(Locale.ROOT, "%.0f", v) : String.format(Locale.ROOT, "%.3g", v);
    }

    private static String keys(boolean us) {
        return String.join(
                " or ",
                Codes.ALL.stream()
                        .filter(c -> c.usUnits() == us)
                        .map(CodeEntry::key)
                        .toList());
    }

    private boolean commonSound(String name, String units, String given, double fc, List<SketchCase> cases) {
        u = units == null ? null : ModelUnits.of(units);
        if (bad(u == null, "units", "The units are " + units + ".", "Use SI or US.")) {
            return false;
        }
        boolean us = u.name().equals("US");
        code = given == null || given.isBlank() ? Codes.usual(us).key() : given;
        bad(
                Codes.find(code).filter(c -> c.usUnits() == us).isEmpty(),
                "code",
                "The design code is " + code + " with units " + u.name() + ".",
                "Use " + keys(false) + " with SI units, " + keys(true) + " with US units.");
        bad(name == null || name.isBlank(), "name", "The name is empty.", "Give the project a name.");
        bad(!(fc > 0), "concrete", "The strength of the concrete is " + number(fc) + ".", "Give f'c.");
        if (absent(cases, "load cases")) {
            return false;
        }
        bad(cases == null || cases.isEmpty(), "load cases", "There are no load cases.", "Add at least one.");
        Set<String> ids = new HashSet<>();
        for (SketchCase c : cases == null ? List.<SketchCase>of() : cases) {
            bad(
                    c.id() == null || c.id().isBlank() || !ids.add(c.id()),
                    "load case " + c.id(),
                    "The load case has no name of its own.",
                    "Give each case a different name.");
            bad(
                    kind(c.kind()) == null,
                    "load case " + c.id(),
                    "The kind " + c.kind() + " is not known.",
                    "Use dead, superimposed, live, roof-live, snow, wind, seismic or soil.");
        }
        return findings.isEmpty();
    }

    /** Whether a list has a hole where something should be, or no end. */
    private boolean absent(List<?> list, String where) {
        return bad(
                        list != null && list.size() > MOST,
                        where,
                        "There are more than " + MOST + " of them.",
                        "Bring a model file in for more.")
                || bad(
                        list != null && list.stream().anyMatch(java.util.Objects::isNull),
                        where,
                        "An entry is null.",
                        "Fill it or leave it out.");
    }

    private static CaseKind kind(String s) {
        for (CaseKind k : CaseKind.values()) {
            if (s != null
                    && k != CaseKind.OTHER
                    && k.name().toLowerCase(Locale.ROOT).replace('_', '-').equals(s)) {
                return k;
            }
        }
        return null;
    }

    private boolean beamSound(BeamSketch b) {
        if (!commonSound(b.name(), b.units(), b.code(), b.fc(), b.cases())) {
            return false;
        }
        if (absent(b.spans(), "spans") | absent(b.supports(), "supports") | absent(b.loads(), "loads")) {
            return false;
        }
        int n = b.spans() == null ? 0 : b.spans().size();
        if (bad(n == 0, "spans", "There are no spans.", "Add at least one.")
                || bad(
                        b.supports() == null || b.supports().size() != n + 1,
                        "supports",
                        "There must be one more support than spans.",
                        "Give a support at every end of a span.")) {
            return false;
        }
        for (int i = 0; i < n; i++) {
            lengthSound(b.spans().get(i).length(), "span " + (i + 1), "The span is");
            shapeSound(b.spans().get(i).section(), "span " + (i + 1));
        }
        for (int i = 0; i <= n; i++) {
            standSound(b.supports().get(i), i, n);
        }
        for (SketchLoad l : b.loads() == null ? List.<SketchLoad>of() : b.loads()) {
            loadSound(b, l, n);
        }
        return findings.isEmpty();
    }

    private void lengthSound(double length, String where, String what) {
        bad(
                !(length > 0 && length * u.length() <= LONGEST),
                where,
                what + " " + number(length) + " long.",
                "Give a length above zero, up to " + number(LONGEST / u.length()) + ".");
    }

    private void standSound(SketchStand s, int i, int n) {
        String where = "support " + (i + 1);
        if (bad(
                stand(s.kind()) == null,
                where,
                "The kind " + s.kind() + " is not known.",
                "Use free, pinned, fixed or columns.")) {
            return;
        }
        bad(
                stand(s.kind()) == ContinuousBeam.Kind.FREE && i > 0 && i < n,
                where,
                "A support between two spans cannot be free.",
                "Join the two spans to one, or choose a support.");
        if (stand(s.kind()) == ContinuousBeam.Kind.COLUMNS) {
            bad(
                    !(s.below() >= 0 && s.above() >= 0 && s.below() + s.above() > 0),
                    where,
                    "There is no column above or below.",
                    "Give the height of one.");
            lengthSound(Math.max(s.below(), s.above()), where, "The column is");
            shapeSound(s.column(), where + ", column");
        }
    }

    private void loadSound(BeamSketch b, SketchLoad l, int n) {
        String where = "load on span " + (l.span() + 1);
        if (bad(l.span() < 0 || l.span() >= n, where, "There is no such span.", "Choose a span of the beam.")) {
            return;
        }
        bad(
                b.cases().stream().noneMatch(c -> c.id().equals(l.loadCase())),
                where,
                "The load case " + l.loadCase() + " is not there.",
                "Choose one of the load cases.");
        MemberLoad.Kind k = loadKind(l.kind());
        bad(k == null, where, "The kind " + l.kind() + " is not known.", "Use distributed, point or moment.");
        double length = b.spans().get(l.span()).length();
        double to = k == MemberLoad.Kind.DISTRIBUTED ? l.to() : l.from();
        bad(
                !(l.from() >= 0 && to <= length * (1 + 1e-9) && (k != MemberLoad.Kind.DISTRIBUTED || to > l.from())),
                where,
                "The load runs from " + number(l.from()) + " to " + number(to) + " but the span is " + number(length)
                        + " long.",
                "Place the load within the span.");
        bad(
                !Double.isFinite(l.value()) || !Double.isFinite(l.valueTo()),
                where,
                "The load is not a number.",
                "Give its size.");
    }

    private void shapeSound(SketchSection s, String where) {
        if (bad(s == null, where, "The section is missing.", "Give its sizes.")) {
            return;
        }
        boolean ok = switch (String.valueOf(s.shape())) {
            case "rectangle" -> s.b() > 0 && s.h() > 0;
            case "circle" -> s.d() > 0;
            case "tee", "ell", "inverted-tee" ->
                s.bw() > 0 && s.h() > 0 && s.bf() >= s.bw() && s.hf() > 0 && s.hf() < s.h();
            default -> false;
        };
        double most = Math.max(Math.max(s.b(), s.h()), Math.max(Math.max(s.bw(), s.bf()), s.d()));
        bad(
                !(most * u.size() <= THICKEST),
                where,
                "A size of the section is " + number(most) + ".",
                "Give sizes up to " + number(THICKEST / u.size()) + ".");
        bad(
                !ok,
                where,
                "The sizes of the section do not make a " + s.shape() + ".",
                "Give sizes above zero; a flange is wider than the web and less deep than the section.");
    }

    private static ContinuousBeam.Kind stand(String s) {
        return switch (String.valueOf(s)) {
            case "free" -> ContinuousBeam.Kind.FREE;
            case "pinned" -> ContinuousBeam.Kind.PINNED;
            case "fixed" -> ContinuousBeam.Kind.FIXED;
            case "columns" -> ContinuousBeam.Kind.COLUMNS;
            default -> null;
        };
    }

    private static MemberLoad.Kind loadKind(String s) {
        return switch (String.valueOf(s)) {
            case "distributed" -> MemberLoad.Kind.DISTRIBUTED;
            case "point" -> MemberLoad.Kind.POINT;
            case "moment" -> MemberLoad.Kind.MOMENT;
            default -> null;
        };
    }

    private Shape shape(SketchSection s) {
        double k = u.size();
        return switch (s.shape()) {
            case "rectangle" -> new Shape.Rectangle(s.b() * k, s.h() * k);
            case "circle" -> new Shape.Circle(s.d() * k);
            default -> Shape.flanged(s.shape(), s.bw() * k, s.h() * k, s.bf() * k, s.hf() * k);
        };
    }

    private Material concrete(double fc) {
        double mpa = fc * u.stress();
        double e = Codes.of(code).elasticModulus(mpa);
        return new Material("concrete", mpa, e, 0.2, WEIGHT);
    }

    private List<LoadCase> cases(List<SketchCase> all) {
        return all.stream()
                .map(c -> new LoadCase(
                        c.id(),
                        c.name() == null || c.name().isBlank() ? c.id() : c.name(),
                        kind(c.kind()),
                        c.selfWeight()))
                .toList();
    }

    private ContinuousBeam beam(BeamSketch b) {
        return new ContinuousBeam(
                b.name().strip(),
                u.name(),
                concrete(b.fc()),
                b.spans().stream()
                        .map(s -> new ContinuousBeam.Span(s.length() * u.length(), shape(s.section())))
                        .toList(),
                b.supports().stream()
                        .map(s -> new ContinuousBeam.Stand(
                                stand(s.kind()),
                                s.below() * u.length(),
                                s.above() * u.length(),
                                stand(s.kind()) == ContinuousBeam.Kind.COLUMNS ? shape(s.column()) : null,
                                s.pinnedFoot()))
                        .toList(),
                cases(b.cases()),
                (b.loads() == null ? List.<SketchLoad>of() : b.loads())
                        .stream().map(this::load).toList(),
                b.patternLive(),
                standard());
    }

    private ContinuousBeam.Load load(SketchLoad l) {
        MemberLoad.Kind k = loadKind(l.kind());
        double unit =
                k == MemberLoad.Kind.DISTRIBUTED ? u.lineLoad() : k == MemberLoad.Kind.POINT ? u.force() : u.moment();
        double to = k == MemberLoad.Kind.DISTRIBUTED ? l.to() : l.from();
        return new ContinuousBeam.Load(
                l.span(),
                l.loadCase(),
                k,
                l.from() * u.length(),
                to * u.length(),
                l.value() * unit,
                k == MemberLoad.Kind.DISTRIBUTED ? l.valueTo() * unit : 0);
    }

    private boolean columnSound(ColumnSketch c) {
        if (!commonSound(c.name(), c.units(), c.code(), c.fc(), c.cases())) {
            return false;
        }
        if (absent(c.loads(), "loads")) {
            return false;
        }
        lengthSound(c.height(), "height", "The column is");
        shapeSound(c.section(), "section");
        bad(
                end(c.foot()) == null || end(c.foot()) == SingleColumn.End.FREE,
                "foot",
                "The foot is " + c.foot() + ".",
                "Use pinned or fixed.");
        bad(end(c.head()) == null, "head", "The head is " + c.head() + ".", "Use free, pinned or fixed.");
        bad(
                end(c.head()) == SingleColumn.End.FREE && end(c.foot()) == SingleColumn.End.PINNED,
                "ends",
                "A column with a free head on a pinned foot falls over.",
                "Fix the foot, or hold the head.");
        for (ColumnSketchLoad l : c.loads() == null ? List.<ColumnSketchLoad>of() : c.loads()) {
            bad(
                    c.cases().stream().noneMatch(k -> k.id().equals(l.loadCase())),
                    "loads",
                    "The load case " + l.loadCase() + " is not there.",
                    "Choose one of the load cases.");
        }
        return findings.isEmpty();
    }

    private static SingleColumn.End end(String s) {
        return switch (String.valueOf(s)) {
            case "free" -> SingleColumn.End.FREE;
            case "pinned" -> SingleColumn.End.PINNED;
            case "fixed" -> SingleColumn.End.FIXED;
            default -> null;
        };
    }

    private SingleColumn column(ColumnSketch c) {
        double f = u.force();
        double m = u.moment();
        return new SingleColumn(
                c.name().strip(),
                u.name(),
                concrete(c.fc()),
                c.height() * u.length(),
                shape(c.section()),
                end(c.foot()),
                end(c.head()),
                cases(c.cases()),
                (c.loads() == null ? List.<ColumnSketchLoad>of() : c.loads())
                        .stream()
                                .map(l -> new SingleColumn.Load(
                                        l.loadCase(),
                                        l.axial() * f,
                                        l.hx() * f,
                                        l.hy() * f,
                                        l.mxHead() * m,
                                        l.myHead() * m,
                                        l.mxFoot() * m,
                                        l.myFoot() * m,
                                        l.qx() * u.lineLoad(),
                                        l.qy() * u.lineLoad()))
                                .toList(),
                standard());
    }

    private Combinations standard() {
        return Codes.of(code).combinations();
    }
}
