package homalon.app.machining.chambers;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import homalon.app.casting.part.Faces;
import homalon.app.casting.sheets.Sheets;
import homalon.core.part.LayoutNumbers;
import homalon.core.visit.ChamberFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.Sheet;
import homalon.core.visit.SheetFile;
import java.util.Map;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Opens the chambers of a visit. */
@Component
@RequiredArgsConstructor
class ChamberFiles {
    private final Sheets sheets;
    private final Faces faces;
    /** What was read out of a sheet's lines is a pure value of them and the layout: any instance comes to the same. */
    private final Cache<Key, ChamberFile.Read> read =
            Caffeine.newBuilder().maximumSize(200).build();

    /** @param last number of the sheet's last line: numbers are never given twice */
    private record Key(UUID visit, long revision, long last, Map<String, String> setup, LayoutNumbers numbers) {}

    ChamberFile of(PartFile part) {
        return of(part, sheets.of(part, Sheet.CHAMBERS));
    }

    /** @param sheet null where none was begun */
    ChamberFile of(PartFile part, SheetFile sheet) {
        SheetFile of = sheet == null ? SheetFile.empty(Sheet.CHAMBERS) : sheet;
        Key key = new Key(part.visit().id(), of.revision(), of.last(), of.setup(), part.numbers());
        return new ChamberFile(
                part, of, read.get(key, k -> ChamberFile.Read.of(of, k.numbers(), faces.layout(k.numbers()))));
    }
}
