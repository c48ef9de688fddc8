package homalon.app.casting.part;

import homalon.app.foundation.web.NotHereException;
import java.util.List;
import java.util.Map;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * The casting whose tag stands in a handler's address as {@code {tag}}. A page that reads all it needs in one transaction asks for it
 * within that instead.
 */
@Configuration(proxyBeanMethods = false)
class PartArgument implements WebMvcConfigurer, HandlerMethodArgumentResolver {
    private final ObjectProvider<Parts> parts;

    PartArgument(ObjectProvider<Parts> parts) {
        this.parts = parts;
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(this);
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == PartFile.class;
    }

    /** @throws NotHereException when no part has that tag */
    @Override
    public Object resolveArgument(
            MethodParameter parameter,
            ModelAndViewContainer page,
            NativeWebRequest request,
            WebDataBinderFactory binders) {
        Map<?, ?> named = (Map<?, ?>)
                request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE, RequestAttributes.SCOPE_REQUEST);
        return parts.getObject().byTag((String) named.get("tag"));
    }
}
