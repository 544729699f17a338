package kolonne.exchange.paper;

import java.io.IOException;
import java.io.InputStream;
import java.util.HashMap;
import java.util.Map;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** The product's type in a PDF document. */
public final class PdfFonts {
    private final PDDocument doc;
    private final PDFont regular;
    private final PDFont bold;
    private final Map<Integer, Boolean> glyphs = new HashMap<>();
    private final Map<Integer, Float> regularWidths = new HashMap<>();
    private final Map<Integer, Float> boldWidths = new HashMap<>();

    public PdfFonts(PDDocument doc) throws IOException {
        this.doc = doc;
        regular = font("IBMPlexSans-Regular.ttf");
        bold = font("IBMPlexSans-SemiBold.ttf");
    }

    public PDFont regular() {
        return regular;
    }

    public PDFont bold() {
        return bold;
    }

    private PDFont font(String name) throws IOException {
        try (InputStream in = PdfFonts.class.getResourceAsStream("/fonts/" + name)) {
            TrueTypeFont ttf = new TTFParser().parse(new RandomAccessReadBuffer(in));
            ttf.setEnableGsub(false); // ligatures are not wanted and cost nine tenths of the time
            return PDType0Font.load(doc, ttf, true);
        }
    }

    /** The text with characters that the type lacks shown as a question mark. */
    public String known(String s) {
        StringBuilder b = new StringBuilder(s.length());
        s.codePoints().forEach(cp -> b.appendCodePoint(glyphs.computeIfAbsent(cp, this::has) ? cp : '?'));
        return b.toString();
    }

    /** How wide a text is in one of these types, at a size. Widths of characters are remembered: asking the font takes most of the time of a long report. */
    public float width(PDFont font, float points, String s) throws IOException {
        Map<Integer, Float> widths = font == bold ? boldWidths : regularWidths;
        float sum = 0;
        String known = known(s);
        for (int i = 0; i < known.length(); i = known.offsetByCodePoints(i, 1)) {
            int cp = known.codePointAt(i);
            Float w = widths.get(cp);
            if (w == null) {
                w = font.getStringWidth(Character.toString(cp));
                widths.put(cp, w);
            }
            sum += w;
        }
        return sum / 1000 * points;
    }

    private boolean has(int codePoint) {
        try {
            regular.encode(Character.toString(codePoint));
            bold.encode(Character.toString(codePoint));
            return true;
        } catch (IOException | IllegalArgumentException e) {
            return false; // the fonts answer so for a character they lack
        }
    }

    /** The same content gives the same bytes: the document's id does not depend on the time. */
    public static void reproducible(PDDocument doc) {
        doc.setDocumentId(0L);
    }
}
