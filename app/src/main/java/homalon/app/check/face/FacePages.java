package homalon.app.check.face;

import homalon.app.casting.part.PartPage;
import homalon.app.shop.instruments.HandView;
import homalon.app.shop.instruments.Hands;
import homalon.core.input.BadInputException;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What the page of a survey shows, whole or in the parts that a change lays into it. */
@Component
@RequiredArgsConstructor
class FacePages {
    private final Surveys surveys;
    private final FaceViews views;
    private final Hands hands;
    private final SurveyCorrections corrections;

    /** A survey that was begun. */
    void show(PartPage page, SurveyFile survey) {
        PartFile part = page.part();
        page.show("kind", survey.kind());
        page.show("tag", part.tag());
        page.show("view", views.of(part, survey, page.writer()));
        page.show(
                "hand",
                ReadWithView.of(
                        survey,
                        hands.choices(survey.kind().instruments(), page.me()),
                        corrections.proposed(survey),
                        page.writer()));
        page.show("high", views.height(part, survey, page.writer()));
        page.show("line", UUID.randomUUID());
        page.frame(survey.kind().step());
    }

    /** One that is to be begun: what was in hand last is proposed. */
    void proposed(PartPage page, SurveyKind kind) {
        page.show("hand", HandView.proposed(hands.choices(kind.instruments(), page.me())));
    }

    /** What stands after a change. */
    String live(PartPage page, SurveyKind kind) {
        return page.read(() -> {
            show(page, begun(page.part(), kind));
            return "check/face/survey :: live";
        });
    }

    /** After a reading: at once what the readings say by themselves, while the chance between them is worked out. */
    String afterReading(PartPage page, SurveyKind kind) {
        return page.read(() -> {
            FaceView view = views.atOnce(page.part(), begun(page.part(), kind), page.writer());
            if (!view.awaited()) {
                show(page, begun(page.part(), kind));
                return "check/face/survey :: live";
            }
            // Without the strip, which waits for the verdict as well.
            page.show("kind", kind);
            page.show("tag", page.part().tag());
            page.show("view", view);
            return "check/face/survey :: at-once";
        });
    }

    SurveyFile begun(PartFile part, SurveyKind kind) {
        return surveys.find(part, kind)
                .orElseThrow(() -> new BadInputException("survey", "app.face.this-survey-was-not-started-start-it"));
    }
}
