package homalon.app.casting.part;

import homalon.app.foundation.web.Page;
import homalon.app.foundation.web.ReadTransaction;
import homalon.app.foundation.web.Shell;
import homalon.core.input.BadInputException;
import homalon.core.route.Operation;
import homalon.core.route.StepKind;
import homalon.core.route.VisitSteps;
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
    private final PartShells shells;
    private final @Nullable UUID lineId;
    private @Nullable PartFile part;

    /**
     * @param parts finds a casting by its tag
     * @param lineId null where nothing is written
     */
    PartPage(
            String tag,
            Function<String, PartFile> parts,
            PartShells shells,
            ReadTransaction reading,
            Shell shell,
            Model model,
            HttpServletResponse response,
            @Nullable UUID lineId) {
        super(shell, model, response, reading);
        this.tag = tag;
        this.parts = parts;
        this.shells = shells;
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

    /** How far the casting is: its steps and its route. */
    public VisitSteps.Standing standing() {
        return shells.standing(part(), writer());
    }

    /**
     * What the route says must come first, comes first.
     *
     * @throws homalon.app.foundation.web.StandsAgainstException naming what is in the way, why, and who may lift it
     */
    public void require(Operation operation) {
        shells.require(part(), operation);
    }

    /** The frame of a page that is a step of the casting. */
    public void frame(StepKind here) {
        show("head", shells.head(part(), here, writer()));
    }

    /** The frame of a page beside the steps. */
    public void frame() {
        show("head", shells.head(part(), writer()));
    }

    /**
     * The id that the browser gave to what it sends, so that the same sent twice is kept once.
     *
     * @throws BadInputException when it sent none
     */
    public UUID lineId() {
        if (lineId == null) {
            throw new BadInputException("id", "app.part.that-came-without-its-number-load-the");
        }
        return lineId;
    }
}
