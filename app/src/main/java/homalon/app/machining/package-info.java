/** What is cut: plans, passes, batches, valves and seats, chambers. */
package homalon.app.machining;
