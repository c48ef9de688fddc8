package homalon.app.outcome.calc;

import homalon.core.geometry.Points;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Arrays;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.annotation.JsonDeserialize;

/** Points as {@code [[x, y, z], ...]}, read straight into three arrays since a scan may hold two million. */
@JsonDeserialize(using = PointsBody.Reader.class)
@Schema(
        type = "array",
        description = "Points [x, y, z] in mm, x along the length",
        example = "[[0,0,0.03],[400,0,0],[0,150,0],[400,150,0.05]]")
final class PointsBody {
    static final int MOST = 2_000_000;

    private final Points points;

    private PointsBody(Points points) {
        this.points = points;
    }

    Points points() {
        return points;
    }

    /** More points than the interface takes in one call. */
    static final class TooManyException extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }

    static final class Reader extends ValueDeserializer<PointsBody> {
        private double[] x = new double[256];
        private double[] y = new double[256];
        private double[] z = new double[256];

        @Override
        public PointsBody deserialize(JsonParser parser, DeserializationContext context) {
            Reader fresh = new Reader();
            return fresh.read(parser);
        }

        private PointsBody read(JsonParser parser) {
            if (parser.currentToken() != JsonToken.START_ARRAY) {
                throw new ShapeException("points", "points must be a list of [x, y, z] in mm.");
            }
            int n = 0;
            while (parser.nextToken() != JsonToken.END_ARRAY) {
                if (n == MOST) {
                    throw new TooManyException();
                }
                if (n == x.length) {
                    x = Arrays.copyOf(x, 2 * n);
                    y = Arrays.copyOf(y, 2 * n);
                    z = Arrays.copyOf(z, 2 * n);
                }
                if (parser.currentToken() != JsonToken.START_ARRAY) {
                    throw wrong(n);
                }
                x[n] = number(parser, n);
                y[n] = number(parser, n);
                z[n] = number(parser, n);
                if (parser.nextToken() != JsonToken.END_ARRAY) {
                    throw wrong(n);
                }
                n++;
            }
            return new PointsBody(Points.of(Arrays.copyOf(x, n), Arrays.copyOf(y, n), Arrays.copyOf(z, n)));
        }

        private static double number(JsonParser parser, int n) {
            JsonToken token = parser.nextToken();
            if (token == null || !token.isNumeric()) {
                throw wrong(n);
            }
            double value = parser.getDoubleValue();
            if (!Double.isFinite(value)) {
                throw wrong(n);
            }
            return value;
        }

        private static ShapeException wrong(int n) {
            String field = "points[" + n + "]";
            return new ShapeException(
                    field, field + " must be three finite numbers in mm, such as [36.6, 39.7, 0.038].");
        }
    }
}
