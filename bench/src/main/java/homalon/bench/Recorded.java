package homalon.bench;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/**
 * Writes down what every page of a running demo says, one file for each address that is reached from the bench: text and fields of
 * pages, JSON and CSV as they are, the text of papers. Two programs that do the same leave the same folder: {@code bench/same.sh}.
 * What differs between any two runs (ids, digests, times of the day, ports) is written as a word.
 */
public final class Recorded {
    private static final int MOST = 3000;
    private static final Pattern LEAVE = Pattern.compile("^/(sign-out|assets|trust/|echo|api/docs|error|person).*");

    private final Caller caller;
    private final String base;
    private final Path to;
    private final Deque<String> ahead = new ArrayDeque<>();
    private final Set<String> seen = new LinkedHashSet<>();

    private Recorded(String base, Path to) {
        this.base = base;
        this.caller = new Caller(base);
        this.to = to;
    }

    public static void main(String[] args) throws Exception {
        Recorded all = new Recorded(
                System.getenv("RECORD_FROM"), Files.createDirectories(Path.of(System.getenv("RECORD_TO"))));
        all.caller.signIn();
        all.walk();
        System.out.println(all.seen.size() + " addresses");
    }

    private void walk() throws Exception {
        find("/");
        while (!ahead.isEmpty()) {
            String path = ahead.poll();
            HttpResponse<byte[]> answer = caller.bytes(path);
            String type = answer.headers().firstValue("Content-Type").orElse("");
            keep(path, answer.statusCode() + " " + type + "\n" + said(type, answer));
        }
    }

    private String said(String type, HttpResponse<byte[]> answer) throws IOException {
        if (type.startsWith("application/pdf")) {
            try (PDDocument paper = Loader.loadPDF(answer.body())) {
                return new PDFTextStripper().getText(paper);
            }
        }
        if (!type.startsWith("text/") && !type.contains("json")) {
            return "";
        }
        String text = new String(answer.body(), StandardCharsets.UTF_8);
        return type.startsWith("text/html") ? page(text) : text;
    }

    private String page(String html) {
        Document page = Jsoup.parse(html, base);
        page.select("script, style").remove();
        List<String> lines = new ArrayList<>();
        for (Element e : page.select("*")) {
            for (String way : List.of("href", "hx-get")) {
                find(e.attr(way));
            }
            line(lines, "", e.ownText());
            line(lines, "says ", e.attr("aria-label"));
            line(lines, "tells ", e.attr("title"));
            if (e.hasAttr("name") && !e.attr("name").contains("csrf")) {
                line(
                        lines,
                        "field ",
                        e.attr("name") + " = " + e.val() + (e.hasAttr("checked") ? " x" : "")
                                + (e.hasAttr("disabled") ? " off" : ""));
            }
        }
        return String.join("\n", lines) + "\n";
    }

    private static void line(List<String> lines, String before, String text) {
        if (!text.isBlank()) {
            lines.add(before + text.strip());
        }
    }

    private void find(String way) {
        String path = way.replaceAll("#.*", "");
        if (path.startsWith("/")
                && !path.startsWith("//")
                && !LEAVE.matcher(path).matches()
                && seen.size() < MOST
                && seen.add(path)) {
            ahead.add(path);
        }
    }

    private void keep(String path, String said) throws IOException {
        Files.writeString(to.resolve(masked(path).replaceAll("[^A-Za-z0-9=.-]+", "_") + ".txt"), masked(said));
    }

    private String masked(String said) {
        return said.replace(base, "base")
                .replaceAll("[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}", "id")
                .replaceAll("\\b[0-9a-f]{16,64}\\b", "digest")
                .replaceAll("\\b([0-9a-f]{4}\\s+){3,}[0-9a-f]{4}\\b", "digest")
                .replaceAll("\\d{4}-\\d\\d-\\d\\dT[0-9:.]+Z", "moment")
                .replaceAll("\\b\\d\\d:\\d\\d(:\\d\\d)?\\b", "hh:mm")
                .replaceAll("\\b\\d+ (s|min|h) ago\\b", "ago")
                .replaceAll("_[0-9a-f]{6,}\\.(js|css|woff2)", ".$1");
    }
}
