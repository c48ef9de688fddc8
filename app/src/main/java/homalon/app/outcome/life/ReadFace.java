package homalon.app.outcome.life;

import homalon.core.visit.FaceFinding;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;

/** A face as it was read on one visit, and what was found of it. */
record ReadFace(PartFile visit, SurveyKind kind, FaceFinding finding) {
    LifeView.Choice choice() {
        int no = visit.visit().no();
        boolean came = kind == SurveyKind.FACE;
        return new LifeView.Choice(
                no + (came ? "-came" : "-left"), "Visit " + no + (came ? ", on arrival" : ", after the cut"));
    }
}
