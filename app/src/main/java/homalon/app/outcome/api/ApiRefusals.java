package homalon.app.outcome.api;

import homalon.app.foundation.words.Words;
import homalon.core.input.BadInputException;
import homalon.core.input.RefusedInputException;
import java.util.List;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;

/** Problem details (RFC 9457) that name each field, for programs. */
@Order(Ordered.HIGHEST_PRECEDENCE)
@RestControllerAdvice(assignableTypes = {PartsApi.class, WritingApi.class})
class ApiRefusals {
    /** @param sentence what is wrong and what to send instead */
    record Problem(String field, String sentence) {}

    @ExceptionHandler
    ResponseEntity<ProblemDetail> refused(RefusedInputException e) {
        List<Problem> problems = e instanceof BadInputException bad
                ? bad.problems().stream()
                        .map(p -> new Problem(p.field(), Words.of(p.sentence())))
                        .toList()
                : List.of();
        return answer(HttpStatus.BAD_REQUEST, Words.of(e.sentence()), problems);
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> notValid(MethodArgumentNotValidException e) {
        List<Problem> problems = e.getFieldErrors().stream()
                .map(f -> new Problem(f.getField(), f.getField() + " " + f.getDefaultMessage()))
                .toList();
        return answer(HttpStatus.BAD_REQUEST, "Some fields are missing or too long.", problems);
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> notAllowed(AccessDeniedException e) {
        return answer(HttpStatus.FORBIDDEN, "Readings are a machinist's: use a token that writes for one.", List.of());
    }

    private static ResponseEntity<ProblemDetail> answer(HttpStatus status, String sentence, List<Problem> problems) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, sentence);
        problem.setProperty("problems", problems);
        return ResponseEntity.status(status)
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(problem);
    }
}
