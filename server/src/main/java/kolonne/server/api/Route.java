package kolonne.server.api;

import io.javalin.http.Handler;
import io.javalin.http.HandlerType;

/**
 * One operation of the API.
 *
 * @param request  record of the JSON body, or null
 * @param response record of the JSON answer, a String for text, or byte[] for a file
 * @param query    names of the query parameters
 */
record Route(
        HandlerType method,
        String path,
        String summary,
        Class<?> request,
        Class<?> response,
        String[] query,
        Handler handler) {
    static Route get(String path, String summary, Class<?> response, Handler handler, String... query) {
        return new Route(HandlerType.GET, path, summary, null, response, query, handler);
    }
}
