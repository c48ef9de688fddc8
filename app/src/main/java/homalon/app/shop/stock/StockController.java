package homalon.app.shop.stock;

import homalon.app.foundation.load.BigFiles;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.security.CurrentUser;
import homalon.app.foundation.web.Page;
import homalon.app.foundation.words.Words;
import homalon.core.catalogue.Item;
import homalon.core.catalogue.Metal;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import lombok.RequiredArgsConstructor;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The shop's list of inserts, guides and shims. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class StockController {
    private final Catalogue catalogue;
    private final BigFiles files;

    /** A line as the page shows it. */
    record Line(
            String code,
            String kind,
            String words,
            String outer,
            String inner,
            String height,
            String metal,
            String sizing,
            int shelf) {}

    @GetMapping("/stock")
    String page(Page page, @RequestParam(defaultValue = "") String q) {
        return page.read(() -> {
            show(page, q);
            return "shop/stock/stock";
        });
    }

    private void show(Page page, String q) {
        String wanted = q.strip().toLowerCase(Locale.ROOT);
        List<Line> lines = catalogue.rows().stream()
                .filter(r -> wanted.isEmpty() || text(r).contains(wanted))
                .map(r -> line(r, page.writer()))
                .toList();
        page.show("lines", lines);
        page.show("kinds", Item.Kind.values());
        page.show("metals", Metal.values());
        page.show("q", q);
    }

    private static String text(Catalogue.Row r) {
        return (r.item().code() + " " + r.item().words() + " "
                        + Words.of(r.item().kind().words()) + " "
                        + r.item().metal().map(it -> Words.of(it.words())).orElse(""))
                .toLowerCase(Locale.ROOT);
    }

    private static Line line(Catalogue.Row r, LengthWriter writer) {
        Item i = r.item();
        return new Line(
                i.code(),
                Words.of(i.kind().words()),
                i.words(),
                size(i.outer(), writer),
                size(i.inner(), writer),
                size(i.height(), writer),
                i.metal().map(it -> Words.of(it.words())).orElse(""),
                i.kind() != Item.Kind.INSERT
                        ? ""
                        : i.nominal() ? "for a hole of " + size(i.counterbore().getAsDouble(), writer) : "true size",
                r.shelf());
    }

    private static String size(double mm, LengthWriter writer) {
        return writer.size(Length.roundedFromMm(mm)).replace(" mm", "").replace(" in", "");
    }

    @GetMapping("/stock.csv")
    ResponseEntity<byte[]> csv(Page page) {
        byte[] body = page.read(() -> CatalogueCsv.write(catalogue.rows())).getBytes(StandardCharsets.UTF_8);
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"stock.csv\"")
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .body(body);
    }

    @GetMapping("/stock-template.csv")
    ResponseEntity<byte[]> template() {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"stock-template.csv\"")
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .body(CatalogueCsv.template().getBytes(StandardCharsets.UTF_8));
    }

    /** One line, keyed by hand in the reader's unit; a code that is there already gets it. */
    @ToMachinists
    @PostMapping(path = "/stock/line", consumes = MediaType.APPLICATION_FORM_URLENCODED_VALUE)
    String line(Page page, @RequestParam Map<String, String> given) {
        Catalogue.Row row =
                CatalogueCsv.row(column -> given.getOrDefault(column, "").strip(), page.unit());
        catalogue.keep(List.of(row), page.me());
        page.show("taken", 1);
        return page.read(() -> {
            show(page, "");
            return "shop/stock/stock :: live";
        });
    }

    /** A whole list or none of it, sent as it is. */
    @ToMachinists
    @PostMapping(path = "/stock", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    String take(Page page, HttpServletRequest request) throws IOException {
        List<Catalogue.Row> rows = CatalogueCsv.read(files.table(request.getInputStream()));
        catalogue.keep(rows, page.me());
        page.show("taken", rows.size());
        return page.read(() -> {
            show(page, "");
            return "shop/stock/stock :: live";
        });
    }

    @ToMachinists
    @PostMapping("/stock/drop")
    String drop(@RequestParam String code, @AuthenticationPrincipal CurrentUser me) {
        catalogue.drop(code, me.id());
        return "redirect:/stock";
    }
}
