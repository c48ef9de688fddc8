/** A caller's mistakes, told in sentences that say what to give instead. Uses nothing but the JDK. */
package homalon.core.input;
