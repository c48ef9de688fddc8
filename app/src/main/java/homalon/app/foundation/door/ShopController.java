package homalon.app.foundation.door;

import homalon.app.foundation.opened.ToOwners;
import homalon.app.foundation.passkeys.Passkeys;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.people.People;
import homalon.app.foundation.people.PersonInfo;
import homalon.app.foundation.people.Role;
import homalon.app.foundation.security.ApiTokens;
import homalon.app.foundation.security.LoginThrottle;
import homalon.app.foundation.security.PinSignIn;
import homalon.app.foundation.web.Page;
import homalon.core.input.BadInputException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.info.BuildProperties;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The owner's page: people, bench devices, tokens for programs. */
@ToOwners
@Controller
@RequestMapping("/shop")
@RequiredArgsConstructor
class ShopController {
    private final People people;
    private final ApiTokens tokens;
    private final LoginThrottle throttle;
    private final Journal journal;
    private final Passkeys passkeys;
    private final Optional<BuildProperties> build;

    @GetMapping
    String page(Page page) {
        return page(page, null, null);
    }

    private String page(Page page, String said, String secret) {
        if (!page.shows("typed")) {
            page.show("typed", Typed.NOTHING);
        }
        page.show("people", people.all());
        page.show("devices", people.devices());
        page.show("passkeysOn", passkeys.on());
        page.show("passkeys", passkeys.of(page.me()));
        page.show("tokens", tokens.inForce());
        page.show("roles", Role.values());
        page.show("waiting", throttle.waiting());
        page.show("journal", journal.last(40));
        page.show("names", people.names());
        page.show("version", build.map(BuildProperties::getVersion).orElse("unknown"));
        page.show("said", said);
        page.show("secret", secret);
        return "foundation/door/shop";
    }

    /** Something the owner asked for that may be refused in a sentence. */
    private interface Wish {
        String fulfil();
    }

    private String doing(Page page, Wish wish) {
        try {
            return page(page, wish.fulfil(), null);
        } catch (BadInputException e) {
            page(page, null, null);
            page.refuse(e);
            return "foundation/door/shop";
        }
    }

    @PostMapping("/people")
    String add(
            Page page,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String login,
            @RequestParam(defaultValue = "") String password,
            @RequestParam(required = false) Role role) {
        page.show("typed", new Typed(name, login, role));
        return doing(page, () -> {
            PersonInfo added = people.add(login, name, role, password);
            page.show("typed", Typed.NOTHING);
            journal.write(Journal.What.PERSON_ADDED, page.me(), added.login() + ", " + role.words());
            return added.name() + " can sign in now.";
        });
    }

    /** What stays in the form when it was refused; a password never does. */
    public record Typed(String name, String login, Role role) {
        static final Typed NOTHING = new Typed("", "", null);
    }

    @PostMapping("/people/role")
    String role(Page page, @RequestParam UUID id, @RequestParam(required = false) Role role) {
        return doing(page, () -> {
            people.setRole(id, role);
            journal.write(Journal.What.ROLE_CHANGED, page.me(), people.nameOf(id) + ": " + role.words());
            return people.nameOf(id) + " is " + role.words() + " from the next page on.";
        });
    }

    @PostMapping("/people/password")
    String reset(Page page, @RequestParam UUID id, @RequestParam(defaultValue = "") String password) {
        return doing(page, () -> {
            people.resetPassword(id, password);
            journal.write(Journal.What.PASSWORD_RESET, page.me(), people.nameOf(id));
            return people.nameOf(id) + " signs in with the new password from now on.";
        });
    }

    @PostMapping("/waits")
    String lift(Page page) {
        return doing(page, () -> {
            throttle.lift();
            journal.write(Journal.What.WAITS_LIFTED, page.me(), "");
            return "Whoever had to wait may try again.";
        });
    }

    @PostMapping("/people/active")
    String active(Page page, @RequestParam UUID id, @RequestParam boolean active) {
        return doing(page, () -> {
            if (id.equals(page.me())) {
                throw new BadInputException("id", "app.door.you-cannot-shut-yourself-out-another");
            }
            people.setActive(id, active);
            journal.write(
                    active ? Journal.What.PERSON_LET_IN : Journal.What.PERSON_SHUT_OUT, page.me(), people.nameOf(id));
            return active ? "May sign in again." : "Is out, on every device. What this person measured stays.";
        });
    }

    @PostMapping("/devices")
    String enable(
            Page page,
            @RequestParam(defaultValue = "") String name,
            HttpServletRequest request,
            HttpServletResponse response) {
        return doing(page, () -> {
            ResponseCookie cookie = ResponseCookie.from(PinSignIn.COOKIE, people.enableDevice(name, page.me()))
                    .httpOnly(true)
                    .sameSite("Strict")
                    .secure(request.isSecure())
                    .path("/")
                    .maxAge(Duration.ofDays(365))
                    .build();
            response.addHeader(HttpHeaders.SET_COOKIE, cookie.toString());
            journal.write(Journal.What.DEVICE_ENABLED, page.me(), name.strip());
            return "People can change by PIN on this device now.";
        });
    }

    @PostMapping("/devices/revoke")
    String revoke(Page page, @RequestParam UUID id) {
        return doing(page, () -> {
            people.revokeDevice(id);
            journal.write(Journal.What.DEVICE_DISABLED, page.me(), "");
            return "PINs no longer work on that device.";
        });
    }

    @PostMapping("/tokens")
    String issue(
            Page page,
            @RequestParam(defaultValue = "") String tokenName,
            @RequestParam(required = false) @Nullable UUID writesFor) {
        try {
            String secret = tokens.issue(tokenName, Optional.ofNullable(writesFor), page.me());
            journal.write(Journal.What.TOKEN_ISSUED, page.me(), tokenName.strip());
            return page(page, "Copy this token now: it is not shown again.", secret);
        } catch (BadInputException e) {
            page(page, null, null);
            page.refuse(e);
            return "foundation/door/shop";
        }
    }

    @PostMapping("/tokens/revoke")
    String revokeToken(Page page, @RequestParam UUID id) {
        return doing(page, () -> {
            tokens.revoke(id);
            journal.write(Journal.What.TOKEN_REVOKED, page.me(), "");
            return "That token no longer works.";
        });
    }
}
