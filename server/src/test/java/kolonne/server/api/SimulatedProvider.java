package kolonne.server.api;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.nimbusds.jose.JOSEException;
import com.nimbusds.jose.JWSAlgorithm;
import com.nimbusds.jose.JWSHeader;
import com.nimbusds.jose.crypto.RSASSASigner;
import com.nimbusds.jose.jwk.JWKSet;
import com.nimbusds.jose.jwk.RSAKey;
import com.nimbusds.jose.jwk.gen.RSAKeyGenerator;
import com.nimbusds.jwt.JWTClaimsSet;
import com.nimbusds.jwt.PlainJWT;
import com.nimbusds.jwt.SignedJWT;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.Base64;
import java.util.Date;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** A small OpenID Connect provider on loopback, which can be told to answer wrongly. */
final class SimulatedProvider implements AutoCloseable {
    static final String CLIENT = "kolonne";
    static final String SECRET = "client secret";
    private static final ObjectMapper JSON = new ObjectMapper();

    private final HttpServer server;
    private final RSAKey key;
    private final RSAKey otherKey;
    private final Map<String, Map<String, String>> begun = new HashMap<>();

    String subject = "1001";
    String name = "Ines Ravn";
    /** What is wrong with its answers; empty for nothing. */
    String wrong = "";

    SimulatedProvider() throws IOException, JOSEException {
        key = new RSAKeyGenerator(2048).keyID("k1").generate();
        otherKey = new RSAKeyGenerator(2048).keyID("k1").generate();
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext("/.well-known/openid-configuration", e -> json(e, 200, discovery()));
        server.createContext(
                "/keys", e -> json(e, 200, new JWKSet(key).toPublicJWKSet().toJSONObject()));
        server.createContext("/authorize", this::authorize);
        server.createContext("/token", this::token);
        server.start();
    }

    String issuer() {
        return "http://127.0.0.1:" + server.getAddress().getPort();
    }

    private Map<String, Object> discovery() {
        return Map.of(
                "issuer", issuer(),
                "authorization_endpoint", issuer() + "/authorize",
                "token_endpoint", issuer() + "/token",
                "jwks_uri", issuer() + "/keys",
                "response_types_supported", List.of("code"),
                "subject_types_supported", List.of("public"),
                "id_token_signing_alg_values_supported", List.of("RS256"));
    }

    private void authorize(HttpExchange e) throws IOException {
        Map<String, String> q = fields(e.getRequestURI().getRawQuery());
        String code = UUID.randomUUID().toString();
        begun.put(code, q);
        String answer = wrong.equals("denied") ? "error=access_denied" : "code=" + code;
        String state = wrong.equals("state") ? "another" : q.get("state");
        e.getResponseHeaders().add("Location", q.get("redirect_uri") + "?" + answer + "&state=" + state);
        e.sendResponseHeaders(302, -1);
        e.close();
    }

    private void token(HttpExchange e) throws IOException {
        Map<String, String> f = fields(new String(e.getRequestBody().readAllBytes(), StandardCharsets.UTF_8));
        Map<String, String> q = begun.remove(f.get("code"));
        String basic = Base64.getEncoder().encodeToString((CLIENT + ":client+secret").getBytes(StandardCharsets.UTF_8));
        boolean right = q != null
                && e.getRequestHeaders().getFirst("Authorization").equals("Basic " + basic)
                && q.get("redirect_uri").equals(f.get("redirect_uri"))
                && q.get("client_id").equals(CLIENT)
                && "S256".equals(q.get("code_challenge_method"))
                && challenge(f.get("code_verifier")).equals(q.get("code_challenge"));
        if (!right) {
            json(e, 400, Map.of("error", "invalid_grant"));
            return;
        }
        try {
            json(e, 200, Map.of("access_token", "a", "token_type", "Bearer", "id_token", identity(q.get("nonce"))));
        } catch (JOSEException x) {
            throw new IOException(x);
        }
    }

    private String identity(String nonce) throws JOSEException {
        long now = System.currentTimeMillis();
        JWTClaimsSet claims = new JWTClaimsSet.Builder()
                .issuer(wrong.equals("issuer") ? "https://elsewhere.example" : issuer())
                .audience(wrong.equals("audience") ? "another" : CLIENT)
                .subject(subject)
                .claim("name", name)
                .claim("nonce", wrong.equals("nonce") ? "another" : nonce)
                .issueTime(new Date(now))
                .expirationTime(new Date(now + (wrong.equals("expired") ? -600_000 : 600_000)))
                .build();
        if (wrong.equals("unsigned")) {
            return new PlainJWT(claims).serialize();
        }
        SignedJWT jwt = new SignedJWT(
                new JWSHeader.Builder(JWSAlgorithm.RS256).keyID("k1").build(), claims);
        jwt.sign(new RSASSASigner(wrong.equals("signature") ? otherKey : key));
        return jwt.serialize();
    }

    private static String challenge(String verifier) throws IOException {
        try {
            byte[] hash = MessageDigest.getInstance("SHA-256").digest(verifier.getBytes(StandardCharsets.US_ASCII));
            return Base64.getUrlEncoder().withoutPadding().encodeToString(hash);
        } catch (NoSuchAlgorithmException x) {
            throw new IOException(x);
        }
    }

    private static Map<String, String> fields(String form) {
        Map<String, String> out = new HashMap<>();
        Arrays.stream(form.split("&"))
                .map(p -> p.split("=", 2))
                .forEach(p -> out.put(p[0], URLDecoder.decode(p[1], StandardCharsets.UTF_8)));
        return out;
    }

    private static void json(HttpExchange e, int status, Map<String, Object> body) throws IOException {
        byte[] bytes = JSON.writeValueAsBytes(body);
        e.getResponseHeaders().add("Content-Type", "application/json");
        e.sendResponseHeaders(status, bytes.length);
        e.getResponseBody().write(bytes);
        e.close();
    }

    @Override
    public void close() {
        server.stop(0);
    }
}
