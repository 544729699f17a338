package kolonne.server.api;

import io.javalin.config.RoutesConfig;
import io.javalin.http.Context;
import io.javalin.http.Cookie;
import io.javalin.http.HttpStatus;
import io.javalin.http.SameSite;
import java.net.URI;
import java.util.Optional;
import kolonne.server.guard.Refusal;
import kolonne.server.people.OpenId;
import kolonne.server.people.Team;
import kolonne.server.watch.RequestWatch;

/**
 * Where a browser goes to sign in through a provider, and comes back to. They are pages, not operations of the API: the browser is sent, and what
 * goes wrong is told on the page that signs in.
 */
final class OpenIdPages {
    private static final String BEGIN = "/openid/begin";
    private static final String BACK = "/openid/back";
    /** The page of one's own account. */
    private static final String ACCOUNT = "/account";
    /** Remembered in place of a page: the account that began is linked, nobody is signed in. */
    private static final String LINK = "link";

    private static final String COOKIE = "kolonne-openid";
    /** How long a person may take at the provider [s]. */
    private static final int PATIENCE = 900;

    private final Doors doors;

    OpenIdPages(Doors doors) {
        this.doors = doors;
    }

    void add(RoutesConfig routes) {
        doors.team().flatMap(Team::openId).ifPresent(o -> {
            routes.get(BEGIN, c -> begin(c, o));
            routes.get(BACK, c -> back(c, o));
        });
    }

    private void begin(Context c, OpenId provider) {
        RequestWatch.of(c, BEGIN);
        boolean link = c.queryParam("link") != null;
        told(c, link ? ACCOUNT : "/", () -> {
            OpenId.Begun b = provider.begin(back(c));
            OpenId.Remembered r = b.remembered();
            if (link) {
                doors.enter(c, Needs.NOTHING, null);
                doors.team().orElseThrow().links().begin(r.state(), Doors.caller(c));
            }
            // the way back is a link from elsewhere: only a lax cookie comes along
            String then = link ? LINK : local(c.queryParam("to"));
            keep(c, String.join("~", r.state(), r.nonce(), r.verifier(), then), PATIENCE);
            c.redirect(b.to().toString(), HttpStatus.SEE_OTHER);
        });
    }

    private void back(Context c, OpenId provider) {
        RequestWatch.of(c, BACK);
        String[] kept = Optional.ofNullable(c.cookie(COOKIE)).orElse("").split("~", 4);
        boolean link = kept.length == 4 && kept[3].equals(LINK);
        told(c, link ? ACCOUNT : "/", () -> {
            if (kept.length < 4) {
                throw new Refusal(403, "stale", "This sign-in began elsewhere or long ago.", "Begin again.");
            }
            keep(c, "", 0);
            doors.enter(c, Needs.NOTHING, null);
            OpenId.Person who = provider.end(
                    URI.create(back(c) + "?" + c.queryString()),
                    back(c),
                    new OpenId.Remembered(kept[0], kept[1], kept[2]));
            Team team = doors.team().orElseThrow();
            if (link) {
                team.links().end(kept[0], who, Doors.origin(c));
                c.redirect(ACCOUNT, HttpStatus.SEE_OTHER);
                return;
            }
            doors.give(c, team.signIns().begin(who, Doors.origin(c), c.userAgent()));
            c.redirect(local(kept[3]), HttpStatus.SEE_OTHER);
        });
    }

    /** What goes wrong is told where people began. */
    private static void told(Context c, String where, Runnable work) {
        try {
            work.run();
        } catch (Refusal e) {
            c.redirect(where + "?refused=" + e.type(), HttpStatus.SEE_OTHER);
        }
    }

    /** A page of ours, not of whoever made the link: no scheme, no host. */
    private static String local(String to) {
        return to != null && to.matches("/(?![/\\\\])[\\w./?=&%:,+-]{0,500}") ? to : "/";
    }

    private void keep(Context c, String value, int seconds) {
        Cookie cookie = new Cookie(COOKIE, value, "/openid", seconds);
        cookie.setSecure(doors.secure(c));
        cookie.setHttpOnly(true);
        cookie.setSameSite(SameSite.LAX);
        c.cookie(cookie);
    }

    /** The address is one of ours: the host of every request is. */
    private URI back(Context c) {
        return URI.create((doors.secure(c) ? "https://" : "http://") + c.host() + BACK);
    }
}
