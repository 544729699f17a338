package kolonne.server.api;

import io.javalin.http.Context;
import io.javalin.http.HandlerType;
import java.util.List;
import kolonne.server.people.Accounts;
import kolonne.server.store.AccountRow;
import kolonne.server.store.DeedRow;

/** The accounts of the office, for its administrators. */
final class OfficeRoutes {
    private static final String ACCOUNTS = "/api/accounts";
    /** Deeds that are shown at a time. */
    private static final int NEWEST = 500;

    private final Doors doors;

    OfficeRoutes(Doors doors) {
        this.doors = doors;
    }

    /** @param mustChange whether they still have the password that was given to them; @param signedInAt last; empty if never */
    record AccountDto(
            String id,
            String name,
            boolean administrator,
            boolean active,
            boolean mustChange,
            String madeAt,
            String signedInAt) {
        static AccountDto of(AccountRow r) {
            return new AccountDto(
                    r.id(),
                    r.name(),
                    r.administrator(),
                    r.active(),
                    r.mustChange(),
                    AccountRoutes.time(r.madeAt()),
                    AccountRoutes.time(r.signedInAt()));
        }
    }

    record AccountList(List<AccountDto> accounts) {}

    record NewAccount(String name, boolean administrator) {}

    /** @param password told this once, to be changed at the first sign-in */
    record GivenAccountDto(AccountDto account, String password) {}

    record Standing(boolean active, boolean administrator) {}

    /** @param project id; empty for what belongs to none. @param version that it made; 0 where it made none */
    record DeedDto(String at, String project, int version, String person, String address, String kind, String detail) {
        static DeedDto of(DeedRow r) {
            return new DeedDto(
                    AccountRoutes.time(r.madeAt()),
                    r.projectId(),
                    r.version() == null ? 0 : r.version(),
                    r.person(),
                    r.address(),
                    r.kind(),
                    r.detail());
        }
    }

    record DeedList(List<DeedDto> deeds) {}

    List<Route> routes() {
        return List.of(
                Route.get(ACCOUNTS, "All accounts by name", AccountList.class, this::list)
                        .needs(Needs.ADMINISTRATOR),
                new Route(
                                HandlerType.POST,
                                ACCOUNTS,
                                "Makes an account; its password is told this once",
                                NewAccount.class,
                                GivenAccountDto.class,
                                new String[0],
                                this::add)
                        .needs(Needs.ADMINISTRATOR),
                new Route(
                                HandlerType.PUT,
                                ACCOUNTS + "/{account}",
                                "Whether a person may sign in, and is an administrator",
                                Standing.class,
                                AccountDto.class,
                                new String[0],
                                this::stand)
                        .needs(Needs.ADMINISTRATOR),
                new Route(
                                HandlerType.POST,
                                ACCOUNTS + "/{account}/password",
                                "Gives an account a new password, told this once; the old one ends with all that is signed in with it",
                                null,
                                GivenAccountDto.class,
                                new String[0],
                                this::reset)
                        .needs(Needs.ADMINISTRATOR),
                Route.get("/api/deeds", "Who did what, the last first", DeedList.class, this::deeds)
                        .needs(Needs.ADMINISTRATOR));
    }

    private void list(Context c) {
        c.json(new AccountList(SessionRoutes.team(doors).accounts().all().stream()
                .map(AccountDto::of)
                .toList()));
    }

    private void add(Context c) {
        var team = SessionRoutes.team(doors);
        NewAccount body = Body.of(c, NewAccount.class);
        given(
                c,
                team.accounts()
                        .add(body.name(), body.administrator(), People.of(c).by()));
    }

    private static void given(Context c, Accounts.Given g) {
        c.json(new GivenAccountDto(AccountDto.of(g.account()), g.password()));
    }

    private void stand(Context c) {
        var team = SessionRoutes.team(doors);
        Standing body = Body.of(c, Standing.class);
        c.json(AccountDto.of(team.accounts()
                .stand(
                        c.pathParam("account"),
                        body.active(),
                        body.administrator(),
                        People.of(c).by())));
    }

    private void reset(Context c) {
        var team = SessionRoutes.team(doors);
        given(c, team.accounts().reset(c.pathParam("account"), People.of(c).by()));
    }

    private void deeds(Context c) {
        c.json(new DeedList(SessionRoutes.team(doors).store().deeds(NEWEST).stream()
                .map(DeedDto::of)
                .toList()));
    }
}
