package homalon.app.foundation.carry;

import homalon.app.foundation.memory.HowFar;
import homalon.app.foundation.opened.ToOwners;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.security.CurrentUser;
import homalon.app.foundation.web.Page;
import homalon.app.foundation.web.Shop;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Locale;
import java.util.Optional;
import javax.sql.DataSource;
import org.springframework.boot.info.BuildProperties;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Everything of the shop, taken along by its owner. */
@ToOwners
@Controller
class EverythingController {
    private final DataSource database;
    private final Journal journal;
    private final Shop shop;
    private final Clock clock;
    private final HowFar howFar;
    private final String version;

    EverythingController(
            DataSource database,
            Journal journal,
            Shop shop,
            Clock clock,
            HowFar howFar,
            Optional<BuildProperties> build) {
        this.database = database;
        this.journal = journal;
        this.shop = shop;
        this.clock = clock;
        this.howFar = howFar;
        this.version = build.map(BuildProperties::getVersion).orElse("");
    }

    private static final String WHAT = "everything";

    /** Asked for again and again by the page at which the download was begun. */
    @GetMapping("/shop/everything/progress")
    String progress(Page page) {
        page.show("percent", howFar.of(page.me(), WHAT));
        page.show("again", "/shop/everything/progress");
        page.show("soFar", "Written so far");
        page.show("all", "All of it is written");
        page.show("brokeOff", "It broke off: what came of it is not whole. Take it along again.");
        return "foundation/web/progress :: bar";
    }

    /**
     * Written while it is sent: what has begun cannot be refused in words any more, so that a browser says that it broke off.
     */
    @GetMapping("/shop/everything.zip")
    void everything(HttpServletResponse response, @AuthenticationPrincipal CurrentUser me)
            throws IOException, SQLException {
        journal.write(Journal.What.EXPORTED, me.id(), "everything of the shop");
        String name = shop.name().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
        response.setContentType("application/zip");
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                        .filename(name + "-" + LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC) + ".zip")
                        .build()
                        .toString());
        // Before anything is counted: what an earlier one came to is not told of this one.
        howFar.tell(me.id(), WHAT, 0);
        try (Connection c = database.getConnection()) {
            WriteOut.to(response.getOutputStream(), c, version, percent -> howFar.tell(me.id(), WHAT, percent));
        } finally {
            if (howFar.of(me.id(), WHAT) < HowFar.ALL) {
                howFar.brokeOff(me.id(), WHAT);
            }
        }
    }
}
