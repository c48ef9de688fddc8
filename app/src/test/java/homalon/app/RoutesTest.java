package homalon.app;

import static org.junit.jupiter.api.Assertions.assertEquals;

import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * Every route, asked by everybody: what is answered is what docs/who-may-what.md says. A page that is made tomorrow is closed
 * until it is opened, and fails here until the table says to whom.
 */
@ExtendWith(RunningShop.class)
class RoutesTest {
    private static final Path TABLE = Path.of("../docs/who-may-what.md");
    /** They end the session or the theme of the asker, or wait for events; who may call them is tested elsewhere. */
    private static final Set<String> NOT_ASKED = Set.of("GET /live");

    private final RunningShop.Shop shop;

    RoutesTest(RunningShop.Shop shop) {
        this.shop = shop;
    }

    @Test
    void whoMayWhatIsWhatTheTableSays() throws IOException {
        Map<String, Visitor> who = new LinkedHashMap<>();
        who.put("visitor", new Visitor(shop.port()));
        who.put("desk", Visitor.signedIn(shop.port(), "desk"));
        who.put("machinist", Visitor.signedIn(shop.port(), "ines"));
        who.put("owner", Visitor.signedIn(shop.port(), "marit"));
        who.get("visitor").get("/sign-in");
        Map<String, String> found = new TreeMap<>();
        for (String route : routes()) {
            List<String> may = new ArrayList<>();
            for (Map.Entry<String, Visitor> one : who.entrySet()) {
                if (opens(one.getValue(), route)) {
                    may.add(one.getKey());
                }
            }
            found.put(route, may.isEmpty() ? "programs with a token" : String.join(", ", may));
        }
        StringBuilder table = new StringBuilder();
        found.forEach((route, may) ->
                table.append("| `").append(route).append("` | ").append(may).append(" |\n"));
        String said = Files.readString(TABLE);
        String told = said.substring(said.indexOf("|---|---|\n") + 10);
        if (!told.equals(table.toString())) {
            Files.writeString(Path.of("target/who-may-what.txt"), table.toString());
        }
        assertEquals(told, table.toString(), "target/who-may-what.txt has the table as it is");
    }

    private List<String> routes() {
        List<String> all = new ArrayList<>();
        shop.beans()
                .getBean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class)
                .getHandlerMethods()
                .forEach((info, method) -> info.getPatternValues().forEach(pattern -> {
                    Set<RequestMethod> methods = info.getMethodsCondition().getMethods();
                    if (methods.isEmpty()) {
                        all.add("GET " + pattern);
                    }
                    methods.forEach(m -> all.add(m + " " + pattern));
                }));
        all.removeAll(NOT_ASKED);
        return all.stream().distinct().sorted().toList();
    }

    private static boolean opens(Visitor visitor, String route) {
        String[] words = route.split(" ", 2);
        String path = words[1].replaceAll("\\{[a-z]+:([a-z-]+)[^}]*\\}", "$1")
                .replace("{tag}", "Z-000000")
                .replaceAll("\\{(id|place|crack|batch|photo)\\}", "00000000-0000-0000-0000-000000000000")
                .replaceAll("\\{[^}]+\\}", "1");
        var answer = words[0].equals("GET") ? visitor.get(path) : visitor.post(path);
        if (answer.statusCode() == 415) {
            answer = visitor.send(path, new byte[] {1});
        }
        boolean toTheDoor = answer.statusCode() == 302
                && answer.headers().firstValue("Location").orElse("").endsWith("/sign-in");
        return answer.statusCode() != 401 && answer.statusCode() != 403 && !toTheDoor;
    }
}
