/** The bench page: what to do next, what is stuck and on whom, what left lately. */
package homalon.app.bench;
