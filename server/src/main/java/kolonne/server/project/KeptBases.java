package kolonne.server.project;

import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.NoSuchElementException;
import kolonne.core.basis.Basis;
import kolonne.core.finding.Finding;
import kolonne.exchange.basis.BasisFile;
import kolonne.server.jobs.Jobs;
import kolonne.server.store.KeptBasisRow;
import kolonne.server.store.ProjectStore;

/** Bases of design kept under their names for all projects, without settings that are local to one of them. */
public final class KeptBases {
    /** Bases that may be kept. */
    private static final int MOST = 200;
    /** Letters of a name. */
    private static final int NAME_MOST = 80;

    private final ProjectStore store;

    KeptBases(ProjectStore store) {
        this.store = store;
    }

    /** @param basis under the name that it is kept by */
    public record Kept(Basis basis, LocalDateTime keptAt) {}

    /** All of them, by name. */
    public List<Kept> all() {
        List<Kept> out = new ArrayList<>();
        for (KeptBasisRow row : store.keptBases()) {
            BasisFile.Read r = BasisFile.stored(row.body().getBytes(StandardCharsets.UTF_8));
            if (r.basis() == null) {
                throw new IllegalStateException("a kept basis cannot be read: " + r.findings());
            }
            out.add(new Kept(r.basis(), row.keptAt()));
        }
        return out;
    }

    /** Keeps a basis under its name, in place of one that has it. */
    public void keep(Basis basis, Author by) {
        String n = basis.name().strip();
        if (n.isEmpty() || n.length() > NAME_MOST) {
            throw refused("The name is empty or longer than " + NAME_MOST + " letters.", "Give a short name.");
        }
        List<KeptBasisRow> now = store.keptBases();
        if (now.size() >= MOST && now.stream().noneMatch(r -> r.name().equals(n))) {
            throw refused(MOST + " bases are kept already.", "Forget one that is not used any more.");
        }
        store.by(by.by()).putBasis(n, BasisFile.write(basis.named(n).with(List.of())));
    }

    /** @throws NoSuchElementException if none has this name */
    public void forget(String name, Author by) {
        if (!store.by(by.by()).deleteBasis(name)) {
            throw new NoSuchElementException("No basis is kept as “" + name + "”.");
        }
    }

    private static Jobs.Refused refused(String what, String mend) {
        return new Jobs.Refused(List.of(Finding.fails("basis.kept", "kept bases", what, mend)));
    }
}
