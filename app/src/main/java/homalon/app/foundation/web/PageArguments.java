package homalon.app.foundation.web;

import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.MethodParameter;
import org.springframework.ui.Model;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** What nearly every handler asks for: its page, or the frame of it alone. */
@Configuration(proxyBeanMethods = false)
class PageArguments implements WebMvcConfigurer, HandlerMethodArgumentResolver {
    private final ObjectProvider<ReadTransaction> reading;

    PageArguments(ObjectProvider<ReadTransaction> reading) {
        this.reading = reading;
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(this);
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == Shell.class || parameter.getParameterType() == Page.class;
    }

    @Override
    public Object resolveArgument(
            MethodParameter parameter,
            ModelAndViewContainer page,
            NativeWebRequest request,
            WebDataBinderFactory binders) {
        Shell shell = (Shell) page.getModel().get("shell");
        return parameter.getParameterType() == Shell.class
                ? shell
                : new Page(
                        shell,
                        (Model) page.getModel(),
                        request.getNativeResponse(HttpServletResponse.class),
                        reading.getObject());
    }
}
