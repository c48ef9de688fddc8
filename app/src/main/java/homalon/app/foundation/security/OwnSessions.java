package homalon.app.foundation.security;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import lombok.RequiredArgsConstructor;
import org.springframework.session.Session;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.stereotype.Service;

/** Where somebody is signed in, and out again everywhere else: for a device that was left, lent or lost. */
@Service
@RequiredArgsConstructor
public class OwnSessions {
    private final JdbcIndexedSessionRepository stored;

    /**
     * One device that is signed in.
     *
     * @param used to the minute
     * @param here the one that asks
     */
    public record Mine(Instant since, Instant used, boolean here) {}

    /** The one that asks first, then the last used. */
    public List<Mine> of(String login, HttpServletRequest request) {
        String here = here(request);
        return sessions(login).values().stream()
                .map(s -> new Mine(
                        s.getCreationTime(), s.getLastAccessedTime(), s.getId().equals(here)))
                .sorted(Comparator.comparing(Mine::here)
                        .thenComparing(Mine::used)
                        .reversed())
                .toList();
    }

    /** @return how many were ended */
    public int endOthers(String login, HttpServletRequest request) {
        String here = here(request);
        List<String> others =
                sessions(login).keySet().stream().filter(id -> !id.equals(here)).toList();
        others.forEach(stored::deleteById);
        return others.size();
    }

    private Map<String, ? extends Session> sessions(String login) {
        return stored.findByPrincipalName(login);
    }

    private static String here(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        return session == null ? "" : session.getId();
    }
}
