package homalon.app.foundation.web;

/** What takes long the first time: done once behind the start, so that nobody waits for it at a bench. */
public interface WarmUpTask {
    void warm();
}
