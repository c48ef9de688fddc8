package homalon.app.casting.paper;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import homalon.app.foundation.web.WarmUpTask;
import homalon.core.rulebook.ShopPaper;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;

/**
 * Prints a page: on the shop's sheet, fonts embedded, drawings as vectors. Nothing is fetched: the renderer is given no way to open an
 * address.
 */
@Component
public class PdfPress implements WarmUpTask {
    private final ITemplateEngine templates;
    private final String css;
    private final String drawingCss;

    PdfPress(ITemplateEngine templates) {
        XRLog.setLoggingEnabled(false);
        this.templates = templates;
        this.css = text("report/print.css");
        this.drawingCss = text("report/drawing.css");
    }

    private static String text(String path) {
        try (InputStream in = new ClassPathResource(path).getInputStream()) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Style of drawings that go onto paper. */
    public String drawingCss() {
        return drawingCss;
    }

    /**
     * @param template of a whole page
     * @param name by which it knows what is printed
     */
    public byte[] print(String template, String name, Object printed, ShopPaper.Sheet sheet) {
        Context context = new Context(Locale.ENGLISH);
        context.setVariable(name, printed);
        context.setVariable("css", sheet == ShopPaper.Sheet.A4 ? css : css.replace("size: A4", "size: 8.5in 11in"));
        return rendered(templates.process(template, context));
    }

    /** Fonts and the classes that draw are read at the first print. */
    @Override
    public void warm() {
        rendered(
                "<html><head><style>" + css + "</style></head><body><h1>A</h1><p>b <b>c</b> <code>1</code></p>"
                        + "<svg xmlns='http://www.w3.org/2000/svg' width='9' height='9'><circle r='4'/><text>d</text></svg></body></html>");
    }

    private static byte[] rendered(String html) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PdfRendererBuilder builder = new PdfRendererBuilder();
        builder.useSVGDrawer(new BatikSVGDrawer());
        // A picture that carries itself is read; nothing is fetched.
        builder.useUriResolver((base, uri) -> uri.startsWith("data:image/jpeg;base64,") ? uri : null);
        font(builder, "AtkinsonHyperlegibleNext_400Regular.ttf", "Text", 400);
        font(builder, "AtkinsonHyperlegibleNext_700Bold.ttf", "Text", 700);
        font(builder, "AtkinsonHyperlegibleMono_500Medium.ttf", "Figures", 400);
        font(builder, "BarlowCondensed_600SemiBold.ttf", "Names", 400);
        builder.withProducer("Homalon");
        // Tagged, so that it can be read aloud.
        builder.usePdfUaAccessibility(true);
        builder.withHtmlContent(html, null);
        builder.toStream(out);
        try {
            builder.run();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private static void font(PdfRendererBuilder builder, String file, String family, int weight) {
        builder.useFont(
                () -> {
                    try {
                        return new ClassPathResource("report-fonts/" + file).getInputStream();
                    } catch (IOException e) {
                        throw new UncheckedIOException(e);
                    }
                },
                family,
                weight,
                FontStyle.NORMAL,
                true);
    }
}
