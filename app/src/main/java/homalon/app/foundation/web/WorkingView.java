package homalon.app.foundation.web;

import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.verdict.Working;
import java.util.ArrayList;
import java.util.List;

/** A working with its lengths written in the reader's unit. */
public record WorkingView(String title, List<String> lines) {
    public static WorkingView of(Working working, LengthWriter writer) {
        List<String> lines = new ArrayList<>();
        for (Working.Line line : working.lines()) {
            StringBuilder text = new StringBuilder(line.text().length() + 16);
            int from = 0;
            for (double mm : line.lengths()) {
                int at = line.text().indexOf("{}", from);
                text.append(line.text(), from, at).append(written(mm, writer));
                from = at + 2;
            }
            text.append(line.text(), from, line.text().length());
            lines.add(text.toString());
        }
        return new WorkingView(working.title(), lines);
    }

    private static String written(double mm, LengthWriter writer) {
        return Math.abs(mm) >= 5 ? writer.size(Length.roundedFromMm(rounded(mm))) : writer.full(mm);
    }

    /** Sizes of a casting are written to a hundredth. */
    private static double rounded(double mm) {
        return Math.rint(mm * 100) / 100;
    }
}
