package kolonne.server.api;

/** A request that cannot be served as it is, with the answer to give. */
final class BadRequest extends RuntimeException {
    private final transient Problem problem;

    BadRequest(int status, String type, String title, String detail) {
        this(Problem.of(status, type, title, detail));
    }

    BadRequest(Problem problem) {
        super(problem.title());
        this.problem = problem;
    }

    Problem problem() {
        return problem;
    }
}
