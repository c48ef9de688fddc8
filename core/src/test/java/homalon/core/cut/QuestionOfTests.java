package homalon.core.cut;

import homalon.core.chambers.EngineBook;
import homalon.core.chambers.EngineBook.Crown;
import homalon.core.chambers.EngineBook.Drive;
import homalon.core.chambers.EngineBook.Rods;
import homalon.core.chambers.EngineItem;
import homalon.core.part.PartKind;
import homalon.core.rulebook.Source;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** A question about a cut, written as a row of a table has it: figures by name, parted by commas. */
final class QuestionOfTests {
    private QuestionOfTests() {}

    private static Map<EngineItem, Double> figures(String written) {
        Map<EngineItem, Double> all = new EnumMap<>(EngineItem.class);
        if (written != null) {
            for (String one : written.split("\\s*,\\s*")) {
                String[] words = one.strip().split("\\s+");
                all.put(EngineItem.valueOf(words[0]), Double.parseDouble(words[1]));
            }
        }
        return all;
    }

    static OutlookQuestion of(
            PartKind face,
            Drive drive,
            Crown crown,
            String book,
            String since,
            double cut,
            double other,
            Double gasket) {
        Map<EngineItem, EngineBook.Entry> entries = new EnumMap<>(EngineItem.class);
        figures(book).forEach((i, v) -> entries.put(i, new EngineBook.Entry(v, Source.MAKER)));
        return new OutlookQuestion(
                new EngineBook(entries, drive, crown, Rods.IRON),
                face,
                List.of(),
                RimDepths.level(0),
                0,
                new OutlookQuestion.Life(0, OutlookQuestion.Life.Sure.KNOWN),
                figures(since),
                Optional.empty(),
                new WhatIf(
                        cut,
                        other,
                        gasket == null ? OptionalDouble.empty() : OptionalDouble.of(gasket),
                        OptionalDouble.empty(),
                        OptionalDouble.empty()));
    }
}
