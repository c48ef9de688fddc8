/** Where a visit stands: the state of every step and what is next, from what the other features know. */
package homalon.app.route;
