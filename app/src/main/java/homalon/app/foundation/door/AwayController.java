package homalon.app.foundation.door;

import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToOwners;
import homalon.app.foundation.opened.ToVisitors;
import homalon.app.foundation.people.DeviceKeys;
import homalon.app.foundation.people.People;
import homalon.app.foundation.security.CurrentUser;
import homalon.app.foundation.web.NotHereException;
import homalon.app.foundation.web.Shop;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.ResponseBody;

/** What a device needs to work away from the net: the worker, how the program is installed, and keys. */
@Controller
@RequiredArgsConstructor
class AwayController {
    private static final MediaType SCRIPT = MediaType.parseMediaType("text/javascript;charset=UTF-8");
    private static final MediaType MANIFEST = MediaType.parseMediaType("application/manifest+json");

    private final DeviceKeys keys;
    private final People people;
    private final Shop shop;

    /** At the root, since a worker serves only what lies beside and below it. */
    @ToVisitors
    @GetMapping("/worker.js")
    ResponseEntity<Resource> worker() {
        return ResponseEntity.ok()
                .contentType(SCRIPT)
                .cacheControl(CacheControl.noCache())
                .body(new ClassPathResource("static/assets/worker.js"));
    }

    @ToVisitors
    @GetMapping("/manifest.webmanifest")
    ResponseEntity<Map<String, Object>> manifest() {
        return ResponseEntity.ok()
                .contentType(MANIFEST)
                .cacheControl(CacheControl.noCache())
                .body(Map.of(
                        "name", shop.name(),
                        "short_name", "Homalon",
                        "start_url", "/",
                        "scope", "/",
                        "display", "standalone",
                        "background_color", "#f4efe6",
                        "theme_color", "#1d262d",
                        "icons",
                                List.of(
                                        icon("/assets/icon.svg", "any", "image/svg+xml"),
                                        icon("/assets/icon-192.png", "192x192", "image/png"),
                                        icon("/assets/icon-512.png", "512x512", "image/png"))));
    }

    /** Nothing is to be found without signing in, so that nothing need be forbidden. */
    @ToVisitors
    @GetMapping(path = "/robots.txt", produces = MediaType.TEXT_PLAIN_VALUE)
    @ResponseBody
    String robots() {
        return "User-agent: *\nDisallow:\n";
    }

    private static Map<String, String> icon(String src, String sizes, String type) {
        return Map.of("src", src, "sizes", sizes, "type", type, "purpose", "any");
    }

    /** Under which this device writes what is keyed and not sent yet. */
    @ToEverybody
    @GetMapping("/person/device-key")
    ResponseEntity<byte[]> own(@AuthenticationPrincipal CurrentUser me) {
        return key(me.id());
    }

    /** The owner looks at what somebody left on this device who cannot send it any more. */
    @ToOwners
    @GetMapping("/shop/left-key/{person}")
    ResponseEntity<byte[]> left(@PathVariable UUID person) {
        if (people.find(person).filter(p -> !p.active()).isEmpty()) {
            throw new NotHereException("Nobody whose account is blocked has that number.");
        }
        return key(person);
    }

    private ResponseEntity<byte[]> key(UUID person) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .cacheControl(CacheControl.noStore())
                .body(keys.of(person));
    }
}
