package kolonne.server.command;

import java.io.BufferedOutputStream;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;

/** Files that appear whole or not at all: written beside their place and moved there when they are complete. */
final class WholeFile {
    private WholeFile() {}

    /** Writes bytes. */
    interface Bytes {
        void to(OutputStream o) throws IOException;
    }

    /** Writes text. */
    interface Text {
        void to(Writer w) throws IOException;
    }

    static void bytes(Path file, Bytes content) throws IOException {
        Path part = file.resolveSibling("." + file.getFileName() + ".part");
        try {
            try (OutputStream o = new BufferedOutputStream(Files.newOutputStream(part))) {
                content.to(o);
            }
            Files.move(part, file, StandardCopyOption.REPLACE_EXISTING);
        } finally {
            Files.deleteIfExists(part);
        }
    }

    static void text(Path file, Text content) throws IOException {
        bytes(file, o -> {
            Writer w = new BufferedWriter(new OutputStreamWriter(o, StandardCharsets.UTF_8));
            content.to(w);
            w.flush();
        });
    }
}
