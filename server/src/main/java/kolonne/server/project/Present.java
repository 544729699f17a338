package kolonne.server.project;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Consumer;

/** Who has which project open on this server: the windows that follow it, by what the persons at them call themselves. */
public final class Present {
    private final Map<String, List<Here>> byProject = new ConcurrentHashMap<>();

    private record Here(Author who, Consumer<List<String>> told) {}

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
        all.forEach(h -> h.told().accept(others(all, h)));
    }

    private static List<String> others(List<Here> all, Here self) {
        return all.stream()
                .filter(o -> o != self && !o.who().window().equals(self.who().window()))
                .map(o -> o.who().person())
                .filter(name -> name.isEmpty() || !name.equals(self.who().person()))
                .sorted()
                .toList();
    }
}
