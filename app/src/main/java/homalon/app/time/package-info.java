/** The shop's clock. */
package homalon.app.time;
