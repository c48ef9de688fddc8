package homalon.app.check.feelers;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import homalon.app.casting.part.Faces;
import homalon.core.face.FeelerResult;
import homalon.core.face.Feelers;
import homalon.core.part.LayoutNumbers;
import homalon.core.quantity.Length;
import homalon.core.rulebook.RuleBook;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.PartFile;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What feelers prove of a face, worked out by the core once for each state of it. */
@Component
@RequiredArgsConstructor
public class FeelerFindings {
    private record Key(UUID survey, long revision, LayoutNumbers numbers, Length limit) {}

    private final Faces faces;
    private final Cache<Key, FeelerResult> known =
            Caffeine.newBuilder().maximumSize(300).build();

    public FeelerResult of(PartFile part, FeelerFile survey) {
        Length limit = RuleBook.overall(part.limits());
        return known.get(
                new Key(survey.id(), survey.revision(), part.numbers(), limit),
                k -> Feelers.look(survey.survey(faces.layout(part.numbers()).box(), limit)));
    }
}
