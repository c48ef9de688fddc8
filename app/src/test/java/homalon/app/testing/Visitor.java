package homalon.app.testing;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.net.CookieHandler;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A person without a browser: cookies, forms with the page's own token, and what the server answers. */
public final class Visitor {
    private static final Pattern TOKEN = Pattern.compile("name=\"(?:_csrf|csrf)\"[^>]*(?:value|content)=\"([^\"]+)\"");

    private final HttpClient client;
    private final String base;
    private String token = "";
    private String[] extra = {"Accept", "*/*"};

    public Visitor(int port) {
        this("http://127.0.0.1:" + port, new CookieManager());
    }

    private Visitor(String base, CookieHandler cookies) {
        this.base = base;
        this.client = HttpClient.newBuilder()
                .cookieHandler(cookies)
                .followRedirects(HttpClient.Redirect.NEVER)
                .build();
    }

    /** The same person in another window, over a connection of its own. */
    public Visitor another() {
        Visitor other = new Visitor(base, client.cookieHandler().orElseThrow());
        other.token = token;
        return other;
    }

    public static Visitor signedIn(int port, String login) {
        Visitor visitor = new Visitor(port);
        visitor.get("/sign-in");
        visitor.post("/sign-in", "login", login, "password", "saltmarsh-demo");
        visitor.get("/");
        return visitor;
    }

    /** The same person, sent to another instance by what stands before them. */
    public Visitor at(int port) {
        Visitor other =
                new Visitor("http://127.0.0.1:" + port, client.cookieHandler().orElseThrow());
        other.token = token;
        return other;
    }

    /** A token that an answer brought, for what is sent next. */
    public void token(String fresh) {
        token = fresh;
    }

    /** A header that something between adds to every request. */
    public Visitor through(String header, String value) {
        extra = new String[] {header, value};
        return this;
    }

    public HttpResponse<String> get(String path) {
        HttpResponse<String> answer = send(HttpRequest.newBuilder(URI.create(base + path)));
        Matcher m = TOKEN.matcher(answer.body());
        if (m.find()) {
            token = m.group(1);
        }
        return answer;
    }

    /** An answer that goes on, to be read as it comes. */
    public InputStream stream(String path) throws IOException, InterruptedException {
        return client.send(
                        HttpRequest.newBuilder(URI.create(base + path))
                                .headers(extra)
                                .build(),
                        BodyHandlers.ofInputStream())
                .body();
    }

    /** Posts as the pages' scripts do, so that refusals come as text. */
    public HttpResponse<String> key(String path, String... fields) {
        return send(form(path, fields).header("X-Keying", "1"));
    }

    public HttpResponse<String> post(String path, String... fields) {
        return send(form(path, fields));
    }

    public HttpResponse<String> postWithoutToken(String path, String... fields) {
        token = "";
        return send(form(path, fields));
    }

    /** A body as it is keyed here. */
    public HttpResponse<String> raw(String path, String type, String body) {
        return send(HttpRequest.newBuilder(URI.create(base + path))
                .header("Content-Type", type)
                .header("X-CSRF-TOKEN", token)
                .POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    /** Sends bytes as they are, as the pages' scripts send files. */
    public HttpResponse<String> send(String path, byte[] body) {
        return send(HttpRequest.newBuilder(URI.create(base + path))
                .header("Content-Type", "application/octet-stream")
                .header("X-CSRF-TOKEN", token)
                .header("X-Keying", "1")
                .POST(HttpRequest.BodyPublishers.ofByteArray(body)));
    }

    private HttpRequest.Builder form(String path, String... fields) {
        List<String> pairs = new ArrayList<>();
        for (int i = 0; i < fields.length; i += 2) {
            pairs.add(fields[i] + "=" + URLEncoder.encode(fields[i + 1], StandardCharsets.UTF_8));
        }
        return HttpRequest.newBuilder(URI.create(base + path))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("X-CSRF-TOKEN", token)
                .POST(HttpRequest.BodyPublishers.ofString(String.join("&", pairs)));
    }

    private HttpResponse<String> send(HttpRequest.Builder request) {
        try {
            HttpResponse<String> answer = client.send(request.headers(extra).build(), BodyHandlers.ofString());
            assertThat(answer.body())
                    .as("what the core says is shown in words")
                    .doesNotContain("Message[code=")
                    .doesNotContain("\"args\":[");
            return answer;
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
