package homalon.app.outcome.ask;

import homalon.app.casting.customer.Customer;
import homalon.app.casting.customer.Customers;
import homalon.app.casting.part.PartPage;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.people.People;
import homalon.app.foundation.reach.CustomerPort;
import homalon.app.foundation.web.NotHereException;
import homalon.app.foundation.words.Words;
import homalon.app.outcome.estimate.Estimates;
import homalon.core.input.BadInputException;
import homalon.core.input.RefusedInputException;
import homalon.core.quantity.DayForm;
import homalon.core.route.StepKind;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** How a customer is asked: by an address of its own, on paper, by post. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class AskController {
    private final AskAddresses addresses;
    private final AskPost post;
    private final Estimates estimates;
    private final Customers customers;
    private final CustomerPort port;
    private final People people;

    /** @param how when it was made, by whom, and how it stands */
    record Address(UUID id, int version, String how, boolean open) {}

    /** @param how what became of it */
    record Mail(String to, String subject, String text, String how) {}

    @GetMapping("/parts/{tag}/estimate/asking")
    String page(PartPage page) {
        return page(page, null, null);
    }

    /** @param address one that was made just now */
    private String page(PartPage page, @Nullable String address, @Nullable String said) {
        return page.read(() -> {
            DayForm days = page.shell().days();
            Map<UUID, String> names = people.names();
            page.show("here", page.part().visit().releasedAt().isEmpty());
            page.show("priced", estimates.now(page.part()).isPresent());
            page.show("served", port.link("").isPresent());
            page.show("near", port.thisMachineOnly());
            page.show("simulated", post.simulated());
            page.show(
                    "to",
                    customers.called(page.part().customer()).map(Customer::mail).orElse(""));
            page.show(
                    "addresses",
                    addresses.of(page.part()).stream()
                            .map(a -> address(a, names, days))
                            .toList());
            page.show(
                    "mails",
                    post.of(page.part()).stream().map(m -> mail(m, names, days)).toList());
            List<Estimates.Version> shown = estimates.shown(page.part());
            page.show("last", shown.isEmpty() ? 0 : shown.get(shown.size() - 1).no());
            page.show("address", address);
            page.show("said", said);
            page.frame(StepKind.CHOICE);
            return "outcome/ask/asking";
        });
    }

    private static String day(Instant at, DayForm days) {
        return days.brief(LocalDate.ofInstant(at, ZoneId.systemDefault()));
    }

    private static Address address(AskAddresses.Made a, Map<UUID, String> names, DayForm days) {
        String opened = a.opened() == 0
                ? "not opened yet"
                : a.opened() == 1 ? "opened once" : "opened " + a.opened() + " times";
        String state = switch (a.state()) {
            case OPEN -> opened + ", holds until " + day(a.until(), days);
            case CHOSEN -> opened + "; something was chosen since";
            case EXPIRED -> opened + "; it does not hold any more";
            case GONE -> opened + "; taken back";
        };
        return new Address(
                a.id(),
                a.version(),
                day(a.at(), days) + ", " + names.getOrDefault(a.by(), "somebody who left") + ": " + state,
                a.state() == AskAddresses.State.OPEN || a.state() == AskAddresses.State.CHOSEN);
    }

    private static Mail mail(PostBox.Sent m, Map<UUID, String> names, DayForm days) {
        String state = switch (m.outcome().state()) {
            case SIMULATED -> "would have been sent: no mail server is set";
            case SENT -> "sent";
            case FAILED -> "not sent: " + m.outcome().why();
        };
        return new Mail(
                m.to(),
                m.subject(),
                m.text(),
                day(m.at(), days) + ", " + names.getOrDefault(m.by(), "somebody who left") + ": " + state);
    }

    /** Something that may be refused in a sentence; says the address that was made, if one was. */
    private interface Wish {
        @Nullable
        String fulfil();
    }

    private String doing(PartPage page, String done, Wish wish) {
        try {
            return page(page, wish.fulfil(), done);
        } catch (RefusedInputException e) {
            page.unprocessable();
            return page(page, null, Words.of(e.sentence()));
        }
    }

    private String link(String token) {
        return port.link(token).orElseThrow(() -> new BadInputException("page", "app.ask.no-port-is-open"));
    }

    @PostMapping("/parts/{tag}/estimate/asking")
    String make(PartPage page, @RequestParam UUID id) {
        return doing(page, "Whoever has this address sees this casting's estimate, and may choose once.", () -> {
            link("");
            return addresses.make(page.part(), id, page.me()).map(this::link).orElse(null);
        });
    }

    @PostMapping("/parts/{tag}/estimate/asking/back")
    String takeBack(PartPage page, @RequestParam UUID address) {
        return doing(page, "Nothing stands under that address any more.", () -> {
            addresses.takeBack(page.part(), address);
            return null;
        });
    }

    @PostMapping("/parts/{tag}/estimate/asking/post")
    String send(PartPage page, @RequestParam UUID id, @RequestParam(defaultValue = "") String to) {
        return doing(
                page,
                post.simulated() ? "That is what would be sent." : "See below what became of it.",
                () -> post.send(page.part(), id, to, page.me()));
    }

    /** The letter of an estimate as it was shown. */
    @GetMapping("/parts/{tag}/estimate/{no}/letter.pdf")
    ResponseEntity<byte[]> letter(PartPage page, @PathVariable int no) {
        byte[] pdf = page.read(() -> estimates.shown(page.part()).stream()
                        .filter(v -> v.no() == no)
                        .findFirst()
                        .map(v -> post.letter(page.part(), v)))
                .orElseThrow(() -> new NotHereException("No estimate of that number was shown: go back to it."));
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        "inline; filename=\"" + page.part().tag() + "-estimate-" + no + ".pdf\"")
                .body(pdf);
    }
}
