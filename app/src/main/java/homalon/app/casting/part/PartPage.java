package homalon.app.casting.part;

import homalon.app.foundation.web.Page;
import homalon.app.foundation.web.Shell;
import homalon.core.input.BadInputException;
import homalon.core.visit.PartFile;
import jakarta.servlet.http.HttpServletResponse;
import java.util.UUID;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.ui.Model;

/** What a handler under {@code /parts/{tag}} is about: its page, and the casting on it. */
public final class PartPage extends Page {
    private final String tag;
    private final Function<String, PartFile> parts;
    private final @Nullable UUID lineId;
    private @Nullable PartFile part;

    /**
     * @param parts finds a casting by its tag
     * @param lineId null where nothing is written
     */
    PartPage(
            String tag,
            Function<String, PartFile> parts,
            Shell shell,
            Model model,
            HttpServletResponse response,
            @Nullable UUID lineId) {
        super(shell, model, response);
        this.tag = tag;
        this.parts = parts;
        this.lineId = lineId;
    }

    /** As the address has it. */
    public String tag() {
        return tag;
    }

    /**
     * Found where it is first asked for, so that a handler which reads in one transaction finds it there.
     *
     * @throws homalon.app.foundation.web.NotHereException when no casting has that tag
     */
    public PartFile part() {
        if (part == null) {
            part = parts.apply(tag);
        }
        return part;
    }

    /**
     * The id that the browser gave to what it sends, so that the same sent twice is kept once.
     *
     * @throws BadInputException when it sent none
     */
    public UUID lineId() {
        if (lineId == null) {
            throw new BadInputException("id", "That came without its number: load the page again, then key it anew.");
        }
        return lineId;
    }
}
