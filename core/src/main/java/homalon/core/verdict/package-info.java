/**
 * Three-valued verdicts, and results that can show how they were reached. May use: quantity, geometry, numeric, part and
 * rulebook.
 */
package homalon.core.verdict;
