package kolonne.server.command;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import kolonne.server.store.Database;
import picocli.CommandLine;

/** Options of commands that read and write the records themselves. */
final class StoredData {
    @CommandLine.Option(
            names = "--database",
            required = true,
            description = "JDBC address of the MariaDB schema; ./kolonne gives that of --data.")
    private String database;

    @CommandLine.Option(
            names = "--user",
            defaultValue = "app",
            description = "Database user (default ${DEFAULT-VALUE}).")
    private String user;

    @CommandLine.Option(
            names = "--password-file",
            required = true,
            description = "File that holds the user's password.")
    private Path passwordFile;

    /** The records, brought up to date. */
    Database open() throws IOException {
        return new Database(database, user, Files.readString(passwordFile).strip());
    }
}
