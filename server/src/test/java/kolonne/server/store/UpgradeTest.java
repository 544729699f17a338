package kolonne.server.store;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.net.URISyntaxException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import java.util.zip.GZIPOutputStream;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.condition.EnabledIfEnvironmentVariable;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Records that an older version of the application wrote are there, whole, after this one has started on them. */
@EnabledIfEnvironmentVariable(named = "KOLONNE_TEST_DB", matches = "jdbc:.*")
class UpgradeTest {
    private static final byte[] MODEL = {1, 2, 3};
    private static final byte[] NEWER = {4, 5};

    private final String server = System.getenv("KOLONNE_TEST_DB").replaceAll("/[^/]*$", "/");
    private final String password = password();

    private static String password() {
        try {
            return Files.readString(Path.of(System.getenv("KOLONNE_TEST_DB_PASSWORD_FILE")))
                    .strip();
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private static byte[] packed(byte[] b) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (OutputStream z = new GZIPOutputStream(out)) {
            z.write(b);
        }
        return out.toByteArray();
    }

    private static void run(Connection c, String sql, Object... values) throws SQLException {
        try (PreparedStatement s = c.prepareStatement(sql)) {
            for (int i = 0; i < values.length; i++) {
                s.setObject(i + 1, values[i]);
            }
            s.execute();
        }
    }

    /** What an application of a version stored, in the columns of its time. */
    private static void older(Connection c, int version) throws SQLException, IOException {
        String at = "2026-01-02 03:04:05.678";
        String project = "INSERT INTO project (id, name, created_at, changed_at, version) VALUES ";
        run(c, project + "('abc', 'Zaal 図', '" + at + "', '" + at + "', 2)");
        run(c, "INSERT INTO model_file VALUES ('abc', 'zaal.json', ?)", (Object) packed(MODEL));
        String columns = "INSERT INTO command (project_id, version, kind, body, made_at) VALUES ";
        run(c, columns + "('abc', 1, 'set-basis', '{}', '" + at + "')");
        run(c, columns + "('abc', 2, 'undo', '{\"a\":\"é\"}', '" + at + "')");
        if (version >= 2) {
            run(c, "INSERT INTO force_mapping VALUES ('frames', '{\"m\":1}')");
        }
        if (version >= 3) {
            run(c, "UPDATE command SET person = 'Zoë', effects = '{}' WHERE version = 2");
        }
        if (version >= 4) {
            run(c, "INSERT INTO model_revision VALUES ('abc', 2, 'newer.json', ?)", (Object) packed(NEWER));
        }
        if (version >= 5) {
            run(c, "INSERT INTO project_data VALUES ('abc', 3, '{\"job\":7}', NULL)");
        }
        if (version >= 6 && version < 10) {
            run(c, "INSERT INTO kept_basis VALUES ('Büro', '{\"b\":1}', '" + at + "')");
        }
        if (version >= 10) {
            run(c, "INSERT INTO kept (kind, name, body, kept_at) VALUES ('basis', 'Büro', '{\"b\":1}', '" + at + "')");
        }
        if (version >= 7) {
            run(c, project + "('gone', 'Gone', '" + at + "', '" + at + "', 1)");
            run(c, "UPDATE project SET deleted_at = '" + at + "', deleted_by = 'Zoë' WHERE id = 'gone'");
        }
    }

    /** All versions but the newest. */
    static IntStream earlier() throws IOException, URISyntaxException {
        try (Stream<Path> all =
                Files.list(Path.of(Database.class.getResource("/db/migration").toURI()))) {
            return IntStream.range(1, (int) all.count());
        }
    }

    @ParameterizedTest
    @MethodSource("earlier")
    void recordsOfEveryEarlierVersionAreReadWhole(int version) throws SQLException, IOException {
        String schema = "kolonne_v" + version;
        try (Connection c = DriverManager.getConnection(server, "app", password)) {
            run(c, "DROP DATABASE IF EXISTS " + schema);
            run(c, "CREATE DATABASE " + schema + " CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci");
            Flyway.configure()
                    .dataSource(server + schema, "app", password)
                    .locations("classpath:db/migration")
                    .target(Integer.toString(version))
                    .load()
                    .migrate();
            run(c, "USE " + schema);
            older(c, version);
            try (Database now = new Database(server + schema, "app", password)) {
                read(new MariaDbProjectStore(now), version);
            }
            run(c, "DROP DATABASE " + schema);
        }
    }

    private static void read(ProjectStore store, int version) {
        ProjectRow row = store.list().get(0);
        assertEquals("Zaal 図", row.name());
        assertEquals("2026-01-02T03:04:05.678", row.changedAt().toString());
        StoredProject p = store.copy("abc").orElseThrow();
        assertArrayEquals(MODEL, p.model().content());
        CommandRow last = p.commands().get(1);
        assertEquals("{\"a\":\"é\"}", last.body());
        assertEquals(version >= 3 ? "Zoë" : "", last.person());
        assertEquals(version >= 3 ? "{}" : null, last.effects());
        assertEquals(version >= 2 ? List.of(new MappingRow("frames", "{\"m\":1}")) : List.of(), store.mappings());
        assertEquals(version >= 4, p.revisions().containsKey(2));
        assertEquals(
                version >= 5 ? "{\"job\":7}" : null,
                p.data() == null ? null : p.data().body());
        assertEquals(
                version >= 6 ? List.of("basis Büro {\"b\":1} 2026-01-02T03:04:05.678") : List.of(),
                store.kept(KeptKind.BASIS).stream()
                        .map(k -> String.join(
                                " ", k.kind(), k.name(), k.body(), k.keptAt().toString()))
                        .toList());
        assertEquals(version >= 7 ? 1 : 0, store.deleted().size());
        // and it is worked on
        assertTrue(store.append(new CommandRow("abc", 3, "redo", "{}", null, "me", null))
                .isPresent());
        assertTrue(store.delete("abc", "me") && store.bringBack("abc").isPresent());
    }
}
