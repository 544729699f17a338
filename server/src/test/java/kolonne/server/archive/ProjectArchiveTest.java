package kolonne.server.archive;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import kolonne.server.store.CommandRow;
import kolonne.server.store.KeptKind;
import kolonne.server.store.MemoryStore;
import kolonne.server.store.ModelFileRow;
import kolonne.server.store.ProjectDataRow;
import kolonne.server.store.ProjectRow;
import kolonne.server.store.StoredProject;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Projects as files: what is stored comes back as it was, and a file that was damaged is told as such and never half taken. */
class ProjectArchiveTest {
    private static final LocalDateTime AT = LocalDateTime.of(2026, 11, 28, 11, 40, 1, 250_000_000);

    private static CommandRow change(int version, String kind, String body, String effects) {
        return new CommandRow("abcdefghjkmn", version, kind, body, AT.plusSeconds(version), "Zoë 図", effects);
    }

    private static StoredProject project() {
        byte[] model = new byte[100_000];
        new Random(3).nextBytes(model);
        return new StoredProject(
                new ProjectRow("abcdefghjkmn", "Zaal één 図書館 🏛", AT, AT.plusDays(1), 5),
                new ModelFileRow("abcdefghjkmn", "../mödel\\1.json", model),
                List.of(
                        change(1, "set-basis", "{\"fy\":420.0,\"very\":1.10}", "{\"lines\":[1,2.50]}"),
                        change(2, "edit-model", "[{\"kind\":\"x\"}]", null),
                        change(4, "revise-model", "{\"units\":\"SI\"}", null)),
                Map.of(4, new ModelFileRow("abcdefghjkmn", "newer.ifc", new byte[] {1, 2, 3})),
                new ProjectDataRow("abcdefghjkmn", 2, "{\"client\":\"Stichting\"}", new byte[] {9, 8}));
    }

