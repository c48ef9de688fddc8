package homalon.app.outcome.tables;

import homalon.core.input.RefusedInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.table.TableKind;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** Makes of lines of one kind of table what they say, with the services and the rules of the pages. */
interface TakesLines {
    TableKind kind();

    /**
     * One line after the other, in the order of the file.
     *
     * @param said by the names of the columns
     * @param number of the line in the file
     */
    record Line(int number, Map<String, String> said) {
        String at(String column) {
            return said.getOrDefault(column, "");
        }
    }

    /**
     * Whose hand takes it in.
     *
     * @param unit of bare numbers
     * @param looks nothing will be kept: what is odd is told
     */
    record Hand(BenchUnit unit, UUID by, boolean looks) {}

    /** Is told what became of a line. */
    interface Told {
        /** What was made of it, in words. */
        void made(Line line, String words);

        /** What of it somebody should look at once more; it is taken all the same. */
        void odd(Line line, String sentence);

        /** Why nothing can be. */
        void refused(Line line, RefusedInputException why);
    }

    void take(List<Line> lines, Hand hand, Told told);
}
