package homalon.app.outcome.bench;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.PartHead;
import homalon.app.casting.part.StepPages;
import homalon.app.casting.part.StepSource;
import homalon.app.check.face.Surveys;
import homalon.app.foundation.web.Shell;
import homalon.app.foundation.words.Words;
import homalon.core.quantity.DayForm;
import homalon.core.route.Step;
import homalon.core.route.VisitSteps;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Castings to work on, each with its face drawn small and what is next at it. */
@Component
@RequiredArgsConstructor
class BenchRows {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE", Locale.ENGLISH);

    private final StepSource steps;
    private final BenchPictures pictures;
    private final Ledgers ledgers;
    private final Surveys surveys;

    /**
     * One part to work on.
     *
     * @param key that opens it; 0 for none
     * @param promised whether that day was promised; else it was asked for
     * @param with tags of what it goes on or what goes on it; empty without any
     */
    record Next(
            int key,
            String tag,
            String name,
            String todo,
            String detail,
            String life,
            String due,
            boolean promised,
            String with,
            boolean late,
            String path,
            String drawing) {}

    Map<UUID, LedgerFile> books(List<PartFile> of) {
        return ledgers.ofParts(of.stream().map(PartFile::id).toList());
    }

    List<Next> next(List<PartFile> free, Map<UUID, LedgerFile> books, boolean first, Shell shell, LocalDate today) {
        Map<UUID, VisitSteps.Standing> all = steps.steps(free, shell.writer());
        Map<UUID, SurveyFile> read = surveys
                .ofVisits(free.stream().map(p -> p.visit().id()).toList())
                .stream()
                .filter(s -> s.kind().ofHeights() && s.read() > 0)
                .collect(Collectors.toMap(SurveyFile::visit, Function.identity(), BenchRows::later));
        List<Next> next = new ArrayList<>();
        for (PartFile part : free) {
            Step step = PartHead.next(all.get(part.visit().id()).strip());
            var totals = books.get(part.id()).ledger().totals(part.visit().id());
            String life = totals.life().signum() > 0 ? shell.writer().full(totals.life()) + " taken in its life" : "";
            Optional<LocalDate> due = part.visit().day();
            next.add(new Next(
                    first ? next.size() + 1 : 0,
                    part.tag(),
                    part.name(),
                    Words.of(step.todo()),
                    Words.of(step.detail()),
                    life,
                    due.map(d -> dueWords(d, today, shell.days())).orElse(""),
                    part.visit().promised().isPresent(),
                    String.join(", ", part.visit().with()),
                    due.filter(d -> d.isBefore(today)).isPresent(),
                    "/parts/" + part.tag() + "/" + StepPages.path(step.kind()),
                    pictures.of(part, Optional.ofNullable(read.get(part.visit().id())), shell.unit())));
        }
        return next;
    }

    /** Once it is read again after the cut, the face looks as it was read then. */
    private static SurveyFile later(SurveyFile one, SurveyFile other) {
        return other.kind() == SurveyKind.PROOF ? other : one;
    }

    private static String dueWords(LocalDate due, LocalDate today, DayForm form) {
        long days = ChronoUnit.DAYS.between(today, due);
        if (days < 0) {
            return -days + (days == -1 ? " day late" : " days late");
        }
        if (days == 0) {
            return "today";
        }
        if (days == 1) {
            return "tomorrow";
        }
        return days < 7 ? DAY.format(due) : form.brief(due);
    }
}
