package kolonne.server.command;

import java.io.IOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import kolonne.server.people.OpenId;
import picocli.CommandLine;

/** Options of signing in through an OpenID Connect provider. */
final class OpenIdOptions {
    @CommandLine.Option(
            names = "--openid",
            description = "Issuer of an OpenID Connect provider that people of the team may sign in through, https.")
    private String issuer;

    @CommandLine.Option(names = "--openid-client", description = "Id under which this server is registered there.")
    private String client;

    @CommandLine.Option(names = "--openid-secret-file", description = "File that holds the secret of that id.")
    private Path secret;

    @CommandLine.Option(
            names = "--openid-name",
            defaultValue = "your office",
            description = "What people know the provider as (default: ${DEFAULT-VALUE}).")
    private String name;

    /** @throws CommandLine.ParameterException if they do not fit together */
    Optional<OpenId> provider(CommandLine of, boolean team) throws IOException {
        if (issuer == null) {
            return Optional.empty();
        }
        if (!team || client == null || secret == null) {
            throw new CommandLine.ParameterException(
                    of, "--openid needs --team, --openid-client and --openid-secret-file as well.");
        }
        if (!safe(issuer)) {
            throw new CommandLine.ParameterException(of, "--openid is " + issuer + "; it begins with https://.");
        }
        return Optional.of(new OpenId(
                new OpenId.Provider(issuer, client, Files.readString(secret).strip(), name)));
    }

    /** By TLS, or on this machine. */
    private static boolean safe(String issuer) {
        try {
            URI u = URI.create(issuer);
            return "https".equals(u.getScheme())
                    || "http".equals(u.getScheme())
                            && ("localhost".equals(u.getHost()) || "127.0.0.1".equals(u.getHost()));
        } catch (IllegalArgumentException e) {
            return false;
        }
    }
}
