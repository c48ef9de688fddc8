package homalon.app.outcome.ask;

import homalon.app.foundation.reach.CustomerPort;
import homalon.app.foundation.web.ReadTransaction;
import homalon.app.outcome.estimate.Estimates;
import homalon.core.input.BadInputException;
import homalon.core.visit.PartFile;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Sends a customer what the page says: a letter, with the address of the page where one is open. */
@Component
@RequiredArgsConstructor
class AskPost {
    private static final String HIDDEN = "...";

    private final AskAddresses addresses;
    private final Estimates estimates;
    private final AskLetter letters;
    private final PostBox box;
    private final CustomerPort port;
    private final ReadTransaction reading;

    boolean simulated() {
        return box.simulated();
    }

    List<PostBox.Sent> of(PartFile part) {
        return box.of(part.visit().id());
    }

    byte[] letter(PartFile part, Estimates.Version version) {
        return letters.of(part, version);
    }

    /**
     * @return the address that was made for it; null where the same was sent before, or no port is open for customers
     * @throws BadInputException for what is no address to send to, and for all that an address is refused for
     */
    @Nullable
    String send(PartFile part, UUID id, String to, UUID by) {
        // Looked at before anything is made for it.
        PostBox.requireAddress(to);
        Optional<String> token = addresses.make(part, id, by);
        if (token.isEmpty()) {
            return null;
        }
        Estimates.Version version = reading.of(() -> {
            List<Estimates.Version> all = estimates.shown(part);
            return all.get(all.size() - 1);
        });
        byte[] pdf = reading.of(() -> letters.of(part, version));
        Optional<String> link = port.link(token.get());
        box.send(
                part.visit().id(),
                new PostBox.Letter(
                        to.strip(),
                        part.tag() + " " + part.name() + ": how is it to go on?",
                        text(part, version, link),
                        text(part, version, port.link(HIDDEN)),
                        pdf,
                        part.tag() + "-estimate-" + version.no() + ".pdf"),
                by);
        return link.orElse(null);
    }

    private static String text(PartFile part, Estimates.Version version, Optional<String> link) {
        return "Your " + part.name() + " (" + part.tag() + ") was looked at. As it stands the work comes to "
                + version.shown().currency() + " " + version.shown().fixed()
                + "; the letter says for what, what may still turn up, and what else could be done.\n\n"
                + link.map(
                                l -> "Please look at it and say how it is to go on:\n\n" + l
                                        + "\n\nThe address holds for a fortnight. Whoever has it may choose: pass it to nobody else.\n")
                        .orElse("Please say how it is to go on.\n")
                + "\nNo more work is begun before that.\n";
    }
}
