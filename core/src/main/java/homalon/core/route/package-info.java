/**
 * What has to be done to a casting and in which order: findings make work, work makes checks owed, and some things must come
 * before others. The rules are data in {@link homalon.core.route.RouteRules}. No clock: events are given in the order in which
 * they happened. May use: everything below; knows nothing of screens or storage.
 */
package homalon.core.route;
