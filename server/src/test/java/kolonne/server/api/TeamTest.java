package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.URLConnection;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.sql.SQLException;
import java.time.Duration;
import java.util.List;
import java.util.stream.StreamSupport;
import kolonne.server.people.Role;
import kolonne.server.store.By;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfEnvironmentVariable;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Signing in, accounts, sharing and what is taken down of it, over HTTP on a real database. */
@EnabledIfEnvironmentVariable(named = "KOLONNE_TEST_DB", matches = "jdbc:.*")
class TeamTest {
    private static final String PASSWORD = TeamServer.PASSWORD;
    private static TeamServer office;
    private static String boss;

    @BeforeAll
    static void start() throws IOException, InterruptedException, SQLException {
        office = new TeamServer();
        office.person("Bo Administrator", true);
        boss = office.signIn("Bo Administrator", PASSWORD);
    }

    @AfterAll
    static void stop() {
        office.close();
    }

    private static List<String> texts(JsonNode array, String field) {
        return StreamSupport.stream(array.spliterator(), false)
                .map(n -> n.get(field).asText())
                .toList();
    }

    @Test
    void aGivenPasswordIsChangedBeforeAnythingElse() throws IOException, InterruptedException {
        JsonNode given =
                office.ask(200, boss, "POST", "/api/accounts", "{\"name\":\" Mara  Steen \",\"administrator\":false}");
        assertEquals("Mara Steen", given.get("account").get("name").asText());
        String password = given.get("password").asText();
        String mara = office.signIn("mara steen", password);
        assertTrue(office.ask(200, mara, "GET", "/api/session", null)
                .get("mustChange")
                .asBoolean());
        office.ask(403, mara, "GET", "/api/projects", null);
        change(422, mara, "not the old one", PASSWORD);
        change(422, mara, password, "short one");
        change(422, mara, password, "aaaaaaabbbbbbb");
        change(422, mara, password, "Mara Steen 1234");
        change(422, mara, password, "ü".repeat(30) + "abcdefghijklm");
        change(422, mara, password, password);
        change(204, mara, password, PASSWORD);
        office.ask(200, mara, "GET", "/api/projects", null);
        assertEquals(401, office.tried("Mara Steen", password).statusCode());
        office.ask(409, boss, "POST", "/api/accounts", "{\"name\":\"MARA STEEN\",\"administrator\":false}");
        office.ask(422, boss, "POST", "/api/accounts", "{\"name\":\" \",\"administrator\":false}");
    }

    private static void change(int status, String cookie, String old, String now)
            throws IOException, InterruptedException {
        office.ask(
                status,
                cookie,
                "PUT",
                "/api/account/password",
                "{\"old\":\"" + old + "\",\"password\":\"" + now + "\"}");
    }

    @Test
    void theCookieIsForThisHostAlone() throws IOException, InterruptedException {
        office.person("Cookie", false);
        String plain = office.tried("Cookie", PASSWORD)
                .headers()
                .firstValue("Set-Cookie")
                .orElseThrow();
        assertTrue(plain.startsWith("kolonne-session="), plain);
        for (String part : List.of("HttpOnly", "SameSite=Strict", "Path=/")) {
            assertTrue(plain.contains(part), plain);
        }
        assertFalse(plain.contains("Secure"), plain);
        HttpResponse<String> tls = office.send(
                null,
                "POST",
                "/api/session",
                "{\"name\":\"Cookie\",\"password\":\"" + PASSWORD + "\"}",
                "X-Forwarded-Proto",
                "https");
        String secure = tls.headers().firstValue("Set-Cookie").orElseThrow();
        assertTrue(secure.startsWith("__Host-kolonne=") && secure.contains("Secure"), secure);
    }

