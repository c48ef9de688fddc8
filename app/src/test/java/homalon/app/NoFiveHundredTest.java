package homalon.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.casting.readings.Walks;
import homalon.app.foundation.security.ApiTokens;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.visit.PartFile;
import java.io.IOException;
import java.lang.reflect.Parameter;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Whatever is asked, nothing breaks: no address, no parameter, no body makes the server answer with 5xx. */
@ExtendWith(RunningShop.class)
class NoFiveHundredTest {
    private static final List<String> ODD = List.of(
            "",
            ",",
            " ",
            "x",
            "-1",
            "0",
            "1",
            "2147483648",
            "99999999999999999999",
            "NaN",
            "1e400",
            "-0.0",
            "../..",
            "'",
            "\"><b>",
            "ö😀",
            "null",
            "true",
            "[]",
            "{}",
            "%",
            "1,2",
            ",,",
            "00000000-0000-0000-0000-000000000000",
            "1/0",
            "A".repeat(300));

    /** More of them by -Dhomalon.calls=5000. */
    private static final int CALLS = Integer.getInteger("homalon.calls", 1500);

    private final RunningShop.Shop shop;
    private final Visitor marit;
    private final List<String> tags = new ArrayList<>();

    NoFiveHundredTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.marit = Visitor.signedIn(shop.port(), "marit");
        HandsOfTests hands = new HandsOfTests(shop);
        PartFile fresh = hands.book(Material.ALUMINIUM);
        PartFile deck = hands.book(Material.CAST_IRON, PartKind.DECK);
        // Just booked, nothing set up; then some with everything.
        tags.addAll(List.of(fresh.tag(), deck.tag(), "T-0446", "T-0447", "T-0412"));
    }

    private static String value(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    @Test
    void noPageBreaksWhateverIsAsked() {
        Map<String, String> broken = new TreeMap<>();
        int asked = 0;
        Random random = new Random(15);
        for (var route : shop.beans()
                .getBean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class)
                .getHandlerMethods()
                .entrySet()) {
            Set<RequestMethod> methods = route.getKey().getMethodsCondition().getMethods();
            if (!methods.isEmpty() && !methods.contains(RequestMethod.GET)) {
                continue;
            }
            List<String> names = names(route.getValue().getMethod().getParameters());
            for (String pattern : route.getKey().getPatternValues()) {
                if (pattern.startsWith("/api/") || pattern.equals("/live") || pattern.contains("openapi")) {
                    continue;
                }
                List<String> paths = paths(pattern);
                for (int p = 0; p < paths.size(); p++) {
                    String path = paths.get(p);
                    List<String> queries = new ArrayList<>(List.of(""));
                    for (String name : names) {
                        // Every odd thing in every parameter, over all castings taken together.
                        for (int o = p; o < Math.max(ODD.size(), p + 1); o += paths.size()) {
                            queries.add("?" + name + "=" + value(ODD.get(o % ODD.size())));
                        }
                    }
                    for (int i = 0; i < 2 && names.size() > 1; i++) {
                        StringBuilder all = new StringBuilder("?");
                        names.forEach(n -> all.append(n)
                                .append('=')
                                .append(value(ODD.get(random.nextInt(ODD.size()))))
                                .append('&'));
                        queries.add(all.toString());
                    }
                    for (String query : queries) {
                        asked++;
                        HttpResponse<String> answer = marit.get(path + query);
                        if (answer.statusCode() >= 500) {
                            broken.put(pattern + query, path + " " + answer.statusCode());
                        }
                    }
                }
            }
        }
        assertEquals(Map.of(), broken);
        assertTrue(asked > 1000, asked + " asked");
    }

    private static List<String> names(Parameter[] parameters) {
        List<String> names = new ArrayList<>();
        for (Parameter p : parameters) {
            RequestParam asked = p.getAnnotation(RequestParam.class);
            if (asked != null) {
                names.add(
                        !asked.name().isEmpty()
                                ? asked.name()
                                : !asked.value().isEmpty() ? asked.value() : p.getName());
            }
        }
        return names;
    }

    /** The route with every part, and with whatever else stands in it said in several ways. */
    private List<String> paths(String pattern) {
        Set<String> paths = new TreeSet<>();
        for (String tag : pattern.contains("{tag}") ? tags : List.of("")) {
            String path = pattern.replace("{tag}", tag);
            if (path.matches(".*\\{[a-z]+:[^}]+\\}.*")) {
                String choices = path.replaceAll(".*\\{[a-z]+:([^}]+)\\}.*", "$1");
                for (String one : choices.split("\\|")) {
                    String fixed = path.replaceAll("\\{[a-z]+:[^}]+\\}", one);
                    for (String other : List.of("1E", "x")) {
                        paths.add(fixed.replaceAll("\\{[^}]+\\}", other));
                    }
                }
            } else {
                for (String other : List.of(
                        "1E",
                        "GUIDES",
                        "STEMS",
                        "SEATS",
                        "AS_CAME",
                        "x",
                        "-1",
                        "00000000-0000-0000-0000-000000000000")) {
                    paths.add(path.replaceAll("\\{[^}]+\\}", other));
                }
            }
        }
        return List.copyOf(paths);
    }

    /** Bodies made from the interface's own description, right, half right and wrong in every way that JSON can be. */
    @Test
    void noCallBreaksWhateverIsSent() throws IOException, InterruptedException {
        HttpClient client =
                HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).build();
        JsonNode description =
                JsonMapper.shared().readTree(marit.get("/api/openapi").body());
        Random random = new Random(7);
        List<String> calls = new ArrayList<>();
        description.get("paths").propertyNames().stream()
                .filter(p -> description.get("paths").get(p).has("post"))
                .forEach(calls::add);
        assertTrue(calls.size() >= 12, calls.toString());
        // It writes as well, on castings that nobody else looks at.
        HandsOfTests hands = new HandsOfTests(shop);
        String token = shop.bean(ApiTokens.class).issue("Throws anything", Optional.of(hands.ines()), hands.ines());
        List<String> tags = List.of(hands.bookReady().tag(), "T-9999", "x");
        List<String> walks = shop.bean(Walks.class).names();
        List<String> broken = new ArrayList<>();
        int right = 0;
        for (int i = 0; i < CALLS; i++) {
            String call = calls.get(i % calls.size());
            JsonNode schema = description
                    .get("paths")
                    .get(call)
                    .get("post")
                    .get("requestBody")
                    .get("content")
                    .get("application/json")
                    .get("schema");
            String body = made(schema, description, random, 0).toString();
            if (random.nextInt(20) == 0) {
                body = body.substring(0, random.nextInt(body.length() + 1));
            }
            HttpResponse<String> answer = client.send(
                    HttpRequest.newBuilder(URI.create(shop.address()
                                    + call.replace("{tag}", tags.get(i % tags.size()))
                                            .replace("{walk}", walks.get(random.nextInt(walks.size())))))
                            .header("Content-Type", "application/json")
                            .header("Authorization", "Bearer " + token)
                            .POST(HttpRequest.BodyPublishers.ofString(body))
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
            right += answer.statusCode() == 200 ? 1 : 0;
            if (answer.statusCode() >= 500) {
                broken.add(call + " " + answer.statusCode() + " for " + body);
            }
        }
        assertEquals(List.of(), broken.stream().limit(5).toList(), broken.size() + " in all");
        assertTrue(right >= 0);
    }

    private static JsonNode made(JsonNode schema, JsonNode root, Random random, int depth) {
        JsonNodeFactory make = JsonNodeFactory.instance;
        if (random.nextInt(25) == 0 || depth > 7) {
            return odd(random);
        }
        JsonNode s = schema;
        while (s.has("$ref")) {
            String[] path = s.get("$ref").asString().split("/");
            s = root.get(path[1]).get(path[2]).get(path[3]);
        }
        if (s.has("enum")) {
            JsonNode choices = s.get("enum");
            return choices.get(random.nextInt(choices.size()));
        }
        for (String several : List.of("oneOf", "anyOf", "allOf")) {
            if (s.has(several)) {
                return made(s.get(several).get(random.nextInt(s.get(several).size())), root, random, depth + 1);
            }
        }
        String type = s.path("type").isArray()
                ? s.get("type").get(0).asString()
                : s.path("type").asString("object");
        return switch (type) {
            case "array" -> {
                ArrayNode array = make.arrayNode();
                int count = random.nextInt(depth > 2 ? 5 : 9);
                for (int i = 0; i < count; i++) {
                    array.add(made(s.path("items"), root, random, depth + 1));
                }
                yield array;
            }
            case "number" -> make.numberNode(number(random));
            case "integer" -> make.numberNode(random.nextInt(6) == 0 ? random.nextInt() : random.nextInt(9));
            case "boolean" -> make.booleanNode(random.nextBoolean());
            case "string" -> make.stringNode(ODD.get(random.nextInt(ODD.size())));
            default -> {
                ObjectNode object = make.objectNode();
                if (s.has("properties")) {
                    JsonNode properties = s.get("properties");
                    for (String name : properties.propertyNames()) {
                        if (random.nextInt(8) > 0) {
                            object.set(name, made(properties.get(name), root, random, depth + 1));
                        }
                    }
                }
                yield object;
            }
        };
    }

    private static double number(Random random) {
        return switch (random.nextInt(12)) {
            case 0 -> 0;
            case 1 -> -random.nextDouble() * 100;
            case 2 -> 1e300;
            case 3 -> Double.MIN_VALUE;
            case 4 -> random.nextInt(1000);
            default -> random.nextDouble() * Math.pow(10, random.nextInt(4) - 1);
        };
    }

    private static JsonNode odd(Random random) {
        JsonNodeFactory make = JsonNodeFactory.instance;
        return switch (random.nextInt(7)) {
            case 0 -> make.nullNode();
            case 1 -> make.stringNode(ODD.get(random.nextInt(ODD.size())));
            case 2 -> make.numberNode(number(random));
            case 3 -> make.arrayNode();
            case 4 -> make.objectNode();
            case 5 -> make.booleanNode(true);
            default -> make.arrayNode().add(make.arrayNode().add(make.nullNode()));
        };
    }
}
