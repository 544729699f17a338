package kolonne.server.people;

import com.nimbusds.jose.JOSEException;
import com.nimbusds.jose.JWSAlgorithm;
import com.nimbusds.jose.proc.BadJOSEException;
import com.nimbusds.jwt.JWT;
import com.nimbusds.oauth2.sdk.AuthorizationCodeGrant;
import com.nimbusds.oauth2.sdk.GeneralException;
import com.nimbusds.oauth2.sdk.ResponseType;
import com.nimbusds.oauth2.sdk.Scope;
import com.nimbusds.oauth2.sdk.TokenRequest;
import com.nimbusds.oauth2.sdk.TokenResponse;
import com.nimbusds.oauth2.sdk.auth.ClientSecretBasic;
import com.nimbusds.oauth2.sdk.auth.Secret;
import com.nimbusds.oauth2.sdk.http.HTTPRequest;
import com.nimbusds.oauth2.sdk.id.ClientID;
import com.nimbusds.oauth2.sdk.id.Issuer;
import com.nimbusds.oauth2.sdk.id.State;
import com.nimbusds.oauth2.sdk.pkce.CodeChallengeMethod;
import com.nimbusds.oauth2.sdk.pkce.CodeVerifier;
import com.nimbusds.openid.connect.sdk.AuthenticationRequest;
import com.nimbusds.openid.connect.sdk.AuthenticationResponse;
import com.nimbusds.openid.connect.sdk.AuthenticationResponseParser;
import com.nimbusds.openid.connect.sdk.Nonce;
import com.nimbusds.openid.connect.sdk.OIDCTokenResponse;
import com.nimbusds.openid.connect.sdk.OIDCTokenResponseParser;
import com.nimbusds.openid.connect.sdk.claims.IDTokenClaimsSet;
import com.nimbusds.openid.connect.sdk.op.OIDCProviderMetadata;
import com.nimbusds.openid.connect.sdk.validators.IDTokenValidator;
import java.io.IOException;
import java.net.URI;
import java.util.Set;
import kolonne.server.guard.Refusal;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Signing in through an OpenID Connect provider: authorization code with PKCE (OpenID Connect Core 1.0, 3.1; RFC 7636). */
public final class OpenId {
    private static final Logger LOG = LoggerFactory.getLogger(OpenId.class);
    private static final int TIMEOUT_MS = 10_000;
    /** Signatures whose keys the provider publishes. */
    private static final Set<JWSAlgorithm> SIGNED =
            Set.of(JWSAlgorithm.RS256, JWSAlgorithm.RS384, JWSAlgorithm.RS512, JWSAlgorithm.PS256, JWSAlgorithm.ES256);

    private final Provider provider;
    private volatile OIDCProviderMetadata metadata;

    /** @param name of the provider, as people know it; @param secret of the client {@code client} that is registered there */
    public record Provider(String issuer, String client, String secret, String name) {}

    /** @param name as the provider calls them; may be empty */
    public record Person(String issuer, String subject, String name) {}

    /** What a browser remembers until it comes back. */
    public record Remembered(String state, String nonce, String verifier) {}

    /** @param to where the browser goes */
    public record Begun(URI to, Remembered remembered) {}

    public OpenId(Provider provider) {
        this.provider = provider;
    }

    /** The provider, as people know it. */
    public String name() {
        return provider.name();
    }

    /** @param back where the provider sends the browser afterwards. @throws Refusal if the provider does not answer */
    public Begun begin(URI back) {
        State state = new State();
        Nonce nonce = new Nonce();
        CodeVerifier verifier = new CodeVerifier();
        URI to = new AuthenticationRequest.Builder(
                        ResponseType.CODE, new Scope("openid", "profile"), new ClientID(provider.client()), back)
                .endpointURI(metadata().getAuthorizationEndpointURI())
                .state(state)
                .nonce(nonce)
                .codeChallenge(verifier, CodeChallengeMethod.S256)
                .build()
                .toURI();
        return new Begun(to, new Remembered(state.getValue(), nonce.getValue(), verifier.getValue()));
    }

    private OIDCProviderMetadata metadata() {
        OIDCProviderMetadata m = metadata;
        if (m == null) {
            try {
                m = OIDCProviderMetadata.resolve(new Issuer(provider.issuer()), TIMEOUT_MS, TIMEOUT_MS);
            } catch (GeneralException | IOException e) {
                throw away(e);
            }
            metadata = m;
        }
        return m;
    }

    private static Refusal away(Exception e) {
        LOG.warn("the provider of sign-ins: {}", e.toString());
        return new Refusal(502, "provider", "The provider does not answer as it should.", "Try again in a while.");
    }

    private static Refusal refused() {
        return new Refusal(403, "denied", "The provider did not sign you in.", "Try again.");
    }

    /**
     * Who came back.
     *
     * @param request the whole address that the browser came back to; {@code back} as given to {@link #begin}
     * @throws Refusal if the provider did not sign them in, or what it tells does not hold
     */
    public Person end(URI request, URI back, Remembered remembered) {
        try {
            AuthenticationResponse r = AuthenticationResponseParser.parse(request);
            if (r.getState() == null || !r.getState().getValue().equals(remembered.state())) {
                throw new Refusal(403, "stale", "This sign-in began elsewhere or long ago.", "Begin again.");
            }
            if (!r.indicatesSuccess()) {
                throw refused();
            }
            JWT token = token(new AuthorizationCodeGrant(
                    r.toSuccessResponse().getAuthorizationCode(), back, new CodeVerifier(remembered.verifier())));
            return person(valid(token, new Nonce(remembered.nonce())));
        } catch (BadJOSEException e) {
            LOG.warn("an identity that does not hold: {}", e.getMessage());
            throw refused();
        } catch (GeneralException | IOException | JOSEException | IllegalArgumentException e) {
            throw away(e);
        }
    }

    private JWT token(AuthorizationCodeGrant grant) throws GeneralException, IOException {
        HTTPRequest ask = new TokenRequest.Builder(
                        metadata().getTokenEndpointURI(),
                        new ClientSecretBasic(new ClientID(provider.client()), new Secret(provider.secret())),
                        grant)
                .build()
                .toHTTPRequest();
        ask.setConnectTimeout(TIMEOUT_MS);
        ask.setReadTimeout(TIMEOUT_MS);
        TokenResponse r = OIDCTokenResponseParser.parse(ask.send());
        if (!r.indicatesSuccess()) {
            LOG.warn("the provider gives no token: {}", r.toErrorResponse().getErrorObject());
            throw refused();
        }
        return ((OIDCTokenResponse) r.toSuccessResponse()).getOIDCTokens().getIDToken();
    }

    /** Issuer, audience, times, nonce and signature (OpenID Connect Core 1.0, 3.1.3.7). */
    private IDTokenClaimsSet valid(JWT token, Nonce nonce) throws BadJOSEException, JOSEException, IOException {
        if (!(token.getHeader().getAlgorithm() instanceof JWSAlgorithm signed) || !SIGNED.contains(signed)) {
            throw new BadJOSEException("signed by " + token.getHeader().getAlgorithm());
        }
        return new IDTokenValidator(
                        metadata().getIssuer(),
                        new ClientID(provider.client()),
                        signed,
                        metadata().getJWKSetURI().toURL())
                .validate(token, nonce);
    }

    private Person person(IDTokenClaimsSet claims) {
        String name = claims.getStringClaim("name");
        return new Person(
                claims.getIssuer().getValue(),
                claims.getSubject().getValue(),
                name == null || name.isBlank() ? claims.getStringClaim("preferred_username") : name);
    }
}
