package homalon.app.outcome.calc;

import homalon.app.testing.RunningShop;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Asks for calculations over HTTP as a spreadsheet would. */
record Caller(RunningShop.Shop shop) {
    HttpResponse<String> ask(String calc, String body, String authorization) throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(shop.address() + "/api/v1/calc/" + calc))
                .header("Content-Type", "application/json")
                .POST(BodyPublishers.ofString(body));
        if (!authorization.isEmpty()) {
            request.header("Authorization", authorization);
        }
        return HttpClient.newHttpClient().send(request.build(), BodyHandlers.ofString());
    }

    HttpResponse<String> ask(String calc, String body) throws IOException, InterruptedException {
        return ask(calc, body, basic("api", "saltmarsh-demo"));
    }

    JsonNode answer(String calc, String body) throws IOException, InterruptedException {
        return JsonMapper.shared().readTree(ask(calc, body).body());
    }

    static String basic(String user, String password) {
        return "Basic " + Base64.getEncoder().encodeToString((user + ":" + password).getBytes(StandardCharsets.UTF_8));
    }
}
