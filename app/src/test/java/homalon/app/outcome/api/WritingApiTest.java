package homalon.app.outcome.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.casting.part.Parts;
import homalon.app.check.face.Surveys;
import homalon.app.foundation.people.People;
import homalon.app.foundation.people.PersonInfo;
import homalon.app.foundation.people.Role;
import homalon.app.foundation.security.ApiTokens;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.core.part.Material;
import homalon.core.quantity.Length;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Another program books in and sends readings, in the name of somebody who answers for them. */
@ExtendWith(RunningShop.class)
class WritingApiTest {
    private static final JsonMapper JSON = new JsonMapper();

    private final RunningShop.Shop shop;
    private final HandsOfTests hands;
    private String token;

    WritingApiTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.hands = new HandsOfTests(shop);
    }

    @BeforeEach
    void tokenOfInes() {
        token = tokenFor(Optional.of(hands.ines()));
    }

    private String tokenFor(Optional<UUID> who) {
        return shop.bean(ApiTokens.class).issue("Test bench", who, hands.ines());
    }

    private record Answer(int status, JsonNode body) {}

    private Answer get(String path) {
        return send(HttpRequest.newBuilder(URI.create(shop.address() + "/api/v1/parts" + path)));
    }

    private Answer post(String path, String body) {
        return send(HttpRequest.newBuilder(URI.create(shop.address() + "/api/v1/parts" + path))
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    private Answer send(HttpRequest.Builder request) {
        try {
            HttpResponse<String> answer = HttpClient.newHttpClient()
                    .send(
                            request.header("Authorization", "Bearer " + token).build(),
                            HttpResponse.BodyHandlers.ofString());
            return new Answer(
                    answer.statusCode(),
                    answer.body().isEmpty() ? JSON.createObjectNode() : JSON.readTree(answer.body()));
        } catch (IOException | InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private static String booking(UUID id, String more) {
        return "{\"id\":\"" + id + "\",\"engine\":\"Kelp cutter\",\"customer\":\"Kelp Row\"" + more + "}";
    }

    private static String reading(UUID id, String place, String typed, String more) {
        return "{\"id\":\"" + id + "\",\"place\":\"" + place + "\",\"typed\":\"" + typed + "\",\"unit\":\"MM\"" + more
                + "}";
    }

    @Test
    void aBookingIsMadeOnceUnderTheIdOfTheProgram() {
        UUID id = UUID.randomUUID();
        String body =
                booking(id, ",\"bore\":\"3.78 in\",\"spacing\":\"112\",\"metal\":\"aluminium\",\"due\":\"2027-02-01\"");
        Answer first = post("", body);
        assertEquals(201, first.status(), first.body().toString());
        PartFile part = shop.bean(Parts.class).byTag(first.body().get("tag").asString());
        assertEquals(id, part.id());
        assertEquals(Length.ofThou("3780"), part.numbers().bore());
        assertEquals(Length.ofMm("112"), part.numbers().spacing());
        assertEquals(Material.ALUMINIUM, part.material());
        Answer again = post("", body);
        assertEquals(201, again.status());
        assertEquals(first.body().get("tag"), again.body().get("tag"));
    }

    @Test
    void whatCannotBeBookedInSaysWhatToSendInstead() {
        Answer bare = post("", booking(UUID.randomUUID(), ""));
        assertEquals(400, bare.status());
        assertTrue(
                bare.body().get("detail").asString().contains("Bore"),
                bare.body().toString());
        assertEquals(
                400,
                post("", booking(UUID.randomUUID(), ",\"like\":\"T-9999\"")).status());
        assertEquals(
                400,
                post("", booking(UUID.randomUUID(), ",\"bore\":\"80\",\"spacing\":\"90\",\"metal\":\"tin\""))
                        .status());
        assertEquals(
                400,
                post("", "{\"engine\":\"without an id\",\"customer\":\"x\"}").status());
        assertEquals(400, post("", "{\"id\":").status());
        String taken = hands.book(Material.CAST_IRON).tag();
        Answer twice =
                post("", booking(UUID.randomUUID(), ",\"bore\":\"80\",\"spacing\":\"90\",\"tag\":\"" + taken + "\""));
        assertEquals(400, twice.status());
    }

    @Test
    void readingsAreKeptByTheRulesOfThePageEachOnce() {
        PartFile part = hands.bookReady();
        String walk = "/" + part.tag() + "/walks/face";
        assertEquals(
                400,
                post(
                                walk + "/readings",
                                reading(UUID.randomUUID(), UUID.randomUUID().toString(), "0.01", ""))
                        .status());
        JsonNode places = post(walk, "{}").body();
        assertTrue(places.size() > 8, places.toString());
        assertTrue(places.get(0).get("x").isNumber());
        UUID id = UUID.randomUUID();
        for (int i = 0; i < 2; i++) {
            Answer kept = post(
                    walk + "/readings", reading(id, places.get(0).get("key").asString(), "+0.010", ""));
            assertEquals(200, kept.status(), kept.body().toString());
            assertEquals("+0.010", kept.body().get("typed").asString());
        }
        for (int i = 1; i < 6; i++) {
            post(
                    walk + "/readings",
                    reading(UUID.randomUUID(), places.get(i).get("key").asString(), "0.0" + i, ""));
        }
        String place = places.get(6).get("key").asString();
        UUID odd = UUID.randomUUID();
        assertEquals(
                409, post(walk + "/readings", reading(odd, place, "2.5", "")).status());
        assertEquals(
                200,
                post(walk + "/readings", reading(odd, place, "2.5", ",\"sure\":true"))
                        .status());
        SurveyFile survey = shop.bean(Surveys.class).find(part, SurveyKind.FACE).orElseThrow();
        assertEquals(7, survey.history().size());
        assertEquals(hands.ines(), survey.history().get(0).by());
        JsonNode face = get("/" + part.tag() + "/walks").body().get(0);
        assertEquals("face", face.get("walk").asString());
        assertEquals(7, face.get("read").asInt());
    }

    @Test
    void aFaceBeginsWithThePlacesOfAProgramAndNoOtherWalkDoes() {
        PartFile part = hands.bookReady();
        Answer few = post("/" + part.tag() + "/walks/face", "{\"at\":[{\"x\":1,\"y\":1}]}");
        assertEquals(400, few.status());
        assertEquals(400, post("/" + part.tag() + "/walks/valves", "{}").status());
        assertEquals(400, post("/" + part.tag() + "/walks/moon", "{}").status());
        assertEquals(404, post("/T-9999/walks/face", "{}").status());
    }

    @Test
    void aTokenThatWritesForNobodyOrForOneWhoMayNotOnlyReads() {
        PartFile part = hands.bookReady();
        String walk = "/" + part.tag() + "/walks/face";
        token = tokenFor(Optional.empty());
        assertEquals(403, post(walk, "{}").status());
        assertEquals(
                403,
                post("", booking(UUID.randomUUID(), ",\"bore\":\"80\",\"spacing\":\"90\""))
                        .status());
        assertEquals(200, get("/" + part.tag() + "/walks").status());
        PersonInfo desk = shop.bean(People.class)
                .add(
                        "desk" + UUID.randomUUID().toString().substring(0, 6),
                        "Somebody",
                        Role.DESK,
                        "long enough to be one");
        token = tokenFor(Optional.of(desk.id()));
        assertEquals(403, post(walk, "{}").status());
        assertEquals(
                201,
                post("", booking(UUID.randomUUID(), ",\"bore\":\"80\",\"spacing\":\"90\""))
                        .status());
        shop.bean(People.class).setActive(desk.id(), false);
        assertEquals(
                403,
                post("", booking(UUID.randomUUID(), ",\"bore\":\"80\",\"spacing\":\"90\""))
                        .status());
        assertEquals(200, get("/" + part.tag() + "/walks").status(), "it reads on");
    }

    /** A client can be made of it: every call is named once, with what it takes and what it answers. */
    @Test
    void theDescriptionNamesEveryCallAndWhatItTakes() throws IOException, InterruptedException {
        HttpResponse<String> said = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(shop.address() + "/api/openapi"))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
        assertNotEquals(404, said.statusCode());
        JsonNode doc = JSON.readTree(said.body());
        JsonNode key = doc.get("paths")
                .get("/api/v1/parts/{tag}/walks/{walk}/readings")
                .get("post");
        assertEquals(
                "#/components/schemas/ReadingIn",
                key.at("/requestBody/content/application~1json/schema/$ref").asString());
        assertTrue(key.get("responses").has("409"));
        for (JsonNode p : key.get("parameters")) {
            assertTrue(Set.of("tag", "walk").contains(p.get("name").asString()), p.toString());
        }
    }
}
