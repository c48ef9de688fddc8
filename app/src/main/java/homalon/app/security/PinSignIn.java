package homalon.app.security;

import homalon.app.people.Journal;
import homalon.app.people.People;
import homalon.app.people.People.Credentials;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Component;

/**
 * Quick change of person on a shared bench PC. A PIN works only where the owner has enabled the device, which its cookie
 * proves; wrong tries are counted per person and per device.
 */
@Component
public class PinSignIn {
    public static final String COOKIE = "homalon-bench";

    private final People people;
    private final Guesses guesses;
    private final Journal journal;
    private final Clock clock;
    private final SecurityContextRepository contexts = new HttpSessionSecurityContextRepository();

    PinSignIn(People people, Guesses guesses, Journal journal, Clock clock) {
        this.journal = journal;
        this.clock = clock;
        this.people = people;
        this.guesses = guesses;
    }

    /** How a try ended. */
    public enum Outcome {
        CHANGED,
        WRONG,
        WAIT,
        NOT_HERE
    }

    public static Optional<String> deviceToken(HttpServletRequest request) {
        if (request.getCookies() != null) {
            for (Cookie cookie : request.getCookies()) {
                if (cookie.getName().equals(COOKIE)) {
                    return Optional.of(cookie.getValue());
                }
            }
        }
        return Optional.empty();
    }

    public Outcome change(UUID to, String pin, HttpServletRequest request, HttpServletResponse response) {
        String token = deviceToken(request).orElse(null);
        Optional<People.Device> device = people.device(token);
        if (device.isEmpty()) {
            return Outcome.NOT_HERE;
        }
        List<Guesses.Subject> subjects = List.of(
                Guesses.Subject.secret("pin:" + to),
                Guesses.Subject.secret("pin-device:" + device.get().id()));
        if (guesses.mustWait(subjects)) {
            return Outcome.WAIT;
        }
        Optional<Credentials> found = people.byPin(to, pin, token);
        if (found.isEmpty()) {
            guesses.wrong(subjects);
            return Outcome.WRONG;
        }
        guesses.right(subjects.get(0));
        journal.write(Journal.What.SIGNED_IN_BY_PIN, to, device.get().name());
        // A page that the last person left open must not send what it still has in this one's name: new session, new
        // token.
        HttpSession last = request.getSession(false);
        if (last != null) {
            last.invalidate();
        }
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(PasswordProvider.signedIn(found.get(), true, clock.instant()));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        return Outcome.CHANGED;
    }
}
