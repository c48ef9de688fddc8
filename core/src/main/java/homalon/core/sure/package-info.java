/**
 * How sure a verdict on a face is: the chance that a limit is broken between the places that were read, and where the next reading
 * settles most. May use: geometry, numeric, part, rulebook, verdict, surface and face.
 */
package homalon.core.sure;
