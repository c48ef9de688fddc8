package homalon.app.foundation.load;

import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Collections;
import java.util.Enumeration;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.apache.tomcat.util.http.Parameters;

/** A request whose body has come in whole; fields of a form are read from it as the container reads them, in UTF-8. */
final class BufferedBody extends HttpServletRequestWrapper {
    private static final int MOST_FIELDS = 1000;

    private final InputStream body;
    private final Map<String, String[]> fields;

    BufferedBody(HttpServletRequest request, byte[] bytes) {
        this(request, new ByteArrayInputStream(bytes), isForm(request.getContentType()) ? bytes : null);
    }

    /** One that lies in a file: no form. */
    BufferedBody(HttpServletRequest request, InputStream body) {
        this(request, body, null);
    }

    private BufferedBody(HttpServletRequest request, InputStream body, byte[] form) {
        super(request);
        this.body = body;
        this.fields = form == null ? null : fields(request, form);
    }

    static boolean isForm(String type) {
        return type != null && type.toLowerCase(Locale.ROOT).startsWith("application/x-www-form-urlencoded");
    }

    /** Those of the address first, as the container has them. */
    private static Map<String, String[]> fields(HttpServletRequest request, byte[] form) {
        Parameters parsed = new Parameters();
        parsed.setCharset(StandardCharsets.UTF_8);
        parsed.setLimit(MOST_FIELDS);
        parsed.processParameters(form, 0, form.length);
        Map<String, String[]> all = new LinkedHashMap<>(request.getParameterMap());
        for (String name : Collections.list(parsed.getParameterNames())) {
            all.merge(
                    name,
                    parsed.getParameterValues(name),
                    (a, b) -> Stream.of(a, b).flatMap(Stream::of).toArray(String[]::new));
        }
        return Collections.unmodifiableMap(all);
    }

    @Override
    public Map<String, String[]> getParameterMap() {
        return fields == null ? super.getParameterMap() : fields;
    }

    @Override
    public String getParameter(String name) {
        String[] values = getParameterValues(name);
        return values == null || values.length == 0 ? null : values[0];
    }

    @Override
    public String[] getParameterValues(String name) {
        return getParameterMap().get(name);
    }

    @Override
    public Enumeration<String> getParameterNames() {
        return Collections.enumeration(getParameterMap().keySet());
    }

    @Override
    public ServletInputStream getInputStream() {
        return new ServletInputStream() {
            @Override
            public int read() throws IOException {
                return body.read();
            }

            @Override
            public int read(byte[] into, int from, int most) throws IOException {
                return body.read(into, from, most);
            }

            @Override
            public boolean isFinished() {
                try {
                    return body.available() == 0;
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            }

            @Override
            public boolean isReady() {
                return true;
            }

            @Override
            public void setReadListener(ReadListener listener) {
                throw new IllegalStateException("The body is whole already: read it.");
            }
        };
    }

    @Override
    public BufferedReader getReader() {
        String name = getCharacterEncoding();
        return new BufferedReader(
                new InputStreamReader(body, name == null ? StandardCharsets.UTF_8 : Charset.forName(name)));
    }
}
