package kolonne.server.api;

import io.javalin.http.Handler;
import io.javalin.http.HandlerType;

/**
 * One operation of the API.
 *
 * @param request  record of the JSON body, or null
 * @param response record of the JSON answer, a String for text, or byte[] for a file
 * @param query    names of the query parameters
 * @param needs    who may use it
 */
record Route(
        HandlerType method,
        String path,
        String summary,
        Class<?> request,
        Class<?> response,
        String[] query,
        Handler handler,
        Needs needs) {
    private static final String PROJECT = "/api/projects/{id}";

    /** One that needs the usual: a reader to look at a project, an engineer to change it, and beside projects a person who is signed in. */
    Route(
            HandlerType method,
            String path,
            String summary,
            Class<?> request,
            Class<?> response,
            String[] query,
            Handler handler) {
        this(method, path, summary, request, response, query, handler, usual(method, path));
    }

    static Route get(String path, String summary, Class<?> response, Handler handler, String... query) {
        return new Route(HandlerType.GET, path, summary, null, response, query, handler);
    }

    private static Needs usual(HandlerType method, String path) {
        if (!path.startsWith(PROJECT)) {
            return Needs.ACCOUNT;
        }
        return method == HandlerType.GET ? Needs.READER : Needs.ENGINEER;
    }

    /** The same for others. */
    Route needs(Needs other) {
        return new Route(method, path, summary, request, response, query, handler, other);
    }

    /** Name of the path's parameter that a need is about; null for none. */
    String about() {
        return needs.ofProject() ? "id" : needs == Needs.JOB ? "job" : null;
    }
}
