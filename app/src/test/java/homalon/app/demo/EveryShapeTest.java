package homalon.app.demo;

import static org.junit.jupiter.api.Assertions.assertEquals;

import homalon.app.casting.part.PartFinder;
import homalon.app.check.face.Findings;
import homalon.app.check.face.Surveys;
import homalon.app.testing.RunningShop;
import homalon.core.face.Shape;
import homalon.core.part.PartKind;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import homalon.core.visit.Wanted;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Whoever looks at the sample shop finds every shape that a face can have, on heads and on decks. */
@ExtendWith(RunningShop.class)
class EveryShapeTest {
    private final RunningShop.Shop shop;

    EveryShapeTest(RunningShop.Shop shop) {
        this.shop = shop;
    }

    @ParameterizedTest
    @EnumSource(PartKind.class)
    void isInTheSampleShop(PartKind kind) {
        PartFinder finder = shop.bean(PartFinder.class);
        Surveys surveys = shop.bean(Surveys.class);
        Findings findings = shop.bean(Findings.class);
        Set<Shape> seen = EnumSet.noneOf(Shape.class);
        for (PartFile part :
                finder.page(new Wanted(List.of()), 0, 2000).parts().stream().toList()) {
            Optional<SurveyFile> face = surveys.find(part, SurveyKind.FACE);
            if (part.kind() == kind) {
                face.flatMap(s -> findings.of(part, s))
                        .ifPresent(f -> seen.add(f.judgement().flatness().shape()));
            }
        }
        assertEquals(EnumSet.allOf(Shape.class), seen);
    }
}
