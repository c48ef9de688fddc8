package homalon.app.machining.chambers;

import homalon.app.foundation.words.Words;
import homalon.app.machining.cut.RoomSource;
import homalon.core.cut.WhatIf;
import homalon.core.input.BadInputException;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.ChamberFile;
import homalon.core.visit.PartFile;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Tells those who cut what the budgets say. */
@Component
@RequiredArgsConstructor
class BudgetRoom implements RoomSource {
    private final ChamberFiles files;
    private final OutlookSource outlooks;

    @Override
    public Optional<Room> of(PartFile part, double cut, LengthWriter writer) {
        ChamberFile file = files.of(part);
        if (!file.begun()) {
            return Optional.empty();
        }
        try {
            WhatIf whatIf = WhatIf.NOTHING.withCut(Math.max(0, cut));
            return Optional.of(
                    BudgetHeadline.of(outlooks.of(file, whatIf), writer).room());
        } catch (BadInputException e) {
            return Optional.of(new Room("out", "More than can come off", Words.of(e.sentence())));
        }
    }

    @Override
    public double mayComeOff(PartFile part) {
        ChamberFile file = files.of(part);
        if (!file.begun()) {
            return Double.POSITIVE_INFINITY;
        }
        return outlooks.of(file, WhatIf.NOTHING).budgets().mayComeOff().orElse(Double.POSITIVE_INFINITY);
    }
}
