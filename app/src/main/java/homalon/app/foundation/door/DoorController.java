package homalon.app.foundation.door;

import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToVisitors;
import homalon.app.foundation.passkeys.Passkeys;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.people.People;
import homalon.app.foundation.people.Theme;
import homalon.app.foundation.reach.Authority;
import homalon.app.foundation.security.OwnSessions;
import homalon.app.foundation.security.PinSignIn;
import homalon.app.foundation.security.Signed;
import homalon.app.foundation.security.Tries;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.bind.annotation.ResponseStatus;

/** Coming in, changing person, and one's own settings. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class DoorController {
    private final People people;
    private final PinSignIn pins;
    private final FirstVisit firstVisit;
    private final Authority authority;
    private final Tries tries;
    private final OwnSessions sessions;
    private final Journal journal;
    private final PasswordAgain again;
    private final Passkeys passkeys;

    @ToVisitors
    @GetMapping("/sign-in")
    String signIn(
            @RequestParam(required = false) String wrong,
            @RequestParam(required = false) Integer wait,
            @RequestParam(required = false) String passkey,
            @RequestParam(required = false) String out,
            Model model) {
        if (people.nobodyYet()) {
            return "redirect:/first-visit";
        }
        String said = null;
        if (wrong != null) {
            said = "Login and password do not belong together: key them again.";
        } else if (passkey != null) {
            said =
                    "Here an owner comes in with the passkey: show the device. Lost, it is replaced by homalon recover at the machine.";
        } else if (wait != null) {
            said = Tries.told(Math.max(1, Math.min(wait, 60))) + ", then try again.";
        } else if (out != null) {
            said = "You are signed out.";
        }
        model.addAttribute("said", said);
        model.addAttribute("passkeys", passkeys.on());
        model.addAttribute("ownAuthority", authority.root().isPresent());
        return "door/sign-in";
    }

    @ToVisitors
    @GetMapping("/first-visit")
    String firstVisit(HttpServletRequest request, Model model) {
        if (!people.nobodyYet()) {
            return "redirect:/sign-in";
        }
        model.addAttribute("said", null);
        model.addAttribute("needsCode", FirstVisit.needsCode(request));
        return "door/first-visit";
    }

    @ToVisitors
    @PostMapping("/first-visit")
    String makeOwner(
            @RequestParam(defaultValue = "") String shopName,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String login,
            @RequestParam(defaultValue = "") String password,
            @RequestParam(defaultValue = "") String code,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response) {
        try {
            firstVisit.make(request, code, shopName, new FirstVisit.Owner(login, name, password));
            return "redirect:/sign-in";
        } catch (BadInputException e) {
            model.addAttribute("needsCode", FirstVisit.needsCode(request));
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("said", e.getMessage());
            return "door/first-visit";
        }
    }

    /** The password once more, before the shop's settings. */
    @GetMapping("/confirm")
    String confirm(Model model) {
        model.addAttribute("said", null);
        return "door/confirm";
    }

    @PostMapping("/confirm")
    String confirmed(
            @RequestParam(defaultValue = "") String password,
            @AuthenticationPrincipal Signed me,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response) {
        List<Tries.Subject> subjects = List.of(Tries.Subject.secret("confirm:" + me.id()));
        String said = null;
        int wait = tries.take(subjects);
        if (wait > 0) {
            said = Tries.told(wait) + ", then key your password again.";
        } else if (!people.knows(me.id(), password)) {
            said = "That is not your password: key it again. A PIN does not open the settings.";
        }
        if (said == null) {
            tries.right(subjects);
            again.keyed(request);
            return "redirect:/shop";
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("said", said);
        return "door/confirm";
    }

    @PostMapping("/person/password")
    String password(
            @RequestParam(defaultValue = "") String now,
            @RequestParam(defaultValue = "") String next,
            @AuthenticationPrincipal Signed me,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response) {
        List<Tries.Subject> subjects = List.of(Tries.Subject.secret("confirm:" + me.id()));
        String said;
        try {
            int wait = tries.take(subjects);
            if (wait > 0) {
                throw new BadInputException("now", Tries.told(wait) + ", then key it again.");
            }
            if (people.knows(me.id(), now)) {
                tries.right(subjects);
            }
            people.changePassword(me.id(), now, next);
            journal.write(Journal.What.PASSWORD_CHANGED, me.id(), "");
            said = "Your password is changed.";
        } catch (BadInputException e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            said = e.getMessage();
        }
        String page = person(me, model, request);
        model.addAttribute("said", said);
        return page;
    }

    @GetMapping("/person")
    String person(@AuthenticationPrincipal Signed me, Model model, HttpServletRequest request) {
        model.addAttribute("sessions", sessions.of(me, request));
        model.addAttribute(
                "people",
                people.all().stream().filter(p -> p.active() && p.hasPin()).toList());
        model.addAttribute("said", null);
        return "door/person";
    }

    @PostMapping("/person/elsewhere")
    String endElsewhere(@AuthenticationPrincipal Signed me, Model model, HttpServletRequest request) {
        int ended = sessions.endOthers(me, request);
        journal.write(Journal.What.SIGNED_OUT, me.id(), "on all other devices");
        String page = person(me, model, request);
        model.addAttribute(
                "said",
                ended == 0
                        ? "You are signed in nowhere else."
                        : "You are signed out on " + (ended == 1 ? "the other device." : ended + " other devices."));
        return page;
    }

    @PostMapping("/person/change")
    String change(
            @RequestParam UUID to,
            @RequestParam(defaultValue = "") String pin,
            @AuthenticationPrincipal Signed me,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response) {
        Optional<String> refused = pins.change(to, pin, request, response);
        if (refused.isEmpty()) {
            return "redirect:/";
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        String page = person(me, model, request);
        model.addAttribute("said", refused.get());
        return page;
    }

    @PostMapping("/person/pin")
    String setPin(
            @RequestParam(defaultValue = "") String pin,
            @AuthenticationPrincipal Signed me,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response) {
        String said;
        try {
            people.setPin(me.id(), pin);
            journal.write(Journal.What.PIN_SET, me.id(), "");
            said = "Your PIN is set. It works on devices that the owner has enabled.";
        } catch (BadInputException e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            said = e.getMessage();
        }
        String page = person(me, model, request);
        model.addAttribute("said", said);
        return page;
    }

    @PostMapping("/me/unit")
    @ResponseBody
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void unit(@AuthenticationPrincipal Signed me, @RequestParam BenchUnit to) {
        people.useUnit(me.id(), to);
    }

    @PostMapping("/me/theme")
    @ResponseBody
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void theme(@AuthenticationPrincipal Signed me, @RequestParam Theme to) {
        people.useTheme(me.id(), to);
    }
}
