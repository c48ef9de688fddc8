package homalon.app.foundation.web;

import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.servlet.ModelAndView;

/** A sentence in the form that whoever asked can use: problem details, plain text, or a page of its own. */
final class ErrorAnswer {
    private ErrorAnswer() {}

    static Object of(HttpServletRequest request, HttpStatusCode status, String sentence) {
        return of(request, request.getRequestURI(), status, sentence);
    }

    /** @param path that was asked for at first, where the request was sent on since */
    static Object of(HttpServletRequest request, String path, HttpStatusCode status, String sentence) {
        if (path.startsWith("/api/")) {
            return ResponseEntity.status(status)
                    .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                    .body(ProblemDetail.forStatusAndDetail(status, sentence));
        }
        if (request.getHeader("HX-Request") != null || request.getHeader("X-Keying") != null) {
            return ResponseEntity.status(status)
                    .contentType(new MediaType(MediaType.TEXT_PLAIN, StandardCharsets.UTF_8))
                    .body(sentence);
        }
        ModelAndView page = new ModelAndView("foundation/web/problem", Map.of("sentence", sentence));
        page.setStatus(status);
        return page;
    }
}
