package homalon.app.machining.valves;

import homalon.app.foundation.words.Words;
import homalon.app.machining.cut.CutToCome;
import homalon.app.shop.stock.Catalogue;
import homalon.app.shop.stock.Need;
import homalon.app.shop.stock.NeedSource;
import homalon.core.catalogue.Item;
import homalon.core.guides.Ladder;
import homalon.core.part.Valve;
import homalon.core.quantity.Length;
import homalon.core.route.Operation;
import homalon.core.valves.ValveJudge;
import homalon.core.visit.PartFile;
import homalon.core.visit.Said;
import homalon.core.visit.SeatPlans;
import homalon.core.visit.ValveFile;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What guides, inserts and shims were chosen for the valves of a job. */
@Component
@RequiredArgsConstructor
class ValveNeeds implements NeedSource {
    private final ValveFiles files;
    private final Catalogue catalogue;
    private final CutToCome toCome;

    private record One(String code, String words, Operation operation, String where) {}

    @Override
    public List<Need> needs(PartFile part) {
        Optional<ValveFile> file = files.of(part);
        if (file.isEmpty()) {
            return List.of();
        }
        List<One> all = new ArrayList<>();
        SeatPlans plans = new SeatPlans(file.get(), toCome.of(part));
        List<Item> shims = catalogue.items(Item.Kind.SHIM);
        for (Valve v : file.get().valves()) {
            guide(file.get(), v, all);
            file.get()
                    .text(v, Said.INSERT)
                    .ifPresent(code -> all.add(new One(code, words(code), Operation.INSERT, v.key())));
            shims(file.get(), v, plans, shims, all);
        }
        Map<String, List<One>> byCode = new LinkedHashMap<>();
        all.forEach(
                o -> byCode.computeIfAbsent(o.code(), c -> new ArrayList<>()).add(o));
        return byCode.values().stream()
                .map(list -> new Need(
                        list.get(0).code(),
                        list.get(0).words(),
                        list.size(),
                        list.get(0).operation(),
                        list.stream().map(One::where).distinct().toList()))
                .toList();
    }

    private void guide(ValveFile file, Valve v, List<One> all) {
        Optional<Ladder.Rung> rung = file.text(v, Said.GUIDE).flatMap(ValveFile::rung);
        if (rung.filter(r -> r == Ladder.Rung.REPLACE).isPresent()) {
            String code = file.text(v, Said.GUIDE_ITEM).orElse("GUIDE");
            all.add(new One(
                    code, code.equals("GUIDE") ? "guide, not chosen yet" : words(code), Operation.GUIDE_WORK, v.key()));
        } else if (rung.filter(r -> r == Ladder.Rung.LINER).isPresent()) {
            all.add(new One("GUIDE-LINER", "thin-wall guide liner", Operation.GUIDE_WORK, v.key()));
        } else if (rung.filter(r -> r == Ladder.Rung.OVERSIZE).isPresent()) {
            all.add(new One(
                    "VALVE-OS-" + v.kind().letter(),
                    Words.of(v.kind().words()) + " valve with an oversize stem",
                    Operation.GUIDE_WORK,
                    v.key()));
        }
    }

    private String words(String code) {
        return catalogue.byCode(code).map(r -> r.item().words()).orElse("not on the list any more");
    }

    private static void shims(ValveFile file, Valve v, SeatPlans plans, List<Item> stock, List<One> all) {
        ValveJudge.springAfter(file.readings(v), file.book(v), plans.sink(v)).ifPresent(fit -> {
            for (Length leaf : fit.stack()) {
                String code = stock.stream()
                        .filter(i -> Math.abs(i.height() - leaf.mm()) < 1e-6)
                        .map(Item::code)
                        .findFirst()
                        .orElse("SHIM-" + leaf.toString().replace(" mm", ""));
                all.add(new One(code, "spring shim " + leaf, Operation.SEAT_WORK, v.key()));
            }
        });
    }
}
