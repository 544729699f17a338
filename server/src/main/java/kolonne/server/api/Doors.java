package kolonne.server.api;

import io.javalin.http.Context;
import io.javalin.http.Cookie;
import io.javalin.http.SameSite;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import kolonne.server.guard.Refusal;
import kolonne.server.jobs.Jobs;
import kolonne.server.people.Caller;
import kolonne.server.people.Role;
import kolonne.server.people.SignIns;
import kolonne.server.people.Team;

/**
 * Lets through who may use a route. Without a team one person works on their own machine and may do everything; with one, everybody signs in, and
 * a project that is not shared with somebody is not there for them.
 */
final class Doors {
    private static final String CALLER = "kolonne.caller";
    private static final String ADDRESS = "kolonne.address";
    private static final String ROLE = "kolonne.role";
    private static final String BEARER = "Bearer ";

    private final Team team;
    private final Set<String> proxies;
    private final Jobs jobs;

    /** @param team null for one person on their own machine; @param proxies addresses of proxies whose word of where a request comes from is taken */
    Doors(Team team, Set<String> proxies, Jobs jobs) {
        this.team = team;
        this.proxies = Set.copyOf(proxies);
        this.jobs = jobs;
    }

    Optional<Team> team() {
        return Optional.ofNullable(team);
    }

    /**
     * @param id of the project, or of the job, that the request is about; null for neither
     * @throws Refusal for who may not use it. @throws NoSuchElementException for a project that is not there for them
     */
    void enter(Context c, Needs needs, String id) {
        c.attribute(ADDRESS, address(c));
        if (team == null) {
            return;
        }
        Optional<Caller> caller = known(c);
        caller.ifPresent(w -> c.attribute(CALLER, w));
        if (needs == Needs.NOTHING) {
            return;
        }
        Caller who = caller.orElseThrow(Doors::notSignedIn);
        if (needs != Needs.SELF && who.mustChange()) {
            throw new Refusal(
                    403,
                    "password-change",
                    "Your password was given to you and is to be changed first.",
                    "Choose a password of your own.");
        }
        if (needs == Needs.ADMINISTRATOR && !who.administrator()) {
            throw new Refusal(
                    403,
                    "role",
                    "This needs an administrator of the office.",
                    "Ask one of them, or a colleague who knows.");
        }
        if (needs == Needs.JOB) {
            jobs.find(id).flatMap(j -> j.project()).ifPresent(p -> inProject(who, Needs.READER, p));
        } else if (needs.ofProject()) {
            c.attribute(ROLE, inProject(who, needs, id));
        }
    }

    private Role inProject(Caller who, Needs needs, String id) {
        Role role = team.sharing()
                .role(who, id)
                .orElseThrow(() -> new NoSuchElementException("There is no project " + id + "."));
        if (!role.covers(needs.role())) {
            throw new Refusal(
                    403,
                    "role",
                    "This needs " + needs.words() + "; you are its " + role.word() + ".",
                    "Ask an owner of the project to change your role.");
        }
        return role;
    }

    private static Refusal notSignedIn() {
        return new Refusal(401, "sign-in", "You are not signed in.", "Sign in and try again.");
    }

    private Optional<Caller> known(Context c) {
        String given = c.header("Authorization");
        if (given != null) {
            // who shows a token wants to be known by it, not by whoever else uses the browser
            return Optional.of(Optional.of(given)
                    .filter(g -> g.startsWith(BEARER))
                    .flatMap(g ->
                            team.tokens().caller(g.substring(BEARER.length()).strip()))
                    .orElseThrow(() -> new Refusal(
                            401, "token", "The token is not valid.", "Make a new one on the page of your account.")));
        }
        String cookie = c.cookie(cookie(c));
        return cookie == null ? Optional.empty() : team.signIns().caller(cookie);
    }

    /** Who asks; empty where nobody is signed in or nobody needs to be. */
    static Optional<Caller> caller(Context c) {
        return Optional.ofNullable(c.attribute(CALLER));
    }

    /** The same of a route that nobody uses without being signed in. */
    static Caller signedIn(Context c) {
        return caller(c).orElseThrow(Doors::notSignedIn);
    }

    /** From where a request comes. */
    static String origin(Context c) {
        String s = c.attribute(ADDRESS);
        return s == null ? "" : s;
    }

    private String address(Context c) {
        String peer = c.ip();
        String told = c.header("X-Forwarded-For");
        if (told == null || !proxies.contains(peer)) {
            return bare(peer);
        }
        // the last is what our own proxy saw; those before it are what it was told
        String last = told.substring(told.lastIndexOf(',') + 1).strip();
        return last.length() <= 45 && last.matches("[0-9A-Fa-f.:]+") ? last : bare(peer);
    }

    /** An address of IPv6 without its brackets and the name of the network card, which has any length. */
    static String bare(String peer) {
        return peer.replaceAll("%.*|[\\[\\]]", "");
    }

    /** Whether the browser came by TLS. */
    boolean secure(Context c) {
        return proxies.contains(c.ip()) && "https".equalsIgnoreCase(c.header("X-Forwarded-Proto"));
    }

    /** A browser takes the first from nobody but this host over TLS. */
    private String cookie(Context c) {
        return secure(c) ? "__Host-kolonne" : "kolonne-session";
    }

    void give(Context c, String secret) {
        cookie(c, secret, (int) SignIns.LONGEST.toSeconds());
    }

    void take(Context c) {
        cookie(c, "", 0);
    }

    private void cookie(Context c, String value, int seconds) {
        Cookie cookie = new Cookie(cookie(c), value, "/", seconds);
        cookie.setSecure(secure(c));
        cookie.setHttpOnly(true);
        cookie.setSameSite(SameSite.STRICT);
        c.cookie(cookie);
    }

    /** The role of who asks in the project that the request is about, or has made; empty where everybody may do everything. */
    static String role(Context c) {
        Role role = c.attribute(ROLE);
        return role != null ? role.word() : caller(c).isPresent() ? Role.OWNER.word() : "";
    }

    /** The roles of who asks by project, as {@link #role} tells them; nothing for a project that is not there for them. */
    Function<String, Optional<String>> roles(Context c) {
        Optional<Caller> who = caller(c);
        if (who.isEmpty()) {
            return id -> Optional.of("");
        }
        if (who.get().administrator()) {
            return id -> Optional.of(Role.OWNER.word());
        }
        Map<String, Role> roles = team.sharing().roles(who.get());
        return id -> Optional.ofNullable(roles.get(id)).map(Role::word);
    }
}
