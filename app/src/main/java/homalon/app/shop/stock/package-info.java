/**
 * What the shop buys by size: its list of inserts, guides and shims, a supplier that is asked for price and days, and what is
 * ordered for a part. Which parts a job needs is told by others through {@link homalon.app.shop.stock.NeedSource}.
 */
@ApplicationModule
package homalon.app.shop.stock;

import org.springframework.modulith.ApplicationModule;
