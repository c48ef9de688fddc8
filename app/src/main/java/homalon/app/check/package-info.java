/** Whether a casting is good: faces by indicator, feelers or scan, a head on its deck, lines of shafts, cracks and pressure. */
package homalon.app.check;
