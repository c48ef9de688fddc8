package homalon.app.outcome.calc;

/** A field of the wrong shape, found while reading. */
final class ShapeException extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final String field;

    ShapeException(String field, String sentence) {
        super(sentence);
        this.field = field;
    }

    String field() {
        return field;
    }
}
