package homalon.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The first day of a real shop. */
class EmptyShopTest {
    @Test
    void itStartsWithNothingOfTheDemoInIt() {
        try (RunningShop.Shop shop = RunningShop.empty()) {
            List<String> ofTheDemo = Arrays.stream(shop.beans().getBeanDefinitionNames())
                    .filter(name -> {
                        Class<?> type = shop.beans().getType(name);
                        return type != null && type.getName().startsWith("homalon.app.demo.");
                    })
                    .toList();
            assertEquals(List.of(), ofTheDemo);
            Visitor first = new Visitor(shop.port());
            assertEquals(
                    shop.address() + "/first-visit",
                    first.get("/sign-in").headers().firstValue("Location").orElse(""));
            assertEquals(200, first.get("/first-visit").statusCode());
            assertEquals(
                    302,
                    first.post(
                                    "/first-visit",
                                    "shopName",
                                    "Quay Street",
                                    "name",
                                    "Oda",
                                    "login",
                                    "oda",
                                    "password",
                                    "saltmarsh-demo")
                            .statusCode());
            Visitor oda = Visitor.signedIn(shop.port(), "oda");
            String bench = oda.get("/").body();
            assertTrue(bench.contains("Quay Street"), bench);
        }
    }
}
