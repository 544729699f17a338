package kolonne.server.kept;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URISyntaxException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.stream.Stream;
import kolonne.core.design.BuildingDesign;
import kolonne.exchange.model.ModelReader;

/** Which build of the application this is: a design that another one made may follow other rules. */
public final class Build {
    private static final List<Class<?>> PARTS = List.of(BuildingDesign.class, ModelReader.class, Build.class);
    private static final String ID = digest();

    private Build() {}

    /** Alike where every class is alike [40 hexadecimal digits]. */
    public static String id() {
        return ID;
    }

    private static String digest() {
        try {
            MessageDigest sum = MessageDigest.getInstance("SHA-256");
            for (Class<?> part : PARTS) {
                take(
                        sum,
                        Path.of(part.getProtectionDomain()
                                .getCodeSource()
                                .getLocation()
                                .toURI()));
            }
            return HexFormat.of().formatHex(sum.digest()).substring(0, 40);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (NoSuchAlgorithmException | URISyntaxException e) {
            throw new IllegalStateException(e);
        }
    }

    /** @param code a jar, or a folder of classes */
    private static void take(MessageDigest sum, Path code) throws IOException {
        try (Stream<Path> files = Files.walk(code)) {
            for (Path f : files.filter(Files::isRegularFile).sorted().toList()) {
                sum.update(Files.readAllBytes(f));
            }
        }
    }
}
