package kolonne.server.api;

import java.io.File;
import kolonne.server.project.Projects;
import kolonne.server.store.Database;

/** Whether a server can do its work, for what watches it: its database answers, and memory and disk are left. */
final class Readiness {
    /** With less left a model is no longer read and a file no longer made [MB]. */
    private static final int LEAST_HEAP = 64;

    private static final int LEAST_DISK = 256;
    private static final int MB = 20;

    private Readiness() {}

    static Answers.Ready now(Projects projects) {
        Runtime r = Runtime.getRuntime();
        int heap = (int) (r.maxMemory() - (r.totalMemory() - r.freeMemory()) >> MB);
        int disk = (int)
                Math.min(Integer.MAX_VALUE, new File(System.getProperty("java.io.tmpdir")).getUsableSpace() >> MB);
        boolean database = answers(projects);
        return new Answers.Ready(database && heap >= LEAST_HEAP && disk >= LEAST_DISK, database, heap, disk);
    }

    private static boolean answers(Projects projects) {
        try {
            projects.list();
            return true;
        } catch (RuntimeException e) {
            if (Database.isOutage(e)) {
                return false;
            }
            throw e;
        }
    }
}
