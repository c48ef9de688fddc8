package homalon.app.foundation.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpServletResponseWrapper;
import java.io.IOException;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * A form that htmx sends is told where to go instead of being sent there behind its back: so the page goes on as it would by
 * itself when all is well, and stays, with what was keyed and the sentence beside it, when something is refused.
 */
@Component
class HtmxRedirect extends OncePerRequestFilter {
    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return request.getHeader("HX-Boosted") == null;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        chain.doFilter(request, new HttpServletResponseWrapper(response) {
            @Override
            public void sendRedirect(String location) {
                setStatus(SC_OK);
                setHeader("HX-Redirect", location);
            }
        });
    }
}
