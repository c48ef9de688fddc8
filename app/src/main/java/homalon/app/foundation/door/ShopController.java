package homalon.app.foundation.door;

import homalon.app.foundation.opened.ToOwners;
import homalon.app.foundation.passkeys.Passkeys;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.people.People;
import homalon.app.foundation.people.Role;
import homalon.app.foundation.people.Someone;
import homalon.app.foundation.security.ApiTokens;
import homalon.app.foundation.security.PinSignIn;
import homalon.app.foundation.security.Signed;
import homalon.app.foundation.security.Tries;
import homalon.app.foundation.web.Shop;
import homalon.core.input.BadInputException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.boot.info.BuildProperties;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseCookie;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
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
    private final Shop shop;
    private final ApiTokens tokens;
    private final Tries tries;
    private final Journal journal;
    private final Passkeys passkeys;
    private final Optional<BuildProperties> build;

    @GetMapping
    String page(Model model) {
        return page(model, null, null);
    }

    private String page(Model model, String said, String secret) {
        if (!model.containsAttribute("typed")) {
            model.addAttribute("typed", Typed.NOTHING);
        }
        model.addAttribute("people", people.all());
        model.addAttribute("devices", people.devices());
        model.addAttribute("passkeysOn", passkeys.on());
        model.addAttribute(
                "passkeys",
                passkeys.of(((Signed) SecurityContextHolder.getContext()
                                .getAuthentication()
                                .getPrincipal())
                        .id()));
        model.addAttribute("tokens", tokens.inForce());
        model.addAttribute("roles", Role.values());
        model.addAttribute("waiting", tries.waiting());
        model.addAttribute("journal", journal.last(40));
        model.addAttribute("names", people.names());
        model.addAttribute("version", build.map(BuildProperties::getVersion).orElse("unknown"));
        model.addAttribute("said", said);
        model.addAttribute("secret", secret);
        return "door/shop";
    }

    /** Something the owner asked for that may be refused in a sentence. */
    private interface Wish {
        String fulfil();
    }

    private String doing(Model model, HttpServletResponse response, Wish wish) {
        try {
            return page(model, wish.fulfil(), null);
        } catch (BadInputException e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(model, e.getMessage(), null);
        }
    }

    @PostMapping("/people")
    String add(
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String login,
            @RequestParam(defaultValue = "") String password,
            @RequestParam(required = false) Role role,
            @AuthenticationPrincipal Signed me,
            Model model,
            HttpServletResponse response) {
        model.addAttribute("typed", new Typed(name, login, role));
        return doing(model, response, () -> {
            Someone added = people.add(login, name, role, password);
            model.addAttribute("typed", Typed.NOTHING);
            journal.write(Journal.What.PERSON_ADDED, me.id(), added.login() + ", " + role.words());
            return added.name() + " can sign in now.";
        });
    }

    /** What stays in the form when it was refused; a password never does. */
    public record Typed(String name, String login, Role role) {
        static final Typed NOTHING = new Typed("", "", null);
    }

    @PostMapping("/people/role")
    String role(
            @RequestParam UUID id,
            @RequestParam(required = false) Role role,
            @AuthenticationPrincipal Signed me,
            Model model,
            HttpServletResponse response) {
        return doing(model, response, () -> {
            people.setRole(id, role);
            journal.write(Journal.What.ROLE_CHANGED, me.id(), people.nameOf(id) + ": " + role.words());
            return people.nameOf(id) + " is " + role.words() + " from the next page on.";
        });
    }

    @PostMapping("/people/password")
    String reset(
            @RequestParam UUID id,
            @RequestParam(defaultValue = "") String password,
            @AuthenticationPrincipal Signed me,
            Model model,
            HttpServletResponse response) {
        return doing(model, response, () -> {
            people.resetPassword(id, password);
            journal.write(Journal.What.PASSWORD_RESET, me.id(), people.nameOf(id));
            return people.nameOf(id) + " signs in with the new password from now on.";
        });
    }

    @PostMapping("/waits")
    String lift(@AuthenticationPrincipal Signed me, Model model, HttpServletResponse response) {
        return doing(model, response, () -> {
            tries.lift();
            journal.write(Journal.What.WAITS_LIFTED, me.id(), "");
            return "Whoever had to wait may try again.";
        });
    }

    @PostMapping("/people/active")
    String active(
            @RequestParam UUID id,
            @RequestParam boolean active,
            @AuthenticationPrincipal Signed me,
            Model model,
            HttpServletResponse response) {
        return doing(model, response, () -> {
            if (id.equals(me.id())) {
                throw new BadInputException("id", "You cannot shut yourself out: another owner can.");
            }
            people.setActive(id, active);
            journal.write(
                    active ? Journal.What.PERSON_LET_IN : Journal.What.PERSON_SHUT_OUT, me.id(), people.nameOf(id));
            return active ? "May sign in again." : "Is out, on every device. What this person measured stays.";
        });
    }

    @PostMapping("/name")
    String rename(
            @RequestParam(defaultValue = "") String shopName,
            @AuthenticationPrincipal Signed me,
            Model model,
            HttpServletResponse response) {
        return doing(model, response, () -> {
            shop.rename(shopName);
            journal.write(Journal.What.SHOP_RENAMED, me.id(), shopName.strip());
            return "The shop is called " + shopName.strip() + ".";
        });
    }

    @PostMapping("/devices")
    String enable(
            @RequestParam(defaultValue = "") String name,
            @AuthenticationPrincipal Signed me,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response) {
        return doing(model, response, () -> {
            ResponseCookie cookie = ResponseCookie.from(PinSignIn.COOKIE, people.enableDevice(name, me.id()))
                    .httpOnly(true)
                    .sameSite("Strict")
                    .secure(request.isSecure())
                    .path("/")
                    .maxAge(Duration.ofDays(365))
                    .build();
            response.addHeader(HttpHeaders.SET_COOKIE, cookie.toString());
            journal.write(Journal.What.DEVICE_ENABLED, me.id(), name.strip());
            return "People can change by PIN on this device now.";
        });
    }

    @PostMapping("/devices/revoke")
    String revoke(
            @RequestParam UUID id, @AuthenticationPrincipal Signed me, Model model, HttpServletResponse response) {
        return doing(model, response, () -> {
            people.revokeDevice(id);
            journal.write(Journal.What.DEVICE_DISABLED, me.id(), "");
            return "PINs no longer work on that device.";
        });
    }

    @PostMapping("/tokens")
    String issue(
            @RequestParam(defaultValue = "") String tokenName,
            @AuthenticationPrincipal Signed me,
            Model model,
            HttpServletResponse response) {
        try {
            String secret = tokens.issue(tokenName, me.id());
            journal.write(Journal.What.TOKEN_ISSUED, me.id(), tokenName.strip());
            return page(model, "Copy this token now: it is not shown again.", secret);
        } catch (BadInputException e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(model, e.getMessage(), null);
        }
    }

    @PostMapping("/tokens/revoke")
    String revokeToken(
            @RequestParam UUID id, @AuthenticationPrincipal Signed me, Model model, HttpServletResponse response) {
        return doing(model, response, () -> {
            tokens.revoke(id);
            journal.write(Journal.What.TOKEN_REVOKED, me.id(), "");
            return "That token no longer works.";
        });
    }
}
