package kolonne.server.project;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Consumer;
import java.util.stream.Stream;
import kolonne.server.store.PresenceStore;

/** Who has which project open: the windows that follow it here and on other servers, by what the persons at them call themselves. */
public final class Present {
    private final Map<String, List<Here>> byProject = new ConcurrentHashMap<>();

    private volatile List<PresenceStore.Here> elsewhere = List.of();

    private record Here(Author who, Consumer<List<String>> told) {}

    /** All windows that are here. */
    List<PresenceStore.Here> here() {
        return byProject.entrySet().stream()
                .flatMap(e -> e.getValue().stream()
                        .map(h -> new PresenceStore.Here(
                                e.getKey(), h.who().person(), h.who().window())))
                .toList();
    }

    /** Takes the windows of other servers; those here are told what has changed. */
    void elsewhere(List<PresenceStore.Here> now) {
        List<PresenceStore.Here> before = elsewhere;
        elsewhere = List.copyOf(now);
        byProject.keySet().stream()
                .filter(p -> !of(p, before).equals(of(p, now)))
                .forEach(this::tell);
    }

    private static List<PresenceStore.Here> of(String project, List<PresenceStore.Here> all) {
        return all.stream().filter(h -> h.projectId().equals(project)).toList();
    }

    /**
     * A window has opened a project; it and all others are told who else is there, whenever that changes. Persons who told no name stand as an
     * empty one; a person's own other windows are left out.
     *
     * @return what to run when the window has gone
     */
    public Runnable enters(String project, Author who, Consumer<List<String>> told) {
        Here here = new Here(who, told);
        byProject.compute(project, (id, all) -> {
            List<Here> now = all == null ? new CopyOnWriteArrayList<>() : all;
            now.add(here);
            return now;
        });
        tell(project);
        return () -> {
            byProject.computeIfPresent(project, (id, all) -> {
                all.remove(here);
                return all.isEmpty() ? null : all;
            });
            tell(project);
        };
    }

    private void tell(String project) {
        List<Here> all = byProject.getOrDefault(project, List.of());
        List<PresenceStore.Here> others = of(project, elsewhere);
        all.forEach(h -> h.told().accept(others(all, others, h)));
    }

    private static List<String> others(List<Here> here, List<PresenceStore.Here> elsewhere, Here self) {
        return Stream.concat(
                        here.stream()
                                .filter(o -> o != self)
                                .map(o -> new PresenceStore.Here(
                                        "", o.who().person(), o.who().window())),
                        elsewhere.stream())
                .filter(o -> !o.madeIn().equals(self.who().window()))
                .map(PresenceStore.Here::person)
                .filter(name -> name.isEmpty() || !name.equals(self.who().person()))
                .sorted()
                .toList();
    }
}
