package kolonne.exchange.drawing;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import kolonne.core.drawing.Drawing;
import kolonne.core.drawing.Layer;
import kolonne.core.drawing.Paper;
import kolonne.core.drawing.Sheet;
import kolonne.core.work.Progress;

/**
 * Sheets side by side in one drawing file: plain text DXF of release 2000 (AC1015), in millimetres of paper. A sheet is a block with its lower left corner as base,
 * and so is the disc of a bar. Layers by what they show, with widths of lines; characters beyond ASCII as {@code \U+XXXX}. The same sheets give the same bytes.
 */
public final class DxfWriter {
    /** Space between sheets [mm]. */
    private static final double BETWEEN = 40;

    private static final String MODEL = "1F";
    private static final String PAPER = "1B";
    /** Name of the disc that is a bar's section; its radius is 1. */
    private static final String BAR = "BAR";

    private static final String BAR_RECORD = "30";

    private final Writer out;
    private final List<String> records = new ArrayList<>();
    private int handle = 0x100;
    /** Block or space that entities are written to. */
    private String owner = MODEL;

    private DxfWriter(Writer out) {
        this.out = out;
    }

    public static void write(List<Sheet> sheets, Progress progress, Writer out) throws IOException {
        try {
            new DxfWriter(out).file(sheets, progress);
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
        out.flush();
    }

    private void file(List<Sheet> sheets, Progress progress) {
        sheets.forEach(q -> records.add(fresh()));
        header(sheets);
        section("CLASSES");
        end("ENDSEC");
        tables(sheets);
        blocks(sheets, progress);
        section("ENTITIES");
        double x = 0;
        for (Sheet q : sheets) {
            insert(name(q), "0", x, 0, 1);
            x += q.paper().width() + BETWEEN;
        }
        end("ENDSEC");
        objects();
        end("EOF");
    }

    private static String name(Sheet s) {
        return String.format(Locale.ROOT, "SHEET-%02d", s.number());
    }

    // ---- groups --------------------------------------------------------------------------------------------------

    private void put(int code, String value) {
        try {
            out.write(code + "\n" + value + "\n");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void put(int code, double value) {
        put(code, String.format(Locale.ROOT, "%.4f", value));
    }

    private void put(int code, int value) {
        put(code, Integer.toString(value));
    }

    private void section(String name) {
        put(0, "SECTION");
        put(2, name);
    }

    private void end(String word) {
        put(0, word);
    }

    private String fresh() {
        return Integer.toHexString(handle++).toUpperCase(Locale.ROOT);
    }

    /** Text as the file takes it. */
    static String ascii(String s) {
        StringBuilder b = new StringBuilder();
        s.codePoints().forEach(c -> {
            if (c >= 32 && c < 127) {
                b.append((char) c);
            } else {
                b.append(c > 0xFFFF || c < 32 ? "?" : String.format(Locale.ROOT, "\\U+%04X", c));
            }
        });
        return b.toString();
    }

    // ---- what a file begins with ---------------------------------------------------------------------------------

    private void header(List<Sheet> sheets) {
        section("HEADER");
        put(9, "$ACADVER");
        put(1, "AC1015");
        put(9, "$DWGCODEPAGE");
        put(3, "ANSI_1252");
        put(9, "$INSUNITS");
        put(70, 4);
        put(9, "$MEASUREMENT");
        put(70, 1);
        put(9, "$LWDISPLAY");
        put(290, 1);
        put(9, "$EXTMIN");
        point(10, 0, 0);
        put(9, "$EXTMAX");
        double right =
                sheets.stream().mapToDouble(s -> s.paper().width() + BETWEEN).sum();
        point(
                10,
                Math.max(1, right),
                sheets.stream().mapToDouble(s -> s.paper().height()).max().orElse(Paper.A4.height()));
        put(9, "$HANDSEED");
        put(5, "FFFFFF");
        end("ENDSEC");
    }

    private void point(int code, double x, double y) {
        put(code, x);
        put(code + 10, y);
        put(code + 20, 0.0);
    }

    private void table(String name, String handle, int entries) {
        put(0, "TABLE");
        put(2, name);
        put(5, handle);
        put(330, "0");
        put(100, "AcDbSymbolTable");
        put(70, entries);
    }

    private void entry(String kind, String handle, String table, String subclass) {
        put(0, kind);
        put(kind.equals("DIMSTYLE") ? 105 : 5, handle);
        put(330, table);
        put(100, "AcDbSymbolTableRecord");
        put(100, subclass);
    }

    private void tables(List<Sheet> sheets) {
        section("TABLES");
        table("VPORT", "8", 0);
        end("ENDTAB");
        table("LTYPE", "5", 4);
        lineType("14", "ByBlock", "", new double[0]);
        lineType("15", "ByLayer", "", new double[0]);
        lineType("16", "Continuous", "Solid line", new double[0]);
        lineType("17", "DASHED", "Dashed", new double[] {3, -1.5});
        end("ENDTAB");
        table("LAYER", "2", Layer.values().length + 1);
        layer("10", "0", "Continuous", -3);
        for (Layer l : Layer.values()) {
            layer(fresh(), l.name(), l.dashed() ? "DASHED" : "Continuous", (int) Math.round(100 * l.width()));
        }
        end("ENDTAB");
        table("STYLE", "3", 2);
        style("11", "Standard", "");
        style("18", "BOLD", "");
        end("ENDTAB");
        table("VIEW", "6", 0);
        end("ENDTAB");
        table("UCS", "7", 0);
        end("ENDTAB");
        table("APPID", "9", 1);
        entry("APPID", "12", "9", "AcDbRegAppTableRecord");
        put(2, "ACAD");
        put(70, 0);
        end("ENDTAB");
        table("DIMSTYLE", "A", 1);
        put(100, "AcDbDimStyleTable");
        entry("DIMSTYLE", "27", "A", "AcDbDimStyleTableRecord");
        put(2, "Standard");
        put(70, 0);
        end("ENDTAB");
        table("BLOCK_RECORD", "1", 3 + sheets.size());
        record(MODEL, "*Model_Space");
        record(PAPER, "*Paper_Space");
        record(BAR_RECORD, BAR);
        for (int i = 0; i < sheets.size(); i++) {
            record(records.get(i), name(sheets.get(i)));
        }
        end("ENDTAB");
        end("ENDSEC");
    }

    private void record(String handle, String name) {
        entry("BLOCK_RECORD", handle, "1", "AcDbBlockTableRecord");
        put(2, name);
    }

    private void lineType(String handle, String name, String words, double[] dashes) {
        entry("LTYPE", handle, "5", "AcDbLinetypeTableRecord");
        put(2, name);
        put(70, 0);
        put(3, words);
        put(72, 65);
        put(73, dashes.length);
        double length = 0;
        for (double d : dashes) {
            length += Math.abs(d);
        }
        put(40, length);
        for (double d : dashes) {
            put(49, d);
            put(74, 0);
        }
    }

    /** @param width hundredths of a millimetre, -3 for the usual one */
    private void layer(String handle, String name, String lineType, int width) {
        entry("LAYER", handle, "2", "AcDbLayerTableRecord");
        put(2, name);
        put(70, 0);
        put(62, 7);
        put(6, lineType);
        put(370, width);
        put(390, "F");
    }

    private void style(String handle, String name, String font) {
        entry("STYLE", handle, "3", "AcDbTextStyleTableRecord");
        put(2, name);
        put(70, 0);
        put(40, 0.0);
        put(41, 1.0);
        put(50, 0.0);
        put(71, 0);
        put(42, 2.5);
        put(3, "txt");
        put(4, font);
    }

    private void blocks(List<Sheet> sheets, Progress progress) {
        section("BLOCKS");
        block("20", "21", MODEL, "*Model_Space", () -> {});
        block("1C", "1D", PAPER, "*Paper_Space", () -> {});
        block("31", "32", BAR_RECORD, BAR, this::unitDisc);
        for (int i = 0; i < sheets.size(); i++) {
            Sheet q = sheets.get(i);
            progress.at("writing sheets", i, sheets.size());
            block(fresh(), fresh(), records.get(i), name(q), () -> entities(q.drawing()));
        }
        end("ENDSEC");
    }

    private void block(String begin, String stop, String record, String name, Runnable content) {
        put(0, "BLOCK");
        put(5, begin);
        put(330, record);
        put(100, "AcDbEntity");
        put(8, "0");
        put(100, "AcDbBlockBegin");
        put(2, name);
        put(70, 0);
        point(10, 0, 0);
        put(3, name);
        put(1, "");
        owner = record;
        content.run();
        owner = MODEL;
        put(0, "ENDBLK");
        put(5, stop);
        put(330, record);
        put(100, "AcDbEntity");
        put(8, "0");
        put(100, "AcDbBlockEnd");
    }

    private void objects() {
        section("OBJECTS");
        dictionary("C", "0", "ACAD_GROUP", "D", "ACAD_PLOTSTYLENAME", "E");
        dictionary("D", "C");
        put(0, "ACDBDICTIONARYWDFLT");
        put(5, "E");
        put(330, "C");
        put(100, "AcDbDictionary");
        put(281, 1);
        put(3, "Normal");
        put(350, "F");
        put(100, "AcDbDictionaryWithDefault");
        put(340, "F");
        put(0, "ACDBPLACEHOLDER");
        put(5, "F");
        put(330, "E");
        end("ENDSEC");
    }

    private void dictionary(String handle, String owner, String... entries) {
        put(0, "DICTIONARY");
        put(5, handle);
        put(330, owner);
        put(100, "AcDbDictionary");
        put(281, 1);
        for (int i = 0; i < entries.length; i += 2) {
            put(3, entries[i]);
            put(350, entries[i + 1]);
        }
    }

    // ---- what is drawn -------------------------------------------------------------------------------------------

    private void entity(String kind, String layer, String subclass) {
        put(0, kind);
        put(5, fresh());
        put(330, owner);
        put(100, "AcDbEntity");
        put(8, layer);
        put(100, subclass);
    }

    private void entities(Drawing d) {
        for (Drawing.Line l : d.lines()) {
            entity("LINE", l.layer().name(), "AcDbLine");
            point(10, l.x1(), l.y1());
            point(11, l.x2(), l.y2());
        }
        for (Drawing.Disc c : d.discs()) {
            if (c.filled()) {
                insert(BAR, c.layer().name(), c.x(), c.y(), c.radius());
            } else {
                entity("CIRCLE", c.layer().name(), "AcDbCircle");
                point(10, c.x(), c.y());
                put(40, c.radius());
            }
        }
        d.labels().forEach(this::text);
    }

    /** A block at a place. @param times its size */
    private void insert(String block, String layer, double x, double y, double times) {
        entity("INSERT", layer, "AcDbBlockReference");
        put(2, block);
        point(10, x, y);
        for (int code = 41; code <= 43; code++) {
            put(code, times);
        }
    }

    /** A disc is a closed line of two half circles, as wide as the radius; its layer is that of the bar. */
    private void unitDisc() {
        entity("LWPOLYLINE", "0", "AcDbPolyline");
        put(90, 2);
        put(70, 1);
        put(43, 1.0);
        for (int side : new int[] {-1, 1}) {
            put(10, side / 2.0);
            put(20, 0.0);
            put(42, 1.0);
        }
    }

    private void text(Drawing.Label t) {
        entity("TEXT", Layer.TEXT.name(), "AcDbText");
        point(10, t.left(), t.y());
        put(40, t.height());
        put(1, ascii(t.text()));
        put(7, t.bold() ? "BOLD" : "Standard");
        if (t.align() != Drawing.Align.LEFT) {
            put(72, t.align() == Drawing.Align.MIDDLE ? 1 : 2);
            point(11, t.x(), t.y());
        }
        put(100, "AcDbText");
    }
}
