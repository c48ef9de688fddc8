package homalon.app.casting.part;

import homalon.app.foundation.web.ReadTransaction;
import homalon.app.foundation.web.Shell;
import homalon.core.visit.PartFile;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.beans.TypeMismatchException;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.MethodParameter;
import org.springframework.ui.Model;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** The {@link PartPage} of a handler whose address holds {@code {tag}}; the casting alone where no page is shown. */
@Configuration(proxyBeanMethods = false)
class PartArgument implements WebMvcConfigurer, HandlerMethodArgumentResolver {
    private final ObjectProvider<Parts> parts;
    private final ObjectProvider<PartShells> shells;
    private final ObjectProvider<ReadTransaction> reading;

    PartArgument(
            ObjectProvider<Parts> parts, ObjectProvider<PartShells> shells, ObjectProvider<ReadTransaction> reading) {
        this.parts = parts;
        this.shells = shells;
        this.reading = reading;
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(this);
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == PartPage.class || parameter.getParameterType() == PartFile.class;
    }

    @Override
    public Object resolveArgument(
            MethodParameter parameter,
            ModelAndViewContainer page,
            NativeWebRequest request,
            WebDataBinderFactory binders) {
        Map<?, ?> named = (Map<?, ?>)
                request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE, RequestAttributes.SCOPE_REQUEST);
        String tag = (String) named.get("tag");
        if (parameter.getParameterType() == PartFile.class) {
            return parts.getObject().byTag(tag);
        }
        return new PartPage(
                tag,
                of -> parts.getObject().byTag(of),
                shells.getObject(),
                reading.getObject(),
                (Shell) page.getModel().get("shell"),
                (Model) page.getModel(),
                request.getNativeResponse(HttpServletResponse.class),
                id(request.getParameter("id")));
    }

    /** @throws TypeMismatchException where it is none */
    private static UUID id(String sent) {
        try {
            return sent == null || sent.isBlank() ? null : UUID.fromString(sent.strip());
        } catch (IllegalArgumentException e) {
            throw new TypeMismatchException(sent, UUID.class, e);
        }
    }
}
