package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.nimbusds.jose.JOSEException;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.sql.SQLException;
import java.util.Optional;
import kolonne.server.people.OpenId;
import kolonne.server.store.By;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfEnvironmentVariable;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Signing in through a simulated provider, as a browser is sent from one to the other. */
@EnabledIfEnvironmentVariable(named = "KOLONNE_TEST_DB", matches = "jdbc:.*")
class OpenIdTest {
    private static final HttpClient CLIENT = HttpClient.newHttpClient();
    private static SimulatedProvider provider;
    private static TeamServer office;

    @BeforeAll
    static void start() throws IOException, SQLException, JOSEException {
        provider = new SimulatedProvider();
        office = new TeamServer(Optional.of(new OpenId(new OpenId.Provider(
                provider.issuer(), SimulatedProvider.CLIENT, SimulatedProvider.SECRET, "Velde Engineers"))));
    }

    @AfterAll
    static void stop() {
        office.close();
        provider.close();
    }

    @BeforeEach
    void right() {
        provider.wrong = "";
        provider.subject = "1001";
        provider.name = "Ines Ravn";
    }

    private static HttpResponse<String> get(String address, String... headers)
            throws IOException, InterruptedException {
        HttpRequest.Builder b = HttpRequest.newBuilder(URI.create(address));
        if (headers.length > 0) {
            b.headers(headers);
        }
        return CLIENT.send(b.build(), HttpResponse.BodyHandlers.ofString());
    }

    private static String here(String path) {
        return "http://127.0.0.1:" + office.javalin.port() + path;
    }

    private static String location(HttpResponse<String> r) {
        return r.headers().firstValue("Location").orElseThrow(() -> new AssertionError(r.statusCode() + r.body()));
    }

    private static Optional<String> cookie(HttpResponse<String> r, String name) {
        return r.headers().allValues("Set-Cookie").stream()
                .filter(c -> c.startsWith(name + "="))
                .findFirst();
    }

    /** The last answer of a browser that begins at a page. */
    private static HttpResponse<String> through(String to) throws IOException, InterruptedException {
        HttpResponse<String> begun = get(here("/openid/begin?to=" + to));
        String remembered = cookie(begun, "kolonne-openid").orElseThrow();
        assertTrue(remembered.contains("HttpOnly") && remembered.contains("SameSite=Lax"), remembered);
        HttpResponse<String> sent = get(location(begun));
        return get(
                location(sent),
                "Cookie",
                remembered.split(";")[0],
                "Sec-Fetch-Site",
                "cross-site",
                "Sec-Fetch-Mode",
                "navigate");
    }

    private static JsonNode session(HttpResponse<String> back) throws IOException, InterruptedException {
        String kept = cookie(back, "kolonne-session").orElseThrow(() -> new AssertionError(location(back)));
        return office.ask(200, kept.split(";")[0], "GET", "/api/session", null);
    }

    @Test
    void aPersonSignsInAndIsTheSameNextTime() throws IOException, InterruptedException {
        HttpResponse<String> back = through("/p/abc/results?sel=L1-B01");
        assertEquals("/p/abc/results?sel=L1-B01", location(back));
        assertEquals("Ines Ravn", session(back).get("name").asText());
        assertFalse(session(back).get("mustChange").asBoolean());
        assertEquals(
                "Velde Engineers",
                office.ask(200, null, "GET", "/api/session", null)
                        .get("provider")
                        .asText());
        int accounts = office.team.accounts().all().size();
        provider.name = "Ines Ravn-Okt";
        assertEquals("Ines Ravn", session(through("/")).get("name").asText(), "an account keeps its name");
        assertEquals(accounts, office.team.accounts().all().size());
        assertEquals(401, office.tried("Ines Ravn", "").statusCode(), "it has no password");
    }

    /** A provider's person of a name that an account has is somebody else until an administrator says otherwise. */
    @Test
    void aNameIsNoIdentity() throws IOException, InterruptedException {
        office.team.accounts().add("Jonas Vael", true, By.NOBODY);
        provider.subject = "2002";
        provider.name = " Jonas  Vael ";
        JsonNode who = session(through("/"));
        assertEquals("Jonas Vael 2", who.get("name").asText());
        assertFalse(who.get("administrator").asBoolean());
    }

    @Test
    void aClosedAccountStaysOut() throws IOException, InterruptedException {
        provider.subject = "3003";
        provider.name = "Closed One";
        session(through("/"));
        String id = office.team.accounts().all().stream()
                .filter(a -> a.name().equals("Closed One"))
                .findFirst()
                .orElseThrow()
                .id();
        office.team.accounts().stand(id, false, false, By.NOBODY);
        HttpResponse<String> back = through("/");
        assertEquals("/?refused=closed", location(back));
        assertTrue(cookie(back, "kolonne-session").isEmpty());
    }

