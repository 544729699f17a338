package kolonne.server.store;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** A store in memory, for tests of what lies above it; one change at a time, as in the database. */
public final class MemoryStore implements ProjectStore {
    private static final LocalDateTime NOW = LocalDateTime.of(2026, 1, 1, 0, 0);
    private final Map<String, ProjectRow> projects = new LinkedHashMap<>();
    private final Map<String, ProjectRow> deleted = new LinkedHashMap<>();
    private final Map<String, DeletedRow> rests = new LinkedHashMap<>();
    private final Map<String, ModelFileRow> models = new LinkedHashMap<>();
    private final Map<String, String> mappings = new LinkedHashMap<>();
    private final Map<KeptKind, Map<String, KeptRow>> kept = new java.util.EnumMap<>(
            Map.of(KeptKind.BASIS, new java.util.TreeMap<>(), KeptKind.SECTION, new java.util.TreeMap<>()));
    private final Map<String, ProjectDataRow> data = new LinkedHashMap<>();
    private final List<CommandRow> commands = new ArrayList<>();

    @Override
    public ProjectStore by(By who) {
        return this;
    }

    @Override
    public void exported(String id, String file) {
        // who did what is taken down by the database's store
    }

    @Override
    public synchronized List<VersionRow> versions(Set<String> ids) {
        return projects.values().stream()
                .filter(p -> ids.contains(p.id()))
                .map(p -> new VersionRow(p.id(), p.version()))
                .toList();
    }

    @Override
    public String window(String id, int version) {
        return "";
    }

    @Override
    public List<DeedRow> deeds(String id) {
        return List.of();
    }

    @Override
    public synchronized List<ProjectRow> list() {
        return List.copyOf(projects.values());
    }

    @Override
    public synchronized Optional<ProjectRow> find(String id) {
        return Optional.ofNullable(projects.get(id));
    }

    @Override
    public synchronized ProjectRow create(
            String id, String name, String fileName, byte[] model, String basisJson, String effects) {
        ProjectRow row = new ProjectRow(id, name, NOW, NOW, 1);
        projects.put(row.id(), row);
        models.put(row.id(), new ModelFileRow(row.id(), fileName, model));
        commands.add(new CommandRow(row.id(), 1, "set-basis", basisJson, NOW, "", effects));
        return row;
    }

    @Override
    public synchronized ModelFileRow model(String id) {
        return models.get(id);
    }

    @Override
    public synchronized ModelFileRow revision(String id, int version) {
        return models.get(id + " " + version);
    }

    @Override
    public synchronized Optional<ProjectRow> revise(CommandRow c, String fileName, byte[] model) {
        Optional<ProjectRow> row = append(c);
        row.ifPresent(r -> models.put(r.id() + " " + c.version(), new ModelFileRow(r.id(), fileName, model)));
        return row;
    }

    @Override
    public synchronized Optional<ProjectDataRow> data(String id) {
        return Optional.ofNullable(data.get(id));
    }

    @Override
    public synchronized boolean putData(ProjectDataRow row) {
        ProjectDataRow now = data.get(row.projectId());
        if ((now == null ? 0 : now.version()) != row.version() - 1) {
            return false;
        }
        data.put(row.projectId(), row);
        return true;
    }

    @Override
    public synchronized List<CommandRow> commands(String id, int after) {
        return commands.stream()
                .filter(c -> c.projectId().equals(id) && c.version() > after)
                .toList();
    }

    @Override
    public synchronized Optional<ProjectRow> append(CommandRow c) {
        ProjectRow p = projects.get(c.projectId());
        if (p.version() != c.version() - 1) {
            return Optional.empty();
        }
        commands.add(new CommandRow(c.projectId(), c.version(), c.kind(), c.body(), NOW, c.person(), c.effects()));
        return moved(p, p.name());
    }

    @Override
    public synchronized void putMarks(String id, String effects) {
        commands.replaceAll(c -> c.projectId().equals(id) && c.version() == 1 && c.effects() == null
                ? new CommandRow(id, 1, c.kind(), c.body(), c.madeAt(), c.person(), effects)
                : c);
    }

    private Optional<ProjectRow> moved(ProjectRow p, String name) {
        ProjectRow next = new ProjectRow(p.id(), name, p.createdAt(), NOW, p.version() + 1);
        projects.put(p.id(), next);
        return Optional.of(next);
    }

    @Override
    public synchronized Optional<ProjectRow> rename(String id, int version, String name) {
        ProjectRow p = projects.get(id);
        return p.version() == version ? moved(p, name) : Optional.empty();
    }

    @Override
    public synchronized Optional<StoredProject> copy(String id) {
        Map<Integer, ModelFileRow> revisions = new LinkedHashMap<>();
        models.forEach((k, m) -> {
            if (k.startsWith(id + " ")) {
                revisions.put(Integer.valueOf(k.substring(id.length() + 1)), m);
            }
        });
        return find(id).map(row -> new StoredProject(row, models.get(id), commands(id, 0), revisions, data.get(id)));
    }

    @Override
    public synchronized boolean put(StoredProject p) {
        String id = p.row().id();
        if (projects.containsKey(id) || deleted.containsKey(id)) {
            return false;
        }
        projects.put(id, p.row());
        models.put(id, p.model());
        p.revisions().forEach((v, m) -> models.put(id + " " + v, m));
        commands.addAll(p.commands());
        if (p.data() != null) {
            data.put(id, p.data());
        }
        return true;
    }

    @Override
    public synchronized String newId() {
        return "m" + projects.size();
    }

    @Override
    public synchronized boolean delete(String id, String person) {
        ProjectRow row = projects.remove(id);
        if (row != null) {
            deleted.put(id, row);
            rests.put(id, new DeletedRow(id, row.name(), LocalDateTime.now(java.time.ZoneOffset.UTC), person));
        }
        return row != null;
    }

    @Override
    public synchronized List<DeletedRow> deleted() {
        return List.copyOf(rests.values());
    }

    @Override
    public synchronized Optional<ProjectRow> bringBack(String id) {
        ProjectRow row = deleted.remove(id);
        rests.remove(id);
        if (row != null) {
            projects.put(id, row);
        }
        return Optional.ofNullable(row);
    }

    @Override
    public synchronized boolean remove(String id) {
        rests.remove(id);
        return deleted.remove(id) != null;
    }

    @Override
    public synchronized void removeDeletedBefore(LocalDateTime moment) {
        rests.values().removeIf(r -> r.deletedAt().isBefore(moment));
        deleted.keySet().retainAll(rests.keySet());
    }

    @Override
    public synchronized List<MappingRow> mappings() {
        return mappings.entrySet().stream()
                .map(e -> new MappingRow(e.getKey(), e.getValue()))
                .toList();
    }

    @Override
    public synchronized void putMapping(String name, String body) {
        mappings.put(name, body);
    }

    @Override
    public synchronized List<KeptRow> kept(KeptKind kind) {
        return List.copyOf(kept.get(kind).values());
    }

    @Override
    public synchronized void putKept(KeptKind kind, String name, String body) {
        kept.get(kind).put(name, new KeptRow(kind.word(), name, body, java.time.LocalDateTime.of(2026, 1, 2, 3, 4)));
    }

    @Override
    public synchronized boolean deleteKept(KeptKind kind, String name) {
        return kept.get(kind).remove(name) != null;
    }
}
