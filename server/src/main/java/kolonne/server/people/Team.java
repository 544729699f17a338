package kolonne.server.people;

import java.time.Clock;
import java.util.Optional;
import kolonne.server.store.By;
import kolonne.server.store.Database;
import kolonne.server.store.PeopleStore;

/** The people of an office who share a server. */
public record Team(
        PeopleStore store,
        Accounts accounts,
        SignIns signIns,
        Tokens tokens,
        Sharing sharing,
        Links links,
        Optional<OpenId> openId) {
    private static final String FIRST = "administrator";

    /** @param openId the provider that people may sign in through as well */
    public static Team of(Database database, Clock clock, Optional<OpenId> openId) {
        PeopleStore store = new PeopleStore(database);
        Accounts accounts = new Accounts(store, clock);
        return new Team(
                store,
                accounts,
                new SignIns(store, accounts, clock),
                new Tokens(store, accounts),
                new Sharing(store),
                new Links(accounts, clock),
                openId);
    }

    /** Makes the first account where there is none, an administrator's. */
    public Optional<Accounts.Given> first() {
        return accounts.all().isEmpty() ? Optional.of(accounts.add(FIRST, true, By.NOBODY)) : Optional.empty();
    }
}
