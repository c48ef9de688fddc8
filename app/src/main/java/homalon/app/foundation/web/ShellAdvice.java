package homalon.app.foundation.web;

import homalon.app.foundation.people.People;
import homalon.app.foundation.people.PersonInfo;
import homalon.app.foundation.security.CurrentUser;
import homalon.app.foundation.security.PinSignIn;
import homalon.app.foundation.security.RequestUser;
import homalon.app.foundation.settings.ShopSettings;
import homalon.core.quantity.BenchUnit;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Locale;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.info.BuildProperties;
import org.springframework.stereotype.Component;
import org.springframework.util.function.SingletonSupplier;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Gives every page its {@link Shell}. */
@Component
@ControllerAdvice
public class ShellAdvice {
    private final People people;
    private final Shop shop;
    private final ShopSettings settings;
    private final boolean demo;
    private final String version;

    ShellAdvice(
            People people,
            Shop shop,
            ShopSettings settings,
            @Value("${homalon.demo}") boolean demo,
            Optional<BuildProperties> build) {
        this.people = people;
        this.shop = shop;
        this.settings = settings;
        this.demo = demo;
        this.version = build.map(BuildProperties::getVersion).orElse("");
    }

    @ModelAttribute("shell")
    public Shell shell(HttpServletRequest request) {
        if (request.getRequestURI().startsWith("/api/")) {
            return null;
        }
        Optional<PersonInfo> me = Optional.ofNullable(RequestUser.person(request))
                .or(() -> CurrentUser.now().flatMap(s -> people.find(s.id())));
        boolean benchDevice =
                PinSignIn.deviceToken(request).flatMap(people::device).isPresent();
        return new Shell(
                me.orElse(null),
                SingletonSupplier.of(shop::name),
                SingletonSupplier.of(() -> settings.paper().days()),
                me.map(PersonInfo::unit).orElse(BenchUnit.MM),
                me.map(m -> m.theme().name().toLowerCase(Locale.ROOT)).orElse("light"),
                demo,
                benchDevice,
                version,
                HelpTopic.of(request.getRequestURI()));
    }
}
