package homalon.app.shop.settings;

import homalon.app.foundation.load.BigFiles;
import homalon.app.foundation.load.Picture;
import homalon.app.foundation.opened.ToOwners;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.settings.ShopLogos;
import homalon.app.foundation.web.Page;
import homalon.core.input.BadInputException;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;

/** The logo at the head of the shop's papers. */
@ToOwners
@Controller
@RequestMapping("/shop/settings/logo")
@RequiredArgsConstructor
class LogoController {
    /** On its longer side, px: sharp at the width of a hand on paper. */
    private static final int LONGEST = 900;

    private final ShopLogos logos;
    private final BigFiles files;
    private final Journal journal;

    /** Decoded and encoded anew: whatever else the file held is gone. */
    @PostMapping(consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    String take(Page page, HttpServletRequest request) throws IOException {
        Picture picture;
        try {
            picture = files.take(
                    request.getInputStream(), Picture.MOST, whole -> Picture.of(whole.readAllBytes(), LONGEST));
        } catch (BigFiles.TooLargeException e) {
            throw new BadInputException("photo", "app.integrity.that-photo-is-too-large-send-one-of-at");
        }
        return used(page, Optional.of(picture.jpeg()));
    }

    @PostMapping("/remove")
    String remove(Page page) {
        return used(page, Optional.empty());
    }

    private String used(Page page, Optional<byte[]> jpeg) {
        logos.use(jpeg, page.me());
        journal.write(Journal.What.SETTINGS_CHANGED, page.me(), jpeg.isPresent() ? "logo" : "no logo");
        page.show("logo", logos.now().orElse(null));
        return "shop/settings/paper :: live";
    }
}
