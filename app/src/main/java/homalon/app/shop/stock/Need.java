package homalon.app.shop.stock;

import homalon.core.route.Operation;
import java.util.List;

/**
 * What a job needs of one thing.
 *
 * @param code on the shop's list, or a word of its own for what is not on it
 * @param operation work that waits for it
 * @param where valves it is for
 */
public record Need(String code, String words, int quantity, Operation operation, List<String> where) {}
