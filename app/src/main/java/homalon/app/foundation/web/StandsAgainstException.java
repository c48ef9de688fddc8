package homalon.app.foundation.web;

/** What was asked for may not be done yet: the sentence says what stands against it and who may lift that. */
public final class StandsAgainstException extends RuntimeException {
    private static final long serialVersionUID = 1;

    private final String lead;

    /** @param lead address where it is lifted */
    public StandsAgainstException(String sentence, String lead) {
        super(sentence);
        this.lead = lead;
    }

    public String lead() {
        return lead;
    }
}
