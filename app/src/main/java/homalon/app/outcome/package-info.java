/** What comes of it: the route of a visit, the bench, reports and seals, and the same for other programs. */
package homalon.app.outcome;
