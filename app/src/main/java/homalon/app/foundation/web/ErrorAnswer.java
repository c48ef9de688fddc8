package homalon.app.foundation.web;

import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import lombok.RequiredArgsConstructor;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.ModelAndView;

/**
 * A sentence in the form that whoever asked can use: problem details, plain text, or a page: in the usual frame, with the field that
 * finds, where somebody is signed in and the store answers.
 */
@Component
@RequiredArgsConstructor
class ErrorAnswer {
    private static final int OURS = 500;

    private final ShellAdvice shells;

    Object of(HttpServletRequest request, HttpStatusCode status, String sentence) {
        return of(request, request.getRequestURI(), status, sentence);
    }

    /** @param path that was asked for at first, where the request was sent on since */
    Object of(HttpServletRequest request, String path, HttpStatusCode status, String sentence) {
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
        ModelAndView page = status.value() < OURS ? framed(request) : bare();
        page.addObject("sentence", sentence);
        page.setStatus(status);
        return page;
    }

    private static ModelAndView bare() {
        return new ModelAndView("foundation/web/problem");
    }

    private ModelAndView framed(HttpServletRequest request) {
        try {
            Shell shell = shells.shell(request);
            return shell == null || shell.me() == null
                    ? bare()
                    : new ModelAndView("foundation/web/refused", Map.of("shell", shell));
        } catch (RuntimeException e) {
            // Whatever it was that went wrong may be wrong with the frame as well.
            return bare();
        }
    }
}
