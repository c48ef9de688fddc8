package homalon.app.security;

import homalon.app.people.Journal;
import homalon.app.people.People;
import homalon.app.people.People.Credentials;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
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
    private final NewSession sessions;

    PinSignIn(People people, Guesses guesses, Journal journal, NewSession sessions) {
        this.journal = journal;
        this.sessions = sessions;
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
        sessions.begin(found.get(), true, request, response);
        return Outcome.CHANGED;
    }
}
