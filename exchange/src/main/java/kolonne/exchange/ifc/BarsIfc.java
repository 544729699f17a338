package kolonne.exchange.ifc;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.code.Bar;
import kolonne.core.detail.BarItem;
import kolonne.core.space.CentreLine;
import kolonne.core.space.Point3;
import kolonne.core.space.SpaceBar;

/** Bars: every one at its place, bars of one shape by one type with one geometry. */
final class BarsIfc {
    /** Digits of points of a shape that tell shapes apart [1/mm]. */
    private static final double EXACT = 100;

    private final IfcFrame f;
    private final StepWriter w;
    private final Map<Object, Type> types = new LinkedHashMap<>();
    private final Map<Double, List<Object>> byGrade = new LinkedHashMap<>();
    private final StepWriter.Ref origin;
    private final StepWriter.Ref identity;

    /** @param shape that all bars of it show; @param bars that were written */
    private record Type(StepWriter.Ref type, StepWriter.Ref shape, List<Object> bars) {}

    private record Key(
            String code,
            Bar bar,
            List<Double> dims,
            double length,
            double fy,
            String kind,
            List<Long> points,
            List<Boolean> arcs) {}

    BarsIfc(IfcFrame f) {
        this.f = f;
        this.w = f.w;
        origin = f.placement(Point3.ORIGIN);
        identity = w.add("IFCCARTESIANTRANSFORMATIONOPERATOR3D", null, null, f.point(Point3.ORIGIN), null, null);
    }

    /**
     * @param cage placement of the cage, along its line or lift
     * @param key  that tells the bar from all others
     * @param name mark of the member and of the bar
     * @param fy   [MPa]
     */
    StepWriter.Ref bar(SpaceBar b, StepWriter.Ref cage, String key, String name, double fy) {
        Type type = type(b, fy);
        BarItem item = b.item();
        StepWriter.Ref at = w.add("IFCLOCALPLACEMENT", cage, f.placement(b.at()));
        StepWriter.Ref shape = w.add("IFCPRODUCTDEFINITIONSHAPE", null, null, List.of(type.shape()));
        StepWriter.Ref bar = w.add(
                "IFCREINFORCINGBAR",
                f.ids.of(key),
                null,
                name,
                null,
                kind(b) == null ? item.bar().label() : kind(b),
                at,
                shape,
                b.mark(),
                null,
                item.bar().diameter(),
                item.bar().area() * 1e-6,
                item.cutLength(),
                use(b),
                null);
        type.bars().add(bar);
        return bar;
    }

    private static StepWriter.Word use(SpaceBar b) {
        return new StepWriter.Word(
                switch (b.use()) {
                    case MAIN -> "MAIN";
                    case SIDE -> "EDGE";
                    case TIE -> "LIGATURE";
                    case SPACER -> "USERDEFINED";
                });
    }

    /** What the enumeration of the standard has no word for; null where it has. */
    private static String kind(SpaceBar b) {
        return b.use() == SpaceBar.Use.SPACER ? "SPACER" : null;
    }

    private Type type(SpaceBar b, double fy) {
        BarItem i = b.item();
        List<Long> points = new ArrayList<>();
        for (Point3 p : b.shape().points()) {
            points.add(Math.round(p.x() * EXACT));
            points.add(Math.round(p.y() * EXACT));
            points.add(Math.round(p.z() * EXACT));
        }
        Key key = new Key(
                i.shape(),
                i.bar(),
                i.dims(),
                i.cutLength(),
                fy,
                kind(b),
                points,
                b.shape().arcs());
        Type known = types.get(key);
        if (known == null) {
            known = write(b, types.size() + 1);
            types.put(key, known);
            byGrade.computeIfAbsent(fy, k -> new ArrayList<>()).add(known.type());
        }
        return known;
    }

    private Type write(SpaceBar b, int number) {
        BarItem i = b.item();
        StepWriter.Ref solid =
                w.add("IFCSWEPTDISKSOLID", directrix(b.shape()), i.bar().diameter() / 2, null, null, null);
        StepWriter.Ref solids = w.add("IFCSHAPEREPRESENTATION", f.body, "Body", "AdvancedSweptSolid", List.of(solid));
        StepWriter.Ref map = w.add("IFCREPRESENTATIONMAP", origin, solids);
        List<Object> dims = new ArrayList<>();
        for (int k = 0; k < i.dims().size(); k++) {
            double d = i.dims().get(k);
            // turns of a spiral are an angle
            dims.add(
                    i.isCount(k)
                            ? new StepWriter.Typed("IFCPLANEANGLEMEASURE", 2 * Math.PI * d)
                            : new StepWriter.Typed("IFCPOSITIVELENGTHMEASURE", d));
        }
        StepWriter.Ref type = w.add(
                "IFCREINFORCINGBARTYPE",
                f.ids.of("bar type " + number),
                null,
                i.bar().label() + ", shape " + i.shape() + ", " + Math.round(i.cutLength()),
                null,
                null,
                null,
                List.of(map),
                null,
                kind(b),
                use(b),
                i.bar().diameter(),
                i.bar().area() * 1e-6,
                i.cutLength(),
                null,
                "ISO 3766 " + i.shape(),
                dims);
        StepWriter.Ref shown = w.add(
                "IFCSHAPEREPRESENTATION",
                f.body,
                "Body",
                "MappedRepresentation",
                List.of(w.add("IFCMAPPEDITEM", map, identity)));
        return new Type(type, shown, new ArrayList<>());
    }

    private StepWriter.Ref directrix(CentreLine c) {
        List<Object> points = new ArrayList<>();
        c.points().forEach(p -> points.add(List.of(p.x(), p.y(), p.z())));
        List<Object> parts = new ArrayList<>();
        int at = 1;
        for (boolean arc : c.arcs()) {
            parts.add(new StepWriter.Typed(
                    arc ? "IFCARCINDEX" : "IFCLINEINDEX", arc ? List.of(at, at + 1, at + 2) : List.of(at, at + 1)));
            at += arc ? 2 : 1;
        }
        return w.add("IFCINDEXEDPOLYCURVE", w.add("IFCCARTESIANPOINTLIST3D", points), parts, false);
    }

    /** Writes which bars are of which type, and of which steel. */
    void relations(IfcSections sections) {
        int number = 0;
        for (Type t : types.values()) {
            w.add("IFCRELDEFINESBYTYPE", f.ids.of("bars of type " + ++number), null, null, null, t.bars(), t.type());
        }
        byGrade.forEach((fy, all) ->
                w.add("IFCRELASSOCIATESMATERIAL", f.ids.of("steel " + fy), null, null, null, all, sections.steel(fy)));
    }
}
