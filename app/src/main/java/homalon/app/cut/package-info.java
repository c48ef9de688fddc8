/** The cut of a visit: set-ups compared, a plan chosen, passes logged against it. Plans are superseded, never changed. */
package homalon.app.cut;
