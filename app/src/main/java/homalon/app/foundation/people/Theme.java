package homalon.app.foundation.people;

/** Bright shop or dim room. */
public enum Theme {
    LIGHT,
    DIM;

    public Theme other() {
        return this == LIGHT ? DIM : LIGHT;
    }
}
