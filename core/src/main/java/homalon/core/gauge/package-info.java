/**
 * What instruments and hands leave open: figures with a standard uncertainty and how it goes through a sum; the repeatability of a gauge
 * and the people who use it; checks against a reference over time; the error of what a face is read from. Lengths are double millimetres.
 * May use: words, input, quantity, verdict.
 */
@NullMarked
package homalon.core.gauge;

import org.jspecify.annotations.NullMarked;
