package homalon.app.foundation.load;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;

/** An answer that needs neither a session nor the database nor a template, in the form that whoever asked can use. */
public final class Refusal {
    private Refusal() {}

    /** @param sentence of ours, never of the asker's: it is written as it stands */
    public static void answer(HttpServletRequest request, HttpServletResponse response, int status, String sentence)
            throws IOException {
        response.reset();
        response.setStatus(status);
        response.setHeader("Cache-Control", "no-store");
        response.setHeader("Content-Security-Policy", "default-src 'none'");
        if (status == HttpServletResponse.SC_SERVICE_UNAVAILABLE) {
            response.setHeader("Retry-After", Integer.toString(BusyException.LATER));
        }
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        if (request.getRequestURI().startsWith("/api/")) {
            response.setContentType("application/problem+json");
            response.getWriter().write("{\"status\":" + status + ",\"detail\":\"" + sentence + "\"}");
        } else if (request.getHeader("HX-Request") != null || request.getHeader("X-Keying") != null) {
            response.setContentType("text/plain");
            response.getWriter().write(sentence);
        } else {
            response.setContentType("text/html");
            response.getWriter()
                    .write("<!DOCTYPE html><html lang=\"en\"><title>Homalon</title><h1>That did not work</h1><p>"
                            + sentence + "</p><p><a href=\"/\">To the bench</a></p></html>");
        }
    }
}
