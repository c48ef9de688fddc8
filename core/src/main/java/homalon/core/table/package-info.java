/** Tables of text that a shop brings along: which heads are understood, and what a line comes to. */
@NullMarked
package homalon.core.table;

import org.jspecify.annotations.NullMarked;
