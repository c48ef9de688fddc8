package homalon.app.foundation.door;

import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToVisitors;
import homalon.app.foundation.passkeys.Passkeys;
import homalon.app.foundation.people.People;
import homalon.app.foundation.reach.Authority;
import homalon.app.foundation.security.LoginThrottle;
import homalon.app.foundation.web.Page;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import jakarta.servlet.http.HttpServletRequest;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Coming in. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class DoorController {
    private final People people;
    private final FirstVisit firstVisit;
    private final Authority authority;
    private final Passkeys passkeys;

    @ToVisitors
    @GetMapping("/sign-in")
    String signIn(
            Page page,
            @RequestParam(required = false) String wrong,
            @RequestParam(required = false) Integer wait,
            @RequestParam(required = false) String passkey,
            @RequestParam(required = false) String again,
            @RequestParam(required = false) String out) {
        if (people.nobodyYet()) {
            return "redirect:/first-visit";
        }
        String said = null;
        if (wrong != null) {
            said = "Login and password do not belong together: key them again.";
        } else if (passkey != null) {
            said =
                    "An owner signs in with the passkey here: show the device. Lost, it is replaced by homalon recover at the machine.";
        } else if (wait != null) {
            said = LoginThrottle.told(Math.max(1, Math.min(wait, 60))) + ", then try again.";
        } else if (again != null) {
            said = "This page was open for long: key login and password once more.";
        } else if (out != null) {
            said = "You are signed out.";
        }
        page.show("said", said);
        page.show("passkeys", passkeys.on());
        page.show("ownAuthority", authority.root().isPresent());
        return "foundation/door/sign-in";
    }

    @ToVisitors
    @GetMapping("/first-visit")
    String firstVisit(Page page, HttpServletRequest request) {
        if (!people.nobodyYet()) {
            return "redirect:/sign-in";
        }
        page.show("said", null);
        page.show("needsCode", FirstVisit.needsCode(request));
        return "foundation/door/first-visit";
    }

    @ToVisitors
    @PostMapping("/first-visit")
    String makeOwner(
            Page page,
            @RequestParam(defaultValue = "") String shopName,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String login,
            @RequestParam(defaultValue = "") String password,
            @RequestParam(defaultValue = "") String code,
            @RequestParam(defaultValue = "MM") String unit,
            HttpServletRequest request) {
        try {
            firstVisit.make(
                    request,
                    code,
                    shopName,
                    new FirstVisit.Owner(
                            login, name, password, unit.equals(BenchUnit.THOU.name()) ? BenchUnit.THOU : BenchUnit.MM));
            return "redirect:/sign-in";
        } catch (BadInputException e) {
            page.show("needsCode", FirstVisit.needsCode(request));
            page.refuse(e);
            return "foundation/door/first-visit";
        }
    }
}
