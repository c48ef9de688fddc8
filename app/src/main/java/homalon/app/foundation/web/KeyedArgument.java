package homalon.app.foundation.web;

import homalon.core.quantity.BenchUnit;
import jakarta.validation.ConstraintViolation;
import jakarta.validation.Validator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Lazy;
import org.springframework.core.MethodParameter;
import org.springframework.validation.BindException;
import org.springframework.validation.FieldError;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** What a walk sends, taken from its six fields: binding any record does so too, and takes a twentieth of a reading's answer. */
@Configuration(proxyBeanMethods = false)
class KeyedArgument implements WebMvcConfigurer, HandlerMethodArgumentResolver {
    private static final String NAME = "keyed";

    private final Validator validator;

    KeyedArgument(@Lazy Validator validator) {
        this.validator = validator;
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(this);
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == Keyed.class;
    }

    @Override
    public Object resolveArgument(
            MethodParameter parameter,
            ModelAndViewContainer page,
            NativeWebRequest request,
            WebDataBinderFactory binders)
            throws BindException {
        Keyed keyed = read(request);
        Optional<ConstraintViolation<Keyed>> wrong =
                validator.validate(keyed).stream().findFirst();
        if (wrong.isPresent()) {
            BindException refused = new BindException(keyed, NAME);
            refused.addError(new FieldError(
                    NAME, wrong.get().getPropertyPath().toString(), wrong.get().getMessage()));
            throw refused;
        }
        return keyed;
    }

    /** @throws BindException without a field when one of them is not of its kind */
    private static Keyed read(NativeWebRequest request) throws BindException {
        try {
            String id = filled(request, "id");
            String unit = filled(request, "unit");
            String seen = filled(request, "seen");
            return new Keyed(
                    id == null ? null : UUID.fromString(id),
                    request.getParameter("place"),
                    request.getParameter("typed"),
                    unit == null ? null : BenchUnit.valueOf(unit),
                    seen == null ? null : Long.valueOf(seen),
                    Boolean.valueOf(request.getParameter("sure")));
        } catch (IllegalArgumentException e) {
            throw new BindException(request, NAME);
        }
    }

    private static @Nullable String filled(NativeWebRequest request, String name) {
        String value = request.getParameter(name);
        return value == null || value.isBlank() ? null : value.strip();
    }
}
