package kolonne.exchange.paper;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.SectionCut;
import kolonne.core.beam.check.BeamDesign;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.design.BuildingDesign;
import kolonne.core.design.Quantities;
import kolonne.core.detail.BarItem;
import kolonne.core.detail.ShapeSketch;
import kolonne.core.drawing.Drawing;
import kolonne.core.drawing.SectionPicture;
import kolonne.core.explain.Quantity;
import kolonne.core.model.Role;
import kolonne.core.schedule.CuttingPlan;
import kolonne.core.schedule.ScheduleGroups;
import kolonne.core.schedule.Scheduled;
import kolonne.core.schedule.Schedules;
import kolonne.core.schedule.StoreyQuantities;

/** The schedules as tables of texts and numbers, the same for paper, spreadsheet and screen. */
public final class ScheduleTables {
    /** Members of a type that one row names. */
    private static final int MEMBERS_A_ROW = 10;
    /** Of sections in the beam schedule. */
    static final int SECTION_SCALE = 50;

    /** Of the dimensions of a shape. */
    private static final List<String> LETTERS = List.of("A", "B", "C", "D");

    private ScheduleTables() {}

    /**
     * @param widths  relative widths of the columns
     * @param decimals of the numbers in a column; -1 for a column of texts
     * @param rows    cells: a String or a Double
     * @param shapes  of bars that the rows name by their codes
     * @param pictures of sections, by what stands in the first column
     */
    public record Table(
            String title,
            List<String> columns,
            List<Integer> widths,
            List<Integer> decimals,
            List<List<Object>> rows,
            List<ShapeSketch> shapes,
            Map<String, Drawing> pictures) {
        Table(
                String title,
                List<String> columns,
                List<Integer> widths,
                List<Integer> decimals,
                List<List<Object>> rows) {
            this(title, columns, widths, decimals, rows, List.of(), Map.of());
        }

        /** A column holds numbers if it has decimals of 0 or more. */
        public boolean numeric(int column) {
            return decimals.get(column) >= 0;
        }

        /** A cell as printed. */
        public String text(int row, int column) {
            Object v = rows.get(row).get(column);
            return v instanceof Double n
                    ? String.format(Locale.ROOT, "%." + decimals.get(column) + "f", n)
                    : String.valueOf(v);
        }
    }

    public static Table beams(Scheduled all) {
        boolean us = all.design().basis().usUnits();
        List<List<Object>> rows = new ArrayList<>();
        for (Schedules.BeamRow r : Schedules.beams(all)) {
            rows.add(List.of(
                    r.mark(),
                    r.storey(),
                    (double) r.members(),
                    (double) r.span(),
                    r.section(),
                    clear(r, us),
                    r.topLeft(),
                    r.topMiddle(),
                    r.topRight(),
                    r.bottom(),
                    r.stirrups(),
                    r.sideBars(),
                    r.satisfied() ? "" : "fails"));
        }
        return new Table(
                "Beam schedule",
                List.of(
                        "mark",
                        "storey",
                        "number",
                        "span",
                        "section",
                        us ? "clear, ft" : "clear, m",
                        "top left",
                        "top middle",
                        "top right",
                        "bottom",
                        "stirrups",
                        "side bars",
                        ""),
                List.of(8, 8, 7, 5, 10, 8, 10, 9, 10, 10, 24, 6, 4),
                List.of(-1, -1, 0, 0, -1, 2, -1, -1, -1, -1, -1, -1, -1),
                rows,
                List.of(),
                sections(all));
    }

    /** A number; from the shortest to the longest where they differ as printed. */
    private static Object clear(Schedules.BeamRow r, boolean us) {
        double least = Quantity.DISTANCE.display(r.clear(), us);
        String from = String.format(Locale.ROOT, "%.2f", least);
        String to = String.format(Locale.ROOT, "%.2f", Quantity.DISTANCE.display(r.clearMost(), us));
        return from.equals(to) ? least : from + "–" + to;
    }

    /** The section in the middle of every first span; once where the next has the same. */
    private static Map<String, Drawing> sections(Scheduled all) {
        Map<String, Drawing> out = new HashMap<>();
        Drawing last = null;
        for (Schedules.BeamEntry e : Schedules.beamEntries(all)) {
            BeamDesign b = e.first();
            BeamLine.Span span = b.line().spans().get(0);
            SectionCut cut = SectionCut.at(b.line(), b.cage(), b.basis(), span, span.middle());
            Drawing picture = SectionPicture.of(cut, b.cage(), b.basis(), SECTION_SCALE);
            if (!picture.equals(last)) {
                out.put(e.spans().get(0).mark(), picture);
            }
            last = picture;
        }
        return out;
    }

