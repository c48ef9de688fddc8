package homalon.app.foundation.web;

import homalon.app.foundation.opened.ToVisitors;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import lombok.RequiredArgsConstructor;
import org.springframework.boot.availability.ApplicationAvailability;
import org.springframework.boot.availability.ReadinessState;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;

/** The last page, for what no controller has answered. */
@ToVisitors
@Controller
@RequiredArgsConstructor
class FallbackErrorController implements ErrorController {
    private final ApplicationAvailability availability;
    private final ErrorAnswer answer;

    @RequestMapping("/error")
    Object page(HttpServletRequest request) {
        Object status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        Object path = request.getAttribute(RequestDispatcher.ERROR_REQUEST_URI);
        int code = status instanceof Integer i ? Math.min(i, 503) : 404;
        code = code == 500 ? 503 : code;
        return answer.of(request, path instanceof String s ? s : "", HttpStatusCode.valueOf(code), sentence(code));
    }

    private static String sentence(int code) {
        return switch (code) {
            case 403 -> "This page was open too long, or is not for you: go back to the bench and try again.";
            case 404 -> "There is no such page: go back to the bench.";
            case 413 -> "That is too much at once: send less.";
            default ->
                code < 500
                        ? "That could not be read: go back, check what was keyed and send it again."
                        : "Something went wrong here, not with you. What was kept is kept; try again.";
        };
    }

    /** Asked by the command and by pages to tell whether the application serves; not before everything is in place. */
    @GetMapping(path = "/alive", produces = MediaType.TEXT_PLAIN_VALUE)
    ResponseEntity<String> alive() {
        boolean serves = availability.getReadinessState() == ReadinessState.ACCEPTING_TRAFFIC;
        return ResponseEntity.status(serves ? 200 : 503).body(serves ? "ready" : "not yet");
    }
}
