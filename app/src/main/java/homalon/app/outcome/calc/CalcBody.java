package homalon.app.outcome.calc;

import homalon.core.input.BadInputException;
import java.io.IOException;
import java.io.InputStream;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.databind.json.JsonMapper;

/** Reads request bodies strictly: unknown fields, wrong types and oversized bodies are told, not guessed at. */
@Component
class CalcBody {
    static final long MOST_BYTES = 64L * 1024 * 1024;

    private final JsonMapper mapper = JsonMapper.builder()
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT)
            .disable(MapperFeature.ALLOW_COERCION_OF_SCALARS)
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .build();

    /** More bytes than the interface takes in one call. */
    static final class TooLargeException extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }

    <T> T read(InputStream body, Class<T> type) {
        try {
            T read = mapper.readValue(new Limited(body), type);
            if (read == null) {
                throw new BadInputException("body", "app.calc.send-a-json-object");
            }
            return read;
        } catch (UnrecognizedPropertyException e) {
            throw new BadInputException(
                    e.getPropertyName(), "app.calc.there-is-no-field-in-this-call-leave-it", e.getPropertyName());
        } catch (JacksonException e) {
            throw told(e);
        }
    }

    private static RuntimeException told(JacksonException e) {
        for (Throwable cause = e; cause != null; cause = cause.getCause()) {
            boolean ours = cause instanceof ShapeException
                    || cause instanceof PointsBody.TooManyException
                    || cause instanceof TooLargeException;
            if (ours) {
                return (RuntimeException) cause;
            }
        }
        String field = e instanceof DatabindException d ? path(d) : "";
        if (e instanceof StreamReadException || field.isEmpty()) {
            return new BadInputException(
                    field.isEmpty() ? "body" : field, "app.calc.the-body-is-not-json-of-the-expected");
        }
        return new BadInputException(field, "app.calc.has-the-wrong-type-see-the", field);
    }

    private static String path(DatabindException e) {
        StringBuilder path = new StringBuilder();
        for (JacksonException.Reference step : e.getPath()) {
            if (step.getPropertyName() != null) {
                path.append(path.isEmpty() ? "" : ".").append(step.getPropertyName());
            } else {
                path.append('[').append(step.getIndex()).append(']');
            }
        }
        return path.toString();
    }

    /** Stops reading a body that is over the limit, whatever its headers say. */
    private static final class Limited extends InputStream {
        private final InputStream in;
        private long left = MOST_BYTES;

        Limited(InputStream in) {
            this.in = in;
        }

        @Override
        public int read() throws IOException {
            int b = in.read();
            count(b < 0 ? 0 : 1);
            return b;
        }

        @Override
        public int read(byte[] into, int from, int length) throws IOException {
            int n = in.read(into, from, length);
            count(Math.max(0, n));
            return n;
        }

        private void count(int n) {
            left -= n;
            if (left < 0) {
                throw new TooLargeException();
            }
        }
    }
}
