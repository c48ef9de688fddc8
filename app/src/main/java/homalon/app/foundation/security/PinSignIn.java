package homalon.app.foundation.security;

import homalon.app.foundation.people.Journal;
import homalon.app.foundation.people.People;
import homalon.app.foundation.people.People.Credentials;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/**
 * Quick change of person on a shared bench PC. A PIN works only where the owner has enabled the device, which its cookie
 * proves; wrong tries are counted per person and per device.
 */
@Component
@RequiredArgsConstructor
public class PinSignIn {
    public static final String COOKIE = "homalon-bench";

    private final People people;
    private final LoginThrottle throttle;
    private final Journal journal;
    private final SessionRenewal sessions;

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

    /** What to say where nobody came in; empty when somebody did. */
    public Optional<String> change(UUID to, String pin, HttpServletRequest request, HttpServletResponse response) {
        String token = deviceToken(request).orElse(null);
        Optional<People.Device> device = people.device(token);
        if (device.isEmpty()) {
            return Optional.of(
                    "PINs do not work on this device: the owner can enable it, or sign in with your password.");
        }
        List<LoginThrottle.Subject> subjects = List.of(
                LoginThrottle.Subject.secret("pin:" + to),
                LoginThrottle.Subject.device("pin-device:" + device.get().id()));
        int wait = throttle.take(subjects);
        if (wait > 0) {
            return Optional.of(LoginThrottle.told(wait) + ", or sign in with your password.");
        }
        Optional<Credentials> found = people.byPin(to, pin, token);
        if (found.isEmpty()) {
            return Optional.of("That is not the PIN of this person: key it again.");
        }
        throttle.right(subjects);
        journal.write(Journal.What.SIGNED_IN_BY_PIN, to, device.get().name());
        sessions.begin(found.get(), true, request, response);
        return Optional.empty();
    }
}
