package homalon.app.check.integrity;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import homalon.app.foundation.load.Picture;
import homalon.app.foundation.words.Words;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.input.BadInputException;
import homalon.core.part.Material;
import homalon.core.visit.PartFile;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Photos of a casting: kept as pixels and nothing else, served as pictures, and what is none refused. */
@ExtendWith({RunningShop.class, Browser.class})
class PhotosTest {
    private final HandsOfTests hands;
    private final Visitor ines;

    private final RunningShop.Shop shop;
    private final Browser.Window window;

    PhotosTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.window = window;
        this.hands = new HandsOfTests(shop);
        this.ines = Visitor.signedIn(shop.port(), "ines");
    }

    private static String id() {
        return UUID.randomUUID().toString();
    }

    private static byte[] image(String format, int w, int h) throws IOException {
        BufferedImage image = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
        for (int x = 0; x < w; x++) {
            for (int y = 0; y < h; y++) {
                image.setRGB(x, y, x < w / 2 ? 0xff0000 : 0x0000ff);
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, format, out);
        return out.toByteArray();
    }

    @Test
    void aPhotoIsKeptAsPixelsAndServedAsAPicture() throws IOException {
        PartFile head = hands.book(Material.CAST_IRON);
        String path = "/parts/" + head.tag() + "/photos";
        byte[] png = image("png", 3000, 1200);
        HttpResponse<String> answer = ines.send(path + "?id=" + id() + "&note=left%20end", png);
        assertEquals(200, answer.statusCode(), answer::body);
        Matcher m = Pattern.compile("src=\"([^\"]+)\"[^>]*width=\"2000\" height=\"800\"")
                .matcher(answer.body());
        assertTrue(m.find(), answer::body);
        HttpResponse<String> served = ines.get(m.group(1));
        assertEquals("image/jpeg", served.headers().firstValue("Content-Type").orElse(""));
        assertEquals(
                "nosniff", served.headers().firstValue("X-Content-Type-Options").orElse(""));
        assertTrue(served.headers().allValues("Content-Security-Policy").contains("default-src 'none'; sandbox"));
        PartFile other = hands.book(Material.CAST_IRON);
        assertEquals(404, ines.get(m.group(1).replace(head.tag(), other.tag())).statusCode());
    }

    /** From the code on the tag to the camera: the page that it opens has it in reach of a thumb, and says that the photo is kept. */
    @Test
    void aPhoneTakesAPhotoWhereTheTagsCodeLedIt() throws IOException {
        PartFile head = hands.book(Material.CAST_IRON);
        List<String> faults = new ArrayList<>();
        Page phone = window.touched(shop, "ines", 390, 844, faults);
        phone.navigate(shop.address() + "/parts/" + head.tag());
        Locator camera = phone.getByLabel("Take a photo");
        assertEquals("environment", camera.getAttribute("capture"));
        assertTrue(camera.boundingBox().height >= 44);
        camera.setInputFiles(new FilePayload("taken.png", "image/png", image("png", 300, 120)));
        assertThat(phone.locator("#photo-taken")).hasText("Kept: it is shown under Cracks.");
        phone.navigate(shop.address() + "/parts/" + head.tag() + "/cracks");
        assertThat(phone.locator("#photos img")).hasCount(1);
        assertEquals(List.of(), faults);
    }

    /** The camera lay on its side: EXIF says so, and is gone from what is kept. */
    @Test
    void aPhotoStandsUprightAndItsExifIsStripped() throws IOException {
        byte[] plain = image("jpeg", 60, 40);
        byte[] exif = {
            'E', 'x', 'i', 'f', 0, 0, 'M', 'M', 0, 42, 0, 0, 0, 8, 0, 1, 1, 0x12, 0, 3, 0, 0, 0, 1, 0, 6, 0, 0, 0, 0, 0,
            0
        };
        ByteArrayOutputStream with = new ByteArrayOutputStream();
        with.write(plain, 0, 2);
        with.write(new byte[] {(byte) 0xff, (byte) 0xe1, 0, (byte) (exif.length + 2)});
        with.write(exif);
        with.write(plain, 2, plain.length - 2);
        Picture kept = Picture.of(with.toByteArray());
        assertEquals(40, kept.width());
        assertEquals(60, kept.height());
        assertFalse(new String(kept.jpeg(), StandardCharsets.ISO_8859_1).contains("Exif"));
        // A quarter turn to the right brings the left, red half to the top.
        BufferedImage back = ImageIO.read(new ByteArrayInputStream(kept.jpeg()));
        assertTrue((back.getRGB(20, 10) >> 16 & 0xff) > 120, "red on top");
        assertTrue((back.getRGB(20, 50) & 0xff) > 120, "blue below");
    }

    @Test
    void whatIsNoPhotoIsRefusedBeforeItIsDecoded() throws IOException {
        byte[] svg = "<svg xmlns='http://www.w3.org/2000/svg'><script>alert(1)</script></svg>"
                .getBytes(StandardCharsets.UTF_8);
        assertThrows(BadInputException.class, () -> Picture.of(svg));
        assertThrows(BadInputException.class, () -> Picture.of("#!/bin/sh\nrm -rf /".getBytes(StandardCharsets.UTF_8)));
        assertThrows(BadInputException.class, () -> Picture.of(image("gif", 20, 20)));
        assertThrows(BadInputException.class, () -> Picture.of(new byte[0]));
        byte[] cut = image("png", 300, 300);
        assertThrows(BadInputException.class, () -> Picture.of(Arrays.copyOf(cut, 60)));
        // A bomb says of itself that it is 10 000 by 10 000; its few bytes would decode to 400 MB.
        byte[] bomb = image("png", 16, 16);
        bomb[18] = 0x27;
        bomb[19] = 0x10;
        bomb[22] = 0x27;
        bomb[23] = 0x10;
        BadInputException e = assertThrows(BadInputException.class, () -> Picture.of(bomb));
        assertTrue(Words.of(e.sentence()).contains("megapixels"), () -> Words.of(e.sentence()));
        PartFile head = hands.book(Material.CAST_IRON);
        HttpResponse<String> renamed = ines.send("/parts/" + head.tag() + "/photos?id=" + id() + "&note=a.jpg", svg);
        assertEquals(422, renamed.statusCode());
        assertEquals(
                422,
                ines.send("/parts/" + head.tag() + "/photos?id=" + id(), new byte[10_000_001])
                        .statusCode());
    }
}
