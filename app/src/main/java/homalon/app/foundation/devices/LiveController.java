package homalon.app.foundation.devices;

import homalon.app.foundation.opened.ToEverybody;
import java.io.IOException;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Carries what is told on the bus to the pages that asked for it. */
@ToEverybody
@RestController
class LiveController {
    private static final int MOST = 300;
    /** All windows of a browser share one stream. */
    private static final int MOST_TOPICS = 40;

    private static final long FOR_MILLIS = 10 * 60 * 1000L;

    /** One open page. */
    private record Ear(Set<String> topics, SseEmitter emitter) {}

    private final Set<Ear> ears = ConcurrentHashMap.newKeySet();

    LiveController(LiveBus bus) {
        bus.listen(this::heard);
    }

    /** @param topics what the page wants to hear of, such as a survey's id or {@code gauge} */
    @GetMapping(path = "/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    ResponseEntity<SseEmitter> listen(@RequestParam List<String> topics) {
        if (ears.size() >= MOST || topics.size() > MOST_TOPICS) {
            return ResponseEntity.status(HttpStatus.TOO_MANY_REQUESTS).build();
        }
        SseEmitter emitter = new SseEmitter(FOR_MILLIS);
        Ear ear = new Ear(Set.copyOf(topics), emitter);
        ears.add(ear);
        emitter.onCompletion(() -> ears.remove(ear));
        emitter.onTimeout(emitter::complete);
        emitter.onError(e -> ears.remove(ear));
        send(ear, "open", "");
        return ResponseEntity.ok().header("X-Accel-Buffering", "no").body(emitter);
    }

    /** Open streams would hold up a stop: pages ask again by themselves once the shop is back. */
    @EventListener(ContextClosedEvent.class)
    void closing() {
        ears.forEach(e -> e.emitter().complete());
    }

    private void heard(String topic, String words) {
        for (Ear ear : ears) {
            if (ear.topics().contains(topic)) {
                send(ear, topic, words);
            }
        }
    }

    /** Finds pages that have gone. */
    @Scheduled(fixedDelay = 15_000)
    void stillThere() {
        ears.forEach(e -> send(e, "still", ""));
    }

    private void send(Ear ear, String topic, String words) {
        try {
            ear.emitter().send(SseEmitter.event().name(topic).data(words));
        } catch (IOException | IllegalStateException e) {
            ears.remove(ear);
        }
    }
}
