package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeSet;
import java.util.stream.Collectors;
import kolonne.server.people.Caller;
import kolonne.server.people.Role;
import kolonne.server.store.By;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfEnvironmentVariable;

/**
 * Every route with every kind of person, over HTTP. Who may use which stands in a list of its own, routes-and-roles.txt, written apart from the
 * routes: a route that is not on it fails, and so does one that lets in more or fewer than it says.
 */
@EnabledIfEnvironmentVariable(named = "KOLONNE_TEST_DB", matches = "jdbc:.*")
class RoutesAndRolesTest {
    private static final ObjectMapper JSON = new ObjectMapper();

    /** From who may least to who may most. */
    private static final List<String> PEOPLE =
            List.of("nobody", "newcomer", "stranger", "reader", "checker", "engineer", "owner", "administrator");

    private static final Map<String, String> TOKENS = new LinkedHashMap<>();
    private static TeamServer office;
    private static String project;

    private record Line(String method, String path, String least) {}

    @BeforeAll
    static void start() throws IOException, InterruptedException, SQLException {
        office = new TeamServer();
        project = office.project("Zaal", office.person("owner", false));
        for (String name : PEOPLE.subList(2, PEOPLE.size())) {
            if (!name.equals("owner")) {
                String id = office.person(name, name.equals("administrator"));
                Role.of(name).ifPresent(r -> office.team.sharing().share(project, id, r, By.NOBODY));
            }
            TOKENS.put(name, "Bearer " + office.token(name));
        }
        // still has the password that was given
        String id = office.team
                .accounts()
                .add("newcomer", false, By.NOBODY)
                .account()
                .id();
        TOKENS.put(
                "newcomer",
                "Bearer "
                        + office.team
                                .tokens()
                                .make(new Caller(id, "newcomer", false, true, null), "test", By.NOBODY)
                                .secret());
    }

    @AfterAll
    static void stop() {
        office.close();
    }

    private static List<Line> list() throws IOException {
        try (BufferedReader r = new BufferedReader(new InputStreamReader(
                Objects.requireNonNull(RoutesAndRolesTest.class.getResourceAsStream("/routes-and-roles.txt")),
                StandardCharsets.UTF_8))) {
            return r.lines()
                    .filter(l -> !l.isBlank() && !l.startsWith("#"))
                    .map(l -> l.strip().split("\\s+"))
                    .map(w -> new Line(w[0], w[1], w[2]))
                    .toList();
        }
    }

    @Test
    void everyRouteIsOnTheList() throws IOException {
        TreeSet<String> routes = new TreeSet<>();
        office.api
                .description()
                .get("paths")
                .properties()
                .forEach(p -> p.getValue()
                        .fieldNames()
                        .forEachRemaining(m -> routes.add(m.toUpperCase() + " " + p.getKey())));
        TreeSet<String> listed = list().stream()
                .map(l -> l.method() + " " + l.path())
                .filter(l -> !l.endsWith("/events") && !l.endsWith("/openapi.json") && !l.endsWith("/metrics"))
                .collect(Collectors.toCollection(TreeSet::new));
        assertEquals(String.join("\n", routes), String.join("\n", listed));
    }

    @Test
    void everyRouteLetsInWhoMayUseItAndNobodyElse() throws IOException, InterruptedException {
        List<String> wrong = new ArrayList<>();
        for (Line l : list()) {
            int least = PEOPLE.indexOf(l.least());
            assertTrue(least >= 0, l + " names no kind of person");
            for (int k = 0; k < PEOPLE.size(); k++) {
                String who = PEOPLE.get(k);
                // a stream that opens does not end
                if (l.path().endsWith("/events") && k >= least) {
                    continue;
                }
                HttpResponse<String> r = call(who, l);
                String refused = refused(r);
                String right = k >= least ? "" : right(who, l);
                if (!refused.equals(right)) {
                    wrong.add(l + " for " + who + ": " + refused + " " + r.statusCode() + ", not " + right);
                }
                office.store.bringBack(project);
            }
        }
        assertEquals("", String.join("\n", wrong));
    }

    /** What turns somebody away who may not. */
    private static String right(String who, Line l) {
        boolean ofProject = l.path().contains("/{id}");
        return switch (who) {
            case "nobody" -> "sign-in";
            case "newcomer" -> "password-change";
            case "stranger" -> ofProject ? "not-found" : "role";
            default -> "role";
        };
    }

    private static HttpResponse<String> call(String who, Line l) throws IOException, InterruptedException {
        String path = l.path().replace("{id}", project).replaceAll("\\{[a-z]+}", "none");
        String shown = TOKENS.get(who);
        List<String> headers = new ArrayList<>(List.of("If-Match", "\"9999\""));
        if (shown != null) {
            headers.addAll(List.of("Authorization", shown));
        }
        String body = l.method().equals("GET") || l.method().equals("DELETE") ? null : "";
        return Requests.send(office.javalin, l.method(), path, body, headers.toArray(new String[0]));
    }

    /** Why the door stayed shut; empty where it was opened, whatever became of the request then. */
    private static String refused(HttpResponse<String> r) throws IOException {
        return switch (r.statusCode()) {
            case 401, 403 -> {
                String type = JSON.readTree(r.body()).get("type").asText();
                yield type.substring(Math.max(type.lastIndexOf('/'), type.lastIndexOf(':')) + 1);
            }
            case 404 -> r.body().contains("There is no project " + project + ".") ? "not-found" : "";
            default -> "";
        };
    }

    /** Not shared looks the same as not there, to the letter. */
    @Test
    void aProjectOfOthersIsNotThere() throws IOException, InterruptedException {
        String[] stranger = {"Authorization", TOKENS.get("stranger")};
        HttpResponse<String> others =
                Requests.send(office.javalin, "GET", "/api/projects/" + project + "/basis", null, stranger);
        HttpResponse<String> none =
                Requests.send(office.javalin, "GET", "/api/projects/nothingthere/basis", null, stranger);
        assertEquals(404, others.statusCode());
        assertEquals(none.body(), others.body().replace(project, "nothingthere"));
    }
}
