package homalon.app.foundation.door;

import homalon.app.foundation.opened.ToVisitors;
import homalon.app.foundation.reach.Authority;
import homalon.app.foundation.reach.Reach;
import homalon.app.foundation.web.NotHereException;
import lombok.RequiredArgsConstructor;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** How a phone or tablet comes to trust the shop's address, in five lines, and the root that it installs. */
@ToVisitors
@Controller
@RequiredArgsConstructor
class TrustController {
    private static final String NONE =
            "This shop has no authority of its own: its address needs nothing installed, or is for this machine only.";

    private final Authority authority;
    private final Reach reach;

    @GetMapping("/trust")
    String page(Model model) {
        model.addAttribute("root", root());
        model.addAttribute("address", reach.link("/"));
        return "foundation/door/trust";
    }

    @GetMapping("/trust/homalon-root.crt")
    ResponseEntity<byte[]> file() {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_TYPE, "application/x-x509-ca-cert")
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("homalon-root.crt")
                                .build()
                                .toString())
                .body(root().der());
    }

    private Authority.Root root() {
        return authority.root().orElseThrow(() -> new NotHereException(NONE));
    }
}
