package kolonne.server.store;

import java.time.LocalDateTime;

/** A browser that is signed in. Times are UTC. @param secret SHA-256 of what its cookie holds; @param device as the browser calls itself */
public record SignInRow(
        String secret, String accountId, LocalDateTime beganAt, LocalDateTime seenAt, String address, String device) {}