    @ParameterizedTest
    @ValueSource(strings = {"denied", "state", "issuer", "audience", "nonce", "expired", "unsigned", "signature"})
    void whatDoesNotHoldLetsNobodyIn(String wrong) throws IOException, InterruptedException {
        provider.wrong = wrong;
        HttpResponse<String> back = through("/");
        assertEquals(wrong.equals("state") ? "/?refused=stale" : "/?refused=denied", location(back));
        assertTrue(cookie(back, "kolonne-session").isEmpty());
    }

    @Test
    void aWayBackThatBeganElsewhereLeadsNowhere() throws IOException, InterruptedException {
        HttpResponse<String> begun = get(here("/openid/begin"));
        String back = location(get(location(begun)));
        assertEquals("/?refused=stale", location(get(back)));
        String other = cookie(get(here("/openid/begin")), "kolonne-openid")
                .orElseThrow()
                .split(";")[0];
        assertEquals("/?refused=stale", location(get(back, "Cookie", other)));
        // a code is of use once
        String own = cookie(begun, "kolonne-openid").orElseThrow().split(";")[0];
        assertEquals("/", location(get(back, "Cookie", own)));
        assertEquals("/?refused=denied", location(get(back, "Cookie", own)));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "https://elsewhere.example/",
                "//elsewhere.example/",
                "/%5C%5Celsewhere.example",
                "javascript:alert(1)",
                "/a%0D%0Ab"
            })
    void nobodyIsSentElsewhere(String to) throws IOException, InterruptedException {
        assertEquals("/", location(through(to)));
    }

    @Test
    void aProviderThatIsAwayIsTold() throws IOException, InterruptedException {
        OpenId away = new OpenId(new OpenId.Provider("http://127.0.0.1:9", "c", "s", "Away"));
        try {
            away.begin(URI.create(here("/openid/back")));
            throw new AssertionError("it answered");
        } catch (kolonne.server.guard.Refusal e) {
            assertEquals("provider", e.type());
        }
    }

    /** A colleague with a password, as a browser of theirs is signed in. */
    private static String person(String name) throws IOException, InterruptedException {
        office.person(name, false);
        return office.signIn(name, TeamServer.PASSWORD);
    }

    /** The last answer of a browser that is signed in and links its account. */
    private static HttpResponse<String> linking(String signedIn) throws IOException, InterruptedException {
        HttpResponse<String> begun = get(here("/openid/begin?link=1"), "Cookie", signedIn);
        String remembered = cookie(begun, "kolonne-openid").orElseThrow(() -> new AssertionError(location(begun)));
        // the cookie of the sign-in does not come along from elsewhere
        return get(
                location(get(location(begun))),
                "Cookie",
                remembered.split(";")[0],
                "Sec-Fetch-Site",
                "cross-site",
                "Sec-Fetch-Mode",
                "navigate");
    }

    private static boolean linked(String signedIn) throws IOException, InterruptedException {
        return office.ask(200, signedIn, "GET", "/api/account", null)
                .get("linked")
                .asBoolean();
    }

    @Test
    void anAccountWithAPasswordIsLinkedAndBothWaysLeadToIt() throws IOException, InterruptedException {
        String maja = person("Maja Lind");
        provider.subject = "maja";
        provider.name = "Maja Lind";
        assertFalse(linked(maja));
        HttpResponse<String> back = linking(maja);
        assertEquals("/account", location(back));
        assertTrue(cookie(back, "kolonne-session").isEmpty(), "nobody is signed in by it");
        assertTrue(linked(maja));
        assertEquals("Maja Lind", session(through("/")).get("name").asText());
        int accounts = office.team.accounts().all().size();
        assertEquals("/account", location(linking(maja)), "once more changes nothing");
        assertEquals(accounts, office.team.accounts().all().size());
    }

    @Test
    void aPersonOfAnotherAccountIsNotLinked() throws IOException, InterruptedException {
        provider.subject = "per";
        provider.name = "Per Holm";
        assertEquals("Per Holm", session(through("/")).get("name").asText());
        String other = person("Pia Holm");
        assertEquals("/account?refused=linked", location(linking(other)));
        assertFalse(linked(other));
    }

    @Test
    void onlyWhoIsSignedInLinks() throws IOException, InterruptedException {
        assertEquals("/account?refused=sign-in", location(get(here("/openid/begin?link=1"))));
        provider.subject = "eva";
        String eva = person("Eva Sand");
        HttpResponse<String> begun = get(here("/openid/begin?link=1"), "Cookie", eva);
        String remembered = cookie(begun, "kolonne-openid").orElseThrow().split(";")[0];
        String way = location(get(location(begun)));
        get(way, "Cookie", remembered);
        String again = location(get(way, "Cookie", remembered));
        assertTrue(again.startsWith("/account?refused="), "a way back is gone once: " + again);
        // the page to go to is no door to another account
        HttpResponse<String> plain = get(here("/openid/begin?to=/"));
        String forged =
                cookie(plain, "kolonne-openid").orElseThrow().split(";")[0].replaceFirst("[^~]*$", "link");
        provider.subject = "anybody";
        assertEquals("/account?refused=stale", location(get(location(get(location(plain))), "Cookie", forged)));
    }
}
