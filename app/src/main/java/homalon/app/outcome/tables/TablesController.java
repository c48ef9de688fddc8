package homalon.app.outcome.tables;

import homalon.app.foundation.load.BigFiles;
import homalon.app.foundation.opened.ToOwners;
import homalon.app.foundation.web.Page;
import homalon.core.table.TableKind;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import lombok.RequiredArgsConstructor;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Tables that a shop brings along. */
@ToOwners
@Controller
@RequestMapping("/shop/tables")
@RequiredArgsConstructor
class TablesController {
    private final TablesIn tables;
    private final BigFiles files;

    @GetMapping
    String first(Page page) {
        return page(page, TableKind.CUSTOMERS);
    }

    @GetMapping("/{kind:customers|castings|removals|readings}")
    String page(Page page, @PathVariable TableKind kind) {
        page.show("kinds", TableKind.values());
        page.show("kind", kind);
        return "outcome/tables/tables";
    }

    @GetMapping("/{kind:customers|castings|removals|readings}.csv")
    ResponseEntity<byte[]> template(@PathVariable TableKind kind) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + kind.path() + ".csv\"")
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .body(TablesIn.template(kind));
    }

    /** Asked for again and again while a table is looked at or taken in; what comes of it takes its place. */
    @GetMapping("/{kind:customers|castings|removals|readings}/progress")
    String progress(Page page, @PathVariable TableKind kind) {
        page.show("percent", tables.howFar(kind, page.me()));
        page.show("again", "/shop/tables/" + kind.path() + "/progress");
        page.show("soFar", "Lines gone through");
        page.show("all", "");
        page.show("brokeOff", "");
        return "foundation/web/progress :: bar";
    }

    /** What the file comes to; nothing is taken yet. */
    @PostMapping(
            path = "/{kind:customers|castings|removals|readings}/look",
            consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    String look(Page page, @PathVariable TableKind kind, HttpServletRequest request) throws IOException {
        page.show("kind", kind);
        page.show("seen", tables.look(kind, files.table(request.getInputStream()), page.unit(), page.me()));
        return "outcome/tables/tables :: live";
    }

    @PostMapping("/{kind:customers|castings|removals|readings}")
    String take(Page page, @PathVariable TableKind kind, @RequestParam String sum) {
        page.show("kind", kind);
        page.show("taken", tables.take(kind, sum, page.me()));
        return "outcome/tables/tables :: live";
    }
}
