package homalon.app.foundation.web;

import homalon.app.foundation.security.CurrentUser;
import homalon.app.foundation.words.Words;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.LengthWriter;
import jakarta.servlet.http.HttpServletResponse;
import java.util.UUID;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.ui.Model;

/** What a handler that answers with a page is about: who asks, in which unit, and what the page will show. */
public class Page {
    private final Shell shell;
    private final Model model;
    private final HttpServletResponse response;
    private final ReadTransaction reading;

    protected Page(Shell shell, Model model, HttpServletResponse response, ReadTransaction reading) {
        this.shell = shell;
        this.model = model;
        this.response = response;
        this.reading = reading;
    }

    public Shell shell() {
        return shell;
    }

    public BenchUnit unit() {
        return shell.unit();
    }

    public LengthWriter writer() {
        return shell.writer();
    }

    /** Who asks, and whose it is what is written; only where somebody is signed in. */
    public UUID me() {
        return CurrentUser.now().orElseThrow().id();
    }

    /** Reads all that the page needs in one transaction; nothing may be written within it. */
    public <T> T read(Supplier<T> answer) {
        return reading.of(answer);
    }

    public void show(String name, @Nullable Object value) {
        model.addAttribute(name, value);
    }

    public boolean shows(String name) {
        return model.containsAttribute(name);
    }

    /** The page comes as it stands, with what has to be keyed instead. */
    public void refuse(homalon.core.input.RefusedInputException bad) {
        refuse(Words.of(bad.sentence()));
    }

    public void refuse(String sentence) {
        unprocessable();
        show("said", sentence);
    }

    /** The page comes as it stands; what was refused is said where it was keyed. */
    public void unprocessable() {
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
    }

    /** Where the walk stands once this is answered. */
    public void standAt(Object place) {
        response.setHeader("X-Place", place.toString());
    }
}
