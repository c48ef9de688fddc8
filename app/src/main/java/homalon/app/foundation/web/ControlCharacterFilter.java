package homalon.app.foundation.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Refuses fields with characters that nobody can key and the store cannot keep, such as NUL. */
@Component
class ControlCharacterFilter extends OncePerRequestFilter {
    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return request.getRequestURI().startsWith("/api/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        for (String[] values : request.getParameterMap().values()) {
            for (String value : values) {
                if (value.chars().anyMatch(ControlCharacterFilter::odd)) {
                    response.setStatus(422);
                    response.setContentType("text/plain");
                    response.setCharacterEncoding(StandardCharsets.UTF_8.name());
                    response.getWriter().write("There is a character in a field that cannot be kept: key it anew.");
                    return;
                }
            }
        }
        chain.doFilter(request, response);
    }

    private static boolean odd(int c) {
        return (c < ' ' && c != '\t' && c != '\n' && c != '\r') || c == 0xFFFE || c == 0xFFFF;
    }
}
