package homalon.app.machining.chambers;

import homalon.app.foundation.web.Keyed;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.core.chambers.FillState;
import homalon.core.cut.Outlook;
import homalon.core.cut.WhatIf;
import homalon.core.part.Material;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.visit.ChamberFile;
import homalon.core.visit.PartFile;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;

/** What tests of chambers do to a head: say what engine it is for, fill it, look what a cut brings. */
abstract class ChamberTests {
    final RunningShop.Shop shop;
    final HandsOfTests hands;
    final WorkOnChambers work;

    ChamberTests(RunningShop.Shop shop) {
        this.shop = shop;
        this.hands = new HandsOfTests(shop);
        this.work = shop.bean(WorkOnChambers.class);
    }

    static Map<String, String> form(String... figures) {
        Map<String, String> form = new HashMap<>(Map.of("drive", "CHAIN_OR_BELT", "crown", "FLAT", "rods", "IRON"));
        for (int i = 0; i < figures.length; i += 2) {
            form.put(figures[i], figures[i + 1]);
        }
        return form;
    }

    void engine(PartFile part, BenchUnit unit, String... figures) {
        work.engine(part, UUID.randomUUID(), form(figures), unit, hands.ines());
    }

    PartFile head(String... figures) {
        PartFile part = hands.book(Material.ALUMINIUM);
        hands.prepare(part);
        engine(part, BenchUnit.MM, figures);
        return part;
    }

    void fill(PartFile part, FillState state, int cylinder, int number, String typed, boolean sure) {
        work.fill(
                part,
                state,
                Length.ZERO,
                cylinder,
                number,
                new Keyed(UUID.randomUUID(), "", typed, BenchUnit.MM, 0L, sure),
                hands.ines());
    }

    void fillAll(PartFile part, FillState state, double... cc) {
        for (int i = 0; i < cc.length; i++) {
            fill(part, state, i + 1, 1, Double.toString(cc[i]), true);
            fill(part, state, i + 1, 2, Double.toString(cc[i]), true);
        }
    }

    ChamberFile file(PartFile part) {
        return shop.bean(ChamberFiles.class).of(part);
    }

    Outlook outlook(PartFile part, WhatIf whatIf) {
        return shop.bean(OutlookSource.class).of(file(part), whatIf);
    }
}
