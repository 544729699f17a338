package kolonne.server.api;

import io.javalin.http.Context;
import io.javalin.http.HandlerType;
import java.util.List;
import java.util.Optional;
import kolonne.server.guard.Refusal;
import kolonne.server.people.Caller;
import kolonne.server.people.OpenId;
import kolonne.server.people.Team;

/** Signing in and out. */
final class SessionRoutes {
    private static final String SESSION = "/api/session";

    private final Doors doors;

    SessionRoutes(Doors doors) {
        this.doors = doors;
    }

    /**
     * @param team       whether people sign in here
     * @param name       of who is signed in; empty for nobody
     * @param mustChange whether their password was given to them and is to be changed first
     * @param provider   through which people may sign in as well, as they know it; empty for none
     */
    record SessionDto(boolean team, String name, boolean administrator, boolean mustChange, String provider) {}

    record SignIn(String name, String password) {}

    List<Route> routes() {
        return List.of(
                Route.get(SESSION, "Who is signed in", SessionDto.class, this::who)
                        .needs(Needs.NOTHING),
                new Route(
                                HandlerType.POST,
                                SESSION,
                                "Signs a browser in: the answer gives it a cookie",
                                SignIn.class,
                                SessionDto.class,
                                new String[0],
                                this::signIn)
                        .needs(Needs.NOTHING),
                new Route(
                                HandlerType.DELETE,
                                SESSION,
                                "Signs the browser out",
                                null,
                                Void.class,
                                new String[0],
                                this::signOut)
                        .needs(Needs.SELF));
    }

    /** The team of a server that has one. @throws Refusal for a server of one person */
    static Team team(Doors doors) {
        return doors.team()
                .orElseThrow(() -> new Refusal(
                        409,
                        "no-team",
                        "This server works for one person; nobody signs in.",
                        "Start it with --team to have accounts."));
    }

    private void who(Context c) {
        c.json(of(Doors.caller(c)));
    }

    private SessionDto of(Optional<Caller> caller) {
        return new SessionDto(
                doors.team().isPresent(),
                caller.map(Caller::name).orElse(""),
                caller.map(Caller::administrator).orElse(false),
                caller.map(Caller::mustChange).orElse(false),
                doors.team().flatMap(Team::openId).map(OpenId::name).orElse(""));
    }

    private void signIn(Context c) {
        Team team = team(doors);
        SignIn body = Body.of(c, SignIn.class);
        String secret = team.signIns().begin(body.name(), body.password(), Doors.origin(c), c.userAgent());
        doors.give(c, secret);
        c.json(of(team.signIns().caller(secret)));
    }

    private void signOut(Context c) {
        team(doors).signIns().end(Doors.signedIn(c));
        doors.take(c);
        c.status(204);
    }
}
