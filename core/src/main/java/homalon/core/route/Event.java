package homalon.core.route;

import homalon.core.words.Message;

/** What happened to a casting, in the order in which it happened. */
public sealed interface Event {
    /** It was found, or is known. */
    record Found(Finding finding) implements Event {}

    /** It was done, to its end and with a good result where it is a check. */
    record Did(Operation operation) implements Event {}

    /** The machinist wants it. */
    record Added(Operation operation) implements Event {}

    /** It goes no further: of what is open nothing is done but what it leaves with, whenever that was found. */
    record Stopped(String who, Message why) implements Event {}

    /** What is owed of it until now shall not be done: someone answers for that. */
    record Waived(Operation operation, String who, Message why) implements Event {
        public Waived(Operation operation, String who, String why) {
            this(operation, who, Message.plain(why));
        }
    }
}
