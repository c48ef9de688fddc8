package homalon.app.foundation.security;

import homalon.app.foundation.people.People.Credentials;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Clock;
import lombok.RequiredArgsConstructor;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Component;

/**
 * Lets somebody in whom a PIN or a passkey named. A page that the last person left open must not send what it still has in this
 * one's name: new session, new token.
 */
@Component
@RequiredArgsConstructor
public class SessionRenewal {
    private final SecurityContextRepository contexts = new HttpSessionSecurityContextRepository();
    private final Clock clock;

    public void begin(Credentials who, boolean byPin, HttpServletRequest request, HttpServletResponse response) {
        HttpSession last = request.getSession(false);
        if (last != null) {
            last.invalidate();
        }
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(PasswordProvider.signedIn(who, byPin, clock.instant()));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
    }
}
