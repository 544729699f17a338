package kolonne.server.store;

/** What a person may do with a project. @param name of the account; @param role reader, checker, engineer or owner */
public record RoleRow(String projectId, String accountId, String name, String role) {}