    private static byte[] written(StoredProject p) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ProjectArchive.write(p, out);
        return out.toByteArray();
    }

    private static void assertSame(StoredProject was, StoredProject now) {
        assertEquals(was.row(), now.row());
        assertEquals(was.commands(), now.commands());
        assertEquals(was.model().fileName(), now.model().fileName());
        assertArrayEquals(was.model().content(), now.model().content());
        assertEquals(was.revisions().keySet(), now.revisions().keySet());
        was.revisions()
                .forEach((v, m) ->
                        assertArrayEquals(m.content(), now.revisions().get(v).content()));
        assertEquals(was.data() == null, now.data() == null);
        if (was.data() != null) {
            assertEquals(was.data().version(), now.data().version());
            assertEquals(was.data().body(), now.data().body());
            assertArrayEquals(was.data().logo(), now.data().logo());
        }
    }

    @Test
    void whatIsStoredComesBackAsItWasInTheSameBytes() throws IOException {
        byte[] file = written(project());
        assertTrue(ProjectArchive.isOne(file));
        assertArrayEquals(file, written(project()));
        ProjectArchive.Read r = ProjectArchive.read(file);
        assertEquals(List.of(), r.findings());
        assertSame(project(), r.project());
        StoredProject bare = new StoredProject(
                new ProjectRow("x", "bare", AT, AT, 1),
                new ModelFileRow("x", "m.json", new byte[] {1}),
                List.of(new CommandRow("x", 1, "set-basis", "{}", AT, "", null)),
                Map.of(),
                null);
        assertSame(bare, ProjectArchive.read(written(bare)).project());
    }

    @Test
    void underAnotherIdEverythingIsUnderIt() {
        StoredProject p = project().as("zzz");
        assertEquals("zzz", p.row().id());
        assertEquals("zzz", p.model().projectId());
        assertTrue(p.commands().stream().allMatch(c -> c.projectId().equals("zzz")));
        assertEquals("zzz", p.revisions().get(4).projectId());
        assertEquals("zzz", p.data().projectId());
    }

    @Test
    void aFileCutShortOrFlippedIsToldAndNeverThrows() throws IOException {
        byte[] file = written(project());
        Random random = new Random(8);
        for (int i = 0; i < 300; i++) {
            byte[] bad = i % 2 == 0 ? Arrays.copyOf(file, random.nextInt(file.length)) : file.clone();
            for (int k = 0; i % 2 == 1 && k < 4; k++) {
                bad[random.nextInt(bad.length)] ^= (byte) (1 << random.nextInt(8));
            }
            ProjectArchive.isOne(bad);
            ProjectArchive.Read r = ProjectArchive.read(bad);
            assertEquals(r.project() == null, !r.findings().isEmpty());
            r.findings().forEach(f -> assertEquals("project-file.damaged", f.code()));
            if (i % 2 == 0 && bad.length < file.length / 2) {
                assertNull(r.project());
            }
        }
        assertFalse(ProjectArchive.isOne(new byte[] {1, 2, 3}));
        assertFalse(ProjectArchive.isOne(new byte[0]));
    }

    /** The file with one part rewritten, or left out where the change answers null. */
    private static byte[] with(String part, UnaryOperator<String> change) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(written(project())));
                ZipOutputStream z = new ZipOutputStream(out)) {
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
                byte[] content = in.readAllBytes();
                if (e.getName().equals(part)) {
                    String now = change.apply(new String(content, StandardCharsets.UTF_8));
                    if (now == null) {
                        continue;
                    }
                    content = now.getBytes(StandardCharsets.UTF_8);
                }
                z.putNextEntry(new ZipEntry(e.getName()));
                z.write(content);
            }
        }
        return out.toByteArray();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "kolonne.json  | \"version\" : 1,\\n  \"id\" | \"version\" : 2,\\n  \"id\" | is not the format",
                "kolonne.json  | kolonne-archive       | other                | is not the format",
                "kolonne.json  | \"changes\" : 5       | \"changes\" : 1e9    | no number of a version",
                "kolonne.json  | \"changes\" : 5       | \"changes\" : 3      | out of order",
                "kolonne.json  | 2026-11-28T           | 0001-11-28T          | no time",
                "kolonne.json  | abcdefghjkmn          | abcdefghjkmnopq      | longer than 12",
                "kolonne.json  | newer.ifc             | ` `                  | fileName is missing",
                "history.jsonl | \"version\":2,        | \"version\":1,       | out of order",
                "history.jsonl | revise-model          | edit-model           | do not fit each other",
                "history.jsonl | set-basis             | edit-model           | does not begin with a basis",
                "history.jsonl | \"body\":{            | \"body\":{{          | cannot be read as JSON",
                "history.jsonl | \"body\":[{\"kind\":\"x\"}] | \"body\":7      | has no body",
                "data.json     | {                     | [                    | cannot be read as JSON"
            })
    void whatDoesNotFitIsNamed(String part, String was, String now, String told) throws IOException {
        String from = was.replace("\\n", "\n");
        ProjectArchive.Read r = ProjectArchive.read(with(part, s -> {
            assertTrue(s.contains(from), s);
            return s.replace(from, now.replace("\\n", "\n").replace("`", ""));
        }));
        assertNull(r.project());
        assertTrue(r.findings().get(0).what().contains(told), r.findings().toString());
    }

    @ParameterizedTest
    @CsvSource({"kolonne.json", "history.jsonl", "models/1", "models/4"})
    void aMissingPartIsNamed(String part) throws IOException {
        ProjectArchive.Read r = ProjectArchive.read(with(part, s -> null));
        assertNull(r.project());
        assertTrue(
                r.findings().get(0).toString().contains("missing"), r.findings().toString());
    }

    /** A megabyte that would unpack to a gigabyte is left at what models are packed to. */
    @Test
    void whatUnpacksToFarMoreThanModelsDoIsRefused() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream z = new ZipOutputStream(out)) {
            z.putNextEntry(new ZipEntry("kolonne.json"));
            byte[] zeros = new byte[1 << 20];
            for (int i = 0; i < 100; i++) {
                z.write(zeros);
            }
        }
        assertTrue(out.size() < 200_000);
        assertTrue(ProjectArchive.isOne(out.toByteArray()));
        ProjectArchive.Read r = ProjectArchive.read(out.toByteArray());
        assertTrue(
                r.findings().get(0).what().contains("unpacks to more"),
                r.findings().toString());
    }

    @Test
    void aBackupBringsBackWhatIsGoneAndLeavesWhatIsThere(@TempDir Path dir) throws IOException {
        MemoryStore store = new MemoryStore();
        store.put(project());
        store.put(project().as("second"));
        store.putKept(KeptKind.BASIS, "office", "{\"a\":1}");
        store.putKept(KeptKind.SECTION, "office", "{\"c\":1}");
        store.putMapping("frames", "{\"b\":2}");
        Path file = dir.resolve("all.zip");
        try (var out = Files.newOutputStream(file)) {
            assertEquals(2, Backup.write(store, out));
        }
        assertTrue(Backup.unsound(file).isEmpty());
        assertTrue(store.delete("second", "") && store.remove("second"));
        store.putKept(KeptKind.BASIS, "office", "{\"a\":3}");
        List<Backup.Outcome> all = Backup.restore(file, store);
        assertEquals(1, all.stream().filter(Backup.Outcome::taken).count());
        assertTrue(all.stream().anyMatch(o -> !o.taken() && o.told().contains("is there already")));
        assertEquals("{\"a\":3}", store.kept(KeptKind.BASIS).get(0).body(), "what is there stays");
        MemoryStore empty = new MemoryStore();
        assertTrue(Backup.restore(file, empty).stream().allMatch(Backup.Outcome::taken));
        assertSame(project(), empty.copy("abcdefghjkmn").orElseThrow());
        assertSame(project().as("second"), empty.copy("second").orElseThrow());
        assertEquals(
                List.of("{\"a\":1}", "{\"c\":1}"),
                Stream.of(KeptKind.values())
                        .map(k -> empty.kept(k).get(0).body())
                        .toList());
        assertEquals("{\"b\":2}", empty.mappings().get(0).body());
    }

    @Test
    void whatIsNoBackupIsToldAndChangesNothing(@TempDir Path dir) throws IOException {
        MemoryStore store = new MemoryStore();
        Path one = Files.write(dir.resolve("one.zip"), written(project()));
        assertTrue(assertThrows(IOException.class, () -> Backup.restore(one, store))
                .getMessage()
                .contains("is no backup"));
        Path cut = Files.write(dir.resolve("cut.zip"), Arrays.copyOf(Files.readAllBytes(one), 5000));
        assertTrue(assertThrows(IOException.class, () -> Backup.restore(cut, store))
                .getMessage()
                .contains("cut short"));
        assertEquals(List.of(), store.list());
    }
}
