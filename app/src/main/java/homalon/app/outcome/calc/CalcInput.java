package homalon.app.outcome.calc;

import io.swagger.v3.oas.annotations.parameters.RequestBody;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.List;
import java.util.Objects;
import lombok.RequiredArgsConstructor;
import org.springframework.core.MethodParameter;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Hands a call its request. The body is read as it came, whatever type its header gives it: a spreadsheet's script rarely sets one.
 */
@Component
@RequiredArgsConstructor
class CalcInput implements HandlerMethodArgumentResolver, WebMvcConfigurer {
    private final CalcBody body;

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(this);
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.hasParameterAnnotation(RequestBody.class);
    }

    @Override
    public Object resolveArgument(
            MethodParameter parameter,
            ModelAndViewContainer container,
            NativeWebRequest request,
            WebDataBinderFactory binders)
            throws IOException {
        HttpServletRequest sent = Objects.requireNonNull(request.getNativeRequest(HttpServletRequest.class));
        return body.read(sent.getInputStream(), parameter.getParameterType());
    }
}
