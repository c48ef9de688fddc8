/** What hangs on a casting and travels with it: its tag and its traveller, printed. */
package homalon.app.paper;
