package kolonne.exchange.project;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.List;
import java.util.Set;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import kolonne.core.finding.Finding;
import kolonne.core.project.Logo;

/** Pictures for title blocks: PNG and JPEG, whose size is read before they are unpacked. */
public final class LogoFile {
    private static final Set<String> KINDS = Set.of("png", "jpeg");

    private LogoFile() {}

    /** A logo, or why it is none. @param logo null where it cannot be used */
    public record Read(Logo logo, List<Finding> findings) {}

    /** A picture from outside: unpacked once, so that a damaged one is found now and not on paper. */
    public static Read read(byte[] bytes) {
        return read(bytes, true);
    }

    /** A picture that was taken before: only its size is read. */
    public static Logo stored(byte[] bytes) {
        Logo logo = read(bytes, false).logo();
        if (logo == null) {
            throw new IllegalStateException("a stored logo cannot be read");
        }
        return logo;
    }

    private static Read read(byte[] bytes, boolean unpack) {
        if (bytes.length > Logo.LARGEST) {
            return refused(
                    "The picture is larger than " + (Logo.LARGEST >> 10) + " kB.", "Save it smaller: 1200 pixels do.");
        }
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                return refused("The file is no PNG or JPEG picture.", "Save it as PNG.");
            }
            return read(readers.next(), in, bytes, unpack);
        } catch (IOException | RuntimeException e) {
            // damaged pictures make the decoder throw what it likes
            return refused("The picture is damaged.", "Save it again as PNG.");
        }
    }

    private static Read read(ImageReader reader, ImageInputStream in, byte[] bytes, boolean unpack) throws IOException {
        try {
            if (!KINDS.contains(reader.getFormatName().toLowerCase(java.util.Locale.ROOT))) {
                return refused("The file is no PNG or JPEG picture.", "Save it as PNG.");
            }
            reader.setInput(in, true, true);
            int width = reader.getWidth(0);
            int height = reader.getHeight(0);
            if (Math.max(width, height) > Logo.MOST_PIXELS) {
                return refused(
                        "The picture has " + width + " × " + height + " pixels; at most " + Logo.MOST_PIXELS
                                + " along a side are taken.",
                        "Save it smaller: 1200 pixels do.");
            }
            if (unpack) {
                reader.read(0);
            }
            return new Read(new Logo(bytes, width, height), List.of());
        } finally {
            reader.dispose();
        }
    }

    /** The media type of a logo. */
    public static String type(Logo logo) {
        return logo.bytes()[0] == (byte) 0x89 ? "image/png" : "image/jpeg";
    }

    private static Read refused(String what, String mend) {
        return new Read(null, List.of(Finding.fails("project.logo", "logo", what, mend)));
    }
}
