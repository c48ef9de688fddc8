package homalon.app.demo;

import homalon.app.foundation.people.People;
import homalon.app.foundation.people.PersonInfo;
import homalon.app.foundation.people.Role;
import homalon.app.foundation.web.Shop;
import homalon.core.quantity.BenchUnit;
import lombok.RequiredArgsConstructor;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.transaction.annotation.Transactional;

/** "Saltmarsh Head &amp; Deck", a made-up shop in a made-up harbour. Every name in it is plainly invented. */
@OfTheDemo
@RequiredArgsConstructor
class DemoData implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(DemoData.class);
    static final String PASSWORD = "saltmarsh-demo";

    private final People people;
    private final SampleTools tools;
    private final Shop shop;
    private final SampleBench bench;
    private final SampleShapes shapes;
    private final SampleStories stories;
    private final SampleValves valves;
    private final SampleChambers chambers;

    /** All of it or nothing: a half-made shop would never be finished. */
    @Override
    @Transactional
    public void run(ApplicationArguments args) {
        if (!people.nobodyYet()) {
            return;
        }
        shop.rename("Saltmarsh Head & Deck");
        PersonInfo owner = people.add("marit", "Marit", Role.OWNER, PASSWORD);
        PersonInfo ines = people.add("ines", "Ines", Role.MACHINIST, PASSWORD);
        PersonInfo brannoc = people.add("brannoc", "Brannoc", Role.MACHINIST, PASSWORD);
        people.add("desk", "Pell at the desk", Role.DESK, PASSWORD);
        people.setPin(owner.id(), "4826");
        people.setPin(ines.id(), "7391");
        people.setPin(brannoc.id(), "5028");
        people.useUnit(brannoc.id(), BenchUnit.THOU);
        tools.all(owner.id(), ines.id());
        bench.all(ines, brannoc);
        shapes.everyShape();
        shapes.together();
        stories.are(ines.id(), brannoc.id());
        stories.whole();
        valves.all(ines.id(), brannoc.id());
        chambers.all(ines.id());
        LOG.info("sample data is in");
    }
}