    /** Five wrong passwords, then one waits 2, 4, 8 … seconds, at most a quarter of an hour; the right one is of no use before. */
    @Test
    void guessingIsSlowedAndLocked() throws IOException, InterruptedException {
        office.person("Locked", false);
        for (int i = 0; i < 5; i++) {
            assertEquals(401, office.tried("Locked", "wrong " + i).statusCode());
        }
        HttpResponse<String> waits = office.tried("Locked", PASSWORD);
        assertEquals(429, waits.statusCode());
        assertTrue(waits.body().contains("Wait 2 seconds"), waits.body());
        office.later(Duration.ofSeconds(3));
        assertEquals(401, office.tried("Locked", "wrong again").statusCode());
        office.later(Duration.ofSeconds(3));
        assertEquals(429, office.tried("Locked", PASSWORD).statusCode(), "four seconds now");
        office.later(Duration.ofSeconds(2));
        office.signIn("Locked", PASSWORD);
        office.signIn("Locked", PASSWORD);
        for (int i = 0; i < 5; i++) {
            assertEquals(401, office.tried("Nobody at all", PASSWORD).statusCode());
        }
        assertEquals(
                waits.body(), office.tried("nobody at ALL", PASSWORD).body(), "nor does waiting tell who there is");
        office.later(Duration.ofMinutes(11));
    }

    @Test
    void noNameIsToldFromNoPassword() throws IOException, InterruptedException {
        office.person("Known", false);
        assertEquals(
                office.tried("Known", "wrong").body(),
                office.tried("Unknown", "wrong").body());
        office.signIn("Known", PASSWORD);
    }

    @Test
    void signingOutAndTimeEndASignIn() throws IOException, InterruptedException {
        office.person("Out", false);
        String one = office.signIn("Out", PASSWORD);
        String two = office.signIn("Out", PASSWORD);
        JsonNode account = office.ask(200, two, "GET", "/api/account", null);
        assertEquals(3, account.get("browsers").size(), "that of the first password as well");
        assertEquals(
                1,
                texts(account.get("browsers"), "here").stream()
                        .filter("true"::equals)
                        .count());
        office.ask(204, one, "DELETE", "/api/session", null);
        office.ask(401, one, "GET", "/api/projects", null);
        assertEquals(
                1,
                office.ask(200, two, "DELETE", "/api/account/browsers", null)
                        .get("browsers")
                        .size());
        office.later(Duration.ofHours(23));
        office.ask(200, two, "GET", "/api/projects", null);
        office.later(Duration.ofHours(25));
        office.ask(401, two, "GET", "/api/projects", null);
        boss = office.signIn("Bo Administrator", PASSWORD);
    }

    @Test
    void aNewPasswordEndsWhatTheOldOneBegan() throws IOException, InterruptedException {
        String id = office.person("Change", false);
        String here = office.signIn("Change", PASSWORD);
        String elsewhere = office.signIn("Change", PASSWORD);
        String[] program = {"Authorization", "Bearer " + office.token("Change")};
        office.ask(200, null, "GET", "/api/projects", null, program);
        change(204, here, PASSWORD, "another good one 71");
        office.ask(200, here, "GET", "/api/projects", null);
        office.ask(401, elsewhere, "GET", "/api/projects", null);
        office.ask(401, null, "GET", "/api/projects", null, program);
        String given = office.ask(200, boss, "POST", "/api/accounts/" + id + "/password", "")
                .get("password")
                .asText();
        office.ask(401, here, "GET", "/api/projects", null);
        office.signIn("Change", given);
    }

    @Test
    void whoMayNoLongerSignInIsOutAtOnce() throws IOException, InterruptedException {
        String id = office.person("Gone", false);
        String cookie = office.signIn("Gone", PASSWORD);
        String[] program = {"Authorization", "Bearer " + office.token("Gone")};
        stand(200, id, false, false);
        office.ask(401, cookie, "GET", "/api/projects", null);
        office.ask(401, null, "GET", "/api/projects", null, program);
        assertEquals(401, office.tried("Gone", PASSWORD).statusCode());
        stand(200, id, true, false);
        office.ask(401, cookie, "GET", "/api/projects", null);
        office.signIn("Gone", PASSWORD);
    }

