/**
 * Money of a job: the shop's prices, what a casting comes to as it stands, and what may still turn up. Sums are exact, in whole coins; only
 * a chance is a double. May use: route, part and bench, for what is done, at what and for how long.
 */
package homalon.core.money;
