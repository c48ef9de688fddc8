package homalon.app.web;

import homalon.core.quantity.LengthWriter;
import homalon.core.verdict.Working;
import java.util.ArrayList;
import java.util.List;

/** A working with its lengths written in the reader's unit. */
public record WorkingView(String title, List<String> lines) {
    public static WorkingView of(Working working, LengthWriter writer) {
        List<String> lines = new ArrayList<>();
        for (Working.Line line : working.lines()) {
            String text = line.text();
            for (double mm : line.lengths()) {
                boolean size = Math.abs(mm) >= 5;
                String written =
                        size ? writer.size(homalon.core.quantity.Length.roundedFromMm(rounded(mm))) : writer.full(mm);
                text = text.replaceFirst("\\{}", java.util.regex.Matcher.quoteReplacement(written));
            }
            lines.add(text);
        }
        return new WorkingView(working.title(), lines);
    }

    /** Sizes of a casting are written to a hundredth. */
    private static double rounded(double mm) {
        return Math.rint(mm * 100) / 100;
    }
}
