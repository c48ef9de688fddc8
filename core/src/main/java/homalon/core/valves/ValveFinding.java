package homalon.core.valves;

import homalon.core.guides.Guide;
import homalon.core.seats.SpringFit;
import homalon.core.verdict.Verdict;
import homalon.core.words.Message;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What is found of one valve.
 *
 * @param aspects what was judged, in the order of the sheet
 * @param guide clearance and shape, once a stem and a place of the guide are read
 * @param spring once its height is read and the book's is known
 * @param verdict out when anything is; within only when the guide was proven and the seat looked at
 * @param begun anything was read at all
 */
public record ValveFinding(
        List<Aspect> aspects, Optional<Guide> guide, Optional<SpringFit> spring, Verdict verdict, boolean begun) {
    private static final Set<Aspect.Subject> OF_SEAT = EnumSet.of(
            Aspect.Subject.WIDTH,
            Aspect.Subject.PLACE,
            Aspect.Subject.RUNOUT,
            Aspect.Subject.PITS,
            Aspect.Subject.LOOKS,
            Aspect.Subject.VACUUM,
            Aspect.Subject.FALL);

    public Optional<Aspect> aspect(Aspect.Subject subject) {
        return aspects.stream().filter(a -> a.subject() == subject).findFirst();
    }

    public boolean out(Aspect.Subject subject) {
        return aspect(subject).filter(a -> a.is(Verdict.OUT)).isPresent();
    }

    public boolean guideWorn() {
        return out(Aspect.Subject.GUIDE);
    }

    public boolean seatBad() {
        return aspects.stream().anyMatch(a -> OF_SEAT.contains(a.subject()) && a.is(Verdict.OUT));
    }

    /** What is wrong with the seat, in words; empty where nothing is. */
    public Message seatSays() {
        return aspects.stream()
                .filter(a -> OF_SEAT.contains(a.subject()) && a.is(Verdict.OUT))
                .map(Aspect::says)
                .collect(Message.joining("text.comma"));
    }

    /** Guide and seat are both decided, whichever way: a valve that is out for its seat may still have an unread guide. */
    public boolean settled() {
        boolean guideRead = aspect(Aspect.Subject.GUIDE)
                .flatMap(Aspect::verdict)
                .filter(v -> v != Verdict.NOT_PROVEN)
                .isPresent();
        return guideRead && aspect(Aspect.Subject.LOOKS).isPresent() && verdict != Verdict.NOT_PROVEN;
    }

    /**
     * A machinist may answer for what is open of it, which proves nothing: a guide that was felt and found good, never measured, or a
     * figure nearer to its limit than its gauges can tell. Whatever else is open has to be read.
     */
    public boolean forAnswer(ValveReadings read) {
        boolean felt = read.feltAlone() && !read.rocks();
        boolean near = aspects.stream().anyMatch(Aspect::near);
        boolean elsewhere = aspects.stream()
                .anyMatch(a -> a.is(Verdict.NOT_PROVEN) && !a.near() && !(felt && a.subject() == Aspect.Subject.GUIDE));
        return (felt || near) && !elsewhere && aspect(Aspect.Subject.LOOKS).isPresent();
    }

    /** What is worst, in words; for a valve that is not settled what to read next. */
    public Message says() {
        Message worst = first(Verdict.OUT);
        Message open = first(Verdict.NOT_PROVEN);
        if (open.isEmpty() && !settled()) {
            open = !begun
                    ? Message.of("valves.nothing-read-yet")
                    : aspect(Aspect.Subject.GUIDE).isEmpty()
                            ? Message.of("valves.read-stem-and-guide")
                            : Message.of("valves.say-what-the-seat-looks-like");
        }
        return worst.isEmpty()
                ? open.isEmpty() ? Message.of("valves.within") : open
                : open.isEmpty() ? worst : Message.of("text.semicolon", worst, open);
    }

    private Message first(Verdict verdict) {
        return aspects.stream()
                .filter(a -> a.is(verdict))
                .findFirst()
                .map(Aspect::says)
                .orElse(Message.NONE);
    }
}
