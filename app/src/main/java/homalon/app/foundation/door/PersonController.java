package homalon.app.foundation.door;

import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.people.People;
import homalon.app.foundation.people.Theme;
import homalon.app.foundation.security.CurrentUser;
import homalon.app.foundation.security.LoginThrottle;
import homalon.app.foundation.security.OwnSessions;
import homalon.app.foundation.security.PinSignIn;
import homalon.app.foundation.web.Page;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** One's own settings: password, PIN, devices, unit and look; and changing person. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class PersonController {
    private final People people;
    private final PinSignIn pins;
    private final LoginThrottle throttle;
    private final OwnSessions sessions;
    private final Journal journal;
    private final PasswordConfirmation again;

    /** The password once more, before the shop's settings. */
    @GetMapping("/confirm")
    String confirm(Page page) {
        page.show("said", null);
        return "foundation/door/confirm";
    }

    @PostMapping("/confirm")
    String confirmed(Page page, @RequestParam(defaultValue = "") String password, HttpServletRequest request) {
        List<LoginThrottle.Subject> subjects = List.of(LoginThrottle.Subject.secret("confirm:" + page.me()));
        String said = null;
        int wait = throttle.take(subjects);
        if (wait > 0) {
            said = LoginThrottle.told(wait) + ", then key your password again.";
        } else if (!people.knows(page.me(), password)) {
            said = "That is not your password: key it again. A PIN does not open the settings.";
        }
        if (said == null) {
            throttle.right(subjects);
            again.keyed(request);
            return "redirect:/shop";
        }
        page.refuse(said);
        return "foundation/door/confirm";
    }

    @PostMapping("/person/password")
    String password(
            Page page,
            @RequestParam(defaultValue = "") String now,
            @RequestParam(defaultValue = "") String next,
            HttpServletRequest request) {
        List<LoginThrottle.Subject> subjects = List.of(LoginThrottle.Subject.secret("confirm:" + page.me()));
        person(page, request);
        try {
            int wait = throttle.take(subjects);
            if (wait > 0) {
                throw new BadInputException("now", "app.door.then-key-it-again", LoginThrottle.told(wait));
            }
            if (people.knows(page.me(), now)) {
                throttle.right(subjects);
            }
            people.changePassword(page.me(), now, next);
            journal.write(Journal.What.PASSWORD_CHANGED, page.me(), "");
            page.show("said", "Your password is changed.");
        } catch (BadInputException e) {
            page.refuse(e);
        }
        return "foundation/door/person";
    }

    @GetMapping("/person")
    String person(Page page, HttpServletRequest request) {
        page.show("sessions", sessions.of(page.shell().me().login(), request));
        page.show(
                "people",
                people.all().stream().filter(p -> p.active() && p.hasPin()).toList());
        page.show("said", null);
        return "foundation/door/person";
    }

    @PostMapping("/person/elsewhere")
    String endElsewhere(Page page, HttpServletRequest request) {
        int ended = sessions.endOthers(page.shell().me().login(), request);
        journal.write(Journal.What.SIGNED_OUT, page.me(), "on all other devices");
        person(page, request);
        page.show(
                "said",
                ended == 0
                        ? "You are signed in nowhere else."
                        : "You are signed out on " + (ended == 1 ? "the other device." : ended + " other devices."));
        return "foundation/door/person";
    }

    @PostMapping("/person/change")
    String change(
            Page page,
            @RequestParam UUID to,
            @RequestParam(defaultValue = "") String pin,
            HttpServletRequest request,
            HttpServletResponse response) {
        Optional<String> refused = pins.change(to, pin, request, response);
        if (refused.isEmpty()) {
            return "redirect:/";
        }
        person(page, request);
        page.refuse(refused.get());
        return "foundation/door/person";
    }

    @PostMapping("/person/pin")
    String setPin(Page page, @RequestParam(defaultValue = "") String pin, HttpServletRequest request) {
        person(page, request);
        try {
            people.setPin(page.me(), pin);
            journal.write(Journal.What.PIN_SET, page.me(), "");
            page.show("said", "Your PIN is set. It works on devices that the owner has enabled.");
        } catch (BadInputException e) {
            page.refuse(e);
        }
        return "foundation/door/person";
    }

    @PostMapping("/me/unit")
    ResponseEntity<Void> unit(@AuthenticationPrincipal CurrentUser me, @RequestParam BenchUnit to) {
        people.useUnit(me.id(), to);
        return anew();
    }

    /** @param fahrenheit temperatures in °F, else in °C */
    @PostMapping("/person/degrees")
    String degrees(Page page, @RequestParam(defaultValue = "false") boolean fahrenheit) {
        people.useFahrenheit(page.me(), fahrenheit);
        return "redirect:/person";
    }

    @PostMapping("/me/theme")
    ResponseEntity<Void> theme(@AuthenticationPrincipal CurrentUser me, @RequestParam Theme to) {
        people.useTheme(me.id(), to);
        return anew();
    }

    /** htmx loads the page anew: every figure and colour on it is another. */
    private static ResponseEntity<Void> anew() {
        return ResponseEntity.noContent().header("HX-Refresh", "true").build();
    }
}
