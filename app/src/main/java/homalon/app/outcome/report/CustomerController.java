package homalon.app.outcome.report;

import homalon.app.foundation.opened.ToOwners;
import homalon.app.foundation.security.Signed;
import homalon.core.input.BadInputException;
import jakarta.servlet.http.HttpServletResponse;
import lombok.RequiredArgsConstructor;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** An owner erases a customer. */
@ToOwners
@Controller
@RequestMapping("/shop/customers")
@RequiredArgsConstructor
class CustomerController {
    private final Customers customers;

    @GetMapping
    String page(Model model) {
        return page(model, null, "");
    }

    private static String page(Model model, String said, String typed) {
        model.addAttribute("said", said);
        model.addAttribute("typed", typed);
        return "report/customers";
    }

    @PostMapping
    String erase(
            @RequestParam(defaultValue = "") String customer,
            @AuthenticationPrincipal Signed me,
            Model model,
            HttpServletResponse response) {
        try {
            int castings = customers.erase(customer, me.id());
            return page(
                    model,
                    (castings == 1 ? "1 casting stands" : castings + " castings stand") + " without a name now.",
                    "");
        } catch (BadInputException e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(model, e.getMessage(), customer);
        }
    }
}
