package kolonne.server.api;

import io.javalin.http.Context;
import io.javalin.http.HandlerType;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import kolonne.server.people.Caller;
import kolonne.server.people.Tokens;
import kolonne.server.store.SignInRow;
import kolonne.server.store.TokenRow;

/** A person's own account: password, browsers and tokens. */
final class AccountRoutes {
    private static final String ACCOUNT = "/api/account";

    private final Doors doors;

    AccountRoutes(Doors doors) {
        this.doors = doors;
    }

    record NewPassword(String old, String password) {}

    /** @param here whether it is the browser that asks */
    record BrowserDto(String device, String address, String beganAt, String seenAt, boolean here) {}

    /** @param usedAt last; empty if never */
    record TokenDto(String id, String name, String madeAt, String endsAt, String usedAt) {}

    /** @param linked whether its person signs in through the office's provider as well */
    record OwnAccountDto(String name, boolean linked, List<BrowserDto> browsers, List<TokenDto> tokens) {}

    record NewToken(String name) {}

    /** @param secret what the program sends as a bearer; told this once */
    record MadeTokenDto(TokenDto token, String secret) {}

    List<Route> routes() {
        return List.of(
                Route.get(ACCOUNT, "One's own account", OwnAccountDto.class, this::account),
                new Route(
                                HandlerType.PUT,
                                ACCOUNT + "/password",
                                "Changes one's password; other browsers are signed out, and tokens end",
                                NewPassword.class,
                                Void.class,
                                new String[0],
                                this::password)
                        .needs(Needs.SELF),
                new Route(
                        HandlerType.DELETE,
                        ACCOUNT + "/browsers",
                        "Signs all other browsers out",
                        null,
                        OwnAccountDto.class,
                        new String[0],
                        this::signOutOthers),
                new Route(
                        HandlerType.POST,
                        ACCOUNT + "/tokens",
                        "Makes a token for a program",
                        NewToken.class,
                        MadeTokenDto.class,
                        new String[0],
                        this::makeToken),
                new Route(
                        HandlerType.DELETE,
                        ACCOUNT + "/tokens/{token}",
                        "Ends a token",
                        null,
                        OwnAccountDto.class,
                        new String[0],
                        this::endToken));
    }

    static String time(LocalDateTime t) {
        return t == null ? "" : t.atOffset(ZoneOffset.UTC).toString();
    }

    private void account(Context c) {
        var team = SessionRoutes.team(doors);
        Caller who = Doors.signedIn(c);
        c.json(new OwnAccountDto(
                who.name(),
                team.links().linked(who),
                team.signIns().of(who).stream().map(r -> of(r, who)).toList(),
                team.tokens().of(who).stream().map(AccountRoutes::of).toList()));
    }

    private static BrowserDto of(SignInRow r, Caller who) {
        return new BrowserDto(
                r.device(),
                r.address(),
                time(r.beganAt()),
                time(r.seenAt()),
                r.secret().equals(who.secret()));
    }

    private static TokenDto of(TokenRow r) {
        return new TokenDto(r.id(), r.name(), time(r.madeAt()), time(r.endsAt()), time(r.usedAt()));
    }

    private void password(Context c) {
        var team = SessionRoutes.team(doors);
        NewPassword body = Body.of(c, NewPassword.class);
        team.accounts()
                .changePassword(
                        Doors.signedIn(c),
                        body.old(),
                        body.password(),
                        People.of(c).by());
        c.status(204);
    }

    private void signOutOthers(Context c) {
        SessionRoutes.team(doors)
                .signIns()
                .endOthers(Doors.signedIn(c), People.of(c).by());
        account(c);
    }

    private void makeToken(Context c) {
        var team = SessionRoutes.team(doors);
        Tokens.Made made = team.tokens()
                .make(
                        Doors.signedIn(c),
                        Body.of(c, NewToken.class).name(),
                        People.of(c).by());
        c.json(new MadeTokenDto(of(made.row()), made.secret()));
    }

    private void endToken(Context c) {
        SessionRoutes.team(doors)
                .tokens()
                .end(Doors.signedIn(c), c.pathParam("token"), People.of(c).by());
        account(c);
    }
}
