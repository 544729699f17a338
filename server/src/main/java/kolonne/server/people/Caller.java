package kolonne.server.people;

/**
 * Who a request comes from.
 *
 * @param account    id
 * @param name       of the account
 * @param mustChange whether the password is to be changed before anything else
 * @param secret     as kept, of the browser that is signed in; null for a program with a token
 */
public record Caller(String account, String name, boolean administrator, boolean mustChange, String secret) {}
