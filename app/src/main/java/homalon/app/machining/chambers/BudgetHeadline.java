package homalon.app.machining.chambers;

import homalon.app.foundation.words.Words;
import homalon.app.machining.cut.RoomSource;
import homalon.core.cut.Budget;
import homalon.core.cut.Budgets;
import homalon.core.cut.FaceNeed;
import homalon.core.cut.Outlook;
import homalon.core.quantity.LengthWriter;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;

/**
 * What the budgets come to, in a headline: how much may come off, what ends it, and what to do where the face needs more.
 *
 * @param style within, out or open
 */
record BudgetHeadline(String style, String words, String sentence) {
    /** The same, for those who cut. */
    RoomSource.Room room() {
        return new RoomSource.Room(style, words, sentence);
    }

    static BudgetHeadline of(Outlook outlook, LengthWriter writer) {
        Budgets budgets = outlook.budgets();
        double cut = outlook.question().whatIf().cut();
        Optional<Budget> binding = budgets.binding();
        OptionalDouble most = budgets.mayComeOff();
        String open = open(budgets);
        List<Budget> over = budgets.over();
        boolean chambersAlone = over.size() == 1 && over.get(0).kind() == Budget.Kind.CLASS_CC;
        if (chambersAlone && budgets.enough() && outlook.passesOnceEqual()) {
            return onceEqual(over.get(0), cut, open, writer);
        }
        List<Budget> already = budgets.overAlready();
        if (!already.isEmpty()) {
            return already(already, open);
        }
        if (binding.isEmpty()) {
            return new BudgetHeadline(
                    "open",
                    "Not known what may come off",
                    "No limit is keyed that a cut could reach, or what it is held against was not measured." + open);
        }
        String ends = BudgetViews.lower(Words.of(binding.get().name())) + " ends it, "
                + Words.of(binding.get().source().words()) + ".";
        String allowed = writer.allowed(most.orElse(0)) + " may come off";
        if (!budgets.enough()) {
            String sentence = needs(budgets, writer) + ": " + ends + " " + advice(outlook, writer);
            return new BudgetHeadline("out", "Stop: " + allowed, sentence + cautions(budgets, writer) + open);
        }
        if (!over.isEmpty()) {
            String sentence = BudgetViews.capital(Words.of(over.get(0).name())) + " is over: " + ends + open;
            return new BudgetHeadline("out", allowed + ", not " + writer.full(cut), sentence);
        }
        boolean line = budgets.all().stream().anyMatch(b -> b.state() == Budget.State.ON_THE_LINE);
        String onTheLine =
                line ? "On the line of the class: not passed by more than the measurement leaves open. " : "";
        return new BudgetHeadline(
                line || !open.isEmpty() ? "open" : "within",
                allowed,
                onTheLine + BudgetViews.capital(ends) + cautions(budgets, writer) + open);
    }

    private static BudgetHeadline onceEqual(Budget chambers, double cut, String open, LengthWriter writer) {
        return new BudgetHeadline(
                "open",
                writer.full(cut) + ", once the chambers are equal",
                "As cut, " + BudgetViews.lower(Words.of(chambers.name()))
                        + " falls below the class; ground out to the largest, as listed" + " below, all of them pass."
                        + open);
    }

    private static String needs(Budgets budgets, LengthWriter writer) {
        Budgets.Need need = budgets.needs().stream()
                .max((a, b) -> Double.compare(a.depth(), b.depth()))
                .orElseThrow();
        return "The face needs " + writer.needed(need.depth()) + " " + Words.of(need.words());
    }

    /** Over whatever is cut: the worst is named, and what may mend it. */
    private static BudgetHeadline already(List<Budget> already, String open) {
        Budget worst = already.get(0);
        String others = already.stream()
                .skip(1)
                .map(b -> BudgetViews.lower(Words.of(b.name())))
                .collect(Collectors.joining(", "));
        return new BudgetHeadline(
                "out",
                BudgetViews.capital(BudgetViews.lower(Words.of(worst.name()))) + " is over already",
                "Before anything is cut; limit from: " + Words.of(worst.source().words()) + "."
                        + (others.isEmpty() ? "" : " Over as well: " + others + ".")
                        + (already.stream().anyMatch(b -> b.kind().goneWithMetal())
                                ? " That metal is gone: no cut, and the owner decides."
                                : " Another gasket, deck or piston may mend it; less cut does not.")
                        + open);
    }

    /** What can be done where the face needs more than may come off. */
    private static String advice(Outlook outlook, LengthWriter writer) {
        FaceNeed need = outlook.question().need().orElse(FaceNeed.of(0));
        if (!outlook.budgets().thicknessKnown()) {
            return "Measure its thickness before anybody says cut or scrap: the metal that is there was not read.";
        }
        return switch (outlook.budgets().advice()) {
            case FITS -> "";
            case LEAST_REMOVAL ->
                "Set up for least removal it needs " + writer.needed(need.least()) + ", which may come off.";
            case STOP_AT_THE_BANDS ->
                "No set-up brings all of it clean; the zone of its sealing places is " + writer.needed(need.zone())
                        + ": stop where the bands of the gasket are clean, and sign for what is left.";
            case DO_NOT_CUT -> "Build it up, or do not cut.";
        };
    }

    /** What stands behind the budget that ends it. */
    private static String cautions(Budgets budgets, LengthWriter writer) {
        String said = "";
        if (budgets.proud().isPresent()) {
            said += " Cut down to that, the highest piston stands "
                    + writer.full(budgets.proud().getAsDouble())
                    + " proud of the deck: the gasket has to make room for it.";
        }
        if (budgets.restsOnAssumedOpening()) {
            said +=
                    " It rests on a chamber's opening that nobody measured, give or take 8 %: two fills with a known cut "
                            + "between, or fills to a depth, make it sure.";
        }
        return said;
    }

    /** What was not looked at is said beside whatever is found. */
    private static String open(Budgets budgets) {
        List<String> names = new ArrayList<>();
        budgets.notMeasured().forEach(b -> names.add(BudgetViews.lower(Words.of(b.name())) + " not measured"));
        budgets.notProven()
                .forEach(b -> names.add(BudgetViews.lower(Words.of(b.name())) + " is inside, but "
                        + (b.kind() == Budget.Kind.CLASS_BOWL
                                ? "not every bowl was filled"
                                : "not every chamber was filled" + (b.kind().ofClass() ? " twice" : ""))));
        budgets.withoutLimit().forEach(i -> names.add("no limit for " + BudgetViews.lower(Words.of(i.words()))));
        if (!Words.of(budgets.lifeOpen()).isEmpty()) {
            names.add(Words.of(budgets.lifeOpen()));
        }
        return names.isEmpty() ? "" : " Open: " + String.join("; ", names) + ".";
    }
}
