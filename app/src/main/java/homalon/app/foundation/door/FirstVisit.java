package homalon.app.foundation.door;

import homalon.app.foundation.people.Journal;
import homalon.app.foundation.people.People;
import homalon.app.foundation.people.PersonInfo;
import homalon.app.foundation.reach.Reach;
import homalon.app.foundation.security.LoginThrottle;
import homalon.app.foundation.settings.ShopSettings;
import homalon.app.foundation.web.Shop;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.List;
import java.util.Locale;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The first visit makes exactly one owner: from the machine that the shop runs on, or from elsewhere with the code that the
 * command printed there. Otherwise whoever in the network came first would own the shop.
 */
@Service
class FirstVisit {
    private static final List<LoginThrottle.Subject> TRIES = List.of(LoginThrottle.Subject.secret("first-visit"));

    private final People people;
    private final Shop shop;
    private final ShopSettings settings;
    private final LoginThrottle throttle;
    private final Journal journal;
    private final String code;

    /** @param code printed at this start; empty: none was, and only this machine may */
    FirstVisit(
            People people,
            Shop shop,
            ShopSettings settings,
            LoginThrottle throttle,
            Journal journal,
            @Value("${homalon.first-visit-code:}") String code) {
        this.people = people;
        this.shop = shop;
        this.settings = settings;
        this.throttle = throttle;
        this.journal = journal;
        this.code = tidy(code);
    }

    /**
     * What is keyed of the owner.
     *
     * @param unit of the shop, and of the owner until the other one is chosen
     */
    record Owner(String login, String name, String password, BenchUnit unit) {}

    static boolean needsCode(HttpServletRequest request) {
        return !Reach.fromThisMachine(request);
    }

    /** @throws BadInputException when there is an owner already, the code is not the one, or a field cannot be used */
    @Transactional
    public void make(HttpServletRequest request, String given, String shopName, Owner owner) {
        people.requireNobody();
        if (needsCode(request)) {
            requireCode(given);
        }
        shop.rename(shopName);
        PersonInfo made = people.addFirstOwner(owner.login(), owner.name(), owner.password());
        settings.useUnit(owner.unit(), made.id());
        people.useUnit(made.id(), owner.unit());
        journal.write(Journal.What.FIRST_OWNER, made.id(), made.login());
    }

    private void requireCode(String given) {
        int wait = throttle.take(TRIES);
        if (wait > 0) {
            throw new BadInputException("code", "app.door.then-key-the-code-again", LoginThrottle.told(wait));
        }
        boolean right = !code.isEmpty()
                && MessageDigest.isEqual(
                        tidy(given).getBytes(StandardCharsets.UTF_8), code.getBytes(StandardCharsets.UTF_8));
        if (!right) {
            throw new BadInputException("code", "app.door.that-is-not-the-code-that-the-command");
        }
    }

    private static String tidy(String code) {
        return code.toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9]", "");
    }
}
