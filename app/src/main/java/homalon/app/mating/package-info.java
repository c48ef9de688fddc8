/** One face beside another: as it came and after the cut, and a head on its block deck with the gap that both leave open. */
package homalon.app.mating;
