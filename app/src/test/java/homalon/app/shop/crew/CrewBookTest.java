package homalon.app.shop.crew;

import static org.junit.jupiter.api.Assertions.assertEquals;

import homalon.app.testing.RunningShop;
import homalon.core.bench.ShopCrew;
import homalon.core.bench.StationKind;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Stations of a shop that begins with the usual ones. */
class CrewBookTest {
    private static List<String> ids(CrewBook crew) {
        return crew.posts().stream().map(ShopCrew.Post::id).toList();
    }

    @Test
    void aStationStaysTheSameOneWhenTheShopSaysItsOwn() {
        RunningShop.Shop shop = RunningShop.empty();
        try {
            CrewBook crew = shop.bean(CrewBook.class);
            List<String> usual = ids(crew);
            assertEquals(StationKind.values().length, usual.size());
            crew.add("Oven 2", StationKind.OVEN, 2);
            List<ShopCrew.Post> own = crew.posts();
            assertEquals("Oven 2", own.get(StationKind.OVEN.ordinal() + 1).name(), "beside the other oven");
            List<String> without = own.stream()
                    .filter(p -> !p.name().equals("Oven 2"))
                    .map(ShopCrew.Post::id)
                    .toList();
            assertEquals(usual, without, "in the same order too: what was planned on them is still there");
            crew.retire(usual.get(0));
            assertEquals(
                    usual.subList(1, 3),
                    ids(crew).stream().filter(usual::contains).limit(2).toList());
        } finally {
            shop.close();
        }
    }
}
