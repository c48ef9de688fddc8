package homalon.app.foundation.web;

import homalon.app.foundation.words.Words;
import homalon.core.quantity.LengthWriter;
import homalon.core.verdict.Working;
import java.util.List;

/** A working with its lengths written in the reader's unit. */
public record WorkingView(String title, List<String> lines) {
    public static WorkingView of(Working working, LengthWriter writer) {
        return new WorkingView(
                Words.of(working.title(), writer),
                working.lines().stream().map(l -> Words.of(l, writer)).toList());
    }
}