    private static void stand(int status, String id, boolean active, boolean administrator)
            throws IOException, InterruptedException {
        office.ask(
                status,
                boss,
                "PUT",
                "/api/accounts/" + id,
                "{\"active\":" + active + ",\"administrator\":" + administrator + "}");
    }

    @Test
    void anAdministratorIsLeft() throws IOException, InterruptedException {
        String me = office.team.accounts().all().stream()
                .filter(a -> a.name().equals("Bo Administrator"))
                .findFirst()
                .orElseThrow()
                .id();
        stand(409, me, true, false);
        stand(409, me, false, true);
        String second = office.person("Second", true);
        stand(200, second, true, false);
    }

    @Test
    void tokensAreToldOnceAndEnd() throws IOException, InterruptedException, SQLException {
        office.person("Script", false);
        String cookie = office.signIn("Script", PASSWORD);
        JsonNode made = office.ask(200, cookie, "POST", "/api/account/tokens", "{\"name\":\"nightly\"}");
        String secret = made.get("secret").asText();
        String[] program = {"Authorization", "Bearer " + secret};
        office.ask(200, null, "GET", "/api/projects", null, program);
        office.ask(401, cookie, "GET", "/api/projects", null, "Authorization", "Bearer kol_wrong");
        office.ask(401, cookie, "GET", "/api/projects", null, "Authorization", "Basic abc");
        JsonNode token = office.ask(200, cookie, "GET", "/api/account", null)
                .get("tokens")
                .get(0);
        assertEquals("nightly", token.get("name").asText());
        assertFalse(token.get("usedAt").asText().isEmpty());
        String kept = office.kept();
        assertFalse(kept.contains(secret) || kept.contains(PASSWORD) || kept.contains(cookie.split("=")[1]));
        String path = "/api/account/tokens/" + token.get("id").asText();
        office.ask(404, boss, "DELETE", path, null);
        office.ask(200, cookie, "DELETE", path, null);
        office.ask(401, null, "GET", "/api/projects", null, program);
    }

    @Test
    void aProjectIsSharedByRoleAndKeepsAnOwner() throws IOException, InterruptedException {
        String anna = office.person("Anna", false);
        String ben = office.person("Ben", false);
        String annas = office.signIn("Anna", PASSWORD);
        String bens = office.signIn("Ben", PASSWORD);
        String id = office.project("Shared", anna);
        String people = "/api/projects/" + id + "/people";
        assertEquals(
                List.of("Shared"),
                texts(office.ask(200, annas, "GET", "/api/projects", null).get("projects"), "name"));
        assertEquals(
                List.of(),
                texts(office.ask(200, bens, "GET", "/api/projects", null).get("projects"), "name"));
        JsonNode sharing = office.ask(200, annas, "PUT", people + "/" + ben, "{\"role\":\"reader\"}");
        assertEquals(List.of("Anna", "Ben"), texts(sharing.get("people"), "name"));
        assertFalse(texts(sharing.get("others"), "name").contains("Ben"));
        JsonNode row = office.ask(200, bens, "GET", "/api/projects", null)
                .get("projects")
                .get(0);
        assertEquals("reader", row.get("role").asText());
        assertEquals(0, office.ask(200, bens, "GET", people, null).get("others").size(), "names are for owners");
        office.ask(422, annas, "PUT", people + "/" + ben, "{\"role\":\"king\"}");
        office.ask(404, annas, "PUT", people + "/nobody", "{\"role\":\"reader\"}");
        office.ask(409, annas, "PUT", people + "/" + anna, "{\"role\":\"engineer\"}");
        office.ask(409, annas, "DELETE", people + "/" + anna, null);
        office.ask(200, annas, "PUT", people + "/" + ben, "{\"role\":\"owner\"}");
        office.ask(200, annas, "DELETE", people + "/" + anna, null);
        office.ask(404, annas, "GET", people, null);
        office.ask(204, bens, "DELETE", "/api/projects/" + id, null);
        assertEquals(
                List.of(),
                texts(
                        office.ask(200, annas, "GET", "/api/deleted-projects", null)
                                .get("projects"),
                        "name"));
        office.ask(404, annas, "POST", "/api/deleted-projects/" + id, "");
        office.ask(200, bens, "POST", "/api/deleted-projects/" + id, "");
    }

