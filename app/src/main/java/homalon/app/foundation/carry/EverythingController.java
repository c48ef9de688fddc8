package homalon.app.foundation.carry;

import homalon.app.foundation.memory.Memory;
import homalon.app.foundation.memory.Question;
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
import java.util.UUID;
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
    private final Memory memory;
    private final String version;

    EverythingController(
            DataSource database,
            Journal journal,
            Shop shop,
            Clock clock,
            Memory memory,
            Optional<BuildProperties> build) {
        this.database = database;
        this.journal = journal;
        this.shop = shop;
        this.clock = clock;
        this.memory = memory;
        this.version = build.map(BuildProperties::getVersion).orElse("");
    }

    private static final int ALL = 100;
    private static final int BROKE_OFF = -1;

    /** How far the last download of an owner is, in percent; below zero when it broke off. */
    private record HowFar(UUID owner) implements Question<Integer> {}

    /** Asked for again and again by the page at which the download was begun. */
    @GetMapping("/shop/everything/progress")
    String progress(Page page) {
        page.show("percent", memory.last(new HowFar(page.me())).orElse(0));
        return "foundation/door/progress :: bar";
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
        HowFar howFar = new HowFar(me.id());
        // Before anything is counted: what an earlier one came to is not told of this one.
        memory.keep(howFar, 0, 0);
        try (Connection c = database.getConnection()) {
            WriteOut.to(response.getOutputStream(), c, version, percent -> memory.keep(howFar, percent, percent));
        } finally {
            if (memory.last(howFar).orElse(0) < ALL) {
                memory.keep(howFar, BROKE_OFF, BROKE_OFF);
            }
        }
    }
}
