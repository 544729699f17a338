package kolonne.exchange.drawing;

import java.io.IOException;
import java.io.OutputStream;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import kolonne.core.drawing.Sheet;
import kolonne.core.project.Logo;
import kolonne.core.work.Progress;
import kolonne.exchange.paper.DrawingInk;
import kolonne.exchange.paper.PdfFonts;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/** Sheets as pages of their true size. */
public final class DrawingPdf {
    private DrawingPdf() {}

    public static void write(List<Sheet> sheets, Progress progress, OutputStream out) throws IOException {
        try (PDDocument doc = new PDDocument()) {
            PdfFonts fonts = new PdfFonts(doc);
            Map<Logo, PDImageXObject> pictures = new IdentityHashMap<>();
            for (Sheet s : sheets) {
                progress.at("writing sheets", s.number() - 1, sheets.size());
                PDPage page = new PDPage(new PDRectangle(
                        DrawingInk.pt(s.paper().width()),
                        DrawingInk.pt(s.paper().height())));
                doc.addPage(page);
                try (PDPageContentStream p = new PDPageContentStream(doc, page)) {
                    DrawingInk.draw(s.drawing(), p, fonts);
                    if (s.picture().isPresent()) {
                        picture(s.picture().get(), doc, p, pictures);
                    }
                }
            }
            if (sheets.isEmpty()) {
                doc.addPage(new PDPage(PDRectangle.A4));
            }
            PdfFonts.reproducible(doc);
            doc.save(out);
        }
    }

    /** A logo is in the file once. */
    private static void picture(
            Sheet.Picture at, PDDocument doc, PDPageContentStream p, Map<Logo, PDImageXObject> pictures)
            throws IOException {
        PDImageXObject image = pictures.get(at.logo());
        if (image == null) {
            image = PDImageXObject.createFromByteArray(doc, at.logo().bytes(), "logo");
            pictures.put(at.logo(), image);
        }
        p.drawImage(
                image,
                DrawingInk.pt(at.x()),
                DrawingInk.pt(at.y()),
                DrawingInk.pt(at.width()),
                DrawingInk.pt(at.height()));
    }
}
