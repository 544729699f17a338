package kolonne.server.project;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is told about a project while others change it. */
class WorkspaceTest {
    private static Workspace.State state(int version, String doing) {
        return new Workspace.State(version, 0, doing, 1, 2, List.of());
    }

    /** A change of the model holds the workspace and analyses on the threads that design: were these to wait for it, both would wait for ever. */
    @Test
    void progressIsToldWhileTheModelIsBeingChanged() throws InterruptedException {
        Workspace w = new Workspace("p", 1);
        Thread designing = new Thread(() -> w.publish(state(1, "designing")));
        designing.setDaemon(true);
        synchronized (w) {
            designing.start();
            designing.join(10_000);
            assertFalse(designing.isAlive(), "progress waits for the workspace");
        }
        assertEquals("designing", w.state().doing());
    }

    @Test
    void progressOfAnOlderVersionDoesNotTakeThePlaceOfANewerOne() {
        Workspace w = new Workspace("p", 1);
        List<Integer> told = new ArrayList<>();
        w.follow(s -> told.add(s.version()));
        w.publish(state(2, "waiting"));
        w.publish(state(1, "designing"));
        w.publish(state(2, "designing"));
        assertEquals(List.of(1, 2, 2), told);
        assertEquals(2, w.state().version());
    }

    /** A page that begins to follow while a design ends: were it told the end first and what was before it last, it would wait for ever. */
    @Test
    void whoBeginsToFollowIsToldTheNewestLast() throws InterruptedException {
        Workspace w = new Workspace("p", 1);
        w.publish(state(1, "designing"));
        List<String> told = Collections.synchronizedList(new ArrayList<>());
        Thread ends = new Thread(() -> w.publish(state(1, "")));
        w.follow(s -> {
            if (ends.getState() == Thread.State.NEW) {
                ends.start();
                while (ends.isAlive() && ends.getState() != Thread.State.BLOCKED) {
                    Thread.onSpinWait();
                }
            }
            told.add(s.doing());
        });
        ends.join(10_000);
        assertEquals(List.of("designing", ""), told);
    }
}
