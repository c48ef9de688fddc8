package homalon.app.outcome.ask;

import homalon.app.foundation.devices.LiveBus;
import homalon.app.foundation.devices.PartChanges;
import homalon.app.foundation.opened.ToVisitors;
import homalon.app.foundation.security.LoginThrottle;
import homalon.app.foundation.words.Words;
import homalon.app.outcome.estimate.Estimates;
import homalon.core.input.RefusedInputException;
import homalon.core.money.Choice;
import homalon.core.quantity.DayForm;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.StringUtils;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/**
 * What a customer sees of its own casting, for whoever has the address. It is on a listener of its own ({@link
 * homalon.app.foundation.reach.CustomerPort}); whoever guesses addresses is slowed down, whoever has a right one never is.
 */
@ToVisitors
@Controller
@RequiredArgsConstructor
class CustomerPageController {
    private static final int TOO_MANY = 429;

    private final AskAddresses addresses;
    private final Telling telling;
    private final LoginThrottle throttle;
    private final LiveBus bus;

    /** What a choice is called on the page. */
    record Button(Choice choice, String words) {}

    private static final List<Button> BUTTONS = List.of(
            new Button(Choice.GO_ON, "Go on with this one"),
            new Button(Choice.REPLACE, "Another casting in its place"),
            new Button(Choice.STOP, "Stop, and please ring me"));

    @GetMapping("/c/{token}")
    String page(@PathVariable String token, Model model, HttpServletRequest request, HttpServletResponse response) {
        Optional<AskAddresses.Page> page = addresses.at(token);
        if (page.isEmpty()) {
            return nothing(model, request, response);
        }
        addresses.looked(page.get());
        return shown(page.get(), token, null, model, response);
    }

    private String nothing(Model model, HttpServletRequest request, HttpServletResponse response) {
        int wait = throttle.take(List.of(LoginThrottle.Subject.address("page:" + request.getRemoteAddr())));
        response.setStatus(wait > 0 ? TOO_MANY : HttpServletResponse.SC_NOT_FOUND);
        model.addAttribute(
                "why",
                wait > 0
                        ? LoginThrottle.told(wait) + "."
                        : "Nothing stands under this address. Look whether all of it is there, or ring the shop.");
        return "outcome/ask/nothing";
    }

    private String shown(
            AskAddresses.Page page, String token, @Nullable String said, Model model, HttpServletResponse response) {
        if (page.state() == AskAddresses.State.EXPIRED || page.state() == AskAddresses.State.GONE) {
            response.setStatus(HttpServletResponse.SC_GONE);
            model.addAttribute(
                    "why",
                    page.state() == AskAddresses.State.EXPIRED
                            ? "This address held for a fortnight, and that is over. Ring the shop: it makes another."
                            : "The shop has taken this address back. Ring it: what holds now it tells you.");
            return "outcome/ask/nothing";
        }
        DayForm days = telling.days(page.visit());
        model.addAttribute("token", token);
        model.addAttribute("told", page.told());
        model.addAttribute("s", Shown.of(page.shown(), days));
        model.addAttribute("mark", page.shown().mark());
        model.addAttribute("known", page.known());
        model.addAttribute("id", UUID.randomUUID());
        model.addAttribute("buttons", BUTTONS);
        model.addAttribute("said", said);
        model.addAttribute(
                "chosen",
                page.chosen()
                        .map(m -> StringUtils.capitalize(
                                        Words.of(m.said().choice().words()))
                                + (m.said().who().isEmpty()
                                        ? ""
                                        : ", said by " + m.said().who()))
                        .orElse(""));
        return "outcome/ask/page";
    }

    @PostMapping("/c/{token}/choice")
    String choose(
            @PathVariable String token,
            @RequestParam(required = false) @Nullable UUID id,
            @RequestParam(required = false) @Nullable Choice choice,
            @RequestParam(defaultValue = "") String who,
            @RequestParam(defaultValue = "") String upTo,
            @RequestParam(defaultValue = "") String mark,
            @RequestParam(defaultValue = "-1") int known,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response) {
        Optional<AskAddresses.Page> page = addresses.at(token);
        if (page.isEmpty()) {
            return nothing(model, request, response);
        }
        boolean offered = BUTTONS.stream().anyMatch(b -> b.choice() == choice);
        if (id == null || choice == null || !offered) {
            response.setStatus(HttpServletResponse.SC_BAD_REQUEST);
            return shown(page.get(), token, "Choose one of the three.", model, response);
        }
        try {
            addresses.choose(page.get(), id, new Estimates.Keyed(choice, Choice.By.PAGE, who, upTo, "", mark, known));
        } catch (RefusedInputException e) {
            response.setStatus(422);
            return shown(page.get(), token, Words.of(e.sentence()), model, response);
        }
        bus.tell(PartChanges.TOPIC + page.get().told().tag(), PartChanges.BY_ITSELF);
        return "redirect:/c/" + token;
    }

    private Optional<AskAddresses.Page> readable(String token) {
        return addresses
                .at(token)
                .filter(p -> p.state() == AskAddresses.State.OPEN || p.state() == AskAddresses.State.CHOSEN);
    }

    @GetMapping("/c/{token}/map.svg")
    ResponseEntity<byte[]> map(@PathVariable String token) {
        return readable(token)
                .filter(p -> !p.told().map().isEmpty())
                .map(p -> ResponseEntity.ok()
                        .contentType(MediaType.valueOf("image/svg+xml"))
                        .body(p.told().map().getBytes(StandardCharsets.UTF_8)))
                .orElseGet(() -> ResponseEntity.notFound().build());
    }

    /** Of those that were on the page when its address was made, and no others. */
    @GetMapping("/c/{token}/photos/{photo}")
    ResponseEntity<byte[]> photo(@PathVariable String token, @PathVariable UUID photo) {
        return readable(token)
                .filter(p -> p.told().photos().stream().anyMatch(f -> f.id().equals(photo)))
                .flatMap(p -> telling.photo(p.visit(), photo))
                .map(jpeg ->
                        ResponseEntity.ok().contentType(MediaType.IMAGE_JPEG).body(jpeg))
                .orElseGet(() -> ResponseEntity.notFound().build());
    }
}
