/** Sheets of figures keyed at named places: a shaft's line, liners above the deck, the deck's height over the crank line. */
package homalon.app.lines;
