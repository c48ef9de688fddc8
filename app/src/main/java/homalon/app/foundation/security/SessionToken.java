package homalon.app.foundation.security;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.HttpSessionCsrfTokenRepository;
import org.springframework.security.web.csrf.XorCsrfTokenRequestAttributeHandler;

/** The token against forged requests of a session that has just begun, for the page that made it begin. */
public final class SessionToken {
    private SessionToken() {}

    /** As a page sends it; a session is there already. */
    public static String of(HttpServletRequest request, HttpServletResponse response) {
        HttpSessionCsrfTokenRepository tokens = new HttpSessionCsrfTokenRepository();
        CsrfToken before = tokens.loadToken(request);
        CsrfToken token = before == null ? tokens.generateToken(request) : before;
        tokens.saveToken(token, request, response);
        new XorCsrfTokenRequestAttributeHandler().handle(request, response, () -> token);
        return ((CsrfToken) request.getAttribute(CsrfToken.class.getName())).getToken();
    }
}
