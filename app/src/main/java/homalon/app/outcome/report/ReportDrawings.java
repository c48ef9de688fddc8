package homalon.app.outcome.report;

import homalon.core.quantity.LengthWriter;
import homalon.core.visit.PartFile;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** The drawings of a report as SVG files, each of which carries its own style and needs nothing else. */
@Component
class ReportDrawings {
    private static final double WIDE_MM = 180;
    private static final double PASS_MM = 60;

    private final Reports reports;
    private final String css;

    ReportDrawings(Reports reports) throws IOException {
        this.reports = reports;
        try (InputStream in = new ClassPathResource("report/drawing.css").getInputStream()) {
            // Outside the report its own letters are not there.
            this.css = new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .replace("font-family: Names", "font-family: Names, sans-serif")
                    .replace("font-family: Figures", "font-family: Figures, monospace");
        }
    }

    /** By file name, in the order of the report. */
    Map<String, String> of(PartFile part, LengthWriter writer) {
        ReportView report = reports.of(part, writer);
        Map<String, String> all = new LinkedHashMap<>();
        for (ReportView.Face face : report.faces()) {
            put(all, face.title(), face.view().picture().onPaper(WIDE_MM, css).svg());
            face.view()
                    .section()
                    .ifPresent(s -> put(
                            all,
                            face.title() + " section",
                            s.onPaper(WIDE_MM, css).svg()));
        }
        report.felt()
                .forEach(f -> put(
                        all, f.title(), f.view().picture().onPaper(WIDE_MM, css).svg()));
        report.cut()
                .ifPresent(cut -> cut.passes()
                        .forEach(p -> put(
                                all, "pass", p.picture().onPaper(PASS_MM, css).svg())));
        return all;
    }

    private static void put(Map<String, String> all, String title, String svg) {
        String name = String.format(Locale.ROOT, "%02d ", all.size() + 1) + title;
        all.put(name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-") + ".svg", svg);
    }

    byte[] zip(PartFile part, LengthWriter writer) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, String> e : of(part, writer).entrySet()) {
                zip.putNextEntry(new ZipEntry(e.getKey()));
                zip.write(e.getValue().getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }
}
