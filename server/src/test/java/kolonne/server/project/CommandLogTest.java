package kolonne.server.project;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotSame;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.LocalDateTime;
import java.util.List;
import kolonne.server.store.CommandRow;
import kolonne.server.store.ProjectStore;
import org.junit.jupiter.api.Test;

class CommandLogTest {
    private static final String CAGE =
            "{\"lines\":{\"m\":{\"stirrups\":{\"0\":[{\"from\":200,\"size\":\"T10\",\"legs\":2,\"spacing\":150}]}}},\"sizes\":[],\"summary\":\"x\"}";

    private static CommandRow row(int version, LocalDateTime at) {
        return new CommandRow("p", version, EditHistory.HAND, CAGE, at, "", null);
    }

    @Test
    void onlyWhatIsNewerThanTheLastLookIsReadAgain() {
        ProjectStore store = mock(ProjectStore.class);
        CommandRow two = row(2, LocalDateTime.MIN);
        CommandRow five = row(5, LocalDateTime.MIN);
        when(store.commands(eq("p"), eq(0))).thenReturn(List.of(two));
        when(store.commands(eq("p"), eq(2))).thenReturn(List.of(five));
        when(store.commands(eq("p"), eq(5))).thenReturn(List.of());
        CommandLog log = new CommandLog("p");
        assertEquals(List.of(two), log.rows(store));
        assertEquals(List.of(two, five), log.rows(store));
        assertEquals(List.of(two, five), log.rows(store));
        verify(store).commands(eq("p"), eq(0));
    }

    @Test
    void cagesAreReadOnceAndThoseOfACommandThatIsNotStoredAreNotKept() {
        CommandLog log = new CommandLog("p");
        CommandRow stored = row(2, LocalDateTime.MIN);
        assertSame(log.cages(stored), log.cages(stored));
        assertNotSame(log.cages(row(3, null)), log.cages(row(3, null)));
        assertEquals(log.cages(stored), log.cages(row(3, null)));
        assertThrows(
                IllegalStateException.class,
                () -> log.cages(new CommandRow("p", 4, EditHistory.HAND, "{", LocalDateTime.MIN, "", null)));
    }
}
