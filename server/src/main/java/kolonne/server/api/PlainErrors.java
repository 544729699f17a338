package kolonne.server.api;

import com.fasterxml.jackson.databind.json.JsonMapper;
import java.nio.ByteBuffer;
import kolonne.server.guard.SameSite;
import org.eclipse.jetty.http.HttpHeader;
import org.eclipse.jetty.http.HttpStatus;
import org.eclipse.jetty.server.Request;
import org.eclipse.jetty.server.Response;
import org.eclipse.jetty.server.handler.ErrorHandler;
import org.eclipse.jetty.util.Callback;

/** Answers to requests that no route can see, such as addresses that are none: the same problem+json as any other. */
final class PlainErrors extends ErrorHandler {
    private static final JsonMapper JSON = new JsonMapper();

    @Override
    public boolean handle(Request request, Response response, Callback callback) throws Exception {
        int status = response.getStatus() >= 400 ? response.getStatus() : HttpStatus.BAD_REQUEST_400;
        Problem p = status == HttpStatus.URI_TOO_LONG_414
                ? Problem.of(status, "address", "The address is too long.", "Ask for less at a time.")
                : status >= 500
                        ? Problem.of(
                                status,
                                "server",
                                "Something went wrong inside Kolonne; it is in the log.",
                                "Try again; nothing stored was changed.")
                        : Problem.of(
                                status,
                                "address",
                                "The request cannot be read.",
                                "See /api/openapi.json for what there is.");
        SameSite.headers().forEach((name, value) -> response.getHeaders().put(name, value));
        response.getHeaders().put(HttpHeader.CONTENT_TYPE, "application/problem+json");
        response.write(true, ByteBuffer.wrap(JSON.writeValueAsBytes(p)), callback);
        return true;
    }
}
