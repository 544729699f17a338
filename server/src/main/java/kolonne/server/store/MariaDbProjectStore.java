package kolonne.server.store;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.LocalDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;

/** Projects in MariaDB. */
public final class MariaDbProjectStore implements ProjectStore {
    private final Database database;
    private final By by;

    public MariaDbProjectStore(Database database) {
        this(database, By.NOBODY);
    }

    private MariaDbProjectStore(Database database, By by) {
        this.database = database;
        this.by = by;
    }

    @Override
    public ProjectStore by(By who) {
        return new MariaDbProjectStore(database, who);
    }

    private <T> T in(Function<ProjectMapper, T> work) {
        return database.in(s -> work.apply(s.getMapper(ProjectMapper.class)));
    }

    /** One transaction of work and of the deeds that tell of it. */
    private <T> T signed(BiFunction<ProjectMapper, DeedLog, T> work) {
        return database.in(s -> work.apply(s.getMapper(ProjectMapper.class), new DeedLog(s, by)));
    }

    @Override
    public List<ProjectRow> list() {
        return in(ProjectMapper::projects);
    }

    @Override
    public Optional<ProjectRow> find(String id) {
        return in(m -> Optional.ofNullable(m.project(id)));
    }

    @Override
    public ProjectRow create(String id, String name, String fileName, byte[] model, String basisJson, String effects) {
        LocalDateTime now = Database.now();
        ProjectRow row = new ProjectRow(id, name, now, now, 1);
        return signed((m, log) -> {
            m.insertProject(row);
            m.insertModelFile(new ModelFileRow(row.id(), fileName, gzip(model)));
            m.insertCommand(new CommandRow(row.id(), 1, "set-basis", basisJson, now, by.person(), effects));
            owned(m, row.id());
            log.deed(row.id(), 1, "import", fileName);
            return row;
        });
    }

    /** Who brings a project is its owner. */
    private void owned(ProjectMapper m, String project) {
        if (by.account() != null) {
            m.own(project, by.account());
        }
    }

    @Override
    public Optional<StoredProject> copy(String id) {
        // one transaction sees the tables as they were when it began (repeatable read, the database's own way)
        return in(m -> {
            ProjectRow row = m.project(id);
            if (row == null) {
                return Optional.empty();
            }
            Map<Integer, ModelFileRow> revisions = new HashMap<>();
            m.revisions(id).forEach(v -> revisions.put(v, unpacked(m.revision(id, v))));
            return Optional.of(
                    new StoredProject(row, unpacked(m.modelFile(id)), m.commands(id, 0), revisions, m.data(id)));
        });
    }

    @Override
    public boolean put(StoredProject p) {
        return signed((m, log) -> {
            if (m.known(p.row().id()) > 0) {
                return false;
            }
            m.insertProject(p.row());
            m.insertModelFile(new ModelFileRow(
                    p.row().id(), p.model().fileName(), gzip(p.model().content())));
            p.commands().forEach(m::insertCommand);
            p.revisions().forEach((v, r) -> m.insertRevision(r.projectId(), v, r.fileName(), gzip(r.content())));
            if (p.data() != null) {
                m.insertData(p.data());
            }
            owned(m, p.row().id());
            log.deed(p.row().id(), p.row().version(), "import", "a whole project");
            return true;
        });
    }

    private static ModelFileRow unpacked(ModelFileRow row) {
        return new ModelFileRow(row.projectId(), row.fileName(), gunzip(row.content()));
    }

    @Override
    public String newId() {
        return Ids.random();
    }

    @Override
    public ModelFileRow model(String id) {
        return unpacked(in(m -> m.modelFile(id)));
    }

    @Override
    public ModelFileRow revision(String id, int version) {
        return unpacked(in(m -> m.revision(id, version)));
    }

    @Override
    public List<CommandRow> commands(String id, int after) {
        return in(m -> m.commands(id, after));
    }

    @Override
    public List<MappingRow> mappings() {
        return in(ProjectMapper::mappings);
    }

    @Override
    public void putMapping(String name, String body) {
        in(m -> m.putMapping(new MappingRow(name, body)));
    }

    @Override
    public List<KeptRow> kept(KeptKind kind) {
        return in(m -> m.kept(kind.word()));
    }

    @Override
    public void putKept(KeptKind kind, String name, String body) {
        signed((m, log) -> {
            log.deed("", null, "keep-" + kind.word(), name);
            return m.putKept(new KeptRow(kind.word(), name, body, Database.now()));
        });
    }

