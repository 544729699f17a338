package kolonne.server.api;

/** A request that cannot be served as it is, with the answer to give. */
final class BadRequest extends RuntimeException {
    private final transient Problem problem;

    BadRequest(int status, String type, String title, String detail) {
        super(title);
        problem = Problem.of(status, type, title, detail);
    }

    Problem problem() {
        return problem;
    }
}
