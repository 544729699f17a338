package kolonne.server.command;

import java.io.IOException;
import java.time.Clock;
import java.util.Optional;
import java.util.concurrent.Callable;
import kolonne.server.guard.Refusal;
import kolonne.server.people.Accounts;
import kolonne.server.people.Team;
import kolonne.server.store.AccountRow;
import kolonne.server.store.By;
import kolonne.server.store.Database;
import picocli.CommandLine;

/** {@code kolonne account NAME}: makes an account, or gives one a new password, where nobody can sign in to do it. */
@CommandLine.Command(
        name = "account",
        mixinStandardHelpOptions = true,
        description =
                "Makes an account, or gives one that is there a new password, and tells it once. An office's first "
                        + "administrator is made so, and one who forgot the password gets in again. Exit status 0: done, 2: not.")
public final class AccountCommand implements Callable<Integer> {
    @CommandLine.Mixin
    private StoredData stored;

    @CommandLine.Parameters(paramLabel = "NAME", description = "Name of the account.")
    private String name;

    @CommandLine.Option(
            names = "--administrator",
            description = "The person is an administrator of the office from now on.")
    private boolean administrator;

    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    @Override
    public Integer call() throws IOException {
        try (Database db = stored.open()) {
            Accounts accounts = Team.of(db, Clock.systemUTC(), Optional.empty()).accounts();
            Accounts.Given given = accounts.all().stream()
                    .filter(a -> a.name().equalsIgnoreCase(name.strip()))
                    .findFirst()
                    .map(a -> again(accounts, a))
                    .orElseGet(() -> accounts.add(name, administrator, By.NOBODY));
            System.out.println(given.account().name() + " signs in with the password " + given.password()
                    + " and chooses another; it is told this once.");
            return Input.SATISFIED;
        } catch (Refusal e) {
            spec.commandLine().getErr().println(e.getMessage() + " " + e.mend());
            return Input.BAD_INPUT;
        }
    }

    private Accounts.Given again(Accounts accounts, AccountRow a) {
        accounts.stand(a.id(), true, a.administrator() || administrator, By.NOBODY);
        return accounts.reset(a.id(), By.NOBODY);
    }
}