    @Override
    public boolean deleteKept(KeptKind kind, String name) {
        return signed((m, log) -> {
            if (m.deleteKept(kind.word(), name) == 0) {
                return false;
            }
            log.deed("", null, "forget-" + kind.word(), name);
            return true;
        });
    }

    @Override
    public Optional<ProjectRow> append(CommandRow c) {
        return signed((m, log) -> append(m, log, c));
    }

    private static Optional<ProjectRow> append(ProjectMapper m, DeedLog log, CommandRow c) {
        LocalDateTime now = Database.now();
        if (m.touch(c.projectId(), c.version() - 1, now) == 0) {
            return Optional.empty();
        }
        m.insertCommand(new CommandRow(c.projectId(), c.version(), c.kind(), c.body(), now, c.person(), c.effects()));
        log.deed(c.projectId(), c.version(), c.kind(), "");
        return Optional.of(m.project(c.projectId()));
    }

    @Override
    public Optional<ProjectRow> revise(CommandRow c, String fileName, byte[] model) {
        byte[] packed = gzip(model);
        return signed((m, log) -> {
            Optional<ProjectRow> row = append(m, log, c);
            row.ifPresent(r -> m.insertRevision(r.id(), c.version(), fileName, packed));
            return row;
        });
    }

    @Override
    public void putMarks(String id, String effects) {
        in(m -> m.putMarks(id, effects));
    }

    @Override
    public Optional<ProjectRow> rename(String id, int version, String name) {
        return signed((m, log) -> {
            if (m.rename(id, version, name, Database.now()) == 0) {
                return Optional.empty();
            }
            log.deed(id, version + 1, "rename", name);
            return Optional.of(m.project(id));
        });
    }

    @Override
    public Optional<ProjectDataRow> data(String id) {
        return in(m -> Optional.ofNullable(m.data(id)));
    }

    @Override
    public boolean putData(ProjectDataRow row) {
        return signed((m, log) -> {
            if ((row.version() == 1 ? m.insertData(row) : m.updateData(row)) == 0) {
                return false;
            }
            log.deed(row.projectId(), null, "project-data", "");
            return true;
        });
    }

    @Override
    public boolean delete(String id, String person) {
        return signed((m, log) -> logged(m.delete(id, person, Database.now()), log, id, "delete"));
    }

    @Override
    public List<DeletedRow> deleted() {
        return in(ProjectMapper::deleted);
    }

    @Override
    public Optional<ProjectRow> bringBack(String id) {
        return signed((m, log) ->
                logged(m.bringBack(id), log, id, "bring-back") ? Optional.of(m.project(id)) : Optional.empty());
    }

    @Override
    public boolean remove(String id) {
        return signed((m, log) -> logged(m.remove(id), log, id, "remove"));
    }

    @Override
    public List<VersionRow> versions(Set<String> ids) {
        return ids.isEmpty() ? List.of() : in(m -> m.versions(ids));
    }

    @Override
    public String window(String id, int version) {
        return database.in(s -> s.getMapper(DeedMapper.class).windows(id, version)).stream()
                .findFirst()
                .orElse("");
    }

    private static boolean logged(int changed, DeedLog log, String project, String kind) {
        if (changed > 0) {
            log.deed(project, null, kind, "");
        }
        return changed > 0;
    }

    @Override
    public void exported(String id, String file) {
        signed((m, log) -> {
            log.deed(id, null, "export", file);
            return null;
        });
    }

    @Override
    public List<DeedRow> deeds(String id) {
        return database.in(s -> s.getMapper(DeedMapper.class).of(id));
    }

    @Override
    public void removeDeletedBefore(LocalDateTime moment) {
        in(m -> m.removeDeletedBefore(moment));
    }

    private static byte[] gzip(byte[] b) {
        ByteArrayOutputStream out = new ByteArrayOutputStream(b.length / 4 + 64);
        try (GZIPOutputStream z = new GZIPOutputStream(out)) {
            z.write(b);
        } catch (IOException e) {
            throw new UncheckedIOException("packing a model in memory", e);
        }
        return out.toByteArray();
    }

    private static byte[] gunzip(byte[] b) {
        try (GZIPInputStream z = new GZIPInputStream(new ByteArrayInputStream(b))) {
            return z.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException("unpacking a stored model", e);
        }
    }
}
