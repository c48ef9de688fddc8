package homalon.app.check.integrity;

import homalon.app.casting.part.Parts;
import homalon.app.foundation.load.BigFiles;
import homalon.app.foundation.load.Picture;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.security.CurrentUser;
import homalon.app.foundation.web.NotHereException;
import homalon.core.input.BadInputException;
import homalon.core.visit.PartFile;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Duration;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Takes photos in as they come from a phone, and shows them. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class PhotoController {
    private final Parts parts;
    private final Photos photos;
    private final BigFiles files;

    @ToMachinists
    @PostMapping("/parts/{tag}/photos")
    String add(
            PartFile part,
            @RequestParam UUID id,
            @RequestParam(defaultValue = "") String note,
            @AuthenticationPrincipal CurrentUser me,
            HttpServletRequest request,
            Model model)
            throws IOException {
        Picture picture;
        try {
            picture = files.take(request.getInputStream(), Picture.MOST, whole -> Picture.of(whole.readAllBytes()));
        } catch (BigFiles.TooLargeException e) {
            throw new BadInputException("photo", "app.integrity.that-photo-is-too-large-send-one-of-at");
        }
        photos.add(part, id, picture, note, me.id());
        model.addAttribute("part", part);
        model.addAttribute("photos", photos.of(part));
        return "check/integrity/photos :: live";
    }

    /** Encoded here, so it is a JPEG and nothing else; the browser is told so all the same. */
    @GetMapping("/parts/{tag}/photos/{id}")
    ResponseEntity<byte[]> photo(@PathVariable String tag, @PathVariable UUID id) {
        byte[] jpeg = photos.jpeg(parts.byTag(tag), id)
                .orElseThrow(() -> new NotHereException("There is no such photo of this part."));
        return ResponseEntity.ok()
                .contentType(MediaType.IMAGE_JPEG)
                .header("Content-Disposition", "inline; filename=\"" + tag.replaceAll("[^A-Za-z0-9-]", "") + ".jpg\"")
                .header("X-Content-Type-Options", "nosniff")
                .header("Content-Security-Policy", "default-src 'none'; sandbox")
                .cacheControl(CacheControl.maxAge(Duration.ofDays(30)).cachePrivate())
                .body(jpeg);
    }
}