    public static Table columns(Scheduled all) {
        boolean us = all.design().basis().usUnits();
        List<List<Object>> rows = new ArrayList<>();
        for (Schedules.ColumnRow r : Schedules.columns(all)) {
            rows.add(List.of(
                    r.mark(),
                    (double) r.members(),
                    r.storey(),
                    r.section(),
                    Quantity.STRENGTH.display(r.fc(), us),
                    r.bars(),
                    100 * r.ratio(),
                    r.ties(),
                    r.utilisation(),
                    r.satisfied() ? "" : "fails"));
        }
        return new Table(
                "Column schedule",
                List.of(
                        "mark",
                        "number",
                        "lift to",
                        "section",
                        us ? "f′c, ksi" : "f′c, MPa",
                        "bars",
                        "steel, %",
                        "ties",
                        "util.",
                        ""),
                List.of(9, 7, 9, 12, 8, 16, 8, 22, 7, 6),
                List.of(-1, 0, -1, -1, us ? 2 : 0, -1, 2, -1, 2, -1),
                rows);
    }

    public static Table bars(Scheduled all) {
        boolean us = all.design().basis().usUnits();
        List<List<Object>> rows = new ArrayList<>();
        Set<String> shapes = new HashSet<>();
        for (Schedules.BarRow r : Schedules.bars(all)) {
            BarItem i = r.item();
            shapes.add(i.shape());
            List<Object> row = new ArrayList<>(List.of(
                    r.member(),
                    r.groups(),
                    r.barMark(),
                    i.what(),
                    i.bar().label(),
                    (double) i.number(),
                    (double) r.members(),
                    (double) (i.number() * r.members()),
                    i.shape()));
            for (int k = 0; k < LETTERS.size(); k++) {
                row.add(k < i.dims().size() ? dim(i, k, us) : "");
            }
            row.add(us ? i.cutLength() / 304.8 : i.cutLength());
            row.add(Quantity.MASS.display(r.members() * i.mass(), us));
            rows.add(row);
        }
        String unit = us ? "in" : "mm";
        return new Table(
                "Bar list",
                List.of(
                        "member",
                        "group",
                        "bar",
                        "where",
                        "size",
                        "in each",
                        "members",
                        "total",
                        "shape",
                        "A, " + unit,
                        "B, " + unit,
                        "C, " + unit,
                        "D, " + unit,
                        us ? "cut, ft" : "cut, mm",
                        us ? "mass, lb" : "mass, kg"),
                List.of(9, 6, 4, 22, 5, 6, 8, 5, 6, 6, 6, 6, 6, 7, 8),
                List.of(-1, -1, -1, -1, -1, 0, 0, 0, -1, -1, -1, -1, -1, us ? 2 : 0, 1),
                rows,
                ShapeSketch.of(shapes),
                Map.of());
    }

    private static String dim(BarItem i, int k, boolean us) {
        double v = i.dims().get(k);
        if (i.isCount(k)) {
            return String.format(Locale.ROOT, "%.1f ×", v);
        }
        return String.format(Locale.ROOT, us ? "%.2f" : "%.0f", us ? v / 25.4 : v);
    }

    /** Steel by size, with the bars as delivered that it is cut from. */
    public static Table totals(Scheduled all) {
        Basis b = all.design().basis();
        boolean us = b.usUnits();
        double stock = b.bars().stockLength();
        List<List<Object>> rows = new ArrayList<>();
        double mass = 0;
        double bought = 0;
        List<Schedules.BarRow> bars = Schedules.bars(all);
        List<CuttingPlan.Cut> cuts = CuttingPlan.of(bars, stock);
        List<Schedules.SizeTotal> totals = Schedules.totals(bars);
        for (int i = 0; i < totals.size(); i++) {
            Schedules.SizeTotal t = totals.get(i);
            CuttingPlan.Cut c = cuts.get(i);
            rows.add(List.of(
                    t.label(),
                    Quantity.DISTANCE.display(t.length(), us),
                    Quantity.MASS.display(t.mass(), us),
                    (double) c.bars(),
                    (double) c.least(),
                    100 * c.waste()));
            mass += t.mass();
            double cut = c.length() / 1000 * c.bar().mass();
            bought += cut / (1 - c.waste()) + t.mass() - cut;
        }
        rows.add(List.of(
                "all", "", Quantity.MASS.display(mass, us), "", "", bought == 0 ? 0.0 : 100 * (1 - mass / bought)));
        String length = us
                ? String.format(Locale.ROOT, "%.0f ft", stock / 304.8)
                : String.format(Locale.ROOT, "%.1f m", stock / 1000);
        return new Table(
                "Steel by size",
                List.of(
                        "size",
                        us ? "length, ft" : "length, m",
                        us ? "mass, lb" : "mass, kg",
                        "bars of " + length,
                        "at least",
                        "left over, %"),
                List.of(10, 14, 14, 14, 10, 12),
                List.of(-1, 0, 0, 0, 0, 1),
                rows);
    }

