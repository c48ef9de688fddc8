package homalon.app.shop.settings;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.casting.part.PartVisits;
import homalon.app.foundation.settings.ShopLogos;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.part.Material;
import homalon.core.visit.PartFile;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A logo at the head of the report. */
@ExtendWith(RunningShop.class)
class LogoTest {
    private final RunningShop.Shop shop;
    private final HandsOfTests hands;
    private final Visitor marit;

    LogoTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.hands = new HandsOfTests(shop);
        this.marit = Visitor.signedIn(shop.port(), "marit");
        marit.get("/shop/settings/paper");
    }

    @AfterEach
    void none() {
        shop.bean(ShopLogos.class).use(Optional.empty(), hands.ines());
    }

    private static byte[] png(int width, int height) throws IOException {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = image.createGraphics();
        g.setColor(new Color(18, 63, 120));
        g.fillOval(0, 0, width, height);
        g.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }

    /** Pictures on the first page, as width by height. */
    private List<String> pictures(PartFile part) throws IOException, InterruptedException {
        byte[] pdf;
        try (InputStream in = marit.stream("/parts/" + part.tag() + "/report.pdf")) {
            pdf = in.readAllBytes();
        }
        try (PDDocument doc = Loader.loadPDF(pdf)) {
            PDResources on = doc.getPage(0).getResources();
            List<String> found = new ArrayList<>();
            for (COSName name : on.getXObjectNames()) {
                if (on.isImageXObject(name)) {
                    PDImageXObject image = (PDImageXObject) on.getXObject(name);
                    found.add(image.getWidth() + "x" + image.getHeight());
                }
            }
            return found;
        }
    }

    @Test
    void aPictureStandsAtTheHeadOfTheReportDrawnAnewAndNoLarger() throws IOException, InterruptedException {
        PartFile part = hands.book(Material.CAST_IRON);
        assertEquals(List.of(), pictures(part));
        HttpResponse<String> answer = marit.send("/shop/settings/logo", png(1800, 600));
        assertEquals(200, answer.statusCode());
        assertTrue(answer.body().contains("data:image/jpeg;base64,"), answer.body());
        assertEquals(List.of("900x300"), pictures(part));
        assertTrue(marit.get("/parts/" + part.tag() + "/report").body().contains("alt=\"Saltmarsh Head &amp; Deck\""));
        marit.post("/shop/settings/logo/remove");
        assertEquals(List.of(), pictures(part));
    }

    @Test
    void whatWasHandedOverKeepsTheHeadOfItsDay() throws IOException, InterruptedException {
        PartFile part = hands.book(Material.CAST_IRON);
        shop.bean(PartVisits.class).handOver(part.id(), List.of(), "", hands.ines());
        marit.send("/shop/settings/logo", png(90, 90));
        assertEquals(List.of(), pictures(part));
    }

    @Test
    void whatIsNoPictureIsRefusedInASentence() {
        HttpResponse<String> answer =
                marit.send("/shop/settings/logo", "<svg onload='alert(1)'/>".getBytes(StandardCharsets.UTF_8));
        assertEquals(422, answer.statusCode());
        assertTrue(answer.body().contains("JPEG or PNG"), answer.body());
        assertFalse(shop.bean(ShopLogos.class).now().isPresent());
    }
}
