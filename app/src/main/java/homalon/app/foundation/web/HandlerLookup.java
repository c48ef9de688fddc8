package homalon.app.foundation.web;

import jakarta.servlet.http.HttpServletRequest;
import java.lang.reflect.Method;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.webmvc.autoconfigure.WebMvcRegistrations;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.springframework.web.util.ServletRequestPathUtils;

/**
 * Asks only handlers whose address has as many parts as the one wanted. An address with a tag in it is compared with every handler
 * there is, method, parameters and all before the address: a twentieth of an answer.
 */
@Configuration(proxyBeanMethods = false)
class HandlerLookup implements WebMvcRegistrations {
    @Override
    public RequestMappingHandlerMapping getRequestMappingHandlerMapping() {
        return new ByParts();
    }

    /** Separators and what stands between them, as Spring takes an address apart; empty where a pattern takes any number. */
    static Optional<Integer> parts(String pattern) {
        boolean plain = pattern.startsWith("/") && pattern.length() > 1 && !pattern.endsWith("/");
        return plain && !pattern.contains("**") && !pattern.contains("{*")
                ? Optional.of(2 * (int) pattern.chars().filter(c -> c == '/').count())
                : Optional.empty();
    }

    private static final class ByParts extends RequestMappingHandlerMapping {
        /** Of those with one pattern that always has the same number of parts. */
        private final Map<RequestMappingInfo, Integer> parts = new ConcurrentHashMap<>();

        @Override
        protected void registerHandlerMethod(Object handler, Method method, RequestMappingInfo mapping) {
            super.registerHandlerMethod(handler, method, mapping);
            if (mapping.getPatternValues().size() == 1) {
                parts(mapping.getPatternValues().iterator().next()).ifPresent(n -> parts.put(mapping, n));
            }
        }

        @Override
        protected @Nullable RequestMappingInfo getMatchingMapping(RequestMappingInfo info, HttpServletRequest request) {
            Integer wanted = parts.get(info);
            if (wanted != null
                    && ServletRequestPathUtils.hasParsedRequestPath(request)
                    && wanted
                            != ServletRequestPathUtils.getParsedRequestPath(request)
                                    .pathWithinApplication()
                                    .elements()
                                    .size()) {
                return null;
            }
            return super.getMatchingMapping(info, request);
        }
    }
}
