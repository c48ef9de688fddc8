package homalon.app.foundation.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpServletResponseWrapper;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Set;
import org.thymeleaf.spring6.view.ThymeleafView;

/**
 * A page that is written whole and then sent as bytes. Sent as letters, each of them passes the filters' counting and a slow
 * encoder, which takes as long as drawing the map; and a page that cannot be written leaves no half of it behind.
 */
public class BufferedView extends ThymeleafView {

    @Override
    protected void renderFragment(
            Set<String> fragments, Map<String, ?> model, HttpServletRequest request, HttpServletResponse response)
            throws Exception {
        Kept kept = new Kept(response);
        super.renderFragment(fragments, model, request, kept);
        byte[] page = kept.text.toString().getBytes(StandardCharsets.UTF_8);
        response.setContentLength(page.length);
        response.getOutputStream().write(page);
    }

    private static final class Kept extends HttpServletResponseWrapper {
        private final StringWriter text = new StringWriter(65_536);
        private final PrintWriter writer = new PrintWriter(text);

        Kept(HttpServletResponse response) {
            super(response);
        }

        @Override
        public PrintWriter getWriter() {
            return writer;
        }

        @Override
        public void flushBuffer() throws IOException {
            writer.flush();
        }
    }
}
