package kolonne.server.store;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.security.SecureRandom;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.apache.ibatis.session.SqlSession;

/** Projects in MariaDB. */
public final class MariaDbProjectStore implements ProjectStore {
    private static final String LETTERS = "abcdefghjkmnpqrstuvwxyz23456789";
    private final Database database;
    private final SecureRandom random = new SecureRandom();

    public MariaDbProjectStore(Database database) {
        this.database = database;
    }

    private <T> T in(Function<ProjectMapper, T> work) {
        try (SqlSession s = database.sessions().openSession(false)) {
            T t = work.apply(s.getMapper(ProjectMapper.class));
            s.commit();
            return t;
        }
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
    public ProjectRow create(String name, String fileName, byte[] model, String basisJson, String effects) {
        LocalDateTime now = now();
        ProjectRow row = new ProjectRow(newId(), name, now, now, 1);
        return in(m -> {
            m.insertProject(row);
            m.insertModelFile(new ModelFileRow(row.id(), fileName, gzip(model)));
            m.insertCommand(new CommandRow(row.id(), 1, "set-basis", basisJson, now, "", effects));
            return row;
        });
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
        return in(m -> {
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
            return true;
        });
    }

    private static ModelFileRow unpacked(ModelFileRow row) {
        return new ModelFileRow(row.projectId(), row.fileName(), gunzip(row.content()));
    }

    @Override
    public String newId() {
        StringBuilder s = new StringBuilder();
        for (int i = 0; i < 12; i++) {
            s.append(LETTERS.charAt(random.nextInt(LETTERS.length())));
        }
        return s.toString();
    }

    private static LocalDateTime now() {
        return LocalDateTime.now(ZoneOffset.UTC).truncatedTo(ChronoUnit.MILLIS);
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
    public List<KeptBasisRow> keptBases() {
        return in(ProjectMapper::keptBases);
    }

    @Override
    public void putBasis(String name, String body) {
        in(m -> m.putBasis(new KeptBasisRow(name, body, now())));
    }

    @Override
    public boolean deleteBasis(String name) {
        return in(m -> m.deleteBasis(name)) > 0;
    }

    @Override
    public Optional<ProjectRow> append(CommandRow c) {
        return in(m -> append(m, c));
    }

    private static Optional<ProjectRow> append(ProjectMapper m, CommandRow c) {
        LocalDateTime now = now();
        if (m.touch(c.projectId(), c.version() - 1, now) == 0) {
            return Optional.empty();
        }
        m.insertCommand(new CommandRow(c.projectId(), c.version(), c.kind(), c.body(), now, c.person(), c.effects()));
        return Optional.of(m.project(c.projectId()));
    }

    @Override
    public Optional<ProjectRow> revise(CommandRow c, String fileName, byte[] model) {
        byte[] packed = gzip(model);
        return in(m -> {
            Optional<ProjectRow> row = append(m, c);
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
        return in(m -> m.rename(id, version, name, now()) == 0 ? Optional.empty() : Optional.of(m.project(id)));
    }

    @Override
    public Optional<ProjectDataRow> data(String id) {
        return in(m -> Optional.ofNullable(m.data(id)));
    }

    @Override
    public boolean putData(ProjectDataRow row) {
        return in(m -> (row.version() == 1 ? m.insertData(row) : m.updateData(row)) > 0);
    }

    @Override
    public boolean delete(String id, String person) {
        return in(m -> m.delete(id, person, now()) > 0);
    }

    @Override
    public List<DeletedRow> deleted() {
        return in(ProjectMapper::deleted);
    }

    @Override
    public Optional<ProjectRow> bringBack(String id) {
        return in(m -> m.bringBack(id) == 0 ? Optional.empty() : Optional.of(m.project(id)));
    }

    @Override
    public boolean remove(String id) {
        return in(m -> m.remove(id) > 0);
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
