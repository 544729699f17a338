package kolonne.exchange.paper;

import java.io.IOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.COSObjectable;
import org.apache.pdfbox.pdmodel.common.PDNumberTreeNode;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDMarkInfo;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDObjectReference;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDParentTreeValue;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureTreeRoot;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationLink;

/**
 * The structure of a document beside its looks (ISO 32000-1, 14.7 and 14.8), for those who listen to it: every piece of a page is either part of an element in
 * reading order or an artifact.
 */
final class PdfTags {
    private static final COSName ARTIFACT = COSName.getPDFName("Artifact");

    private final PDStructureTreeRoot root = new PDStructureTreeRoot();
    private final Deque<PDStructureElement> open = new ArrayDeque<>();
    private final Map<PDPage, COSArray> marks = new HashMap<>();
    private final List<COSObjectable> parents = new ArrayList<>();
    private PDPage page;
    private PDPageContentStream out;
    private PDStructureElement marked;

    PdfTags(PDDocument doc) {
        PDMarkInfo info = new PDMarkInfo();
        info.setMarked(true);
        doc.getDocumentCatalog().setMarkInfo(info);
        doc.getDocumentCatalog().setStructureTreeRoot(root);
        PDStructureElement document = new PDStructureElement("Document", root);
        root.appendKid(document);
        open.push(document);
    }

    /** Writing goes on here; what was marked is to be suspended before and resumed behind. */
    void page(PDPage next, PDPageContentStream stream) {
        page = next;
        out = stream;
    }

    /** Something drawn. */
    interface Ink {
        void draw() throws IOException;
    }

    /** Draws what belongs to no element, such as a rule, unless an element is being drawn. */
    void artifact(Ink ink) throws IOException {
        if (marked != null) {
            ink.draw();
            return;
        }
        out.beginMarkedContent(ARTIFACT);
        ink.draw();
        out.endMarkedContent();
    }

    /** Draws the head of a page, between the parts of an element that goes on from page to page. */
    void outside(Ink ink) throws IOException {
        PDStructureElement within = marked;
        marked = null;
        artifact(ink);
        marked = within;
    }

    /** Draws a list of elements that is read before all others. */
    void first(String type, Ink ink) throws IOException {
        PDStructureElement document = open.peek();
        PDStructureElement e = new PDStructureElement(type, document);
        document.insertBefore(e, document.getKids().get(0));
        open.push(e);
        ink.draw();
        open.pop();
    }

    /** An element without ink, such as an empty cell. */
    void empty(String type) {
        if (marked == null) {
            child(type);
        }
    }

    /** Draws elements within one of their own, such as a table or a row of it. */
    void group(String type, Ink ink) throws IOException {
        if (marked != null) {
            ink.draw();
            return;
        }
        PDStructureElement e = child(type);
        open.push(e);
        ink.draw();
        open.pop();
    }

    private PDStructureElement child(String type) {
        PDStructureElement e = new PDStructureElement(type, open.peek());
        open.peek().appendKid(e);
        return e;
    }

    /** Draws an element; within another one it is part of that. */
    PDStructureElement element(String type, Ink ink) throws IOException {
        if (marked != null) {
            ink.draw();
            return marked;
        }
        marked = child(type);
        resume();
        ink.draw();
        out.endMarkedContent();
        PDStructureElement done = marked;
        marked = null;
        return done;
    }

    /** Draws a picture or a formula. @param words what it shows, for those who do not see it */
    void told(String type, String words, Ink ink) throws IOException {
        boolean within = marked != null;
        PDStructureElement e = element(type, ink);
        if (!within) {
            e.setAlternateDescription(words);
        }
    }

    /** Before a page ends within an element. */
    void suspend() throws IOException {
        if (marked != null) {
            out.endMarkedContent();
        }
    }

    /** On the next page, within the same element. */
    void resume() throws IOException {
        if (marked == null) {
            return;
        }
        COSArray onPage = marks.computeIfAbsent(page, p -> {
            COSArray all = new COSArray();
            p.setStructParents(parents.size());
            parents.add(new PDParentTreeValue(all));
            return all;
        });
        int id = onPage.size();
        onPage.add(marked.getCOSObject());
        refer(marked.getCOSObject(), id);
        out.beginMarkedContent(COSName.getPDFName(marked.getStructureType()), id);
    }

    /** Most elements are marked once: a number, and the page of the element; those that go on from page to page have references with pages of their own. */
    private void refer(COSDictionary element, int id) {
        COSBase before = element.getDictionaryObject(COSName.K);
        if (before == null) {
            element.setItem(COSName.PG, page);
            element.setItem(COSName.K, COSInteger.get(id));
            return;
        }
        COSDictionary reference = new COSDictionary();
        reference.setItem(COSName.TYPE, COSName.getPDFName("MCR"));
        reference.setItem(COSName.PG, page);
        reference.setInt(COSName.MCID, id);
        kids(element).add(reference);
    }

    private static COSArray kids(COSDictionary element) {
        COSBase k = element.getDictionaryObject(COSName.K);
        if (!(k instanceof COSArray)) {
            COSArray all = new COSArray();
            if (k != null) {
                all.add(k);
            }
            element.setItem(COSName.K, all);
        }
        return (COSArray) element.getDictionaryObject(COSName.K);
    }

    /** A link belongs to the element that shows it. */
    void link(PDStructureElement e, PDAnnotationLink link, PDPage on) {
        PDObjectReference reference = new PDObjectReference();
        reference.setReferencedObject(link);
        reference.getCOSObject().setItem(COSName.PG, on);
        kids(e.getCOSObject()).add(reference);
        link.setStructParent(parents.size());
        parents.add(e);
    }

    /** Before the document is written. */
    void finish(PDDocument doc) {
        for (PDPage p : doc.getPages()) {
            p.getCOSObject().setItem(COSName.getPDFName("Tabs"), COSName.S);
        }
        Map<Integer, COSObjectable> numbers = new HashMap<>();
        for (int i = 0; i < parents.size(); i++) {
            numbers.put(i, parents.get(i));
        }
        PDNumberTreeNode tree = new PDNumberTreeNode(PDParentTreeValue.class);
        tree.setNumbers(numbers);
        root.setParentTree(tree);
        root.setParentTreeNextKey(parents.size());
    }
}
