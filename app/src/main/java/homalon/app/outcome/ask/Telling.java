package homalon.app.outcome.ask;

import homalon.app.casting.part.Parts;
import homalon.app.check.integrity.Photos;
import homalon.app.outcome.estimate.CustomerWriter;
import homalon.app.outcome.report.WhatWasFound;
import homalon.core.quantity.DayForm;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.ShopPaper;
import homalon.core.visit.PartFile;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Says of a casting what its customer is told, and nothing of anybody else. */
@Component
@RequiredArgsConstructor
class Telling {
    private static final int MOST_PHOTOS = 12;

    private final Parts parts;
    private final Photos photos;
    private final WhatWasFound found;
    private final CustomerWriter writers;

    Optional<PartFile> visit(UUID visit) {
        return parts.ofVisits(List.of(visit)).stream().findFirst();
    }

    /** As its customer writes days. */
    DayForm days(UUID visit) {
        return visit(visit).map(p -> writers.of(p).days()).orElse(DayForm.DAY_FIRST);
    }

    Told of(PartFile part) {
        LengthWriter writer = writers.of(part);
        WhatWasFound.Found said = found.of(part, writer);
        ShopPaper paper = part.rules().paper();
        List<String> reach = new ArrayList<>(paper.address());
        if (!paper.phone().isEmpty()) {
            reach.add(paper.phone());
        }
        if (!paper.mail().isEmpty()) {
            reach.add(paper.mail());
        }
        List<String> came = new ArrayList<>();
        came.add("It came in on "
                + writer.days().withWeekday(LocalDate.ofInstant(part.visit().openedAt(), ZoneId.systemDefault()))
                + ".");
        if (!part.visit().history().isBlank()) {
            came.add("What was told of it: " + part.visit().history());
        }
        if (!part.visit().wishes().isBlank()) {
            came.add("What was asked for: " + part.visit().wishes());
        }
        return new Told(
                said.shop(),
                reach,
                part.tag(),
                part.name(),
                came,
                said.said(),
                said.map(),
                photos.of(part).stream()
                        .limit(MOST_PHOTOS)
                        .map(p -> new Told.Photo(p.id(), p.note()))
                        .toList());
    }

    Optional<byte[]> photo(UUID visit, UUID id) {
        return visit(visit).flatMap(p -> photos.jpeg(p, id));
    }
}