    /** Whatever a browser calls its person, and wherever a proxy that is not ours says that it is. */
    @Test
    void theHistoryTellsWhoAndFromWhere() throws IOException, InterruptedException {
        String carl = office.person("Carl", false);
        String cookie = office.signIn("Carl", PASSWORD);
        String id = office.project("Told", carl);
        String path = "/api/projects/" + id;
        String[] headers = {
            "If-Match", "\"1\"", "Kolonne-Person", "Somebody%20Else", "X-Forwarded-For", "10.9.8.7, 192.0.2.17"
        };
        office.ask(200, cookie, "PATCH", path, "{\"name\":\"Told anew\"}", headers);
        headers[1] = "\"2\"";
        office.ask(200, cookie, "PATCH", path + "/basis", "{\"beamCoverMm\":45}", headers);
        office.ask(200, cookie, "PUT", path + "/people/" + carl, "{\"role\":\"owner\"}");
        String csv = office.send(
                        cookie, "GET", path + "/exports/history.csv", null, "X-Forwarded-For", "not an address")
                .body();
        List<String> lines = csv.lines().toList();
        assertEquals("import", lines.get(1).split(",")[4]);
        assertTrue(lines.get(2).matches("2,[^,]*,Carl,192.0.2.17,rename,Told anew,,"), lines.get(2));
        assertTrue(lines.get(3).matches("3,[^,]*,Carl,192.0.2.17,basis,.*45 mm.*,true,.*"), lines.get(3));
        assertTrue(lines.get(4).matches(",[^,]*,Carl,127.0.0.1,share,Carl as owner,,"), lines.get(4));
        JsonNode deeds = office.ask(200, cookie, "GET", path + "/deeds", null).get("deeds");
        assertEquals(List.of("import", "rename", "change-basis", "share", "export"), texts(deeds, "kind"));
        assertTrue(texts(office.ask(200, boss, "GET", "/api/deeds", null).get("deeds"), "kind")
                .contains("sign-in"));
    }

    @ParameterizedTest
    @CsvSource({
        "127.0.0.1, 127.0.0.1",
        "[0:0:0:0:0:0:0:1], 0:0:0:0:0:0:0:1",
        "[fe80:1111:2222:3333:aaaa:bbbb:cccc:dddd%enp0s31f6v100], fe80:1111:2222:3333:aaaa:bbbb:cccc:dddd"
    })
    void anAddressHasRoomInItsRow(String peer, String kept) {
        assertEquals(kept, Doors.bare(peer));
        assertTrue(kept.length() <= 45);
    }

    /** Who may read a project no longer hears no more of it, though the stream was opened before. */
    @Test
    void aStreamEndsWithTheRole() throws IOException, InterruptedException {
        String owner = office.person("Owner", false);
        String listener = office.person("Listener", false);
        String id = office.project("Heard", owner);
        office.team.sharing().share(id, listener, Role.READER, By.NOBODY);
        URLConnection c = URI.create("http://127.0.0.1:" + office.javalin.port() + "/api/projects/" + id + "/events")
                .toURL()
                .openConnection();
        c.setRequestProperty("Cookie", office.signIn("Listener", PASSWORD));
        c.setRequestProperty("Accept", "text/event-stream");
        c.setReadTimeout(60_000);
        try (BufferedReader in =
                new BufferedReader(new InputStreamReader(c.getInputStream(), StandardCharsets.UTF_8))) {
            assertTrue(in.readLine() != null);
            office.team.sharing().share(id, listener, null, By.NOBODY);
            int beats = 0;
            for (String line = in.readLine(); line != null; line = in.readLine()) {
                beats += line.contains("here") ? 1 : 0;
                assertTrue(beats < 4, "the stream goes on");
            }
        }
    }
}