    /** Concrete, formwork and steel by storey and role, then concrete by grade. */
    public static Table quantities(BuildingDesign d) {
        boolean us = d.basis().usUnits();
        List<List<Object>> rows = new ArrayList<>();
        Map<Role, Quantities> roles = new EnumMap<>(Role.class);
        Map<Role, Integer> members = new EnumMap<>(Role.class);
        for (StoreyQuantities.Row r : StoreyQuantities.of(d)) {
            rows.add(row(r.storey(), word(r.role()), r.members(), r.quantities(), us));
            roles.merge(r.role(), r.quantities(), Quantities::plus);
            members.merge(r.role(), r.members(), Integer::sum);
        }
        Quantities all = Quantities.NONE;
        int n = 0;
        for (Map.Entry<Role, Quantities> e : roles.entrySet()) {
            rows.add(row("all", word(e.getKey()), members.get(e.getKey()), e.getValue(), us));
            all = all.plus(e.getValue());
            n += members.get(e.getKey());
        }
        rows.add(row("all", "", n, all, us));
        StoreyQuantities.concrete(d).forEach((grade, mm3) -> {
            for (Role role : Role.values()) {
                double v = mm3[role == Role.BEAM ? 0 : 1];
                if (v > 0) {
                    rows.add(List.of("of " + grade, word(role), "", volume(v, us), "", "", ""));
                }
            }
        });
        return new Table(
                "Quantities of beams and columns",
                List.of(
                        "storey",
                        "of",
                        "lines, lifts",
                        us ? "concrete, yd³" : "concrete, m³",
                        us ? "formwork, ft²" : "formwork, m²",
                        us ? "steel, lb" : "steel, kg",
                        us ? "lb/yd³" : "kg/m³"),
                List.of(14, 10, 10, 12, 12, 12, 10),
                List.of(-1, -1, 0, 1, 0, 0, 0),
                rows);
    }

    private static String word(Role r) {
        return r == Role.BEAM ? "beams" : "columns";
    }

    private static double volume(double mm3, boolean us) {
        return us ? mm3 / Math.pow(914.4, 3) : mm3 / 1e9;
    }

    private static List<Object> row(String storey, String of, int members, Quantities q, boolean us) {
        double concrete = volume(q.concrete(), us);
        double steel = Quantity.MASS.display(q.steel(), us);
        return List.of(
                storey,
                of,
                (double) members,
                concrete,
                us ? q.formwork() / (304.8 * 304.8) : q.formwork() / 1e6,
                steel,
                concrete > 0 ? steel / concrete : 0.0);
    }

    /** Who has the cage of which type; several rows where they are many. */
    public static Table types(Scheduled all) {
        List<List<Object>> rows = new ArrayList<>();
        all.beams().forEach(g -> members(g, "beams", rows));
        all.columns().forEach(g -> members(g, "columns", rows));
        return new Table(
                "Types and their members",
                List.of("type", "of", "number", "storeys", "members"),
                List.of(10, 8, 7, 18, 80),
                List.of(-1, -1, 0, -1, -1),
                rows);
    }

    private static void members(ScheduleGroups.Group<?> g, String of, List<List<Object>> rows) {
        if (!g.type()) {
            return;
        }
        List<String> all = g.members();
        for (int i = 0; i < all.size(); i += MEMBERS_A_ROW) {
            boolean first = i == 0;
            rows.add(List.of(
                    g.mark(),
                    first ? of : "",
                    first ? (Object) (double) all.size() : "",
                    first ? g.storeys() : "",
                    String.join(", ", all.subList(i, Math.min(all.size(), i + MEMBERS_A_ROW)))));
        }
    }

    /** All tables in the order of printing; quantities of the whole building alone. */
    public static List<Table> all(Scheduled all) {
        List<Table> out = new ArrayList<>(beforeColumns(all));
        out.add(columns(all));
        out.addAll(behindColumns(all));
        return out;
    }

    /** What stands before the columns, which paper shows as pictures. */
    static List<Table> beforeColumns(Scheduled all) {
        return all.design().typed().isEmpty() ? List.of(beams(all)) : List.of(types(all), beams(all));
    }

    static List<Table> behindColumns(Scheduled all) {
        return all.whole()
                ? List.of(bars(all), totals(all), quantities(all.design()))
                : List.of(bars(all), totals(all));
    }
}
