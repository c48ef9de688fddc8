package homalon.app.door;

import homalon.app.people.People;
import homalon.app.people.Role;
import homalon.app.security.ApiTokens;
import homalon.app.security.PinSignIn;
import homalon.app.security.Signed;
import homalon.app.web.Shop;
import homalon.core.input.BadInputException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseCookie;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The owner's page: people, bench devices, tokens for programs. */
@Controller
@RequestMapping("/shop")
class ShopController {
    private final People people;
    private final Shop shop;
    private final ApiTokens tokens;

    ShopController(People people, Shop shop, ApiTokens tokens) {
        this.people = people;
        this.shop = shop;
        this.tokens = tokens;
    }

    @GetMapping
    String page(Model model) {
        return page(model, null, null);
    }

    private String page(Model model, String said, String secret) {
        model.addAttribute("people", people.all());
        model.addAttribute("devices", people.devices());
        model.addAttribute("tokens", tokens.inForce());
        model.addAttribute("roles", Role.values());
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
            @RequestParam Role role,
            Model model,
            HttpServletResponse response) {
        return doing(
                model, response, () -> people.add(login, name, role, password).name() + " can sign in now.");
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
            return active ? "May sign in again." : "Can no longer sign in. What this person measured stays.";
        });
    }

    @PostMapping("/name")
    String rename(@RequestParam(defaultValue = "") String shopName, Model model, HttpServletResponse response) {
        return doing(model, response, () -> {
            shop.rename(shopName);
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
            return "People can change by PIN on this device now.";
        });
    }

    @PostMapping("/devices/revoke")
    String revoke(@RequestParam UUID id, Model model, HttpServletResponse response) {
        return doing(model, response, () -> {
            people.revokeDevice(id);
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
            return page(model, "Copy this token now: it is not shown again.", secret);
        } catch (BadInputException e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(model, e.getMessage(), null);
        }
    }

    @PostMapping("/tokens/revoke")
    String revokeToken(@RequestParam UUID id, Model model, HttpServletResponse response) {
        return doing(model, response, () -> {
            tokens.revoke(id);
            return "That token no longer works.";
        });
    }
}
